import mysql, { type Pool, type PoolConnection, type PoolOptions } from 'mysql2/promise'

export type Db = Pool | PoolConnection

/** A MariaDB by its socket or on this machine's network, and who asks for which database of it. */
export type DatabaseAddress = ({ socketPath: string } | { host: string; port: number }) & {
  user: string
  password?: string
  database: string
}

const SQL_MODE =
  'STRICT_ALL_TABLES,ONLY_FULL_GROUP_BY,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION'

/** More requests than this wait for a connection: the server is told to be busy, and the phone asks again. */
const MOST_WAITING = 500
const CONNECT_MS = 5000
const IDLE_MS = 60_000
const LONGEST_STATEMENT_S = 30
const LONGEST_LOCK_S = 10

/** A pool on the project's own MariaDB; every connection is strict, in UTC, reads what is committed, so that what was
 * locked is seen as it is now, and waits for nothing without end. */
export function openPool(address: DatabaseAddress, extra: PoolOptions = {}): Pool {
  const pool = mysql.createPool({
    ...address,
    timezone: 'Z',
    charset: 'utf8mb4',
    supportBigNumbers: true,
    connectionLimit: 10,
    queueLimit: MOST_WAITING,
    connectTimeout: CONNECT_MS,
    idleTimeout: IDLE_MS,
    ...extra,
  })
  pool.on('connection', (connection) => {
    void connection.query(`SET SESSION sql_mode = '${SQL_MODE}', time_zone = '+00:00'`)
    void connection.query(
      `SET SESSION max_statement_time = ${LONGEST_STATEMENT_S}, innodb_lock_wait_timeout = ${LONGEST_LOCK_S}`,
    )
    void connection.query('SET SESSION TRANSACTION ISOLATION LEVEL READ COMMITTED')
  })
  return pool
}

const DEADLOCK_CODES: readonly string[] = ['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT']
/** The database went away or is not back yet. */
const GONE_CODES: readonly string[] = [
  'ECONNREFUSED',
  'ECONNRESET',
  'ENOENT',
  'EPIPE',
  'ETIMEDOUT',
  'PROTOCOL_CONNECTION_LOST',
  'ER_SERVER_SHUTDOWN',
]
/** More connections than the database takes, a statement that took longer than it may, a connection that was killed. By
 * number: the driver has no name for the last two, which are MariaDB's own (its list of error codes). */
const BUSY_NUMBERS: readonly unknown[] = [1040, 1969, 1927]
const MAX_TRIES = 5
const FIRST_WAIT_MS = 50

/**
 * Runs `work` in one transaction: all of it or nothing. A deadlock is tried again, since InnoDB undid everything; so is a
 * connection that was lost before the commit was sent. Lost in the commit, nobody knows whether it was saved: that is
 * thrown, and the sender, whose ids make a repeat harmless, sends it again.
 */
export async function inTransaction<T>(pool: Pool, work: (connection: PoolConnection) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries += 1) {
    let connection: PoolConnection | null = null
    let isCommitting = false
    try {
      connection = await pool.getConnection()
      await connection.beginTransaction()
      const result = await work(connection)
      isCommitting = true
      await connection.commit()
      return result
    } catch (error) {
      await connection?.rollback().catch(() => connection?.destroy())
      const isSafe = DEADLOCK_CODES.includes(codeOf(error)) || (isGone(error) && !isCommitting)
      if (tries >= MAX_TRIES || !isSafe) throw error
      if (isGone(error)) await new Promise((resolve) => setTimeout(resolve, FIRST_WAIT_MS * 2 ** tries))
    } finally {
      connection?.release()
    }
  }
}

/** Whether the database does not answer, rather than refuses. The driver marks what ends a connection, with a code or without. */
export const isGone = (error: unknown): boolean =>
  GONE_CODES.includes(codeOf(error)) ||
  (error instanceof Error && 'fatal' in error && error.fatal === true) ||
  isFull(error)

/** Whether asking again in a moment may help: the database is gone, or too busy for this once. */
export const isPassing = (error: unknown): boolean =>
  isGone(error) ||
  DEADLOCK_CODES.includes(codeOf(error)) ||
  (error instanceof Error && 'errno' in error && BUSY_NUMBERS.includes(error.errno))

const isFull = (error: unknown) => error instanceof Error && error.message === 'Queue limit reached.'

export function codeOf(error: unknown): string {
  return error instanceof Error && 'code' in error && typeof error.code === 'string' ? error.code : ''
}
