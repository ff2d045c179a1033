import type { ProblemDetails } from 'contract/problem'
import { Run } from 'contract/run'
import { TicketList, type NewTicketBody, type Ticket } from 'contract/ticket'
import type { RowDataPacket } from 'mysql2'
import { v7 as newId } from 'uuid'
import { eventOf, fireOf, newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const now = () => Math.round(kitchen.clock.now())
const post = async (path: string, body: unknown) => {
  const { status, json } = await send(kitchen.app, 'POST', path, body)
  return { status, json: json as ProblemDetails, code: (json as ProblemDetails | null)?.code }
}
const place = async (body: NewTicketBody): Promise<Ticket> =>
  TicketList.parse((await post('/tickets', body)).json).tickets[0]!
const twoPlain = () => newTicket('plain', 2, now() + 600_000)
async function runOf(stationId: string): Promise<Run> {
  const ticket = await place(twoPlain())
  const { json } = await post('/runs', fireOf([ticket], stationId, now()))
  return Run.parse(json)
}
const stop = (run: Run) => post(`/runs/${run.id}/events`, { events: [eventOf(run, now(), { kind: 'stopped' })] })

describe('an id that belongs to something else', () => {
  test('of an event: refused, and what stands stays', async () => {
    const [a, b] = [await runOf('ring-a'), await runOf('ring-b')]
    const said = eventOf(a, now(), { kind: 'handsFree', on: true })
    expect((await post(`/runs/${a.id}/events`, { events: [said] })).status).toBe(200)
    expect((await post(`/runs/${a.id}/events`, { events: [said] })).status).toBe(200)
    const other = await post(`/runs/${b.id}/events`, { events: [{ ...said, runId: b.id }] })
    expect([other.status, other.code]).toEqual([409, 'id-taken'])
    const [rows] = await kitchen.pool.query<RowDataPacket[]>('SELECT run_id FROM run_event WHERE id = ?', [said.id])
    expect(rows.map((row) => String(row['run_id']))).toEqual([a.id])
    await Promise.all([stop(a), stop(b)])
  })

  test('of a wash, a word on a ticket, and a count: the same', async () => {
    const wash = { id: newId(), stationId: 'ring-a', kind: 'washed', deviceId: 'phone', staffId: null, atMs: now() }
    expect((await post('/stations/ring-a/events', { events: [wash] })).status).toBe(200)
    const elsewhere = { ...wash, stationId: 'ring-b' }
    expect((await post('/stations/ring-b/events', { events: [elsewhere] })).code).toBe('id-taken')

    const [one, two] = [await place(twoPlain()), await place(twoPlain())]
    const cancel = { id: newId(), kind: 'cancelled', atMs: now(), counter: 0 }
    expect((await post(`/tickets/${one.id}/events`, { events: [cancel] })).status).toBe(200)
    expect((await post(`/tickets/${two.id}/events`, { events: [cancel] })).code).toBe('id-taken')

    const slow = { id: newId(), day: '2026-11-26-evening', deviceId: 'phone', atMs: now(), counter: 0 }
    const word = { ...slow, kind: 'slow', taskId: 'rice/1', moreS: 600 }
    expect((await post('/mise/events', { events: [word] })).status).toBe(200)
    expect((await post('/mise/events', { events: [{ ...word, day: '2026-11-27-evening' }] })).code).toBe('id-taken')
  })

  test('of a ticket with other content: the difference is named; with the same it is the same ticket', async () => {
    const body = twoPlain()
    const placed = await place(body)
    expect((await place(body)).number).toBe(placed.number)
    const other = await post('/tickets', { ...body, items: [{ ...body.items[0], portions: 3 }] })
    expect([other.status, other.code]).toEqual([409, 'id-taken'])
    expect(other.json.faults).toEqual([{ field: 'items.0.portions', message: 'is 3, was 2' }])
    expect(other.json.detail).toContain(`ticket ${placed.number}`)
  })

  test('of a run with another dish or other portions', async () => {
    const ticket = await place(twoPlain())
    const fire = fireOf([ticket], 'ring-a', now())
    const run = Run.parse((await post('/runs', fire)).json)
    const other = await post('/runs', { ...fire, parts: fire.parts.map((part) => ({ ...part, portions: 1 })) })
    expect([other.status, other.code]).toEqual([409, 'id-taken'])
    await stop(run)
  })
})

describe('names of nothing', () => {
  test.each([
    ['a part that names the line of another ticket', 'invalid', { ticketId: newId() }],
    ['a part that names no line', 'invalid', { itemId: newId() }],
  ])('%s', async (_what, code, change) => {
    const fire = fireOf([await place(twoPlain())], 'ring-a', now())
    expect((await post('/runs', { ...fire, parts: [{ ...fire.parts[0], ...change }] })).code).toBe(code)
  })

  test('whoever is named as the cook: the run has who was signed in', async () => {
    const fire = fireOf([await place(twoPlain())], 'ring-a', now(), { cookId: 'nobody' })
    const { status, json } = await post('/runs', fire)
    expect([status, Run.parse(json).cookId]).toEqual([201, 'odalys'])
    await stop(Run.parse(json))
  })

  test('an unknown step is kept aside and changes nothing; an unknown person is no helper', async () => {
    const run = await runOf('ring-a')
    const said = eventOf(run, now(), { kind: 'done', stepId: 'no-such-step' })
    expect((await post(`/runs/${run.id}/events`, { events: [said] })).code).toBe('unknown-step')
    const [kept] = await kitchen.pool.query<RowDataPacket[]>('SELECT id FROM refused_event WHERE id = ?', [said.id])
    expect(kept).toHaveLength(1)
    await stop(run)
    const began = { id: newId(), day: '2026-11-26-evening', deviceId: 'phone', atMs: now(), counter: 0 }
    const word = { ...began, kind: 'began', taskId: 'rice/1', staffIds: ['odalys', 'nobody'] }
    expect((await post('/mise/events', { events: [word] })).code).toBe('unknown-staff')
  })
})

describe('times', () => {
  test.each([0, 1_000_000, 8_640_000_000_000_000])('%d is no time of a kitchen', async (atMs) => {
    const answer = await post('/tickets', { ...twoPlain(), promisedAtMs: atMs })
    expect([answer.status, answer.code]).toEqual([422, 'invalid'])
    expect(answer.json.faults[0]?.field).toBe('promisedAtMs')
  })

  test('nothing is stored before its run began or in the future', async () => {
    const run = await runOf('ring-a')
    const at = async (ms: number) => {
      const said = eventOf(run, Math.round(ms), { kind: 'handsFree', on: true })
      const { code } = await post(`/runs/${run.id}/events`, { events: [said] })
      const [rows] = await kitchen.pool.query<RowDataPacket[]>('SELECT at_ms AS ms FROM run_event WHERE id = ?', [
        said.id,
      ])
      return code ?? Number(rows[0]!['ms'])
    }
    expect(await at(run.firedAtMs - 4000)).toBe(run.firedAtMs)
    expect(await at(run.firedAtMs - 600_000)).toBe('clock-behind')
    expect(await at(run.firedAtMs - 2 * 86_400_000)).toBe('clock-behind')
    expect(await at(now() + 20_000)).toBeLessThanOrEqual(now())
    expect(await at(now() + 600_000)).toBe('clock-ahead')
    expect(await at(now() + 2 * 86_400_000)).toBe('clock-ahead')
    await stop(run)
  })
})

describe('text that is none', () => {
  test.each([
    ['a control character', 'Ring\u0007'],
    ['a line break', 'Ring\nA'],
    ['a mark that turns the direction of writing', 'Ring \u202eA'],
    ['an isolate that does', 'Ring \u2066A'],
    ['a line separator', 'Ring\u2028A'],
    ['a NUL', 'Ring\u0000'],
    ['half of a character', 'Ring \ud83c'],
  ])('%s in a place', async (_what, text) => {
    const answer = await post('/tickets', { ...twoPlain(), place: text })
    expect([answer.status, answer.code]).toEqual([422, 'invalid'])
    expect(answer.json.faults[0]?.field).toBe('place')
  })

  test.each(['Stol 4', 'โต๊ะ ๔', 'طاولة ٤', '👩🏽‍🍳 4'])('%s is a place', async (text) => {
    expect((await place({ ...twoPlain(), place: text })).place).toBe(text)
  })
})

test('the same thing twice in one body', async () => {
  const body = twoPlain()
  const twice = await post('/tickets', { ...body, items: [body.items[0], body.items[0]] })
  expect([twice.status, twice.json.faults[0]?.message]).toEqual([422, 'two lines have the same id'])
  const fire = fireOf([await place(twoPlain())], 'ring-a', now())
  const again = await post('/runs', { ...fire, parts: [fire.parts[0], fire.parts[0]] })
  expect([again.status, again.json.faults[0]?.message]).toEqual([422, 'the same ticket line stands in it twice'])
})
