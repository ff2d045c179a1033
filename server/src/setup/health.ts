import type { Health } from 'contract/health'
import type { RowDataPacket } from 'mysql2'
import type { Pool } from 'mysql2/promise'
import { readdir, stat, statfs } from 'node:fs/promises'
import { join } from 'node:path'

const MIB = 1024 * 1024
const SECOND_MS = 1000
const DAY_MS = 86_400_000
const LOW_DISK_MIB = 1000
const NO_DISK_MIB = 200
const LONGEST_ANSWER_MS = 1000
/** A clock that is off by more than this puts events where they do not belong. */
const CLOCK_OFF_S = 60
const OLD_BACKUP_MS = 2 * DAY_MS

type Checks = Health['checks']
export type HealthSource = {
  pool: Pool
  now: () => number
  /** The folder with the data and its copies; null where the database is somewhere else. */
  dataFolder: string | null
  /** The migrations that this program has. */
  migrations: readonly string[]
}

/** Looks at everything that a kitchen depends on; whatever cannot be looked at is no pass. */
export async function measureHealth({ pool, now, dataFolder, migrations }: HealthSource): Promise<Health> {
  const nowMs = now()
  const checks: Checks = {
    database: await databaseOf(pool),
    disk: await diskOf(dataFolder),
    migrations: await migrationsOf(pool, migrations),
    clock: await clockOf(pool, nowMs),
    backup: await backupOf(dataFolder, nowMs),
  }
  return { status: worst(Object.values(checks).map(({ status }) => status)), nowMs: Math.round(nowMs), checks }
}

const worst = (all: readonly Health['status'][]): Health['status'] =>
  all.includes('fail') ? 'fail' : all.includes('warn') ? 'warn' : 'pass'

async function databaseOf(pool: Pool): Promise<Checks['database']> {
  const startedMs = performance.now()
  try {
    await pool.query('SELECT 1')
    const answeredInMs = Math.round(performance.now() - startedMs)
    return { status: answeredInMs > LONGEST_ANSWER_MS ? 'warn' : 'pass', answeredInMs }
  } catch {
    return { status: 'fail', answeredInMs: null }
  }
}

async function diskOf(folder: string | null): Promise<Checks['disk']> {
  if (folder === null) return { status: 'warn', freeMiB: null }
  try {
    const { bavail, bsize } = await statfs(folder)
    const freeMiB = Math.floor((bavail * bsize) / MIB)
    return { status: freeMiB < NO_DISK_MIB ? 'fail' : freeMiB < LOW_DISK_MIB ? 'warn' : 'pass', freeMiB }
  } catch {
    return { status: 'fail', freeMiB: null }
  }
}

async function migrationsOf(pool: Pool, wanted: readonly string[]): Promise<Checks['migrations']> {
  try {
    const [rows] = await pool.query<RowDataPacket[]>('SELECT name FROM migration ORDER BY name')
    const made = rows.map((row) => String(row['name']))
    const missing = wanted.filter((name) => !made.includes(name))
    const isOurs = made.every((name) => wanted.includes(name))
    return { status: missing.length === 0 && isOurs ? 'pass' : 'fail', newest: made.at(-1) ?? null, missing }
  } catch {
    return { status: 'fail', newest: null, missing: [] }
  }
}

async function clockOf(pool: Pool, nowMs: number): Promise<Checks['clock']> {
  try {
    const [rows] = await pool.query<RowDataPacket[]>(
      'SELECT MAX(at_ms) AS recordedMs, UNIX_TIMESTAMP(NOW(3)) * 1000 AS databaseMs FROM outbox',
    )
    const { recordedMs, databaseMs } = rows[0]!
    const behindRecordS = recordedMs === null ? 0 : Math.max(0, Math.round((Number(recordedMs) - nowMs) / SECOND_MS))
    const fromDatabaseS = Math.round((nowMs - Number(databaseMs)) / SECOND_MS)
    const isOff = behindRecordS > CLOCK_OFF_S || Math.abs(fromDatabaseS) > CLOCK_OFF_S
    return { status: isOff ? 'fail' : 'pass', behindRecordS, fromDatabaseS }
  } catch {
    return { status: 'fail', behindRecordS: null, fromDatabaseS: null }
  }
}

async function backupOf(folder: string | null, nowMs: number): Promise<Checks['backup']> {
  if (folder === null) return { status: 'warn', newestAtMs: null }
  const backups = join(folder, 'backups')
  const names = (await readdir(backups).catch(() => [])).filter((name) => name.endsWith('.sql.gz'))
  const times = await Promise.all(names.map((name) => stat(join(backups, name)).then(({ mtimeMs }) => mtimeMs)))
  const newestAtMs = times.length === 0 ? null : Math.round(Math.max(...times))
  return { status: newestAtMs !== null && nowMs - newestAtMs < OLD_BACKUP_MS ? 'pass' : 'warn', newestAtMs }
}
