import { rankCauses, type Cause } from 'core/record/faults/rank'
import type { RowDataPacket } from 'mysql2'
import type { Pool } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { migrate } from '../../db/migrate'
import { openPool } from '../../db/pool'
import { compareRun } from '../../wok/comparison'
import { listComplaints } from '../../record/complaints.sql'
import { listOpenLots } from '../../rice/lots.sql'
import { listLearned, listLessonsOf } from '../../wok/learned.sql'
import { findRun, listOpenRuns } from '../../wok/runs.sql'
import { DEMO_KITCHEN_ID } from '../kitchen'
import { prepareDemo } from '../prepareDemo'
import { MIGRATIONS, MONTH_EVENINGS } from './monthFile'

const NOW_MS = new Date('2027-03-10T18:42:00').getTime()
const DAY_MS = 86_400_000
let pool: Pool
let database = ''
beforeAll(async () => {
  const [, , socketPath = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
  database = `month_${newId().replaceAll('-', '')}`
  const at = { socketPath, user: 'root', database }
  await migrate(at, MIGRATIONS)
  pool = openPool(at)
  await prepareDemo(pool, NOW_MS, { evenings: 0, month: true })
})
afterAll(async () => {
  await pool.query('DROP DATABASE ??', [database])
  await pool.end()
})

const sum = (values: readonly number[]) => values.reduce((total, one) => total + one, 0)
const rows = async (sql: string) => (await pool.query<RowDataPacket[]>(sql))[0]

test('the month lies whole evenings before today, every instant of it, and nothing of it is still open', async () => {
  const [span] = await rows(
    'SELECT COUNT(*) AS n, MIN(fired_at_ms) AS fromMs, MAX(ended_at_ms) AS toMs, COUNT(DISTINCT FLOOR(fired_at_ms / 86400000)) AS days FROM run',
  )
  expect(Number(span!['n'])).toBeGreaterThan(300)
  expect(Number(span!['days'])).toBe(MONTH_EVENINGS)
  const today = new Date(NOW_MS).setHours(0, 0, 0, 0)
  expect(Number(span!['toMs'])).toBeLessThan(today - DAY_MS)
  expect(Number(span!['fromMs'])).toBeGreaterThan(today - (MONTH_EVENINGS + 3) * DAY_MS)
  const [said] = await rows(
    "SELECT SUM(at_ms <> JSON_VALUE(body, '$.atMs')) AS apart, MAX(received_at_ms) AS receivedMs FROM run_event",
  )
  expect(Number(said!['apart'])).toBe(0)
  expect(Number(said!['receivedMs'])).toBeLessThan(NOW_MS)
  expect(await listOpenRuns(pool, DEMO_KITCHEN_ID)).toEqual([])
  const names = (await listOpenLots(pool, DEMO_KITCHEN_ID)).map((lot) => lot.name)
  expect(names.filter((name) => Number(name.slice(2)) < 11)).toEqual([])
})

test('its runs drew on lots, and taught that one ring is slower than its plate says', async () => {
  const [drew] = await rows('SELECT COUNT(DISTINCT run_id) AS n FROM run_lot')
  const [all] = await rows('SELECT COUNT(*) AS n FROM run')
  expect(Number(drew!['n'])).toBe(Number(all!['n']))
  const learned = await listLearned(pool, DEMO_KITCHEN_ID)
  const of = (id: string) => learned.find(({ subjectId }) => subjectId === id)!
  expect(of('ring-b').runs).toBeGreaterThan(34)
  expect(of('ring-b').factor).toBeGreaterThan(of('ring-a').factor + 0.02)
})

test('what is planned for the slower ring comes nearer to what it takes, as its runs teach', async () => {
  const lessons = await listLessonsOf(pool, DEMO_KITCHEN_ID, 'station', 'ring-b', 1000)
  const overOf = (some: typeof lessons) => {
    const [planned, actual] = [sum(some.map(({ plannedS }) => plannedS)), sum(some.map(({ actualS }) => actualS))]
    return Math.abs(actual / planned - 1)
  }
  const first = lessons.filter(({ factor }) => factor === 1)
  expect(first.length).toBeGreaterThan(3)
  expect(overOf(lessons.slice(-100))).toBeLessThan(overOf(first) / 2)
})

/** What was done wrong in the sample month, by what the guest said of it. */
const CAUSE_OF: Readonly<Record<string, Cause>> = {
  coldInside: 'riceCutShort',
  soggy: 'sauceCutShort',
  hardGrains: 'riceTooLong',
  noAroma: 'flameLow',
}

test('of the runs that guests complained of, the true cause is among the first two in 85 of a hundred', async () => {
  const complaints = await listComplaints(pool, DEMO_KITCHEN_ID)
  expect(complaints.length).toBeGreaterThan(8)
  let found = 0
  for (const { of, what } of complaints) {
    if (of.kind !== 'run') throw new Error('a complaint of the month is of a run')
    const { runs, good } = await compareRun(pool, DEMO_KITCHEN_ID, of.runId, NOW_MS)
    const compared = runs.map(({ runId, dishId, features }) => ({ runId, run: features, good: good[dishId] ?? [] }))
    const { causes } = rankCauses(what, compared)
    if (causes.slice(0, 2).some(({ cause }) => cause === CAUSE_OF[what])) found += 1
    expect((await findRun(pool, DEMO_KITCHEN_ID, of.runId))?.state).toBe('finished')
  }
  expect(found / complaints.length).toBeGreaterThanOrEqual(0.85)
})
