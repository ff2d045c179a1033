import type { RowDataPacket } from 'mysql2'
import type { Db } from '../db/pool'

/** A column, and how its values stand in an archive. */
export type Column = { name: string; as: 'number' | 'json' | 'text' }
/** A table whose rows belong to kitchens; `key` is its primary key without the kitchen. */
export type Table = { name: string; columns: readonly Column[]; key: readonly string[] }

/** What lets devices and people in, and what live screens follow: none of it leaves this machine. */
export const KEPT_HERE: readonly string[] = ['device_session', 'pairing_code', 'pin_try', 'outbox']
const SECRETS: Readonly<Record<string, readonly string[]>> = {
  kitchen: ['recovery_hash', 'outbox_no'],
  staff: ['pin_hash'],
}
/** What a kitchen has before anybody entered anything. */
export const THERE_FROM_THE_START: readonly string[] = ['kitchen', 'paired_device', 'audit']

/**
 * Every table of the database that belongs to kitchens, what others refer to first: whatever a migration adds is part of
 * archives without being named here.
 */
export async function kitchenTables(db: Db): Promise<Table[]> {
  const columns = await columnsByTable(db)
  const parents = await parentsByTable(db)
  const ordered: Table[] = []
  const place = (name: string): void => {
    if (ordered.some((table) => table.name === name) || !columns.has(name)) return
    for (const parent of parents.get(name) ?? []) if (parent !== name) place(parent)
    ordered.push({ name, ...columns.get(name)! })
  }
  for (const name of [...columns.keys()].sort()) place(name)
  return ordered
}

/** The column of a table that says whose kitchen a row is. */
export const kitchenColumn = (table: Pick<Table, 'name'>): string => (table.name === 'kitchen' ? 'id' : 'kitchen_id')

async function columnsByTable(db: Db): Promise<Map<string, Omit<Table, 'name'>>> {
  const [checks] = await db.query<RowDataPacket[]>(
    `SELECT TABLE_NAME AS tableName, CONSTRAINT_NAME AS name FROM information_schema.CHECK_CONSTRAINTS
      WHERE CONSTRAINT_SCHEMA = DATABASE() AND CHECK_CLAUSE LIKE 'json_valid%'`,
  )
  const isJson = new Set(checks.map((row) => `${row['tableName']}.${row['name']}`))
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT TABLE_NAME AS tableName, COLUMN_NAME AS name, DATA_TYPE AS type, COLUMN_KEY AS inKey
       FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = DATABASE() ORDER BY TABLE_NAME, ORDINAL_POSITION`,
  )
  const tables = new Map<string, { columns: Column[]; key: string[]; isOfKitchens: boolean }>()
  for (const row of rows) {
    const [tableName, name] = [String(row['tableName']), String(row['name'])]
    const table = tables.get(tableName) ?? { columns: [], key: [], isOfKitchens: false }
    tables.set(tableName, table)
    if (name === kitchenColumn({ name: tableName })) {
      table.isOfKitchens = true
      continue
    }
    if (SECRETS[tableName]?.includes(name)) continue
    const as = isJson.has(`${tableName}.${name}`) ? 'json' : NUMBERS.includes(String(row['type'])) ? 'number' : 'text'
    table.columns.push({ name, as })
    if (row['inKey'] === 'PRI') table.key.push(name)
  }
  return new Map(
    [...tables].flatMap(([name, { columns, key, isOfKitchens }]) =>
      isOfKitchens && !KEPT_HERE.includes(name) ? [[name, { columns, key }] as const] : [],
    ),
  )
}
const NUMBERS: readonly string[] = ['bigint', 'double', 'int', 'tinyint', 'smallint', 'float', 'decimal']

async function parentsByTable(db: Db): Promise<Map<string, string[]>> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT DISTINCT TABLE_NAME AS child, REFERENCED_TABLE_NAME AS parent FROM information_schema.REFERENTIAL_CONSTRAINTS
      WHERE CONSTRAINT_SCHEMA = DATABASE()`,
  )
  const parents = new Map<string, string[]>()
  for (const row of rows) {
    const child = String(row['child'])
    parents.set(child, [...(parents.get(child) ?? []), String(row['parent'])])
  }
  return parents
}
