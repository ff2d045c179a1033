import { whyChanged } from './whyChanged'
import type { PlannedFrom } from './factsKey'
import { NO_WISHES, type LineWishes } from './wishes'

type Pieces = PlannedFrom['pieces']
const piece = (itemId: string, ticketNumber: number) =>
  ({ id: itemId, portions: 1, item: { itemId, ticketNumber } }) as unknown as Pieces[number]

const from = (wishes: Partial<LineWishes> = {}, more: Partial<PlannedFrom> = {}): PlannedFrom => ({
  pieces: [piece('a', 41)],
  runs: [{ runId: 'r', upMs: 100_000 }],
  stationIds: ['ring-a', 'ring-b'],
  cleaned: [],
  pairs: 2,
  ...more,
  wishes: { ...NO_WISHES, ...wishes },
})
const later = (atMs: number) => ({ laterStations: new Map([['ring-b', atMs]]) })
const down = { downStations: ['ring-b'] }
const names = ['ring-b']

test('a station goes down, starts later, at another time, and cooks again: each in its own word', () => {
  expect(whyChanged(from(), from(down))).toEqual([{ kind: 'down', names }])
  expect(whyChanged(from(), from(later(5)))).toEqual([{ kind: 'later', names }])
  expect(whyChanged(from(down), from(later(5)))).toEqual([{ kind: 'later', names }])
  expect(whyChanged(from(later(5)), from(later(9)))).toEqual([{ kind: 'later', names }])
  expect(whyChanged(from(later(5)), from(down))).toEqual([{ kind: 'down', names }])
  expect(whyChanged(from(down), from())).toEqual([{ kind: 'back', names }])
  expect(whyChanged(from(later(5)), from())).toEqual([{ kind: 'back', names }])
})

test('tickets by their numbers; a part of a ticket that is still there is not gone', () => {
  const two = { pieces: [piece('a', 41), piece('b', 42)] }
  expect(whyChanged(from(), from({}, two))).toEqual([{ kind: 'ticket', names: ['42'] }])
  expect(whyChanged(from({}, two), from())).toEqual([{ kind: 'fewer', names: ['42'] }])
  const parts = { pieces: [piece('a', 41), piece('a2', 41)] }
  expect(whyChanged(from({}, parts), from())).toEqual([])
})

test('a run counts from half a minute on; the same facts have no reason; nothing before is anew', () => {
  const late = (byMs: number) => from({}, { runs: [{ ...from().runs[0]!, upMs: 100_000 + byMs }] })
  expect(whyChanged(from(), late(29_000))).toEqual([])
  expect(whyChanged(from(), late(-30_000))).toEqual([{ kind: 'run', names: [] }])
  expect(whyChanged(from(), from())).toEqual([])
  expect(whyChanged(null, from())).toEqual([{ kind: 'anew', names: [] }])
})

test('what the house decided is told apart, the weightiest first', () => {
  const after = from({ ...down, goneDishes: ['duck'], pairs: 1 }, { pairs: 1 })
  expect(whyChanged(from(), after).map(({ kind }) => kind)).toEqual(['down', 'gone', 'hands'])
  const minded = from({ house: { ...NO_WISHES.house, lateness: 'much' as never } })
  expect(whyChanged(from(), minded)).toEqual([{ kind: 'weights', names: [] }])
})
