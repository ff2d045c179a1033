import { RiceHouse, RicePlanDay, Tonight } from 'contract/riceHouse'
import { dayAfter, localDay } from 'core/time/localTime'
import ICAL from 'ical.js'
import { newTicket, openTestKitchen, send, type TestKitchen } from '../../db/test/testKitchen'
import { HOUR_MS } from '../../db/test/testLots'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const get = async (path: string) => (await send(kitchen.app, 'GET', path)).json as unknown
const zone = Intl.DateTimeFormat().resolvedOptions().timeZone
const today = () => localDay(kitchen.clock.now(), zone)
const plan = async (day = dayAfter(today())) => RicePlanDay.parse(await get(`/rice/plan/${day}`))
const house = async () => RiceHouse.parse(await get('/rice/house'))
const codeOf = (answer: { json: unknown }) => (answer.json as { code: string }).code

test('what tomorrow asks for comes from the record, by service, dish and boat', async () => {
  const { services } = await plan()
  expect(services.map((service) => service.serviceId)).toEqual(['noon', 'evening'])
  for (const { forecast, dishes, boats, portionG } of services) {
    expect(forecast!.days).toBeGreaterThan(60)
    expect(forecast!.low).toBeLessThan(forecast!.expected)
    for (const shares of [dishes, boats])
      expect(shares.reduce((sum: number, one: { share: number }) => sum + one.share, 0)).toBeCloseTo(1, 9)
    expect(portionG).toBeGreaterThan(150)
    expect(portionG).toBeLessThan(300)
  }
  const evening = services[1]!.boats.map((boat) => boat.minute)
  expect(Math.min(...evening)).toBeGreaterThanOrEqual(1020)
})

test('a person knows better; two who change it at once: the second is told, and nothing of the first is lost', async () => {
  const day = dayAfter(today())
  const edits = { portions: { noon: 40 }, event: { name: 'regatta', percent: 50 } }
  const first = await send(kitchen.app, 'PUT', `/rice/plan/${day}`, { version: 0, edits })
  expect(RicePlanDay.parse(first.json)).toMatchObject({ version: 1, edits })
  const second = await send(kitchen.app, 'PUT', `/rice/plan/${day}`, {
    version: 0,
    edits: { portions: {}, event: null },
  })
  expect([second.status, codeOf(second)]).toEqual([409, 'edited-meanwhile'])
  expect((await plan(day)).edits).toEqual(edits)
  const bad = { version: 1, edits: { portions: { noon: -3 }, event: null } }
  expect((await send(kitchen.app, 'PUT', `/rice/plan/${day}`, bad)).status).toBe(422)
})

test('yesterday’s tickets are on record today, cancelled ones are not', async () => {
  const later = await openTestKitchen()
  const promisedAtMs = later.clock.now() + HOUR_MS
  await send(later.app, 'POST', '/tickets', newTicket('duck', 7, promisedAtMs))
  const day = localDay(promisedAtMs, zone)
  later.clock.moveToMs(later.clock.now() + 48 * HOUR_MS)
  await send(later.app, 'GET', `/rice/plan/${dayAfter(day, 2)}`)
  const [rows] = await later.pool.query(
    "SELECT SUM(portions) AS n FROM rice_demand WHERE day = ? AND dish_id = 'duck' AND source = 'tickets'",
    [day],
  )
  expect(Number((rows as { n: number }[])[0]!.n)).toBeGreaterThanOrEqual(7)
  await later.close()
})

test('tonight: tickets that wait, then what the record expects of boats to come', async () => {
  const before = Tonight.parse(await get('/rice/tonight'))
  await send(kitchen.app, 'POST', '/tickets', newTicket('duck', 5, kitchen.clock.now() + HOUR_MS))
  const after = Tonight.parse(await get('/rice/tonight'))
  const waiting = (tonight: Tonight) =>
    tonight.demands.filter((one) => one.source === 'tickets').reduce((sum, one) => sum + one.massG, 0)
  expect(waiting(after) - waiting(before)).toBeCloseTo(5 * 220, 6)
  expect(after.leadS!).toBeGreaterThan(2 * 3600)
  expect(after.demands.map((one) => one.atMs)).toEqual(after.demands.map((one) => one.atMs).sort((a, b) => a - b))
})

test('how the house cooks: kept by version; what makes no sense is refused', async () => {
  const { version, policy } = await house()
  const put = (body: object) => send(kitchen.app, 'PUT', '/rice/house', body)
  const saved = await put({ version, policy: { ...policy, wasteCost: 2, blend: { long: 0.5, short: 0.5 } } })
  expect(RiceHouse.parse(saved.json)).toMatchObject({ version: version + 1, policy: { wasteCost: 2 } })
  expect(codeOf(await put({ version, policy }))).toBe('edited-meanwhile')
  const next = version + 1
  const refused = [
    { ...policy, vesselId: 'bath-tub' },
    { ...policy, blend: { long: 0.5 } },
    { ...policy, shortageCost: 0 },
    { ...policy, services: [{ id: 'noon', name: 'Noon', fromMin: 800, toMin: 700 }] },
  ].map(async (one) => (await put({ version: next, policy: one })).status)
  expect(await Promise.all(refused)).toEqual([422, 422, 422, 422])
})

describe('past portions from a file', () => {
  test('change what is expected of a day at once', async () => {
    const day = dayAfter(today())
    const expected = async () => (await plan(day)).services.map(({ forecast }) => forecast?.expected)
    const before = await expected()
    expect(await expected()).toEqual(before)
    const lines = [7, 14, 21, 28].map((ago) => `${dayAfter(day, -ago)},12:40,duck,900\n`)
    expect((await post(`day,time,dish,portions\n${lines.join('')}`)).status).toBe(200)
    expect((await expected())[0]).toBeGreaterThan(before[0]!)
  })
  const post = (csv: string) => send(kitchen.app, 'POST', '/rice/demand', csv, 'text/csv')
  test('are added up by slot and dish', async () => {
    const answer = await post('day,time,dish,portions\n2026-01-02,18:41,duck,3\n2026-01-02,18:59,duck,2\n')
    expect(answer.json).toEqual({ rows: 1 })
  })
  test.each([
    ['no columns', 'when,what\n1,2\n', 'csv-columns'],
    ['an unknown dish', 'day,time,dish,portions\n2026-01-02,18:41,pizza,3\n', 'csv-line'],
    ['a day that is none', 'day,time,dish,portions\n2026-02-31,18:41,duck,3\n', 'csv-line'],
    ['a broken quote', 'day,time,dish,portions\n"2026,18:41,duck,3\n', 'csv-line'],
  ])('with %s nothing is taken', async (_, csv, code) => {
    expect(codeOf(await post(csv))).toBe(code)
  })
})

test('the plan as iCalendar: another reader finds each load, its length and the hour all is cold', async () => {
  const day = dayAfter(today())
  const { version } = await plan(day)
  await send(kitchen.app, 'PUT', `/rice/plan/${day}`, {
    version,
    edits: { portions: { noon: 300, evening: 400 }, event: null },
  })
  const answer = await send(kitchen.app, 'GET', `/rice/plan/${day}/plan.ics`)
  expect(answer.headers.get('content-type')).toContain('text/calendar')
  const events = new ICAL.Component(ICAL.parse(answer.text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((one) => new ICAL.Event(one))
  expect(events.length).toBeGreaterThan(2)
  const loads = events.filter((event) => event.summary.startsWith('Rice load'))
  for (const load of loads) expect(load.duration.toSeconds()).toBe(30 * 60)
  const last = loads.at(-1)!
  expect(events.at(-1)!.summary).toContain('cold')
  expect(events.at(-1)!.startDate.toJSDate().getTime()).toBeGreaterThan(last.endDate.toJSDate().getTime())
})
