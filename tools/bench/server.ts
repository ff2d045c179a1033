import { tmpdir } from 'node:os'
import type { Pool } from 'mysql2/promise'
import pino from 'pino'
import { prepareDemo } from '../../server/src/demo/prepareDemo'
import { migrate, migrationsIn } from '../../server/src/db/migrate'
import { openPool } from '../../server/src/db/pool'
import { startServer } from '../../server/src/server'
import { PAPER_WORKER } from '../../server/src/serverFolder'
import { letToolIn } from '../toolDevice'
import { copyRuns } from '../../server/src/db/test/copyRuns'

const MIGRATIONS = new URL('../../server/src/db/migrations/', import.meta.url)

/** The real server on a fresh database, with the sample kitchen and, if asked for, many past runs. */
export async function startBenchServer(
  evenings: number,
  pastRuns = 0,
): Promise<{ url: string; pool: Pool; stop: () => Promise<void> }> {
  const [, , socketPath = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
  const address = { socketPath, user: 'root', database: `bench_${process.pid}_${Date.now()}` }
  await migrate(address, MIGRATIONS)
  const pool = openPool(address)
  const kitchenId = await prepareDemo(pool, Date.now(), pastRuns > 0 ? Math.max(2, evenings) : evenings)
  if (pastRuns > 0) await copyRuns(pool, kitchenId, pastRuns)
  await letToolIn(pool, kitchenId, Date.now())
  const server = await startServer({
    pool,
    kitchenId,
    port: 0,
    webFolder: 'app/dist',
    log: pino({ level: 'silent' }),
    clock: null,
    printer: { print: () => Promise.resolve({ kind: 'refused', why: 'no printer in a benchmark' }) },
    dataFolder: tmpdir(),
    migrations: migrationsIn(MIGRATIONS),
    paperWorker: PAPER_WORKER,
  })
  return {
    url: `http://127.0.0.1:${server.port}`,
    pool,
    stop: async () => {
      await server.stop()
      await pool.query(`DROP DATABASE ${address.database}`)
      await pool.end()
    },
  }
}

/** The value below which this share of the sorted numbers lies. */
export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? Number.NaN
}
