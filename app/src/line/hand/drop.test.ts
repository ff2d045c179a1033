import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import { DISH, TOOLS } from 'core/test/kitchen'
import { KNOWN } from '../../wok/test/known'
import { laneX, type LaneGeometry } from '../laneGeometry'
import { lineOf } from '../useLinePlan'
import type { ShownTicket } from '../useTickets'
import { dropOf, droppedBatch, ticketsWith } from './drop'

const NOW_MS = 1_700_000_000_000
const MIN_MS = 60_000
const geometry: LaneGeometry = { timesPx: 46, channelPx: 76, gapPx: 122, pxPerS: 1.5, nowLinePx: 70, aheadS: 900 }
const stations = [
  { id: 'a', name: 'Ring A', kind: 'wok', capPortions: 4 },
  { id: 'b', name: 'Ring B', kind: 'wok', capPortions: 4 },
  { id: 'plate', name: 'Griddle', kind: 'griddle', capPortions: 8 },
]
const item = {
  ...{ id: 'i1', dishId: DISH.id, portions: 2, firedPortions: 0, donePortions: 0 },
  ...{ modifiers: [], allergies: [] },
}
const ticket = {
  ...{ id: 't1', number: 7, placedAtMs: NOW_MS - MIN_MS, promisedAtMs: NOW_MS + 8 * MIN_MS, isCancelled: false },
  items: [item],
} as unknown as ShownTicket
const line = lineOf({
  kitchen: { ruleSet: 'us', tools: TOOLS, stations, staff: [] } as unknown as Kitchen,
  ...{ dishes: [DISH as unknown as Dish], tickets: [ticket], runs: [], pasts: [], later: null },
  ...{ nowMs: NOW_MS, known: KNOWN },
})
const batch = { ...line.batches[0]!, stationId: 'a' }
const lanePx = laneX(geometry, 1) - laneX(geometry, 0)
const at = (x: number, y: number, downIds: string[] = []) => dropOf(batch, { x, y }, { geometry, stations, downIds })
const drop = (x: number, y: number) => droppedBatch(batch, at(x, y), new Map(), () => 'pin-1')

test.each([
  ['not moved', 0, 0, 'a', 0, true],
  ['nudged is not moved', 30, 20, 'a', 0, true],
  ['to the next ring', lanePx, 0, 'b', 0, true],
  ['two minutes down', 0, 180, 'a', 120, true],
  ['up', 10, -100, 'a', -60, true],
  ['onto metal that does not fry it', 2 * lanePx, 0, 'plate', 0, false],
  ['off the plan to the left', -900, 0, 'a', 0, true],
])('dragged %s', (_name, x, y, stationId, laterS, isPossible) => {
  expect(at(x, y)).toEqual({ stationId, laterS, isPossible })
})

test('a station that is down takes nothing', () => {
  expect(at(lanePx, 0, ['b'])).toMatchObject({ stationId: 'b', isPossible: false })
})

test('let go elsewhere it is pinned there, and taken back it is not', () => {
  const dropped = drop(lanePx, 0)!
  expect(dropped.pin).toEqual({
    ...{ pinId: 'pin-1', stationId: 'b', notBeforeMs: null },
    parts: [{ itemId: 'i1', portions: 2 }],
  })
  expect(dropped.wishes).toEqual([{ kind: 'pin', isOff: false, ...dropped.pin }])
  expect(dropped.undo).toMatchObject([{ kind: 'pin', isOff: true, pinId: 'pin-1' }])
})

test('let go lower it waits until then; higher its tickets come first, and taken back they count as before', () => {
  expect(drop(0, 180)!.pin.notBeforeMs).toBe(Math.round(batch.startMs + 120_000))
  const sooner = drop(0, -180)!
  expect(sooner.pin).toMatchObject({ stationId: null, notBeforeMs: null })
  const first = ticketsWith(new Map(), sooner.wishes)
  expect(first).toEqual(new Map([['t1', { weight: 3, notBeforeMs: null }]]))
  expect(ticketsWith(first, sooner.undo)).toEqual(new Map([['t1', { weight: 1, notBeforeMs: null }]]))
})

test('let go where it was, or where it cannot be fried, nothing is asked', () => {
  expect(drop(0, 0)).toBeNull()
  expect(drop(2 * lanePx, 0)).toBeNull()
})
