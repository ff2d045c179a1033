import fc from 'fast-check'
import { DISH, TOOLS, US } from '../test/kitchen'
import { batchScore } from './batchScore'
import { lineNow, pastOf, type LineInput, type LineTicket, type OpenRun } from './lineNow'
import type { Station } from './planLine'

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
type Input = LineInput<Station, typeof DISH, LineTicket, OpenRun>
const input = (part: Partial<Input>): Input => ({
  stations: STATIONS,
  dishes: [DISH],
  tickets: [],
  runs: [],
  pasts: [],
  tools: TOOLS,
  rules: US,
  nowMs: NOW_MS,
  ...part,
})
function run(stationId: string, part: Partial<OpenRun> = {}): OpenRun {
  const scored = batchScore(DISH, { modifiers: [], allergies: [], parts: [{ portions: 2, modifiers: [] }] }, TOOLS, US)
  if (scored.kind !== 'score') throw new Error('the dish has a score')
  return {
    id: `run-${stationId}`,
    stationId,
    dishId: DISH.id,
    firedAtMs: NOW_MS,
    score: scored.score,
    handsFree: true,
    parts: [{ itemId: 'i1', portions: 2 }],
    events: [],
    ...part,
  }
}

test('an empty line is empty', () => {
  expect(lineNow(input({}))).toEqual({ runs: [], batches: [], homeless: [], portionsWaiting: 0 })
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
  expect(pastOf([], 'ring-a')).toEqual({ lastDishId: null, usedUntilMs: null, washedAtMs: null })
  const pasts = [{ stationId: 'ring-a', lastDishId: 'other', usedUntilMs: NOW_MS - MIN_MS, washedAtMs: null }]
  const at = (stations: Station[], allergies: string[]) =>
    lineNow(
      input({ tickets: [ticket(1, 1, { allergies: allergies as never, modifiers: ['no-egg'] })], pasts, stations }),
    )
  expect(at([STATIONS[0]!], ['egg']).batches[0]!.setUp).toBe('wash')
  expect(at([STATIONS[0]!], []).batches[0]!.setUp).toBe('wipe')
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
