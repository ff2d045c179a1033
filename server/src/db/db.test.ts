import { copyFileSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { OpenTickets } from 'contract/ticket'
import { LotList } from 'contract/rice'
import { lotState } from 'core/rice/lot/lot'
import type { RowDataPacket } from 'mysql2'
import { v7 as newId } from 'uuid'
import { listOpenLots } from '../rice/lots.sql'
import { traceLot } from '../rice/trace.sql'
import { openTestKitchen, send, type TestKitchen } from './test/testKitchen'
import { prepareDemo } from '../demo/prepareDemo'
import { migrate } from './migrate'
import { inTransaction, openPool } from './pool'

const socketPath = () => (process.env['OKAZU_TEST_DB'] ?? '').split(' ')[2] ?? ''
const HOUR_MS = 3_600_000

describe('migrations', () => {
  const address = () => ({ socketPath: socketPath(), user: 'root', database: `mig_${newId().replaceAll('-', '')}` })
  let folder = ''
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'okazu-migrations-'))
    writeFileSync(join(folder, '0001_a.sql'), 'CREATE TABLE a (n INT);\nINSERT INTO a VALUES (1);\n')
  })
  afterEach(() => rmSync(folder, { recursive: true }))
  const url = () => pathToFileURL(`${folder}/`)

  test('run in order, each once, whatever was there before', async () => {
    const at = address()
    expect(await migrate(at, url())).toEqual(['0001_a.sql'])
    writeFileSync(join(folder, '0002_b.sql'), 'INSERT INTO a VALUES (2);\n')
    expect(await migrate(at, url())).toEqual(['0002_b.sql'])
    expect(await migrate(at, url())).toEqual([])
    const pool = openPool(at)
    const [rows] = await pool.query<RowDataPacket[]>('SELECT n FROM a ORDER BY n')
    expect(rows.map((row) => Number(row['n']))).toEqual([1, 2])
    await pool.query(`DROP DATABASE ${at.database}`)
    await pool.end()
  })

  test('three servers that start at once migrate once', async () => {
    const at = address()
    const done = await Promise.all([1, 2, 3].map(() => migrate(at, url())))
    expect(done.flat()).toEqual(['0001_a.sql'])
  })
})

test('a database from before lots were events: what runs drew is said of their lots, and rice is there to fry', async () => {
  const at = { socketPath: socketPath(), user: 'root', database: `old_${newId().replaceAll('-', '')}` }
  const own = join(__dirname, 'migrations')
  const before = mkdtempSync(join(tmpdir(), 'okazu-before-'))
  copyFileSync(join(own, '0001_first_path.sql'), join(before, '0001_first_path.sql'))
  await migrate(at, pathToFileURL(`${before}/`))
  rmSync(before, { recursive: true })
  const pool = openPool(at)
  const [runId, firedAtMs] = [newId(), Date.now() - HOUR_MS]
  await pool.query(`INSERT INTO kitchen (id, name, time_zone, locale, rule_set, tools, boat_every_min)
                    VALUES ('k', 'K', 'UTC', 'en', 'us', '{}', 20)`)
  await pool.query(
    "INSERT INTO rice_lot (kitchen_id, id, name, grain, cooked_at_ms, mass_g) VALUES ('k', 'r-7', 'R-7', 'long', ?, 5000)",
    [firedAtMs - 20 * HOUR_MS],
  )
  await pool.query(
    `INSERT INTO run (kitchen_id, id, dish_id, dish_version, dish_name, station_id, lot_id, portions, rice_mass_g, planned_s,
                      fired_at_ms, promised_at_ms, hands_free, is_unconfirmed, modifiers, allergies, ticket_numbers, score, engine)
     VALUES ('k', ?, 'duck', 1, 'Duck', 'ring-a', 'r-7', 2, 440, 200, ?, ?, TRUE, FALSE, '[]', '[]', '[]', '{}', 'rules-1')`,
    [runId, firedAtMs, firedAtMs],
  )
  expect(await migrate(at, pathToFileURL(`${own}/`))).toContain('0002_rice.sql')
  const [lot] = await listOpenLots(pool, 'k')
  const state = lotState(lot!, lot!.events, { timeZone: 'UTC', keepDays: null, outMin: null, leadIds: [] }, Date.now())
  expect(lot).toMatchObject({ name: 'R-7', number: 7, events: [{ kind: 'used', runId, massG: 440 }] })
  expect(state).toMatchObject({ stage: 'ready', massG: 4560, isUsable: true })
  expect((await traceLot(pool, 'k', 'r-7')).runs).toMatchObject([{ runId, massG: 440 }])
  const [kitchens] = await pool.query<RowDataPacket[]>('SELECT next_lot_number AS next FROM kitchen')
  expect(kitchens[0]!['next']).toBe(8)
  await pool.query(`DROP DATABASE ${at.database}`)
  await pool.end()
})

describe('transactions', () => {
  let kitchen: TestKitchen
  beforeAll(async () => void (kitchen = await openTestKitchen()))
  afterAll(() => kitchen.close())

  test('a connection is strict, in UTC, and reads what is committed', async () => {
    const [rows] = await kitchen.pool.query<RowDataPacket[]>(
      'SELECT @@sql_mode AS mode, @@time_zone AS zone, @@tx_isolation AS isolation',
    )
    expect(rows[0]).toMatchObject({ zone: '+00:00', isolation: 'READ-COMMITTED' })
    expect(String(rows[0]!['mode'])).toContain('STRICT_ALL_TABLES')
    await expect(kitchen.pool.query("UPDATE station SET cap_portions = 'many'")).rejects.toThrow(/Incorrect integer/)
  })

  test('a failure undoes all of it', async () => {
    await expect(
      inTransaction(kitchen.pool, async (connection) => {
        await connection.query('UPDATE station SET cap_portions = 99')
        throw new Error('power cut')
      }),
    ).rejects.toThrow('power cut')
    const [rows] = await kitchen.pool.query<RowDataPacket[]>('SELECT MAX(cap_portions) AS most FROM station')
    expect(Number(rows[0]!['most'])).toBe(4)
  })

  test('two that lock each other out both succeed: the one that InnoDB undid is tried again', async () => {
    const cross = (first: string, second: string) =>
      inTransaction(kitchen.pool, async (connection) => {
        await connection.query('SELECT id FROM station WHERE id = ? FOR UPDATE', [first])
        await new Promise((resolve) => setTimeout(resolve, 60))
        await connection.query('UPDATE station SET position = position + 1 WHERE id = ?', [second])
        return 'done'
      })
    expect(await Promise.all([cross('ring-a', 'ring-b'), cross('ring-b', 'ring-a')])).toEqual(['done', 'done'])
  })

  test('every table belongs to a kitchen', async () => {
    const [rows] = await kitchen.pool.query<RowDataPacket[]>(
      `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name NOT IN ('migration', 'migration_step', 'kitchen')
         AND table_name NOT IN (SELECT table_name FROM information_schema.columns WHERE table_schema = DATABASE() AND column_name = 'kitchen_id')`,
    )
    expect(rows).toEqual([])
  })
})

describe('the demo', () => {
  let kitchen: TestKitchen
  beforeEach(async () => void (kitchen = await openTestKitchen()))
  afterEach(() => kitchen.close())
  const tickets = async () => OpenTickets.parse((await send(kitchen.app, 'GET', '/tickets')).json).tickets
  const lots = async () => LotList.parse((await send(kitchen.app, 'GET', '/rice/lots')).json).lots

  test('is alive whenever it is started: promises ahead, an allergy, every kind of station', async () => {
    const open = await tickets()
    expect(open.length).toBeGreaterThanOrEqual(6)
    for (const ticket of open) expect(ticket.promisedAtMs).toBeGreaterThan(kitchen.clock.now())
    expect(open.flatMap((ticket) => ticket.items).some((item) => item.allergies.length > 0)).toBe(true)
  })

  test('started again at once, nothing changes', async () => {
    const before = await tickets()
    await prepareDemo(kitchen.pool, kitchen.clock.now() + 60_000, { evenings: 2, month: false })
    expect(await tickets()).toEqual(before)
  })

  test('started again three days later, the old wave is gone, a fresh one waits, and there is rice', async () => {
    const before = new Set((await tickets()).map((ticket) => ticket.id))
    const later = kitchen.clock.now() + 72 * HOUR_MS
    kitchen.clock.moveToMs(later)
    await prepareDemo(kitchen.pool, later, { evenings: 2, month: false })
    const open = await tickets()
    expect(open.filter((ticket) => before.has(ticket.id))).toEqual([])
    for (const ticket of open) expect(ticket.promisedAtMs).toBeGreaterThan(later)
    const newest = (await lots()).at(-1)!
    expect(newest.bornAtMs).toBeGreaterThan(later - 48 * HOUR_MS)
    expect(newest.name).toBe('R-19')
  })
})
