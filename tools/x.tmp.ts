import { migrate } from '../server/src/db/migrate'
import { openPool } from '../server/src/db/pool'
import { prepareDemo } from '../server/src/demo/prepareDemo'
import { MIGRATIONS } from '../server/src/demo/month/monthFile'
const [, , socketPath = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
for (const month of [false, true]) {
  const at = { socketPath, user: 'root', database: `m${month}` }
  await migrate(at, MIGRATIONS)
  const pool = openPool(at)
  const s = performance.now()
  await prepareDemo(pool, Date.now(), { evenings: 0, month })
  console.log(month, performance.now() - s)
  await pool.end()
}
process.exit(0)
