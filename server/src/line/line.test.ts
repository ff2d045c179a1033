import { LineState, type PutOrder } from 'contract/line'
import type { ProblemDetails } from 'contract/problem'
import { TicketList, type NewTicketBody, type Ticket } from 'contract/ticket'
import { v7 as newId } from 'uuid'
import { newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const now = () => Math.round(kitchen.clock.now())
const place = async (body: NewTicketBody): Promise<Ticket> =>
  TicketList.parse((await send(kitchen.app, 'POST', '/tickets', body)).json).tickets[0]!
const line = async () => LineState.parse((await send(kitchen.app, 'GET', '/line')).json)
const say = async (...wishes: Record<string, unknown>[]) =>
  send(kitchen.app, 'POST', '/line/wishes', {
    wishes: wishes.map((wish) => ({ id: newId(), deviceId: 'phone', staffId: null, atMs: now(), counter: 0, ...wish })),
  })
type Batch = PutOrder['batches'][number]
const batchOf = (stationId: string, ticket: Ticket, portions = ticket.items[0]!.portions): Batch => ({
  stationId,
  parts: [{ itemId: ticket.items[0]!.id, portions }],
  notBeforeMs: null,
})
const tell = async (batches: Batch[], change: Partial<PutOrder> = {}) => {
  const basedOn = (await line()).order?.no ?? 0
  const body = { basedOn, key: '00000000000000aa', batches, why: [], deviceId: 'phone', ...change }
  const { status, json } = await send(kitchen.app, 'PUT', '/line/order', body)
  return { status, problem: json as ProblemDetails, state: json as LineState }
}

test('of what was decided the last word holds, whichever arrives last; sent twice it is said once', async () => {
  const first = { kind: 'hands', pairs: 1, id: newId(), atMs: now() - 5000 }
  const second = { kind: 'hands', pairs: 3, id: newId(), atMs: now() - 1000 }
  expect((await say(second)).status).toBe(200)
  expect((await say(first)).status).toBe(200)
  expect((await say(second)).status).toBe(200)
  expect((await line()).wishes.filter(({ kind }) => kind === 'hands')).toMatchObject([{ pairs: 3 }])
  const other = await say({ id: second.id, atMs: second.atMs, kind: 'dish', dishId: 'duck', isGone: true })
  expect([other.status, (other.json as ProblemDetails).code]).toEqual([409, 'id-taken'])
})

test.each([
  ['a station that is not there', { kind: 'station', stationId: 'ring-z', isDown: true }, 'unknown-station'],
  ['more hands than are planned', { kind: 'hands', pairs: 9 }, 'invalid'],
])('%s is refused, and says what to do', async (_, wish, code) => {
  const { status, json } = await say(wish)
  expect([status, (json as ProblemDetails).code]).toEqual([422, code])
})

test('an order is told to all under a number; who did not know the one before is refused', async () => {
  const ticket = await place(newTicket('plain', 2, now() + 600_000))
  const { state } = await tell([batchOf('ring-a', ticket)])
  expect(state.order!.batches).toEqual([batchOf('ring-a', ticket)])
  const no = state.order!.no
  const behind = await tell([batchOf('ring-b', ticket)], { basedOn: no - 1 })
  expect([behind.status, behind.problem.code]).toEqual([409, 'edited-meanwhile'])
  expect((await line()).order!.no).toBe(no)
})

test('two devices that tell at once: one is taken, one is refused', async () => {
  const ticket = await place(newTicket('plain', 2, now() + 600_000))
  const basedOn = (await line()).order?.no ?? 0
  const answers = await Promise.all(['ring-a', 'ring-b'].map((id) => tell([batchOf(id, ticket)], { basedOn })))
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 409])
})

test('nobody is told what may not be fired: each by its own reason', async () => {
  const plain = await place(newTicket('plain', 2, now() + 600_000))
  const duck = await place({
    items: [{ dishId: 'duck', portions: 1, allergies: ['egg'] }],
    promisedAtMs: now() + 600_000,
  })
  const other = await place(newTicket('duck', 1, now() + 600_000))
  const both = { ...batchOf('ring-a', duck), parts: [...batchOf('', duck).parts, ...batchOf('', other).parts] }
  const twoDishes = { ...batchOf('ring-a', plain), parts: [...batchOf('', plain).parts, ...batchOf('', other).parts] }
  const refused = async (...batches: Batch[]) => (await tell(batches)).problem.detail
  expect(await refused(both)).toMatch(/allergy is cooked alone/)
  expect(await refused(twoDishes)).toMatch(/two dishes/)
  expect(await refused(batchOf('griddle', plain))).toMatch(/choose another station/)
  expect(await refused(batchOf('ring-z', plain))).toMatch(/no station "ring-z"/)
  expect(await refused(batchOf('ring-a', plain), batchOf('ring-b', plain))).toMatch(/fewer portions/)
  expect(await refused(batchOf('ring-b', await place(newTicket('plain', 3, now() + 600_000))))).toMatch(
    /takes 2: split it/,
  )
  await say(
    { kind: 'component', matterId: 'duck-roast', isGone: true },
    { kind: 'station', stationId: 'ring-b', isDown: true },
  )
  expect(await refused(batchOf('ring-a', other))).toMatch(/duck.* is 86: leave it out/i)
  expect(await refused(batchOf('ring-b', plain))).toMatch(/ring-b is down/)
  const stranger = { ...batchOf('ring-a', plain), parts: [{ itemId: newId(), portions: 1 }] } as Batch
  expect(await refused(stranger)).toMatch(/read the tickets again/)
})
