import type { Pool } from 'mysql2/promise'
import { z } from 'zod'
import { kitchenColumn, type Column, type Table } from './tables'

/** A row as an archive has it: numbers, texts, nothing, and what a column of JSON holds. */
export type Row = Record<string, unknown>

type Texts = Record<string, string | null>
/** The connection below that of promises, which gives rows as they come. */
type Streaming = {
  query: (asked: {
    sql: string
    values: unknown[]
    typeCast: (field: { string: () => string | null }) => string | null
  }) => {
    stream: (options: { highWaterMark: number }) => AsyncIterable<Texts>
  }
}

const ROWS_AHEAD = 100

/** A connection that sees the database as it is at one instant, for as long as reading takes; `end` gives it back. */
export async function snapshot(pool: Pool) {
  const connection = await pool.getConnection()
  await connection.query('SET SESSION max_statement_time = 0')
  await connection.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ')
  await connection.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY')
  return {
    connection,
    /** The rows of one kitchen, in the order of their keys. */
    rowsOf: (table: Table, kitchenId: string): AsyncIterable<Row> => {
      const names = table.columns.map(({ name }) => `\`${name}\``).join(', ')
      const order = table.key.map((name) => ` \`${name}\``).join(',')
      const sql = `SELECT ${names} FROM \`${table.name}\` WHERE \`${kitchenColumn(table)}\` = ?${order && ` ORDER BY${order}`}`
      const { connection: streaming } = connection as unknown as { connection: Streaming }
      const query = streaming.query({ sql, values: [kitchenId], typeCast: (field) => field.string() })
      return mapped(query.stream({ highWaterMark: ROWS_AHEAD }), (texts) => fromTexts(table.columns, texts))
    },
    // Its session is set up for reading at length: nobody else gets it.
    end: () => connection.destroy(),
  }
}

async function* mapped<From, To>(from: AsyncIterable<From>, to: (one: From) => To): AsyncIterable<To> {
  for await (const one of from) yield to(one)
}

function fromTexts(columns: readonly Column[], texts: Texts): Row {
  return Object.fromEntries(
    columns.map(({ name, as }) => {
      const text = texts[name] ?? null
      if (text === null || as === 'text') return [name, text]
      return [name, as === 'number' ? Number(text) : (JSON.parse(text) as unknown)]
    }),
  )
}

const valueAs = {
  number: z.number().nullable(),
  text: z.string().nullable(),
  json: z.unknown(),
} as const satisfies Record<Column['as'], z.ZodType>

/** What a row of a table must be in an archive: its columns, all of them and no others. */
export const rowSchema = (table: Table) =>
  z.strictObject(Object.fromEntries(table.columns.map(({ name, as }) => [name, valueAs[as]])))

/** The values of a row in the order of its columns, as the database takes them. */
export const valuesOf = (table: Table, row: Row): (string | number | null)[] =>
  table.columns.map(({ name, as }) => {
    const value = row[name] ?? null
    return value === null ? null : as === 'json' ? JSON.stringify(value) : (value as string | number)
  })
