import type { ProblemDetails } from 'contract/problem'
import { Run, type FireRun } from 'contract/run'
import { Pass, TicketList, type Ticket } from 'contract/ticket'
import { v7 as newId } from 'uuid'
import { cookThrough, fireOf, newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

let kitchen: TestKitchen
beforeEach(async () => void (kitchen = await openTestKitchen()))
afterEach(() => kitchen.close())

const now = () => kitchen.clock.now()
const code = (answer: { json: unknown }) => (answer.json as ProblemDetails).code
const fire = (body: FireRun) => send(kitchen.app, 'POST', '/runs', body)
async function place(dishId: string, portions: number, change: object): Promise<Ticket> {
  const { json } = await send(kitchen.app, 'POST', '/tickets', newTicket(dishId, portions, now() + 600_000, change))
  return TicketList.parse(json).tickets[0]!
}

test('a wash that was said by mistake is taken back: an allergy waits again, and what was fired meanwhile is marked', async () => {
  const tickets = [await place('duck', 1, { allergies: ['egg'] }), await place('duck', 1, { allergies: ['egg'] })]
  const atMs = Math.round(now())
  const said = { id: newId(), stationId: 'ring-a', kind: 'washed', deviceId: 'phone', staffId: null, atMs }
  const sayOf = (...events: unknown[]) => send(kitchen.app, 'POST', '/stations/ring-a/events', { events })
  await sayOf(said)
  const run = Run.parse((await fire(fireOf([tickets[0]!], 'ring-a', now()))).json)
  expect(run).toMatchObject({ washedAtMs: atMs, marks: [] })
  const back = { ...said, id: newId(), kind: 'undone', eventId: said.id, was: { kind: 'washed', atMs } }
  for (let times = 0; times < 2; times += 1) {
    const answer = await sayOf(back)
    const { stations } = answer.json as { stations: { stationId: string; washedAtMs: number | null }[] }
    expect(stations.find(({ stationId }) => stationId === 'ring-a')!.washedAtMs).toBeNull()
  }
  const after = Run.parse((await send(kitchen.app, 'GET', `/runs/${run.id}`)).json)
  expect(after).toMatchObject({ washedAtMs: null, marks: ['notWashed'] })
  await cookThrough(kitchen, run)
  expect(code(await fire(fireOf([tickets[1]!], 'ring-a', now())))).toBe('not-washed')
  const pass = Pass.parse((await send(kitchen.app, 'GET', '/pass')).json)
  expect(pass.tickets.flatMap(({ ups }) => ups.map(({ marks }) => marks))).toEqual([['notWashed']])
  const [log] = await kitchen.pool.query('SELECT kind, undone_by FROM station_event WHERE id = ?', [said.id])
  expect(log).toEqual([{ kind: 'washed', undone_by: back.id }])
  expect(code(await sayOf({ ...back, id: newId(), eventId: newId() }))).toBe('invalid')
})
