import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createInterface } from 'node:readline'
import type { Pool } from 'mysql2/promise'
import { prepareDemo } from '../../server/src/demo/prepareDemo'
import { migrate } from '../../server/src/db/migrate'
import { openPool } from '../../server/src/db/pool'
import { serverNodeFlags } from '../nodeFlags'
import { letToolIn } from '../toolDevice'
import { copyRuns } from '../../server/src/db/test/copyRuns'

const MIGRATIONS = new URL('../../server/src/db/migrations/', import.meta.url)

/**
 * The server as it is built and started, in a process of its own so that what asks it takes none of its time, on a fresh
 * database with the sample kitchen and, if asked for, many past runs.
 */
export async function startBenchServer(
  evenings: number,
  pastRuns = 0,
): Promise<{ url: string; pool: Pool; stop: () => Promise<void> }> {
  const [, , socketPath = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
  const address = { socketPath, user: 'root', database: `bench_${process.pid}_${Date.now()}` }
  await migrate(address, MIGRATIONS)
  const pool = openPool(address)
  const kitchenId = await prepareDemo(pool, Date.now(), {
    evenings: pastRuns > 0 ? Math.max(2, evenings) : evenings,
    month: false,
  })
  if (pastRuns > 0) await copyRuns(pool, kitchenId, pastRuns)
  await letToolIn(pool, kitchenId, Date.now())
  const folder = mkdtempSync(join(tmpdir(), 'okazu-bench-'))
  const child = spawn(process.execPath, [...serverNodeFlags(), 'server/dist/main.mjs'], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      ...process.env,
      OKAZU_PORT: '0',
      OKAZU_DATA: folder,
      OKAZU_DB_SOCKET: socketPath,
      OKAZU_DB_USER: address.user,
      OKAZU_DB_NAME: address.database,
      OKAZU_BACKUPS: 'off',
      OKAZU_LOG: 'silent',
    },
  })
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()))
  let url: string | undefined
  for await (const line of createInterface({ input: child.stdout })) {
    url = /ready at (http\S+)/.exec(line)?.[1]
    if (url !== undefined) break
  }
  if (url === undefined) throw new Error('the server did not start: see the lines above')
  child.stdout.resume()
  return {
    url,
    pool,
    stop: async () => {
      child.kill('SIGTERM')
      await ended
      rmSync(folder, { recursive: true, force: true })
      await pool.query(`DROP DATABASE ${address.database}`)
      await pool.end()
    },
  }
}
