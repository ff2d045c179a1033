import { UNTOUCHED } from './stationPast'
import fc from 'fast-check'
import { DISH, scoreOnRing, US } from '../test/kitchen'
import { lineNow, pastOf, type LineInput, type OpenRun, type WorkedOut } from './lineNow'
import type { LineTicket } from './waiting'
import { NO_WISHES } from './plan/wishes'
import { RESTS_S } from './soonerAt'
import type { Station } from './station'

const NOW_MS = 1_000_000
const MIN_MS = 60_000
const STATIONS: Station[] = [
  { id: 'ring-a', kind: 'wok', capPortions: 4 },
  { id: 'ring-b', kind: 'wok', capPortions: 2 },
  { id: 'griddle', kind: 'griddle', capPortions: 6 },
]
const ticket = (n: number, portions: number, part: Partial<LineTicket['items'][number]> = {}): LineTicket => ({
  id: `t${n}`,
  number: n,
  kind: 'dine',
  placedAtMs: NOW_MS - n,
  promisedAtMs: NOW_MS + 10 * MIN_MS,
  isCancelled: false,
  items: [
    {
      id: `i${n}`,
      dishId: DISH.id,
      portions,
      firedPortions: 0,
      donePortions: 0,
      modifiers: [],
      allergies: [],
      ...part,
    },
  ],
})
const SCORE = scoreOnRing(2)
/** The larger ring takes four portions, the smaller two; a portion more is half a minute more. */
const KNOWN: WorkedOut<Station, typeof DISH> = {
  timesOf: (_dish, { capPortions }) => ({ seconds: [120, 150, 180, 210].slice(0, capPortions) }),
  scoreOf: () => null,
}
type Input = LineInput<Station, typeof DISH, LineTicket, OpenRun>
const input = (part: Partial<Input>): Input => ({
  stations: STATIONS,
  dishes: [DISH],
  tickets: [],
  runs: [],
  pasts: [],
  rules: US,
  known: KNOWN,
  wishes: NO_WISHES,
  orderFor: () => null,
  cooks: 2,
  nowMs: NOW_MS,
  ...part,
})
function run(stationId: string, part: Partial<OpenRun> = {}): OpenRun {
  return {
    id: `run-${stationId}`,
    stationId,
    dishId: DISH.id,
    firedAtMs: NOW_MS,
    score: SCORE,
    handsFree: true,
    allergies: [],
    parts: [{ itemId: 'i1', ticketId: 't1', portions: 2 }],
    events: [],
    ...part,
  }
}

test('an empty line is empty', () => {
  expect(lineNow(input({}))).toMatchObject({
    runs: [],
    batches: [],
    gone: [],
    homeless: [],
    pending: [],
    portionsWaiting: 0,
    portionsBeyond: 0,
    unknown: { times: [], scores: [] },
  })
})

test('what was fired on this device is not proposed again, even before the kitchen knows', () => {
  const tickets = [ticket(1, 3)]
  expect(lineNow(input({ tickets })).portionsWaiting).toBe(3)
  const now = lineNow(input({ tickets, runs: [run('ring-a')] }))
  expect(now.portionsWaiting).toBe(1)
  expect(now.runs).toHaveLength(1)
  const [batch] = now.batches
  expect(batch!.parts).toMatchObject([{ itemId: 'i1', portions: 1 }])
  // Ring A is busy until its run is up, so that the rest goes to ring B.
  expect(batch!.stationId).toBe('ring-b')
})

test('a run that is over frees its station', () => {
  const runs = [
    run('ring-a', { events: [{ id: 'e', runId: 'run-ring-a', atMs: NOW_MS, counter: 0, kind: 'stopped' } as never] }),
  ]
  const now = lineNow(input({ tickets: [ticket(2, 1)], runs }))
  expect(now.runs).toEqual([])
  expect(now.batches[0]!.setUpStartMs).toBe(NOW_MS)
})

test('a dish that no station cooks, or that nobody can cook as ordered, stays without a home', () => {
  const tickets = [ticket(1, 1, { modifiers: ['no-rice'] })]
  const now = lineNow(input({ tickets }))
  expect(now.batches).toEqual([])
  expect(now.homeless).toMatchObject([{ parts: [{ itemId: 'i1' }] }])
  expect(lineNow(input({ tickets: [ticket(1, 1)], stations: [STATIONS[2]!] })).batches).toEqual([])
})

test('a dish that is not in the book is passed over, a cancelled ticket too', () => {
  const tickets = [ticket(1, 1, { dishId: 'gone' }), { ...ticket(2, 2), isCancelled: true }]
  expect(lineNow(input({ tickets })).portionsWaiting).toBe(0)
})

test('what nobody said of a station is not so: an allergy waits for a wash', () => {
  expect(pastOf([], 'ring-a')).toEqual(UNTOUCHED)
  const pasts = [{ ...UNTOUCHED, stationId: 'ring-a', lastDishId: 'other', usedUntilMs: NOW_MS - MIN_MS }]
  const at = (stations: Station[], allergies: string[]) =>
    lineNow(
      input({ tickets: [ticket(1, 1, { allergies: allergies as never, modifiers: ['no-egg'] })], pasts, stations }),
    )
  expect(at([STATIONS[0]!], ['egg']).batches[0]!.setUp).toBe('wash')
  expect(at([STATIONS[0]!], []).batches[0]!.setUp).toBe('brush')
})

test('what nobody has worked out yet is neither placed nor without a home, and is asked for', () => {
  const known = { timesOf: () => null, scoreOf: () => null }
  const now = lineNow(input({ tickets: [ticket(1, 3)], known }))
  expect([now.batches, now.homeless]).toEqual([[], []])
  expect(now.pending).toMatchObject([{ portions: 3 }])
  expect(now.unknown.times.map(({ dish, station }) => [dish.id, station.id])).toEqual([
    [DISH.id, 'ring-a'],
    [DISH.id, 'ring-b'],
  ])
})

test('rough times place a batch, and the full ones are still asked for', () => {
  const timesOf = () => ({ seconds: [120, 150, 180], isRough: true as const })
  const now = lineNow(input({ tickets: [ticket(1, 3)], known: { ...KNOWN, timesOf } }))
  expect(now.batches).toMatchObject([{ portions: 3 }])
  expect(now.unknown.times.map(({ station }) => station.id)).toEqual(['ring-a', 'ring-b'])
})

test('the times of a dish place a batch; its own score, once known, is what counts', () => {
  const tickets = [ticket(1, 2)]
  const [rough] = lineNow(input({ tickets })).batches
  expect([rough!.score, rough!.upMs - rough!.startMs]).toEqual([null, 150_000])
  const known = {
    ...KNOWN,
    scoreOf: () => ({ kind: 'score' as const, score: SCORE, batch: {} as never, derived: {} as never }),
  }
  const now = lineNow(input({ tickets, known }))
  expect([now.batches[0]!.score, now.unknown.scores]).toEqual([SCORE, []])
  expect(now.batches[0]!.upMs - now.batches[0]!.startMs).toBe(SCORE.totalS * 1000)
})

test('on metal that was used a minute ago a batch is up as much sooner as is known of it, and the one after it too', () => {
  const soonerS = RESTS_S.map((restS) => (restS <= 90 ? 40 : 5))
  const score = { kind: 'score' as const, score: SCORE, batch: {} as never, derived: {} as never, soonerS }
  const known = { ...KNOWN, scoreOf: () => score }
  const pasts = [{ ...UNTOUCHED, stationId: 'ring-b', lastDishId: DISH.id, usedUntilMs: NOW_MS - MIN_MS }]
  const takesS = (part: Partial<Input>) =>
    lineNow(
      input({ stations: STATIONS.slice(1, 2), tickets: [ticket(1, 2), ticket(2, 2)], known, ...part }),
    ).batches.map(({ startMs, upMs }) => (upMs - startMs) / 1000)
  expect(takesS({})).toEqual([SCORE.totalS, SCORE.totalS - 40])
  expect(takesS({ pasts })).toEqual([SCORE.totalS - 40, SCORE.totalS - 40])
  const washed = [{ ...pasts[0]!, washedAtMs: NOW_MS - 1000 }]
  expect(takesS({ pasts: washed })).toEqual([SCORE.totalS, SCORE.totalS - 40])
})

test('a station takes no more than its heat can fry, whatever the house wishes; where that is nothing, the batch has no home', () => {
  const upTo = (most: number) => ({ ...KNOWN, timesOf: () => ({ seconds: [120, 150, 180].slice(0, most) }) })
  const portions = (most: number) =>
    lineNow(input({ tickets: [ticket(1, 7)], known: upTo(most) }))
      .batches.map((one) => one.portions)
      .sort()
  expect(portions(3)).toEqual([2, 2, 3])
  expect(portions(1)).toEqual([1, 1, 1, 1, 1, 1, 1])
  expect(lineNow(input({ tickets: [ticket(1, 1)], known: upTo(0) })).homeless).toHaveLength(1)
})

test('only the first batches are asked a score of their own, in the order in which they start', () => {
  const tickets = Array.from({ length: 40 }, (_, i) => ticket(i + 1, 4))
  const { batches, unknown } = lineNow(input({ tickets }))
  const first = [...batches].sort((a, b) => a.startMs - b.startMs).slice(0, 12)
  expect(unknown.scores).toHaveLength(12)
  expect(unknown.scores.map(({ station }) => station.id)).toEqual(first.map(({ stationId }) => stationId))
})

test('law: every waiting portion stands in exactly one batch, none over its station, no station two at once', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { maxLength: 12 }), (orders) => {
      const now = lineNow(input({ tickets: orders.map((portions, i) => ticket(i + 1, portions)) }))
      const placed = now.batches.reduce((sum, batch) => sum + batch.portions, 0)
      expect(placed).toBe(orders.reduce((sum, one) => sum + one, 0))
      expect(now.portionsWaiting).toBe(placed)
      for (const batch of now.batches) expect(batch.portions).toBeLessThanOrEqual(batch.station.capPortions)
      for (const station of STATIONS) {
        const own = now.batches.filter((one) => one.stationId === station.id).sort((a, b) => a.startMs - b.startMs)
        own.slice(1).forEach((one, i) => expect(one.setUpStartMs).toBeGreaterThanOrEqual(own[i]!.upMs))
      }
      expect(new Set(now.batches.map((one) => one.key)).size).toBe(now.batches.length)
    }),
    { numRuns: 60 },
  )
})
