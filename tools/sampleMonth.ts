import { writeFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'
import { snapshot } from '../server/src/archive/rows'
import { kitchenTables } from '../server/src/archive/tables'
import { migrate, migrationsIn } from '../server/src/db/migrate'
import { openPool } from '../server/src/db/pool'
import { DEMO_KITCHEN_ID } from '../server/src/demo/kitchen'
import { cookMonth } from '../server/src/demo/month/cookMonth'
import { MIGRATIONS, MONTH_FILE, MONTH_TABLES } from '../server/src/demo/month/monthFile'

/** Cooks the month of evenings that ships with the sample kitchen, and writes its rows into a file. */
const [, , socketPath = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
const address = { socketPath, user: 'root', database: 'sample_month' }
await migrate(address, MIGRATIONS)
const pool = openPool(address)
await cookMonth(pool)
const lines = [JSON.stringify({ schema: migrationsIn(MIGRATIONS).at(-1) })]
const view = await snapshot(pool)
for (const table of await kitchenTables(view.connection)) {
  if (!MONTH_TABLES.some((name) => name === table.name)) continue
  for await (const row of view.rowsOf(table, DEMO_KITCHEN_ID)) lines.push(JSON.stringify([table.name, row]))
}
view.end()
await pool.end()
const packed = gzipSync(`${lines.join('\n')}\n`, { level: 9 })
writeFileSync(MONTH_FILE, packed)
console.log(`${lines.length - 1} rows, ${Math.round(packed.length / 1000)} kB`)
process.exit(0)
