import type { Kitchen } from 'contract/kitchen'
import { dayAfter, instantOf, localDay } from 'core/time/localTime'
import { readFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'
import type { PoolConnection } from 'mysql2/promise'
import { lackingSince } from '../../archive/older'
import { rowSchema, type Row } from '../../archive/rows'
import { kitchenTables } from '../../archive/tables'
import { writeRows } from '../../archive/writeRows'
import { migrationsIn } from '../../db/migrate'
import { learnAgain } from '../../wok/learnFrom'
import { DAYS_AFTER, MADE_UNTIL_MS, MIGRATIONS, MONTH_FILE, MonthHead, MonthLine } from './monthFile'

/**
 * Reads the month of evenings that ships with the sample kitchen, moved by whole days so that it ends before the evenings
 * that are cooked now. Where the clocks were changed meanwhile, the evenings before are an hour off.
 * @throws {Error} where the file is from before a migration that changed what its rows mean
 */
export async function readMonth(connection: PoolConnection, kitchen: Kitchen, nowMs: number): Promise<void> {
  const [head = '', ...lines] = gunzipSync(readFileSync(MONTH_FILE)).toString('utf8').trimEnd().split('\n')
  const { schema } = MonthHead.parse(JSON.parse(head))
  const lacking = lackingSince(schema, migrationsIn(MIGRATIONS))
  if (!lacking) throw new Error(`the sample month is of ${schema}: make it again with npm run sample-month`)
  const untilDay = dayAfter(localDay(nowMs, kitchen.timeZone), 1 - DAYS_AFTER)
  const byMs = instantOf(untilDay, 0, kitchen.timeZone) - MADE_UNTIL_MS
  const rows = new Map<string, Row[]>()
  for (const line of lines) {
    const [table, row] = MonthLine.parse(JSON.parse(line))
    const own = rows.get(table) ?? []
    own.push({ ...lacking[table], ...(moved(row, byMs) as Row) })
    rows.set(table, own)
  }
  for (const table of await kitchenTables(connection)) {
    const own = rows.get(table.name)
    if (own)
      await writeRows(
        connection,
        kitchen.id,
        table,
        own.map((row) => rowSchema(table).parse(row)),
      )
  }
  await learnAgain(connection, kitchen.id, nowMs)
}

const EARLIEST_MS = Date.UTC(2020, 0)

/** The same with every instant so much later: no other figure of a row is as large as one. */
function moved(value: unknown, byMs: number): unknown {
  if (typeof value === 'number') return value > EARLIEST_MS ? value + byMs : value
  if (Array.isArray(value)) return value.map((one) => moved(one, byMs))
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, moved(one, byMs)]))
}
