import type { PoolConnection } from 'mysql2/promise'
import { valuesOf, type Row } from './rows'
import type { Table } from './tables'

/** So much goes to the database at once: far below the largest packet it takes. */
const BATCH_ROWS = 500
const BATCH_CHARS = 2_000_000

/** Writes rows of a table into a kitchen, many at once: new ones, or what its own row of `kitchen` holds. */
export async function writeRows(
  connection: PoolConnection,
  kitchenId: string,
  table: Table,
  rows: AsyncIterable<Row> | Iterable<Row>,
): Promise<void> {
  let batch: Row[] = []
  let chars = 0
  const send = async () => {
    if (batch.length > 0) await writeBatch(connection, kitchenId, table, batch)
    batch = []
    chars = 0
  }
  for await (const row of rows) {
    batch.push(row)
    chars += JSON.stringify(row).length
    if (batch.length >= BATCH_ROWS || chars >= BATCH_CHARS) await send()
  }
  await send()
}

async function writeBatch(
  connection: PoolConnection,
  kitchenId: string,
  table: Table,
  rows: readonly Row[],
): Promise<void> {
  const names = table.columns.map(({ name }) => `\`${name}\``)
  if (table.name === 'kitchen') {
    const sets = names.map((name) => `${name} = ?`).join(', ')
    for (const row of rows)
      await connection.query(`UPDATE kitchen SET ${sets} WHERE id = ?`, [...valuesOf(table, row), kitchenId])
    return
  }
  await connection.query(`INSERT INTO \`${table.name}\` (kitchen_id, ${names.join(', ')}) VALUES ?`, [
    rows.map((row) => [kitchenId, ...valuesOf(table, row)]),
  ])
}
