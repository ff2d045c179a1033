import type { RowDataPacket } from 'mysql2'
import type { Pool } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { migrate } from '../db/migrate'
import { openPool } from '../db/pool'
import { copyDatabase } from '../db/test/copyDatabase'
import { foldLot, policyOf } from '../rice/foldLot'
import { findRiceHouse } from '../rice/house.sql'
import { listOpenLots } from '../rice/lots.sql'
import { findKitchen } from '../setup/kitchen.sql'
import { prepareDemo } from './prepareDemo'

const [, , socketPath = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
const addressOf = (database: string) => ({ socketPath, user: 'root', database })
const newName = () => `night_${newId().replaceAll('-', '')}`
const empty = newName()
const made: string[] = [empty]
let pool: Pool

beforeAll(() => migrate(addressOf(empty), new URL(`file://${__dirname}/../db/migrations/`)))
beforeEach(async () => {
  const database = newName()
  await copyDatabase(addressOf(empty), database)
  made.push(database)
  pool = openPool(addressOf(database))
})
afterEach(() => pool.end())
afterAll(async () => {
  const root = openPool(addressOf('mysql'))
  for (const database of made) await root.query('DROP DATABASE ??', [database])
  await root.end()
})

/** The sample kitchen is opened at any hour; its shelf must not depend on which. */
test.each(['00:10', '05:50', '11:00', '23:55'])('at %s the two lots of the evening can be fried', async (time) => {
  const nowMs = new Date(`2027-03-10T${time}:00`).getTime()
  const kitchenId = await prepareDemo(pool, nowMs, { evenings: 0, month: false })
  const connection = await pool.getConnection()
  const kitchen = (await findKitchen(connection, kitchenId))!
  const house = await findRiceHouse(connection, kitchenId)
  const usable = (await listOpenLots(connection, kitchenId))
    .filter((lot) => foldLot(lot, policyOf(kitchen, house), nowMs).isUsable)
    .map((lot) => lot.name)
  connection.release()
  expect(usable).toEqual(['R-17', 'R-18'])
})

// At these hours the last boat of the evening was up so shortly before that its batches were written down after now.
test.each(['2026-11-30T19:04:00Z', '2026-11-30T19:10:00Z'])(
  'opened at %s it has no record of the future',
  async (at) => {
    const nowMs = Date.parse(at)
    await prepareDemo(pool, nowMs, { evenings: 1, month: false })
    for (const table of ['outbox', 'run_event', 'ticket_event', 'mise_event']) {
      const [rows] = await pool.query<RowDataPacket[]>('SELECT MAX(at_ms) AS newestMs FROM ??', [table])
      expect(Number(rows[0]!['newestMs'])).toBeLessThanOrEqual(nowMs)
      expect(Number(rows[0]!['newestMs'])).toBeGreaterThan(0)
    }
  },
)
