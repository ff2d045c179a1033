import fc from 'fast-check'
import { component, DISH, US } from '../../test/kitchen'
import { checkPlan } from '../check/checkPlan'
import { lineNow, type LineInput, type OpenRun, type WorkedOut } from '../lineNow'
import { placedList } from '../planner/placeList'
import { SET_UP_S, type Station } from '../station'
import { UNTOUCHED } from '../stationPast'
import type { LineTicket } from '../waiting'
import { scoreOnRing } from '../../test/kitchen'
import { wantedOf, type LineOrder } from './order'
import { searchedPlan } from './search'
import { NO_WISHES, type LineWishes } from './wishes'

jest.setTimeout(300_000)
const NOW_MS = 1_700_000_000_000
const MIN_MS = 60_000
const STATIONS: Station[] = [
  { id: 'ring-a', kind: 'wok', capPortions: 4 },
  { id: 'ring-b', kind: 'wok', capPortions: 2 },
  { id: 'griddle', kind: 'griddle', capPortions: 3 },
]
const CURRY = component({ id: 'curry', role: 'paste', food: 'paste', ratioG: 3 })
const OTHER = { ...DISH, id: 'other', components: [...DISH.components.filter((one) => one.role !== 'paste'), CURRY] }
const PLATE = { ...DISH, id: 'plate', stationKind: 'griddle' as const }
const DISHES = [DISH, OTHER, PLATE]
const KNOWN: WorkedOut<Station, typeof DISH> = {
  timesOf: (dish, { capPortions }) => ({
    seconds: [120, 150, 180, 210].slice(0, capPortions),
    ...(dish.id === 'plate' && { handsOff: { fromShare: 0.3, toShare: 0.8 } }),
  }),
  scoreOf: () => null,
}
type Line = Partial<LineTicket['items'][number]>
const ticket = (n: number, lines: Line[], head: Partial<LineTicket> = {}): LineTicket => ({
  id: `t${n}`,
  number: n,
  kind: 'dine',
  placedAtMs: NOW_MS - n * 1000,
  promisedAtMs: NOW_MS + 10 * MIN_MS,
  isCancelled: false,
  items: lines.map((line, i) => ({
    id: `i${n}-${i}`,
    dishId: DISH.id,
    portions: 1,
    firedPortions: 0,
    donePortions: 0,
    modifiers: [],
    allergies: [],
    ...line,
  })),
  ...head,
})
type Input = LineInput<Station, typeof DISH, LineTicket, OpenRun>
const line = ({ order = null, ...part }: Partial<Input> & { order?: LineOrder | null }) =>
  lineNow({
    stations: STATIONS,
    dishes: DISHES,
    tickets: [],
    runs: [],
    pasts: [],
    rules: US,
    known: KNOWN,
    wishes: NO_WISHES,
    orderFor: () => order,
    cooks: 2,
    nowMs: NOW_MS,
    ...part,
  })
const wishing = (part: Partial<LineWishes>): LineWishes => ({ ...NO_WISHES, ...part })
const SCORE = scoreOnRing(2)
const RUN: OpenRun = {
  id: 'run-1',
  stationId: 'ring-a',
  dishId: DISH.id,
  firedAtMs: NOW_MS - 20_000,
  score: SCORE,
  handsFree: true,
  allergies: [],
  parts: [{ itemId: 'i99-0', ticketId: 't99', portions: 2 }],
  events: [],
}

const anyTickets = fc
  .array(
    fc.record({
      lines: fc.array(
        fc.record({
          dishId: fc.constantFrom('everything', 'other', 'plate'),
          portions: fc.integer({ min: 1, max: 6 }),
          modifiers: fc.constantFrom<string[]>([], ['no-nori'], ['no-egg']),
          isAllergy: fc.boolean(),
        }),
        { minLength: 1, maxLength: 3 },
      ),
      kind: fc.constantFrom('dine' as const, 'take' as const),
      promisedMin: fc.integer({ min: -5, max: 30 }),
    }),
    { minLength: 1, maxLength: 7 },
  )
  .map((drawn) =>
    drawn.map(({ lines, kind, promisedMin }, n) =>
      ticket(
        n + 1,
        lines.map(({ isAllergy, ...one }) => ({
          ...one,
          ...(isAllergy && { modifiers: ['no-egg'], allergies: ['egg' as const] }),
        })),
        { kind, promisedAtMs: NOW_MS + promisedMin * MIN_MS },
      ),
    ),
  )

/** Ring A as it was left: used or not, wiped or brushed before or since; never washed. */
const anyPast = fc
  .record({
    lastDishId: fc.constantFrom('everything', 'other', 'plate', null),
    cleanedS: fc.option(fc.integer({ min: -60, max: 60 })),
    isBrushed: fc.boolean(),
  })
  .map(({ lastDishId, cleanedS, isBrushed }) => {
    const usedUntilMs = lastDishId === null ? null : NOW_MS - MIN_MS
    const atMs = cleanedS === null ? null : NOW_MS - MIN_MS + cleanedS * 1000
    const cleaned = isBrushed ? { brushedAtMs: atMs } : { wipedAtMs: atMs }
    return { ...UNTOUCHED, stationId: 'ring-a', lastDishId, usedUntilMs, ...cleaned }
  })

test('metal that was brushed since needs no set-up for another dish, and a phone that knows it has another key', () => {
  const used = { ...UNTOUCHED, stationId: 'ring-a', lastDishId: 'other', usedUntilMs: NOW_MS - MIN_MS }
  const tickets = [ticket(1, [{ dishId: 'everything', portions: 2 }])]
  const stations = STATIONS.filter(({ id }) => id === 'ring-a')
  const before = line({ tickets, stations, pasts: [used] })
  const after = line({ tickets, stations, pasts: [{ ...used, brushedAtMs: NOW_MS }] })
  expect([before.batches[0]!.setUp, after.batches[0]!.setUp]).toEqual(['brush', 'none'])
  expect(before.batches[0]!.startMs - after.batches[0]!.startMs).toBe(SET_UP_S.brush * 1000)
  expect(after.basis.key).not.toBe(before.basis.key)
})

test('law: whatever is ordered, the plan keeps every rule of the checker, and every portion stands in it once', () => {
  fc.assert(
    fc.property(anyTickets, fc.boolean(), fc.integer({ min: 1, max: 3 }), anyPast, (tickets, hasRun, pairs, past) => {
      const now = line({ tickets, runs: hasRun ? [RUN] : [], wishes: wishing({ pairs }), pasts: [past] })
      const { instance, order, pieces } = now.basis
      const searched = searchedPlan(instance, wantedOf(order, pieces), { evaluations: 400 })
      const { plan } = placedList(instance, searched.list, 'last')
      expect(checkPlan(instance, plan).errors).toEqual([])
      expect(searched.objective).toBeLessThanOrEqual(now.basis.objective + 1e-6)
      for (const ticketLine of tickets.flatMap(({ items }) => items)) {
        const parts = now.batches.flatMap((batch) => batch.parts.filter(({ itemId }) => itemId === ticketLine.id))
        expect(parts.reduce((sum, part) => sum + part.portions, 0)).toBe(ticketLine.portions)
      }
      const metal = new Map<string, number>()
      for (const batch of [...now.batches].sort((a, b) => a.startMs - b.startMs)) {
        expect(batch.portions).toBeLessThanOrEqual(batch.station.capPortions)
        expect(new Set(batch.parts.map(({ modifiers }) => modifiers.includes('no-egg'))).size).toBe(1)
        if (batch.allergies.length > 0) {
          expect(batch.parts).toHaveLength(1)
          const wasUsed = batch.stationId === 'ring-a' && (hasRun || past.usedUntilMs !== null)
          const isUsed = metal.has(batch.stationId) || wasUsed
          if (isUsed) expect(batch.setUp).toBe('wash')
        }
        metal.set(batch.stationId, batch.upMs)
      }
    }),
    { numRuns: 60, endOnFailure: true },
  )
})

test('law: placed again from its order, the plan is the same; a minute later nothing has changed place', () => {
  fc.assert(
    fc.property(anyTickets, (tickets) => {
      const first = line({ tickets })
      const told = line({ tickets, order: first.basis.order })
      const shape = (one: typeof first) =>
        one.batches.map(({ stationId, parts, startMs }) => [stationId, parts, startMs])
      expect(shape(told)).toEqual(shape(first))
      expect(told.basis).toMatchObject({ isTold: true, key: first.basis.key })
      const later = line({ tickets, order: first.basis.order, nowMs: NOW_MS + MIN_MS })
      const places = (one: typeof first) => one.batches.map(({ key, stationId }) => `${key} ${stationId}`).sort()
      expect(places(later)).toEqual(places(first))
    }),
    { numRuns: 40, endOnFailure: true },
  )
})

test('a run of more than a station takes, or of a dish whose times nobody knows yet, holds its station until it is up', () => {
  const tickets = [ticket(1, [{ dishId: 'other' }])]
  const many = { ...RUN, parts: [{ itemId: 'i99-0', ticketId: 't99', portions: 9 }] }
  const timesOf: typeof KNOWN.timesOf = (dish, station) => (dish.id === DISH.id ? null : KNOWN.timesOf(dish, station))
  for (const known of [KNOWN, { ...KNOWN, timesOf }]) {
    const now = line({ tickets, runs: [many], stations: [STATIONS[0]!], known })
    expect(now.batches[0]!.setUpStartMs).toBeGreaterThanOrEqual(now.runs[0]!.state.upMs)
  }
})

test('what was fired or cancelled since leaves the order; what is new is put where it costs least', () => {
  const tickets = [ticket(1, [{ portions: 2 }]), ticket(2, [{ dishId: 'other' }])]
  const { order } = line({ tickets }).basis
  const oneRing = { stations: [STATIONS[0]!] }
  const more = line({ tickets: [...tickets, ticket(3, [{ portions: 2 }])], order, ...oneRing })
  expect(more.basis.isTold).toBe(false)
  expect(more.batches.find(({ parts }) => parts.some(({ itemId }) => itemId === 'i3-0'))?.parts).toHaveLength(2)
  const fewer = line({ tickets: [{ ...tickets[0]!, isCancelled: true }, tickets[1]!], order })
  expect(fewer.batches.map(({ dishId }) => dishId)).toEqual(['other'])
  expect(fewer.basis.isTold).toBe(true)
})

test('a station that is down takes nothing, and what it was told goes elsewhere; with all down a dish has no home', () => {
  const tickets = [ticket(1, [{ portions: 2 }]), ticket(2, [{ dishId: 'other', portions: 2 }])]
  const { order } = line({ tickets }).basis
  const down = line({ tickets, order, wishes: wishing({ downStations: ['ring-a'] }) })
  expect(down.batches.map(({ stationId }) => stationId)).toEqual(['ring-b', 'ring-b'])
  const none = line({ tickets, wishes: wishing({ downStations: ['ring-a', 'ring-b'] }) })
  expect([none.batches, none.homeless.length]).toEqual([[], 2])
})

test('a dish that is 86 is not planned', () => {
  const tickets = [ticket(1, [{}]), ticket(2, [{ dishId: 'other' }])]
  const off = line({ tickets, wishes: wishing({ goneDishes: ['other'] }) })
  expect(off.batches.map(({ dishId }) => dishId)).toEqual([DISH.id])
  expect(off.gone).toMatchObject([{ dishId: 'other', because: { kind: 'dish' } }])
})

test('pinned portions are fried together, where and when somebody wants it; the rest of the ticket does not wait with them', () => {
  const tickets = [ticket(1, [{ portions: 3 }]), ticket(2, [{}])]
  const pin = {
    pinId: 'pin-1',
    parts: [
      { itemId: 'i1-0', portions: 1 },
      { itemId: 'i2-0', portions: 1 },
    ],
    stationId: 'ring-b',
    notBeforeMs: NOW_MS + 5 * MIN_MS,
  }
  const { batches } = line({ tickets, wishes: wishing({ pins: [pin] }) })
  const pinned = batches.find((one) => one.pin !== null)!
  expect(pinned).toMatchObject({ stationId: 'ring-b', portions: 2, pin })
  expect(pinned.startMs).toBeGreaterThanOrEqual(pin.notBeforeMs)
  const rest = batches.find((one) => one.pin === null)!
  expect(rest).toMatchObject({ portions: 2 })
  expect(rest.startMs).toBeLessThan(pin.notBeforeMs)
})

test('what waits by hand is fried by itself, on the metal of its dish without a wipe', () => {
  const tickets = [1, 2].map((n) => ticket(n, [{ portions: 4 }]))
  const pin = {
    pinId: 'later',
    parts: [{ itemId: 'i2-0', portions: 4 }],
    stationId: null,
    notBeforeMs: NOW_MS + 5 * MIN_MS,
  }
  const { batches, basis } = line({ tickets, wishes: wishing({ pins: [pin], downStations: ['ring-b'] }) })
  expect(basis.instance.dishes.map(({ id }) => id)).toEqual([DISH.id])
  expect(batches.map((one) => [one.stationId, one.setUp, one.pin?.pinId ?? null])).toEqual([
    ['ring-a', expect.anything(), null],
    ['ring-a', 'none', 'later'],
  ])
  expect(batches[1]!.startMs).toBeGreaterThanOrEqual(pin.notBeforeMs)
})

test('a station that starts later takes nothing before then, and is counted on after it', () => {
  const tickets = [1, 2, 3].map((n) => ticket(n, [{ portions: 4 }], { promisedAtMs: NOW_MS + 5 * MIN_MS }))
  const backMs = NOW_MS + 3 * MIN_MS + 2000
  const wishes = wishing({ downStations: ['ring-b'], laterStations: new Map([['ring-a', backMs]]) })
  const { batches } = line({ tickets, wishes })
  expect(batches.map(({ stationId }) => stationId)).toEqual(['ring-a', 'ring-a', 'ring-a'])
  for (const { startMs } of batches) expect(startMs).toBeGreaterThanOrEqual(backMs)
  const past = wishing({ downStations: ['ring-b'], laterStations: new Map([['ring-a', NOW_MS - MIN_MS]]) })
  expect(line({ tickets, wishes: past }).batches[0]!.startMs).toBeLessThan(NOW_MS + MIN_MS)
})

test('what is pinned to a station follows a batch of its dish there at once: it is the same dish to the metal', () => {
  const tickets = [1, 2].map((n) => ticket(n, [{ portions: 4 }]))
  const pin = { pinId: 'here', parts: [{ itemId: 'i2-0', portions: 4 }], stationId: 'ring-a', notBeforeMs: null }
  const { batches, basis } = line({ tickets, wishes: wishing({ pins: [pin], downStations: ['ring-b'] }) })
  expect(batches.map(({ stationId }) => stationId)).toEqual(['ring-a', 'ring-a'])
  expect(batches[1]!.startMs).toBe(batches[0]!.upMs)
  expect(basis.instance.dishes.map(({ id, sameAs }) => sameAs ?? id)).toEqual([DISH.id, DISH.id])
})

test('a pin to a station that is down, or of portions that are gone, asks for nothing', () => {
  const tickets = [ticket(1, [{ portions: 2 }])]
  const pin = { pinId: 'p', parts: [{ itemId: 'i1-0', portions: 2 }], stationId: 'ring-b', notBeforeMs: null }
  const down = line({ tickets, wishes: wishing({ pins: [pin], downStations: ['ring-b'] }) })
  expect(down.batches).toMatchObject([{ stationId: 'ring-a', portions: 2, pin: null }])
  const other = { ...pin, parts: [{ itemId: 'elsewhere', portions: 2 }] }
  expect(line({ tickets, wishes: wishing({ pins: [other] }) }).batches).toMatchObject([{ portions: 2, pin: null }])
})

test('a ticket of more weight comes before one with the same promise; a held one not before its time', () => {
  const tickets = [1, 2, 3].map((n) => ticket(n, [{ portions: 4 }], { promisedAtMs: NOW_MS }))
  const tickets3 = new Map([['t3', { weight: 3, notBeforeMs: null }]])
  expect(line({ tickets, wishes: wishing({ tickets: tickets3 }) }).batches[0]!.parts[0]!.ticketId).toBe('t3')
  const held = new Map([['t1', { weight: 1, notBeforeMs: NOW_MS + 20 * MIN_MS }]])
  const batch = line({ tickets, wishes: wishing({ tickets: held }) }).batches.find(
    ({ parts }) => parts[0]!.ticketId === 't1',
  )
  expect(batch!.startMs).toBeGreaterThanOrEqual(NOW_MS + 20 * MIN_MS)
})

test('other facts have another key, whoever lists them in whatever order; the clock alone does not change it', () => {
  const tickets = [ticket(1, [{ portions: 2 }]), ticket(2, [{ dishId: 'other' }])]
  const { key } = line({ tickets }).basis
  expect(line({ tickets: [...tickets].reverse(), nowMs: NOW_MS + 5000 }).basis.key).toBe(key)
  const others = [
    line({ tickets: tickets.slice(1) }),
    line({ tickets, runs: [RUN] }),
    line({ tickets, wishes: wishing({ pairs: 1 }) }),
    line({ tickets, wishes: wishing({ downStations: ['griddle'] }) }),
  ]
  expect(new Set([key, ...others.map(({ basis }) => basis.key)]).size).toBe(5)
})

test('of more than is planned at once the first promises are, and the rest is counted', () => {
  const tickets = Array.from({ length: 450 }, (_, n) => ticket(n, [{}], { promisedAtMs: NOW_MS + n * 1000 }))
  const now = line({ tickets })
  expect(now.portionsBeyond).toBe(50)
  expect(now.batches.some(({ parts }) => parts.some(({ itemId }) => itemId === 'i449-0'))).toBe(false)
})
