import { readdirSync, readFileSync } from 'node:fs'
import type { RowDataPacket } from 'mysql2'
import mysql, { type Connection } from 'mysql2/promise'
import { codeOf, type DatabaseAddress } from './pool'

const LOCK_WAIT_S = 60
const CHANGES_ROWS = /^(INSERT|UPDATE|DELETE|REPLACE)\b/i
/** What the database says of a change of its tables that was made before: it makes each one whole or not at all. */
const MADE_BEFORE: readonly string[] = [
  'ER_TABLE_EXISTS_ERROR',
  'ER_DUP_FIELDNAME',
  'ER_DUP_KEYNAME',
  'ER_CANT_DROP_FIELD_OR_KEY',
  'ER_BAD_TABLE_ERROR',
  'ER_FK_DUP_NAME',
]

/** The statements of a migration, each ended by a semicolon at the end of a line, without the comments before them. */
export const statementsOf = (sql: string): string[] =>
  sql
    .split(/;[ \t]*(?:\r?\n|$)/)
    .map((statement) => statement.replace(/^(?:\s*--[^\n]*\n)*\s*/, '').trim())
    .filter((statement) => statement !== '' && !/^(?:--[^\n]*\s*)*$/.test(statement))

/** The migrations of a folder in their order: files `0001_name.sql`. */
export const migrationsIn = (folder: URL): string[] =>
  readdirSync(folder)
    .filter((name) => name.endsWith('.sql'))
    .sort()

/**
 * Brings the database up to the newest numbered migration, each once; several servers may start at the same moment. It may
 * be killed at any statement: what was done is recorded statement by statement, and the next start takes it up there.
 * @param beforeChange is awaited before the first migration of data that is there already: the place for a copy of it
 * @throws {Error} where the data was written by a newer program, naming what it has and this one does not
 */
export async function migrate(
  address: DatabaseAddress,
  folder: URL,
  beforeChange: (from: string) => Promise<void> = () => Promise.resolve(),
): Promise<string[]> {
  const { database, ...server } = address
  const connection = await mysql.createConnection({ ...server, charset: 'utf8mb4' })
  try {
    await connection.query(`CREATE DATABASE IF NOT EXISTS \`${database}\``)
    await connection.query(`USE \`${database}\``)
    await connection.query('SELECT GET_LOCK(?, ?)', [`migrate-${database}`, LOCK_WAIT_S])
    await connection.query('CREATE TABLE IF NOT EXISTS migration (name VARCHAR(120) NOT NULL PRIMARY KEY)')
    await connection.query(
      `CREATE TABLE IF NOT EXISTS migration_step (
         name VARCHAR(120) NOT NULL, statement INT NOT NULL, is_done BOOLEAN NOT NULL, PRIMARY KEY (name, statement)
       )`,
    )
    const [rows] = await connection.query<RowDataPacket[]>('SELECT name FROM migration ORDER BY name')
    const done = rows.map((row) => String(row['name']))
    const files = migrationsIn(folder)
    const newer = done.filter((name) => !files.includes(name))
    if (newer.length > 0)
      throw new Error(
        `the data was written by a newer Okazu, which has ${newer.join(', ')}: start that one, or set OKAZU_DATA to another folder`,
      )
    const wanted = files.filter((name) => !done.includes(name))
    const last = done.at(-1)
    if (wanted.length > 0 && last !== undefined) await beforeChange(last)
    for (const name of wanted) await runMigration(connection, name, readFileSync(new URL(name, folder), 'utf8'))
    return wanted
  } finally {
    await connection.end()
  }
}

async function runMigration(connection: Connection, name: string, sql: string): Promise<void> {
  const [rows] = await connection.query<RowDataPacket[]>(
    'SELECT statement, is_done AS isDone FROM migration_step WHERE name = ?',
    [name],
  )
  const steps = new Map(rows.map((row) => [Number(row['statement']), row['isDone'] === 1]))
  for (const [no, statement] of statementsOf(sql).entries()) {
    if (steps.get(no)) continue
    if (CHANGES_ROWS.test(statement)) await changeRows(connection, name, no, statement)
    else await changeTables(connection, name, no, statement, steps.has(no))
  }
  await connection.beginTransaction()
  await connection.execute('INSERT INTO migration (name) VALUES (?)', [name])
  await connection.execute('DELETE FROM migration_step WHERE name = ?', [name])
  await connection.commit()
}

/** Rows change together with the record of it: both or neither. */
async function changeRows(connection: Connection, name: string, no: number, statement: string): Promise<void> {
  await connection.beginTransaction()
  await connection.query(statement)
  await connection.execute('INSERT INTO migration_step (name, statement, is_done) VALUES (?, ?, TRUE)', [name, no])
  await connection.commit()
}

/** A change of tables commits by itself, so it is recorded before and after; begun and not ended, it may have been made. */
async function changeTables(
  connection: Connection,
  name: string,
  no: number,
  statement: string,
  wasBegun: boolean,
): Promise<void> {
  await connection.execute('INSERT IGNORE INTO migration_step (name, statement, is_done) VALUES (?, ?, FALSE)', [
    name,
    no,
  ])
  try {
    await connection.query(statement)
  } catch (error) {
    if (!wasBegun || !MADE_BEFORE.includes(codeOf(error))) throw error
  }
  await connection.execute('UPDATE migration_step SET is_done = TRUE WHERE name = ? AND statement = ?', [name, no])
}
