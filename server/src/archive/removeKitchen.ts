import type { PoolConnection } from 'mysql2/promise'
import { KEPT_HERE, kitchenColumn, kitchenTables } from './tables'

/** Takes a kitchen out of the database with everything that belongs to it, what refers to others first. */
export async function removeKitchen(connection: PoolConnection, kitchenId: string): Promise<void> {
  const tables = (await kitchenTables(connection)).reverse()
  for (const table of [...KEPT_HERE.map((name) => ({ name })), ...tables])
    await connection.execute(`DELETE FROM \`${table.name}\` WHERE \`${kitchenColumn(table)}\` = ?`, [kitchenId])
}
