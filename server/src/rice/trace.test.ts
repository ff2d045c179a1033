import { LotPage, Trace } from 'contract/rice'
import { Run } from 'contract/run'
import { fireOf, newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { boughtAt, HOUR_MS, riceOf, said, toBench } from '../db/test/testLots'
import { TicketList, type Ticket } from 'contract/ticket'

let kitchen: TestKitchen
let rice: ReturnType<typeof riceOf>
beforeEach(async () => {
  kitchen = await openTestKitchen()
  rice = riceOf(kitchen)
})
afterEach(() => kitchen.close())
const now = () => kitchen.clock.now()

async function fired(
  portions: number,
  stationId: 'ring-a' | 'ring-b' = 'ring-a',
): Promise<{ run: Run; ticket: Ticket }> {
  const body = newTicket('duck', portions, now() + HOUR_MS)
  const placed = await send(kitchen.app, 'POST', '/tickets', body)
  const ticket = TicketList.parse(placed.json).tickets[0]!
  const answer = await send(kitchen.app, 'POST', '/runs', fireOf([ticket], stationId, now()))
  expect(answer.status).toBe(201)
  return { run: Run.parse(answer.json), ticket }
}

/** Only the lots of the test are left on the shelf. */
async function emptyShelf() {
  for (const lot of await rice.open())
    await rice.say(lot.id, said(lot.id, now(), { kind: 'discarded', massG: null, reason: 'quality' }))
}

test('a batch takes the rice that is out first, then the oldest, over several lots; both ends can be traced', async () => {
  await emptyShelf()
  const young = await rice.begin(boughtAt(now(), { massG: 2000, cookedAtMs: now() - 10 * HOUR_MS }))
  const old = await rice.begin(boughtAt(now(), { massG: 300, cookedAtMs: now() - 30 * HOUR_MS }))
  const out = await rice.begin(boughtAt(now(), { massG: 250, cookedAtMs: now() - 10 * HOUR_MS }))
  await rice.say(out.id, said(out.id, now(), toBench))
  const { run, ticket } = await fired(3)
  expect(run.lots.map(({ name, massG }) => [name, massG])).toEqual(
    [young, old, out].map((lot) => [lot.name, { [young.id]: 110, [old.id]: 300, [out.id]: 250 }[lot.id]]),
  )
  const open = await rice.open()
  expect(open.map((lot) => lot.id)).toEqual([young.id])
  const byLot = Trace.parse((await send(kitchen.app, 'GET', `/rice/lots/${old.id}/trace`)).json)
  expect(byLot.runs).toMatchObject([{ runId: run.id, massG: 300, tickets: [{ number: ticket.number, portions: 3 }] }])
  const byTicket = Trace.parse((await send(kitchen.app, 'GET', `/rice/trace?ticket=${ticket.number}`)).json)
  expect(byTicket.lots.map((lot) => lot.name).sort()).toEqual([young.name, old.name, out.name].sort())
  expect((await send(kitchen.app, 'GET', '/rice/trace?ticket=99999')).status).toBe(404)
})

test('from one ticket to everybody else who had the same rice', async () => {
  await emptyShelf()
  await rice.begin(boughtAt(now(), { massG: 9000 }))
  const one = await fired(2)
  const other = await fired(1, 'ring-b')
  const trace = Trace.parse((await send(kitchen.app, 'GET', `/rice/trace?ticket=${one.ticket.number}`)).json)
  expect(trace.runs.flatMap((run) => run.tickets.map((ticket) => ticket.number)).sort()).toEqual(
    [one.ticket.number, other.ticket.number].sort(),
  )
})

test('used beyond its mass: the run is kept, the lot asks to be weighed; without any lot the run carries none', async () => {
  await emptyShelf()
  const lot = await rice.begin(boughtAt(now(), { massG: 300 }))
  const { run } = await fired(2)
  expect(run.lots).toMatchObject([{ id: lot.id, massG: 440 }])
  const next = await fired(1, 'ring-b')
  expect(next.run.lots).toEqual([])
})

test('past lots page back without a gap or a repeat', async () => {
  for (let n = 0; n < 45; n += 1) {
    const lot = await rice.begin(boughtAt(now() - n * 1000))
    await rice.say(lot.id, said(lot.id, now(), { kind: 'finished' }))
  }
  const first = LotPage.parse((await send(kitchen.app, 'GET', '/rice/lots/past')).json)
  const second = LotPage.parse((await send(kitchen.app, 'GET', `/rice/lots/past?before=${first.next}`)).json)
  const all = [...first.lots, ...second.lots]
  expect(new Set(all.map((lot) => lot.id)).size).toBe(all.length)
  expect(first.lots).toHaveLength(40)
  expect(all.length).toBeGreaterThanOrEqual(45)
  expect((await send(kitchen.app, 'GET', '/rice/lots/past?before=nonsense')).status).toBe(422)
})
