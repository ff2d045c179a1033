import { execFileSync } from 'node:child_process'
import { createWriteStream, mkdtempSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import type { Pool } from 'mysql2/promise'
import { openArchive } from '../../server/src/archive/openArchive'
import { readInto } from '../../server/src/archive/readInto'
import { writeArchive } from '../../server/src/archive/writeArchive'
import { copyData } from '../../server/src/db/copyData'
import { migrationsIn } from '../../server/src/db/migrate'
import { DEMO_KITCHEN_ID } from '../../server/src/demo/kitchen'
import { beginKitchen } from '../../server/src/setup/house/begin'
import { report } from './report'
import { startBenchServer } from './server'

const MIGRATIONS = new URL('../../server/src/db/migrations/', import.meta.url)
const RUNS = 34_000

/** A year of the kitchen, copied and read back. */
export async function backupOfAYear(): Promise<void> {
  const server = await startBenchServer(1, RUNS)
  const [, , socketPath = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
  const [[row]] = (await server.pool.query('SELECT DATABASE() AS name')) as unknown as [[{ name: string }]]
  const folder = mkdtempSync(join(tmpdir(), 'okazu-bench-'))
  const startedMs = performance.now()
  const path = await copyData({ socketPath, user: 'root', database: row.name }, folder, 'year')
  const copiedMs = performance.now()
  await archiveOfAYear(server.pool, folder)
  await server.stop()
  const dumpedMs = performance.now()
  execFileSync('bash', [
    '-c',
    'gunzip -c "$1" | mariadb --no-defaults --socket="$2" --user=root',
    '-',
    path,
    socketPath,
  ])
  const restoredMs = performance.now()
  const megabytes = (statSync(path).size / 1e6).toFixed(0)
  rmSync(folder, { recursive: true })
  report(
    'backup of a year (34,000 runs, 5,000 lots)',
    `${((copiedMs - startedMs) / 1000).toFixed(1)} s, ${megabytes} MB`,
    '<= 20 s',
  )
  report('restore of a year', `${((restoredMs - dumpedMs) / 1000).toFixed(1)} s`, '<= 60 s')
}

/** The same year as one file, and that read into an empty kitchen. */
async function archiveOfAYear(pool: Pool, folder: string): Promise<void> {
  const migrations = migrationsIn(MIGRATIONS)
  const path = join(folder, 'okazu-kitchen.zip')
  const startedMs = performance.now()
  const bytes = writeArchive({ pool, kitchenId: DEMO_KITCHEN_ID, migrations, now: Date.now })
  await pipeline(bytes, createWriteStream(path))
  const writtenMs = performance.now()
  const draft = { name: 'Empty', timeZone: 'UTC', locale: 'en-GB', currency: 'USD', ruleSet: 'us' } as const
  const { id } = await beginKitchen(pool, draft, Date.now())
  const archive = await openArchive(path, migrations)
  await readInto(pool, id, archive, { staffId: null, deviceId: null }, Date.now())
  archive.close()
  const readMs = performance.now()
  const megabytes = (statSync(path).size / 1e6).toFixed(0)
  report(
    'a year as one file, written',
    `${((writtenMs - startedMs) / 1000).toFixed(1)} s, ${megabytes} MB`,
    'none set: the backup is the quick way',
  )
  report(
    'a year as one file, read',
    `${((readMs - writtenMs) / 1000).toFixed(1)} s`,
    'none set: the backup is the quick way',
  )
}
