import { copyFileSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import type { RowDataPacket } from 'mysql2'
import { v7 as newId } from 'uuid'
import { execFileSync } from 'node:child_process'
import { copyData } from './copyData'
import { migrate, statementsOf } from './migrate'
import { openPool, type DatabaseAddress } from './pool'

const OWN = join(__dirname, 'migrations')
const FILES = readdirSync(OWN).sort()
const own = pathToFileURL(`${OWN}/`)
const socketPath = () => (process.env['OKAZU_TEST_DB'] ?? '').split(' ')[2] ?? ''
const fresh = () => ({
  socketPath: socketPath(),
  user: 'root',
  database: `m_${newId().replaceAll('-', '')}`,
})

/** Every table as it is defined, and every row that a migration wrote. */
async function shapeOf(at: DatabaseAddress): Promise<string[]> {
  const pool = openPool(at)
  const [tables] = await pool.query<RowDataPacket[]>('SHOW TABLES')
  const names = tables.map((row) => String(Object.values(row)[0])).sort()
  const shapes: string[] = []
  for (const name of names) {
    const [created] = await pool.query<RowDataPacket[]>(`SHOW CREATE TABLE \`${name}\``)
    const [rows] = await pool.query<RowDataPacket[]>(`SELECT COUNT(*) AS n FROM \`${name}\``)
    shapes.push(`${String(created[0]!['Create Table'])} holds ${rows[0]!['n']}`)
  }
  await pool.end()
  return shapes
}

async function drop(at: DatabaseAddress): Promise<void> {
  const pool = openPool(at)
  await pool.query(`DROP DATABASE ${at.database}`)
  await pool.end()
}

/** The database as a process killed at a statement of a migration leaves it: made, but its record not ended. */
async function killedAt(file: string, no: number): Promise<DatabaseAddress> {
  const at = fresh()
  const before = mkdtempSync(join(tmpdir(), 'okazu-before-'))
  for (const name of FILES.slice(0, FILES.indexOf(file))) copyFileSync(join(OWN, name), join(before, name))
  await migrate(at, pathToFileURL(`${before}/`))
  rmSync(before, { recursive: true })
  const pool = openPool(at)
  const statements = statementsOf(readFileSync(join(OWN, file), 'utf8'))
  for (let i = 0; i <= no; i += 1) {
    const changesRows = /^(INSERT|UPDATE|DELETE)/i.test(statements[i]!)
    // What changes rows is undone with its record by a kill; what changes tables stays without it.
    if (i === no && changesRows) continue
    await pool.query(statements[i]!)
    await pool.query('INSERT INTO migration_step (name, statement, is_done) VALUES (?, ?, ?)', [file, i, i < no])
  }
  await pool.end()
  return at
}

const WHOLE = fresh()
let whole: string[] = []
beforeAll(async () => {
  await migrate(WHOLE, own)
  whole = await shapeOf(WHOLE)
  await drop(WHOLE)
})

test.each(FILES.slice(1))(
  'killed at any statement of %s, the next start ends where an unbroken one does',
  async (file) => {
    const count = statementsOf(readFileSync(join(OWN, file), 'utf8')).length
    for (let no = 0; no < count; no += 1) {
      const at = await killedAt(file, no)
      expect(await migrate(at, own)).toContain(file)
      expect(await shapeOf(at)).toEqual(whole)
      await drop(at)
    }
  },
  120_000,
)

test('killed in the very first migration, too', async () => {
  const [first = ''] = FILES
  for (const no of [0, 7, 13]) {
    const at = await killedAt(first, no)
    await migrate(at, own)
    expect(await shapeOf(at)).toEqual(whole)
    await drop(at)
  }
})

describe('what is not taken up', () => {
  test('data of a newer program is refused by name, and nothing is changed', async () => {
    const at = fresh()
    await migrate(at, own)
    const pool = openPool(at)
    await pool.query("INSERT INTO migration (name) VALUES ('9999_tomorrow.sql')")
    await pool.end()
    await expect(migrate(at, own)).rejects.toThrow(/newer Okazu.*9999_tomorrow\.sql.*OKAZU_DATA/)
    await drop(at)
  })

  test('a table that is there though its migration never began is a fault, not a success', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'okazu-migrations-'))
    writeFileSync(join(folder, '0001_a.sql'), 'CREATE TABLE a (n INT);\n')
    const at = fresh()
    const pool = openPool({ ...at, database: 'mysql' })
    await pool.query(`CREATE DATABASE ${at.database}`)
    await pool.query(`CREATE TABLE ${at.database}.a (other INT)`)
    await pool.end()
    await expect(migrate(at, pathToFileURL(`${folder}/`))).rejects.toThrow(/already exists/)
    rmSync(folder, { recursive: true })
    await drop(at)
  })
})

test('a copy is made before data that is there is changed, and before nothing else', async () => {
  const at = fresh()
  const copied: string[] = []
  const copy = (from: string) => Promise.resolve(void copied.push(from))
  const before = mkdtempSync(join(tmpdir(), 'okazu-before-'))
  copyFileSync(join(OWN, FILES[0]!), join(before, FILES[0]!))
  await migrate(at, pathToFileURL(`${before}/`), copy)
  expect(copied).toEqual([])
  await migrate(at, own, copy)
  expect(copied).toEqual([FILES[0]])
  await migrate(at, own, copy)
  expect(copied).toHaveLength(1)
  await expect(migrate(at, own, () => Promise.reject(new Error('disk full')))).resolves.toEqual([])
  rmSync(before, { recursive: true })
  await drop(at)
})

test.each([
  ['one', 'CREATE TABLE a (n INT);\n', 1],
  ['two, with comments', '-- why\nCREATE TABLE a (n INT);\n-- and why\nINSERT INTO a VALUES (1);\n', 2],
  ['a semicolon within a text', "INSERT INTO a VALUES ('x; y');\n", 1],
  ['no end of line at the end', 'CREATE TABLE a (n INT);', 1],
  ['only a comment', '-- nothing yet\n', 0],
  ['nothing', '', 0],
])('statements of a file: %s', (_what, sql, count) => {
  const statements = statementsOf(sql)
  expect(statements).toHaveLength(count)
  for (const one of statements) expect(one).toMatch(/^(CREATE|INSERT)/)
})

test('a copy reads back to the same tables, and a copy that fails leaves no half of it', async () => {
  const at = fresh()
  await migrate(at, own)
  const folder = mkdtempSync(join(tmpdir(), 'okazu-copy-'))
  const path = await copyData(at, folder, 'before')
  await drop(at)
  execFileSync('bash', ['-c', `gunzip -c "$0" | mariadb --no-defaults --socket="$1" --user=root`, path, at.socketPath])
  expect(await shapeOf(at)).toEqual(whole)
  await drop(at)
  await expect(copyData(at, folder, 'gone')).rejects.toThrow(/could not be copied.*Unknown database/s)
  expect(readdirSync(folder)).toEqual(['before.sql.gz'])
  rmSync(folder, { recursive: true })
})
