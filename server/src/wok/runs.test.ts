import type { ProblemDetails } from 'contract/problem'
import { Run, type FireRun } from 'contract/run'
import { OpenTickets, TicketList, type Ticket } from 'contract/ticket'
import type { RowDataPacket } from 'mysql2'
import { v7 as newId } from 'uuid'
import {
  cookThrough,
  eventOf,
  fireOf,
  newTicket,
  openTestKitchen,
  send,
  type TestKitchen,
} from '../db/test/testKitchen'
import { settleOpenRuns } from './settle'

let kitchen: TestKitchen
beforeEach(async () => void (kitchen = await openTestKitchen()))
afterEach(() => kitchen.close())

const now = () => kitchen.clock.now()
async function place(dishId: string, portions: number, change: object = {}): Promise<Ticket> {
  const { json } = await send(kitchen.app, 'POST', '/tickets', newTicket(dishId, portions, now() + 600_000, change))
  return TicketList.parse(json).tickets[0]!
}
const fire = (body: FireRun) => send(kitchen.app, 'POST', '/runs', body)
const say = (runId: string, ...events: unknown[]) => send(kitchen.app, 'POST', `/runs/${runId}/events`, { events })
const code = (answer: { json: unknown }) => (answer.json as ProblemDetails).code
const openTicketIds = async () =>
  OpenTickets.parse((await send(kitchen.app, 'GET', '/tickets')).json).tickets.map((one) => one.id as string)

async function fired(dishId = 'duck', portions = 2, stationId = 'ring-a') {
  const ticket = await place(dishId, portions)
  const run = Run.parse((await fire(fireOf([ticket], stationId, now()))).json)
  return { ticket, run }
}
const yes = (run: Run, ms: number, stepId: string, change: object = {}) =>
  eventOf(run, ms, { kind: 'checked', stepId, ok: true, tempC: 76, tempF: null, ...change })
const wash = (stationId: string, atMs = Math.round(now())) =>
  send(kitchen.app, 'POST', `/stations/${stationId}/events`, {
    events: [{ id: newId(), stationId, kind: 'washed', deviceId: 'phone', staffId: null, atMs }],
  })
const clean = (kind: 'wiped' | 'brushed', stationId: string) =>
  send(kitchen.app, 'POST', `/stations/${stationId}/events`, {
    events: [{ id: newId(), stationId, kind, deviceId: 'phone', staffId: null, atMs: Math.round(now()) }],
  })
test('a batch fired has its score, its lot and its portions taken from the tickets', async () => {
  const { ticket, run } = await fired('duck', 3)
  expect(run).toMatchObject({
    dishName: 'Duck and pickled greens',
    lots: [{ name: 'R-17', massG: 660 }],
    state: 'open',
    events: [],
  })
  expect(run.score.riceMassG).toBe(660)
  expect(run.score.steps.map((step) => step.action)).toEqual(
    expect.arrayContaining(['eggIn', 'riceIn', 'sauceIn', 'finishOff']),
  )
  const tickets = OpenTickets.parse((await send(kitchen.app, 'GET', '/tickets')).json).tickets
  expect(tickets.find((one) => one.id === ticket.id)?.items[0]?.firedPortions).toBe(3)
})

test('the next batch on a ring begins on warm metal; after a wash, or begun without a network, it begins as it was derived', async () => {
  const heats = ({ score }: Run) => score.steps[0]!
  const first = (await fired('crab', 2, 'ring-b')).run
  expect(heats(first)).toMatchObject({ action: 'heatVessel', durationS: expect.any(Number) })
  expect(heats(first).figures).not.toHaveProperty('fromC')
  await cookThrough(kitchen, first)
  await clean('brushed', 'ring-b')
  const next = (await fired('crab', 2, 'ring-b')).run
  expect(heats(next).figures!['fromC']).toBeGreaterThan(150)
  expect(first.score.totalS - next.score.totalS).toBeGreaterThan(10)
  expect(heats(first).durationS - heats(next).durationS).toBe(first.score.totalS - next.score.totalS)

  await cookThrough(kitchen, next)
  await wash('ring-b')
  const washed = (await fired('crab', 2, 'ring-b')).run
  expect(heats(washed)).toEqual(heats(first))

  await cookThrough(kitchen, washed)
  const ticket = await place('crab', 2)
  const sent = fireOf([ticket], 'ring-b', now(), { isUnconfirmed: true, score: first.score })
  expect(heats(Run.parse((await fire(sent)).json))).toEqual(heats(first))
})

test('the same firing sent again, and twice at once, is one run', async () => {
  const body = fireOf([await place('duck', 2)], 'ring-a', now())
  const answers = await Promise.all([fire(body), fire(body)])
  expect(answers.map((one) => one.status)).toEqual([201, 201])
  expect(Run.parse(answers[0].json).id).toBe(Run.parse(answers[1].json).id)
  const [rows] = await kitchen.pool.query<RowDataPacket[]>('SELECT COUNT(*) AS n FROM run')
  expect(Number(rows[0]!['n'])).toBe(1)
})

describe('what cannot be fired', () => {
  test('portions that are fired already: the run is named', async () => {
    const { ticket, run } = await fired('crab', 2, 'ring-b')
    const answer = await fire(fireOf([ticket], 'ring-a', now()))
    expect([answer.status, code(answer)]).toEqual([409, 'already-fired'])
    expect((answer.json as ProblemDetails).values).toMatchObject({ ticket: ticket.number, runId: run.id })
  })

  test('two cooks at the same moment: one of them gets the run, the other a clear no', async () => {
    const ticket = await place('duck', 1)
    const answers = await Promise.all([
      fire(fireOf([ticket], 'ring-a', now())),
      fire(fireOf([ticket], 'ring-b', now())),
    ])
    expect(answers.map((one) => one.status).sort()).toEqual([201, 409])
  })

  test.each<[string, number, string, (ticket: Ticket) => FireRun]>([
    ['station-too-small', 422, 'duck', (ticket) => fireOf([ticket], 'ring-b', now())],
    ['wrong-station', 422, 'duck', (ticket) => fireOf([ticket], 'griddle', now())],
    ['unknown-station', 422, 'duck', (ticket) => fireOf([ticket], 'ring-z', now())],
    ['unknown-dish', 422, 'duck', (ticket) => fireOf([ticket], 'ring-a', now(), { dishVersion: 9 })],
    ['clock-ahead', 422, 'duck', (ticket) => fireOf([ticket], 'ring-a', now() + 3 * 3_600_000)],
    ['invalid', 422, 'duck', (ticket) => fireOf([ticket], 'ring-a', now(), { dishId: 'crab' })],
  ])('%s', async (expected, status, dishId, body) => {
    const answer = await fire(body(await place(dishId, 3)))
    expect([answer.status, code(answer)]).toEqual([status, expected])
    expect((answer.json as ProblemDetails).detail).toMatch(/:/)
  })

  test('a second run on a station that has one', async () => {
    await fired('duck', 2)
    const answer = await fire(fireOf([await place('crab', 1)], 'ring-a', now()))
    expect([answer.status, code(answer)]).toEqual([409, 'station-busy'])
  })

  test('an allergy together with anything else, whatever the device says of it', async () => {
    const tickets = [await place('duck', 1), await place('duck', 1, { allergies: ['egg'] })]
    const answer = await fire(fireOf(tickets, 'ring-a', now(), { allergies: [] }))
    expect([answer.status, code(answer)]).toEqual([422, 'invalid'])
  })

  test('a cancelled ticket', async () => {
    const ticket = await place('duck', 1)
    await send(kitchen.app, 'POST', `/tickets/${ticket.id}/events`, {
      events: [{ id: newId(), kind: 'cancelled', atMs: Math.floor(now()), counter: 0 }],
    })
    const answer = await fire(fireOf([ticket], 'ring-a', now()))
    expect([answer.status, code(answer)]).toEqual([409, 'nothing-left'])
  })
})

test('an allergy batch is cooked without the allergen even if the device left that out', async () => {
  const ticket = await place('duck', 1, { allergies: ['egg'] })
  await wash('ring-a')
  const run = Run.parse((await fire(fireOf([ticket], 'ring-a', now(), { allergies: [] }))).json)
  expect(run.allergies).toEqual(['egg'])
  expect(run.score.steps.flatMap((step) => step.entries).map((entry) => entry.componentId)).not.toContain('egg')
})

test('an allergy waits for the wash of its station, which stands in the run', async () => {
  const ticket = await place('duck', 1, { allergies: ['egg'] })
  const body = fireOf([ticket], 'ring-a', now())
  const dry = await fire(body)
  expect([dry.status, code(dry)]).toEqual([409, 'not-washed'])
  expect((await clean('brushed', 'ring-a')).status).toBe(200)
  expect(code(await fire(body))).toBe('not-washed')
  expect((dry.json as ProblemDetails).detail).toMatch(/Ring A.*wash it/)
  expect((await wash('ring-z')).status).toBe(422)
  const washedAtMs = Math.round(now())
  await wash('ring-a', washedAtMs)
  expect(Run.parse((await fire(body)).json)).toMatchObject({ washedAtMs, marks: [] })
})

test('fired without a network over the cap, mixed, unwashed: the food is in the wok, so it is kept and marked', async () => {
  const plain = await place('duck', 3)
  const allergy = await place('duck', 2, { allergies: ['egg'] })
  const answer = await fire(fireOf([plain, allergy], 'ring-b', now(), { isUnconfirmed: true }))
  expect(answer.status).toBe(201)
  expect([...(Run.parse(answer.json).marks ?? [])].sort()).toEqual(['allergyMixed', 'notWashed', 'overCap'])
})

test('parts that are cooked differently are refused by ticket, whatever the device says of them', async () => {
  const plain = await place('duck', 1)
  const noEgg = await place('duck', 1, { modifiers: ['no-egg'] })
  const body = fireOf([plain, noEgg], 'ring-a', now(), { modifiers: [] })
  const forged = { ...body, parts: body.parts.map((part) => ({ ...part, modifiers: [] })) }
  const answer = await fire(forged)
  expect([answer.status, code(answer)]).toEqual([422, 'invalid'])
  expect((answer.json as ProblemDetails).detail).toContain(String(noEgg.number))
})

test('fired without a network, the food is in the wok: the run is kept and the doubled portions are counted', async () => {
  const { ticket } = await fired('duck', 2)
  const answer = await fire(fireOf([ticket], 'ring-a', now(), { isUnconfirmed: true }))
  expect(answer.status).toBe(201)
  expect(Run.parse(answer.json).twicePortions).toBe(2)
})

describe('events', () => {
  test('a no and its reading stay in the run and in the record; Done does not answer a check', async () => {
    const { run } = await fired()
    const check = run.score.steps.find((step) => step.check)!
    const atMs = run.firedAtMs + 300_000
    kitchen.clock.moveToMs(atMs + 60_000)
    const done = eventOf(run, atMs, { kind: 'done', stepId: check.id })
    const no = yes(run, atMs + 1000, check.id, { ok: false, tempC: 62.5 })
    const answer = Run.parse((await say(run.id, done, no, yes(run, atMs + 30_000, check.id))).json)
    expect(answer.events.map((event) => event.kind)).toEqual(['done', 'checked', 'checked'])
    const csv = (await send(kitchen.app, 'GET', `/runs/${run.id}/steps.csv`)).text
    expect(csv).toMatch(/no 62\.5 °C [^;]*; yes 76 °C/)
  })

  test('sent twice they change nothing; sent in the wrong order they come to the same', async () => {
    const { run } = await fired()
    kitchen.clock.moveToMs(run.firedAtMs + 20_000)
    const first = run.score.steps[0]!
    const early = eventOf(run, run.firedAtMs + 4000, { kind: 'later', stepId: first.id, delayS: 10 })
    const late = eventOf(run, run.firedAtMs + 9000, { kind: 'done', stepId: first.id })
    await say(run.id, late)
    await say(run.id, early, late)
    const again = Run.parse((await say(run.id, early)).json)
    expect(again.events.map((event) => event.id)).toEqual([early.id, late.id])
  })

  test('Done said again of a step by the same phone is kept aside; after an undo it counts', async () => {
    const { run } = await fired()
    kitchen.clock.moveToMs(run.firedAtMs + 30_000)
    const first = run.score.steps[0]!
    const done = (ms: number) => eventOf(run, run.firedAtMs + ms, { kind: 'done', stepId: first.id })
    const [tapped, resent, afterUndo] = [done(9000), done(20_000), done(24_000)]
    await say(run.id, tapped)
    const again = await say(run.id, resent)
    expect(again.status).toBe(200)
    expect(Run.parse(again.json).events.map((event) => event.id)).toEqual([tapped.id])
    const [rows] = await kitchen.pool.query<RowDataPacket[]>('SELECT id, reason FROM refused_event')
    expect(rows.map((row) => [String(row['id']), String(row['reason'])])).toEqual([[resent.id, 'said-before']])
    const undone = eventOf(run, run.firedAtMs + 22_000, { kind: 'undone', eventId: tapped.id })
    const counted = await say(run.id, undone, afterUndo)
    expect(Run.parse(counted.json).events.map((event) => event.id)).toEqual([tapped.id, undone.id, afterUndo.id])
  })

  test('a run ends when its last check is answered and the score has run out; its ticket leaves the line', async () => {
    const { ticket, run } = await fired()
    const upMs = await cookThrough(kitchen, run)
    const done = Run.parse((await send(kitchen.app, 'GET', `/runs/${run.id}`)).json)
    expect(done).toMatchObject({ state: 'finished', endedAtMs: upMs })
    expect(await openTicketIds()).not.toContain(ticket.id)
  })

  test('a run that ends by itself is closed by the tick, once', async () => {
    const { run } = await fired()
    let ms = run.firedAtMs
    const checks = run.score.steps.flatMap((step) => {
      ms += step.durationS * 1000
      return step.check ? [yes(run, ms, step.id)] : []
    })
    kitchen.clock.moveToMs(checks.at(-1)!.atMs)
    await say(run.id, ...checks)
    expect(await settleOpenRuns(kitchen.pool, kitchen.kitchenId, ms - 1)).toBe(0)
    expect(await settleOpenRuns(kitchen.pool, kitchen.kitchenId, ms)).toBe(1)
    expect(await settleOpenRuns(kitchen.pool, kitchen.kitchenId, ms)).toBe(0)
  })

  test('said of a finished run: refused with the way out, and kept', async () => {
    const { run } = await fired()
    const upMs = await cookThrough(kitchen, run)
    kitchen.clock.moveToMs(upMs + 60_000)
    const late = eventOf(run, upMs + 30_000, { kind: 'stopped' })
    const answer = await say(run.id, late)
    expect([answer.status, code(answer)]).toEqual([409, 'run-over'])
    const [rows] = await kitchen.pool.query<RowDataPacket[]>('SELECT id FROM refused_event')
    expect(rows.map((row) => String(row['id']))).toEqual([late.id])
  })

  test('said before the end but arriving after it (a phone that was offline) is taken', async () => {
    const { run } = await fired()
    const upMs = await cookThrough(kitchen, run)
    kitchen.clock.moveToMs(upMs + 3_600_000)
    const answer = await say(
      run.id,
      eventOf(run, run.firedAtMs + 2000, { kind: 'trouble', trouble: 'sticking', stepId: run.score.steps[0]!.id }),
    )
    expect(answer.status).toBe(200)
    expect(Run.parse(answer.json).endedAtMs).toBeGreaterThanOrEqual(upMs)
  })

  test('of an unknown run: 404, and kept', async () => {
    const answer = await say(newId(), eventOf({ id: newId() as Run['id'] }, now(), { kind: 'stopped' }))
    expect(answer.status).toBe(422)
    const id = newId() as Run['id']
    const unknown = await say(id, eventOf({ id }, now(), { kind: 'stopped' }))
    expect([unknown.status, code(unknown)]).toEqual([404, 'unknown-run'])
    const [rows] = await kitchen.pool.query<RowDataPacket[]>('SELECT reason FROM refused_event')
    expect(rows.map((row) => String(row['reason']))).toEqual(['unknown-run'])
  })

  test('from a clock that is hours ahead: refused, nothing changed', async () => {
    const { run } = await fired()
    const answer = await say(run.id, eventOf(run, now() + 7_200_000, { kind: 'stopped' }))
    expect([answer.status, code(answer)]).toEqual([422, 'clock-ahead'])
    expect(Run.parse((await send(kitchen.app, 'GET', `/runs/${run.id}`)).json).state).toBe('open')
  })

  test('a stopped run gives its portions back to the line; the stop can be taken back', async () => {
    const { ticket, run } = await fired()
    const stop = eventOf(run, now() - 1, { kind: 'stopped' })
    await say(run.id, stop)
    const tickets = OpenTickets.parse((await send(kitchen.app, 'GET', '/tickets')).json).tickets
    expect(tickets.find((one) => one.id === ticket.id)?.items[0]?.firedPortions).toBe(0)
    const back = await say(run.id, eventOf(run, now(), { kind: 'undone', eventId: stop.id }))
    expect([back.status, Run.parse(back.json).state]).toEqual([200, 'open'])
  })
})

test('a run keeps the dish version it was fired with', async () => {
  const { run } = await fired()
  const csv = 'name,role,state,cut,g per 100 g rice\nrice,rice,cooked,,100\n'
  await send(kitchen.app, 'POST', '/dishes/import?name=Duck', csv, 'text/csv')
  const kept = Run.parse((await send(kitchen.app, 'GET', `/runs/${run.id}`)).json)
  expect([kept.dishVersion, kept.score.steps.length]).toEqual([1, run.score.steps.length])
})
