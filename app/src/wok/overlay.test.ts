import type { Kitchen } from 'contract/kitchen'
import type { Dish } from 'contract/dish'
import { FireRun, Run, type RunEvent } from 'contract/run'
import type { NewTicketBody, Ticket } from 'contract/ticket'
import { DISH, scoreOnRing, TOOLS } from 'core/test/kitchen'
import { runState } from 'core/wok/run'
import type { Parcel } from '../device/outbox'
import { lineOf } from '../line/useLinePlan'
import { withParcels, type ShownTicket } from '../line/useTickets'
import { KNOWN } from './test/known'
import { localRun, withUnsent } from './useRuns'

const id = (n: number) => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}`
const dish = DISH as Dish
const SCORE = scoreOnRing(2)
const kitchen = {
  id: 'k',
  name: 'Kitchen',
  timeZone: 'UTC',
  locale: 'en',
  ruleSet: 'us',
  tools: TOOLS,
  waves: { spans: [], stayMin: 12 },
  staff: [
    { id: 'bram', name: 'Bram', role: 'cook' },
    { id: 'wen', name: 'Wen', role: 'cook' },
  ],
  lots: [],
  stations: [
    { id: 'ring-a', name: 'Ring A', kind: 'wok', powerW: 24_000, capPortions: 4 },
    { id: 'ring-b', name: 'Ring B', kind: 'wok', powerW: 15_000, capPortions: 2 },
  ],
} as unknown as Kitchen
const NOW_MS = 1_700_000_000_000

const ticket = (n: number, portions: number, change: object = {}): Ticket =>
  ({
    id: id(n),
    number: n,
    placedAtMs: NOW_MS,
    promisedAtMs: NOW_MS + 600_000,
    kind: 'dine',
    place: '',
    source: 'hand',
    isCancelled: false,
    items: [
      {
        id: id(1000 + n),
        dishId: 'everything',
        portions,
        modifiers: [],
        allergies: [],
        firedPortions: 0,
        donePortions: 0,
        ...change,
      },
    ],
  }) as unknown as Ticket
const parcel = (kind: Parcel['kind'], subjectId: string, body: unknown, n = 1): Parcel => ({
  id: id(9000 + n),
  kind,
  subjectId,
  path: '/',
  body,
  refusal: null,
  kitchenId: null,
  failures: 0,
})
const fire = (tickets: Ticket[], stationId = 'ring-a') =>
  FireRun.parse({
    id: id(500),
    dishId: 'everything',
    dishVersion: 1,
    stationId,
    cookId: null,
    modifiers: [],
    allergies: [],
    parts: tickets.map((one) => ({
      itemId: one.items[0]!.id,
      ticketId: one.id,
      ticketNumber: one.number,
      portions: one.items[0]!.portions,
      modifiers: [],
    })),
    firedAtMs: NOW_MS,
    promisedAtMs: NOW_MS + 600_000,
    handsFree: true,
    deviceId: 'phone',
    isUnconfirmed: true,
    score: SCORE,
  })

describe('a run that the kitchen does not know yet', () => {
  test('has the score that it was fired with, and the name of its dish', () => {
    const run = localRun(fire([ticket(1, 3)]), [dish])
    expect(run).toMatchObject({ state: 'open', events: [], dishName: 'Everything rice', score: SCORE })
    expect(localRun(fire([ticket(1, 3)]), [])?.dishName).toBe('everything')
  })

  test('from a page that sent no score is not guessed: the kitchen derives it', () => {
    expect(localRun({ ...fire([ticket(1, 3)]), score: undefined }, [dish])).toBeNull()
  })
})

describe('what was said and not yet sent', () => {
  const run = () => Run.parse(localRun(fire([ticket(1, 2)]), [dish]))
  const done = (n: number): RunEvent =>
    ({
      id: id(n),
      runId: run().id,
      deviceId: 'phone',
      atMs: NOW_MS + 5000,
      counter: 0,
      kind: 'done',
      stepId: run().score.steps[0]!.id,
    }) as RunEvent

  test('counts at once, and once when the server has it too', () => {
    const said = withUnsent(run(), [parcel('runEvents', run().id, { events: [done(1)] })])
    expect(runState(said, said.events, NOW_MS + 6000).stepIndex).toBe(1)
    const both = withUnsent({ ...run(), events: [done(1)] }, [parcel('runEvents', run().id, { events: [done(1)] })])
    expect(runState(both, both.events, NOW_MS + 6000)).toEqual(runState(said, said.events, NOW_MS + 6000))
  })

  test('of another run, or refused, does not count', () => {
    const refusal = {
      type: 'x',
      title: 't',
      status: 409,
      detail: 'd',
      code: 'run-over' as const,
      faults: [],
      values: {},
    }
    const parcels = [
      parcel('runEvents', id(7), { events: [done(1)] }),
      { ...parcel('runEvents', run().id, { events: [done(2)] }), refusal },
    ]
    expect(withUnsent(run(), parcels).events).toEqual([])
  })

  test('a ticket stands on the line without a number until the kitchen gave it one', () => {
    const body: NewTicketBody & { id: string } = {
      id: id(3),
      items: [{ id: id(33), dishId: 'everything', portions: 1 }],
      promisedAtMs: NOW_MS,
    }
    const shown = withParcels([ticket(1, 1)], [parcel('ticket', id(3), body)])
    expect(shown.map((one) => one.number)).toEqual([1, null])
    expect(withParcels([ticket(3, 1)], [parcel('ticket', id(3), body)]).map((one) => one.number)).toEqual([3])
  })

  test('what an older version of the page left behind is passed over', () => {
    const stale = [
      parcel('ticket', id(3), { table: 4 }),
      parcel('runEvents', run().id, { words: [] }),
      parcel('ticketEvents', id(1), null),
    ]
    expect(withParcels([ticket(1, 1)], stale).map((one) => one.number)).toEqual([1])
    expect(withUnsent(run(), stale).events).toEqual([])
  })

  test('a cancelled ticket is gone at once, and back with the later word', () => {
    const cancelled = { events: [{ id: id(40), kind: 'cancelled', atMs: NOW_MS + 1, counter: 0 }] }
    const restored = { events: [{ id: id(41), kind: 'restored', atMs: NOW_MS + 2, counter: 0 }] }
    const parcels = [parcel('ticketEvents', id(1), restored, 2), parcel('ticketEvents', id(1), cancelled, 1)]
    expect(withParcels([ticket(1, 1)], parcels.slice(1))[0]!.isCancelled).toBe(true)
    expect(withParcels([ticket(1, 1)], parcels)[0]!.isCancelled).toBe(false)
  })
})

describe('the proposed line', () => {
  const plan = (tickets: ShownTicket[], runs: Run[] = []) =>
    lineOf({ kitchen, dishes: [dish], tickets, later: null, runs, pasts: [], nowMs: NOW_MS, known: KNOWN })

  test('groups, places and times batches; what a run took on is not proposed again', () => {
    const tickets = [ticket(1, 2), ticket(2, 2), ticket(3, 1, { allergies: ['egg'] })]
    const before = plan(tickets)
    expect(before.batches.map((batch) => [batch.portions, batch.stationId, batch.setUp]).sort()).toEqual([
      [1, 'ring-b', 'wash'],
      [4, 'ring-a', 'none'],
    ])
    expect(before.portionsWaiting).toBe(5)
    const run = Run.parse(localRun(fire(tickets.slice(0, 2)), [dish]))
    const after = plan(tickets, [run])
    expect(after.batches.map((batch) => batch.allergies)).toEqual([['egg']])
    expect(after.runs.map((shown) => shown.station?.name)).toEqual(['Ring A'])
    expect(after.batches[0]!.stationId).toBe('ring-b')
  })

  test('a batch keeps its key while it holds the same portions, so that a choice outlives a replan', () => {
    const tickets = [ticket(1, 2), ticket(2, 2)]
    expect(plan(tickets).batches[0]!.key).toBe(plan([...tickets, ticket(3, 1, { dishId: 'nothing' })]).batches[0]!.key)
  })

  test('what no station can cook is named, not lost', () => {
    const small = { ...kitchen, stations: kitchen.stations.map((one) => ({ ...one, kind: 'griddle' as const })) }
    const line = lineOf({
      kitchen: small,
      dishes: [dish],
      tickets: [ticket(1, 1)],
      ...{ later: null, runs: [], pasts: [], nowMs: NOW_MS, known: KNOWN },
    })
    expect([line.batches.length, line.portionsWaiting]).toEqual([0, 1])
    const stuck = plan([ticket(1, 1, { allergies: ['soy'] })])
    expect(stuck.homeless).toHaveLength(1)
  })
})
