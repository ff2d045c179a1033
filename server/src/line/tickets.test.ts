import { Problem } from '../http/problems'
import { BEGINS_MS, newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { Dish } from 'contract/dish'
import type { ProblemDetails } from 'contract/problem'
import { OpenTickets, TicketList } from 'contract/ticket'
import { v7 as newId } from 'uuid'
import { listDishes, saveDish } from '../book/dishes.sql'
import { inTransaction } from '../db/pool'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const soon = () => kitchen.clock.now() + 600_000
const post = (body: unknown, type?: string) => send(kitchen.app, 'POST', '/tickets', body, type)
const open = async () => OpenTickets.parse((await send(kitchen.app, 'GET', '/tickets')).json).tickets

test('a ticket from outside is placed, numbered and waits in order of promise', async () => {
  const before = await open()
  const { status, json } = await post({
    items: [{ dishId: 'duck', portions: 2, modifiers: ['no-egg'] }],
    promisedAtMs: soon(),
    place: 'stool 2',
  })
  expect(status).toBe(201)
  const [ticket] = TicketList.parse(json).tickets
  expect(ticket).toMatchObject({
    place: 'stool 2',
    source: 'outside',
    items: [{ dishId: 'duck', portions: 2, modifiers: ['no-egg'], firedPortions: 0 }],
  })
  const after = await open()
  expect(after).toHaveLength(before.length + 1)
  expect(Math.max(...after.map((one) => one.number))).toBe(ticket!.number)
  const promises = after.map((one) => one.promisedAtMs)
  expect(promises).toEqual([...promises].sort((a, b) => a - b))
})

test('the same ticket sent twice, or by two hands at once, is one ticket', async () => {
  const ticket = newTicket('plain', 1, soon())
  const answers = await Promise.all([post(ticket), post(ticket), post([ticket])])
  expect(answers.map((one) => one.status)).toEqual([201, 201, 201])
  expect((await open()).filter((one) => one.id === ticket.id)).toHaveLength(1)
})

test('many at once: one bad ticket and none is placed', async () => {
  const before = await open()
  const { status } = await post([newTicket('plain', 1, soon()), newTicket('unicorn', 1, soon())])
  expect(status).toBe(422)
  expect(await open()).toEqual(before)
})

test('an item id that belongs to another ticket is refused, not moved', async () => {
  const first = newTicket('plain', 1, soon())
  await post(first)
  const { status, json } = await post({ ...newTicket('plain', 1, soon()), items: first.items })
  expect([status, (json as ProblemDetails).code]).toEqual([409, 'id-taken'])
})

describe('bad input gets the right status, a code and what to do', () => {
  const items = (change: object) => ({
    items: [{ dishId: 'duck', portions: 1, ...change }],
    promisedAtMs: BEGINS_MS + 600_000,
  })
  test.each<[string, unknown, number, string, RegExp]>([
    ['zero portions', items({ portions: 0 }), 422, 'invalid', /at least 1 portion/],
    ['negative portions', items({ portions: -3 }), 422, 'invalid', /at least 1/],
    ['absurd portions', items({ portions: 100_000 }), 422, 'invalid', /at most 60/],
    ['portions in words', items({ portions: 'two' }), 422, 'invalid', /items\.0\.portions/],
    ['half a portion', items({ portions: 1.5 }), 422, 'invalid', /whole number/],
    ['an unknown dish', items({ dishId: 'unicorn' }), 422, 'unknown-dish', /use one of duck/],
    ['an unknown modifier', items({ modifiers: ['no-worries'] }), 422, 'unknown-modifier', /use no-egg/],
    ['an allergen that stays', items({ allergies: ['soy'] }), 422, 'allergen-stays', /duck sauce.*another dish/],
    ['an unknown allergen', items({ allergies: ['gold'] }), 422, 'invalid', /allergies/],
    [
      'a promise in the past',
      { ...items({}), promisedAtMs: BEGINS_MS - 3_600_000 },
      422,
      'promise-past',
      /60 min in the past/,
    ],
    [
      'a promise in seconds',
      { ...items({}), promisedAtMs: Math.round(BEGINS_MS / 1000) },
      422,
      'invalid',
      /milliseconds since 1970/,
    ],
    ['a promise next week', { ...items({}), promisedAtMs: BEGINS_MS + 7 * 86_400_000 }, 422, 'invalid', /36 hours/],
    ['no lines', { items: [], promisedAtMs: BEGINS_MS + 600_000 }, 422, 'invalid', /at least one line/],
    ['a field that is not there', { ...items({}), table: 4 }, 422, 'invalid', /table/],
    ['broken JSON', '{"items": [', 400, 'bad-json', /as JSON/],
    ['nothing at all', '', 400, 'bad-json', /as JSON/],
    ['a body of 5 MB', `"${'x'.repeat(5_000_000)}"`, 413, 'too-large', /in parts/],
  ])('%s', async (_name, body, status, code, detail) => {
    const before = await open()
    const answer = await post(body)
    expect(answer.status).toBe(status)
    expect(answer.headers.get('content-type')).toContain('application/problem+json')
    expect(answer.json).toMatchObject({ status, code, detail: expect.stringMatching(detail) })
    expect(await open()).toEqual(before)
  })

  test('a modifier that would remove the rice', async () => {
    const [duck] = await listDishes(kitchen.pool, kitchen.kitchenId)
    const { version: _version, ...draft } = duck!
    const odd = Dish.omit({ version: true }).parse({
      ...draft,
      id: 'odd',
      modifiers: [{ id: 'no-rice', name: 'no rice', removes: ['rice'], scales: [] }],
    })
    await inTransaction(kitchen.pool, (connection) => saveDish(connection, kitchen.kitchenId, odd, 0))
    const { status, json } = await post({
      items: [{ dishId: 'odd', portions: 1, modifiers: ['no-rice'] }],
      promisedAtMs: soon(),
    })
    expect([status, (json as ProblemDetails).code]).toEqual([422, 'modifier-removes-rice'])
  })
})

test('SQL and HTML in a name are only a name', async () => {
  const place = "<b>'); DROP TABLE ticket;--</b>"
  const ticket = { ...newTicket('plain', 1, soon()), place }
  await post(ticket)
  expect((await open()).find((one) => one.id === ticket.id)?.place).toBe(place)
})

describe('cancelling', () => {
  test('a cancelled ticket leaves the line, and comes back when that is taken back, in any order of arrival', async () => {
    const ticket = newTicket('crab', 1, soon())
    await post(ticket)
    const beganMs = kitchen.clock.now() - 60_000
    const say = (kind: string, ms: number) =>
      send(kitchen.app, 'POST', `/tickets/${ticket.id}/events`, {
        events: [{ id: newId(), kind, atMs: beganMs + ms, counter: 0 }],
      })
    const isOpen = async () => (await open()).some((one) => one.id === ticket.id)
    await say('cancelled', 1)
    expect(await isOpen()).toBe(false)
    await say('restored', 3)
    expect(await isOpen()).toBe(true)
    await say('cancelled', 2)
    expect(await isOpen()).toBe(true)
  })

  test('an unknown ticket is 404', async () => {
    const { status } = await send(kitchen.app, 'POST', `/tickets/${newId()}/events`, {
      events: [{ id: newId(), kind: 'cancelled', atMs: kitchen.clock.now(), counter: 0 }],
    })
    expect(status).toBe(404)
  })
})

test('numbers have no gap after a ticket that was refused', async () => {
  const a = TicketList.parse((await post(newTicket('plain', 1, soon()))).json).tickets[0]!
  await post(newTicket('unicorn', 1, soon()))
  const b = TicketList.parse((await post(newTicket('plain', 1, soon()))).json).tickets[0]!
  expect(b.number).toBe(a.number + 1)
})

test('a problem is its own JSON', () => {
  expect(new Problem('not-found', { detail: 'x' }).toJSON()).toMatchObject({ status: 404, faults: [], values: {} })
})
