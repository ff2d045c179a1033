import fc from 'fast-check'
import { celsiusOf, fahrenheitOf } from '../../measure/temperature'
import { doubtOfLot, doubtReading, isStuck, type ReadingInput } from './doubtReading'
import type { LotPlace } from './lotEvent'

const MIN_MS = 60_000
const T0 = Date.parse('2026-11-25T14:00:00Z')
const reading = (change: Partial<ReadingInput>): ReadingInput => ({
  tempC: 40,
  tempF: null,
  atMs: T0 + 30 * MIN_MS,
  last: { tempC: 60, atMs: T0 },
  coldestC: 3,
  expectedC: null,
  isOut: false,
  ...change,
})

test.each<[string, Partial<ReadingInput>, object | null]>([
  ['as expected', {}, null],
  ['the first of a lot', { last: null, tempC: 88 }, null],
  ['hotter than steam, typed in °F', { tempC: 140 }, { doubt: 'unit', meantC: 60 }],
  ['hotter than steam, whatever was meant', { tempC: 300 }, { doubt: 'unit', meantC: null }],
  ['hotter than steam on a thermometer that reads °F', { tempC: 140, tempF: 284 }, { doubt: 'unit', meantC: null }],
  ['°F for what the model expects', { tempC: 99, expectedC: 38 }, { doubt: 'unit', meantC: celsiusOf(99) }],
  ['the same figure read in °F itself', { tempC: 99, tempF: 210, expectedC: 38, last: null }, null],
  ['colder than anything around it', { tempC: 0.5 }, { doubt: 'drop', meantC: null }],
  ['a little below the air, as probes are', { tempC: 1.5, last: null }, null],
  ['a fall that no tray makes', { tempC: 20, atMs: T0 + MIN_MS }, { doubt: 'drop' }],
  ['the same fall in half an hour', { tempC: 20 }, null],
  ['a rise inside the fridge', { tempC: 69 }, { doubt: 'rise' }],
  ['the same rise on the bench', { tempC: 69, isOut: true }, null],
  ['an older reading that comes late', { tempC: 20, atMs: T0 }, null],
])('a reading that is %s', (_, change, expected) => {
  const doubt = doubtReading(reading(change))
  if (expected === null) expect(doubt).toBeNull()
  else expect(doubt).toMatchObject(expected)
})

test('law: what follows the model is never doubted, in either unit', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 10, max: 95, noNaN: true }),
      fc.double({ min: 0.01, max: 3.9, noNaN: true }),
      fc.integer({ min: 1, max: 120 }),
      fc.boolean(),
      (fromC, kPerMin, minutes, isF) => {
        const tempC = Math.max(3, fromC - kPerMin * minutes)
        const tempF = isF ? fahrenheitOf(tempC) : null
        const last = { tempC: fromC, atMs: T0 }
        expect(doubtReading(reading({ tempC, tempF, last, atMs: T0 + minutes * MIN_MS, expectedC: tempC }))).toBeNull()
      },
    ),
  )
})

describe('by what stands around a lot', () => {
  const ask = (place: LotPlace | null, airTempC: number | null, tempC: number) =>
    doubtOfLot({ place, airTempC, readings: [] }, { tempC, tempF: null, atMs: T0 }, null)?.doubt ?? null
  test.each<[LotPlace | null, number | null, number, string | null]>([
    ['ice-bath', null, 0.5, null],
    ['ice-bath', 20, 0.5, null],
    ['ice-bath', null, -3, 'drop'],
    ['fridge', null, -4, 'drop'],
    ['fridge', 4, 1, 'drop'],
    ['fridge', 4, 2.5, null],
    ['fan', null, 0, 'drop'],
    ['freezer', null, -18, null],
    ['freezer', null, -40, 'drop'],
    ['bench', null, 5, null],
    [null, null, 5, null],
  ])('%s, air %s: %d °C', (place, airTempC, tempC, expected) => {
    expect(ask(place, airTempC, tempC)).toBe(expected)
  })

  test('a reading in doubt is not what the next one is held against', () => {
    const read = (minute: number, tempC: number, doubt: 'drop' | null) => ({
      id: String(minute),
      atMs: T0 + minute * MIN_MS,
      tempC,
      tempF: null,
      source: 'dial' as const,
      doubt,
    })
    const readings = [read(0, 60, null), read(10, 12, 'drop')] as never
    const now = { tempC: 52, tempF: null, atMs: T0 + 12 * MIN_MS }
    expect(doubtOfLot({ place: 'fridge', airTempC: null, readings }, now, null)).toBeNull()
  })
})

test('nothing is stuck without readings, and nothing is while the model stands still', () => {
  expect(isStuck([], () => 20)).toBe(false)
  const same = Array.from({ length: 6 }, (_, i) => ({ tempC: 41, atMs: T0 + i * MIN_MS }))
  expect(isStuck(same, () => 41)).toBe(false)
  expect(isStuck(same, (atMs) => 60 - (atMs - T0) / MIN_MS)).toBe(true)
})
