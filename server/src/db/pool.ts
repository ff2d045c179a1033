import mysql, { type Pool, type PoolConnection, type PoolOptions } from 'mysql2/promise'

export type Db = Pool | PoolConnection

export type DatabaseAddress = { socketPath: string; user: string; database: string }

const SQL_MODE =
  'STRICT_ALL_TABLES,ONLY_FULL_GROUP_BY,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION'

/** A pool on the project's own MariaDB, reached through its socket; every connection is strict, in UTC, and reads what is
 * committed, so that what was locked is seen as it is now. */
export function openPool({ socketPath, user, database }: DatabaseAddress, extra: PoolOptions = {}): Pool {
  const pool = mysql.createPool({
    socketPath,
    user,
    database,
    timezone: 'Z',
    charset: 'utf8mb4',
    supportBigNumbers: true,
    connectionLimit: 10,
    ...extra,
  })
  pool.on('connection', (connection) => {
    void connection.query(`SET SESSION sql_mode = '${SQL_MODE}', time_zone = '+00:00'`)
    void connection.query('SET SESSION TRANSACTION ISOLATION LEVEL READ COMMITTED')
  })
  return pool
}

const DEADLOCK_CODES = ['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT']
const MAX_TRIES = 5

/** Runs `work` in one transaction: all of it or nothing. A deadlock is tried again, since InnoDB undid everything. */
export async function inTransaction<T>(pool: Pool, work: (connection: PoolConnection) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries += 1) {
    const connection = await pool.getConnection()
    try {
      await connection.beginTransaction()
      const result = await work(connection)
      await connection.commit()
      return result
    } catch (error) {
      await connection.rollback().catch(() => connection.destroy())
      if (tries >= MAX_TRIES || !DEADLOCK_CODES.includes(codeOf(error))) throw error
    } finally {
      connection.release()
    }
  }
}

export function codeOf(error: unknown): string {
  return error instanceof Error && 'code' in error && typeof error.code === 'string' ? error.code : ''
}
