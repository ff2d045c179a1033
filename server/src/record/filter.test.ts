import { RunPage, type RunRow } from 'contract/run'
import { localDay } from 'core/time/localTime'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

let kitchen: TestKitchen
let all: RunRow[]
beforeAll(async () => {
  kitchen = await openTestKitchen(2)
  all = await everyRun('')
})
afterAll(() => kitchen.close())

/** All pages of a list, one after the other. */
async function everyRun(query: string): Promise<RunRow[]> {
  const runs: RunRow[] = []
  for (let next: string | null = ''; next !== null;) {
    const text = [query, next && `before=${next}`].filter(Boolean).join('&')
    const page: RunPage = RunPage.parse((await send(kitchen.app, 'GET', `/record/runs?${text}`)).json)
    runs.push(...page.runs)
    next = page.next
  }
  return runs
}
const ids = (runs: readonly RunRow[]) => runs.map((run) => run.id)
const zone = async () => ((await send(kitchen.app, 'GET', '/kitchen')).json as { timeZone: string }).timeZone

test('without a filter every run comes once, newest first', () => {
  expect(all.length).toBeGreaterThan(40)
  expect(new Set(ids(all)).size).toBe(all.length)
  expect(all.map((run) => run.firedAtMs)).toEqual([...all.map((run) => run.firedAtMs)].sort((a, b) => b - a))
})

test('by dish, by station and by cook, and by all of them at once, over every page', async () => {
  const { dishId, stationId, cookId } = all[3]!
  expect(ids(await everyRun(`dish=${dishId}`))).toEqual(ids(all.filter((run) => run.dishId === dishId)))
  expect(ids(await everyRun(`station=${stationId}`))).toEqual(ids(all.filter((run) => run.stationId === stationId)))
  expect(ids(await everyRun(`cook=${cookId}`))).toEqual(ids(all.filter((run) => run.cookId === cookId)))
  const both = all.filter((run) => run.dishId === dishId && run.stationId === stationId && run.cookId === cookId)
  expect(ids(await everyRun(`dish=${dishId}&station=${stationId}&cook=${cookId}`))).toEqual(ids(both))
})

test('by day, as the kitchen’s own calendar has it', async () => {
  const timeZone = await zone()
  const days = [...new Set(all.map((run) => localDay(run.firedAtMs, timeZone)))]
  expect(days.length).toBeGreaterThan(1)
  for (const day of days) {
    const own = all.filter((run) => localDay(run.firedAtMs, timeZone) === day)
    expect(ids(await everyRun(`day=${day}`))).toEqual(ids(own))
  }
  expect(await everyRun('day=2001-01-01')).toEqual([])
})

test('what went wrong: troubles that stand, runs that were stopped, and more than half a minute after the promise', async () => {
  const wrong = (run: RunRow) => run.troubles > 0 || run.state === 'stopped' || (run.afterPromiseS ?? 0) > 30
  expect(ids(await everyRun('trouble=1'))).toEqual(ids(all.filter(wrong)))
})

test.each(['day=yesterday', 'day=2026-13-01', 'dish=No%20Dish', 'trouble=2', 'before=xyz'])(
  '%s is refused',
  async (query) => {
    const answer = await send(kitchen.app, 'GET', `/record/runs?${query}`)
    expect([answer.status, (answer.json as { code: string }).code]).toEqual([422, 'invalid'])
  },
)

test('a dish that nobody cooked has no runs', async () => {
  expect(await everyRun('dish=never-cooked')).toEqual([])
})
