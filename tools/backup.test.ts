import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { basename, join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import { onDataFolder } from './test/dataFolder'

jest.setTimeout(240_000)

const folder = mkdtempSync(join(tmpdir(), 'okazu-data '))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const { run, withDatabase, startOnce, sql } = onDataFolder(folder)
const nameNow = () => sql('SELECT name FROM kitchen')
/** Everything in the database, without the lines that say when it was read, and without the list of changes. */
const everything = () =>
  withDatabase(
    'MYSQL_PWD=$DB_PASSWORD mariadb-dump --no-defaults --host=127.0.0.1 --port=$DB_PORT --user=$DB_USER --skip-comments --skip-extended-insert --order-by-primary --ignore-table=okazu.audit okazu',
  ).said
const restore = (file: string, env: Record<string, string> = {}) => run(['tools/restore.sh', file], env)

let copy = ''
let before = ''
beforeAll(() => {
  const made = startOnce()
  expect(made.said).toMatch(/http/)
  before = everything()
  const backup = run(['tools/backup.sh'])
  expect(backup).toMatchObject({ status: 0, said: expect.stringMatching(/A copy of the data is in /) })
  copy = backup.said.replace(/^.* is in /s, '')
}, 240_000)

test('a restore gives back exactly what was copied, and what was there in between is copied first', () => {
  expect(before).toMatch(/Low Tide Rice Counter/)
  sql("UPDATE kitchen SET name = 'Changed since'; DELETE FROM ticket_item")
  expect(nameNow()).toBe('Changed since')
  // What an earlier restore was killed over.
  mkdirSync(join(folder, 'db-before-restore-2026-01-01T000000Z'))
  expect(restore(copy)).toMatchObject({ status: 0, said: expect.stringMatching(/npm start opens it/) })
  expect(everything()).toBe(before)
  expect(sql('SELECT kitchen_id, staff_id, what, subject FROM audit')).toBe(
    `low-tide\tNULL\trestored\t${basename(copy)}`,
  )
  const between = readdirSync(join(folder, 'backups')).find((name) => name.startsWith('before-restore-'))!
  expect(gunzipSync(readFileSync(join(folder, 'backups', between))).toString()).toMatch(/Changed since/)
  expect(readdirSync(folder)).toContain('db-before-restore-2026-01-01T000000Z')
})

test('a copy of a time without a list of changes, and of a name with quotes in it, is read all the same', () => {
  const old = join(folder, "o'hare's `copy`.sql.gz")
  const text = gunzipSync(readFileSync(copy)).toString()
  const without = text.replace(/CREATE TABLE `audit`[^;]*;/, '').replace(/INSERT INTO `audit`[^;]*;/, '')
  writeFileSync(old, gzipSync(without.replace(/(LOCK TABLES|\/\*!\d+ ALTER TABLE) `audit`[^;]*;/g, '')))
  expect(restore(old)).toMatchObject({ status: 0 })
  expect(sql("SHOW TABLES LIKE 'audit'")).toBe('')
  const quoted = join(folder, "o'hare's again.sql.gz")
  writeFileSync(quoted, readFileSync(copy))
  expect(restore(quoted)).toMatchObject({ status: 0 })
  expect(sql('SELECT subject FROM audit')).toBe("o'hare's again.sql.gz")
})

describe('what is no whole copy is refused, and the data stays as it is', () => {
  const bytes = () => readFileSync(copy)
  const as = (name: string, content: Buffer) => {
    const path = join(folder, name)
    writeFileSync(path, content)
    return path
  }
  const text = () => gunzipSync(bytes()).toString()

  test.each([
    [
      'the file of a kitchen',
      () => as('okazu-kitchen.zip', Buffer.from('PK\u0003\u0004')),
      /where an own kitchen begins/,
    ],
    ['a file that is not there', () => join(folder, 'none.sql.gz'), /there is no file/],
    ['one that is cut off', () => as('cut.sql.gz', bytes().subarray(0, 5000)), /cut off or damaged/],
    [
      'one that is altered',
      () => as('altered.sql.gz', Buffer.concat([bytes().subarray(0, 3000), Buffer.alloc(50), bytes().subarray(3050)])),
      /cut off or damaged/,
    ],
    ['one whose text ends too early', () => as('short.sql.gz', gzipSync(text().slice(0, 20_000))), /ends too early/],
    [
      'one of something else',
      () => as('other.sql.gz', gzipSync('-- Current Database: `shop`\n-- Dump completed')),
      /not a copy of Okazu's data/,
    ],
    [
      'one of a newer version',
      () => as('newer.sql.gz', gzipSync(text().replace("('0012_pass.sql')", "('0012_pass.sql'),('9999_later.sql')"))),
      /written by a newer Okazu, which has 9999_later.sql/,
    ],
    [
      'one with a fault in it',
      () => as('fault.sql.gz', gzipSync(text().replace('CREATE TABLE `ticket`', 'CREATE TALE `ticket`'))),
      /could not be read.*as it was/,
    ],
  ])('%s', (_name, file, sentence) => {
    expect(restore(file())).toMatchObject({ status: 1, said: expect.stringMatching(sentence) })
  })
  test('one that unpacks to more than any kitchen has', () => {
    const { status, said } = restore(as('bomb.sql.gz', gzipSync(Buffer.alloc(4_000_000))), {
      OKAZU_MOST_RESTORE_BYTES: '1000000',
    })
    expect([status, said]).toEqual([1, expect.stringMatching(/unpacks to more than/)])
  })
  // Once for all of them: asking starts a database.
  afterAll(() => expect(nameNow()).toBe('Low Tide Rice Counter'))
})

test('where the database cannot be started for reading, the data is as it was', () => {
  const fault = 'mariadb-install-db() { return 1; }; export -f mariadb-install-db'
  const { status, said } = run(['-c', `${fault}; bash tools/restore.sh "$0"`, copy])
  expect([status, said]).toEqual([1, expect.stringMatching(/the database folder could not be made/)])
  expect(nameNow()).toBe('Low Tide Rice Counter')
})

test('while Okazu runs, it is backed up and not restored', () => {
  const { said } = withDatabase(
    'exec 9>"$OKAZU_DATA/lock"; flock 9; bash tools/backup.sh 9>&-; bash tools/restore.sh x 9>&-',
  )
  expect(said).toMatch(/A copy of the data is in/)
  expect(said).toMatch(/Okazu runs on .*: stop it first/)
})
