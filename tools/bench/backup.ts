import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { copyData } from '../../server/src/db/copyData'
import { report } from './report'
import { startBenchServer } from './server'

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
  await server.stop()
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
  report('restore of a year', `${((restoredMs - copiedMs) / 1000).toFixed(1)} s`, '<= 60 s')
}
