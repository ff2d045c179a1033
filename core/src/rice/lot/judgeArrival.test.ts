import fc from 'fast-check'
import { celsiusOf } from '../../measure/temperature'
import { RULE_SETS } from '../../safety/limits'
import { arrivalLimits, judgeArrival, type Arrival } from './judgeArrival'
import { useByMs } from './lotHolding'

const NOW_MS = Date.parse('2026-11-28T18:00:00Z')
const HOUR_MS = 3_600_000
const HOUSE = { timeZone: 'Europe/London', keepDays: null, outMin: null, leadIds: [] }
const inC = (tempC: number) => ({ tempC, tempF: null })
const inF = (tempF: number) => ({ tempC: celsiusOf(tempF), tempF })
const arrival = (change: Partial<Arrival>): Arrival => ({
  arrivedAtMs: NOW_MS,
  cookedAtMs: NOW_MS - 12 * HOUR_MS,
  isReheated: false,
  read: inC(3),
  ...change,
})
const judge = (change: Partial<Arrival>, ruleSet: (typeof RULE_SETS)[number] = 'us') =>
  judgeArrival(arrival(change), ruleSet, HOUSE, NOW_MS)

test.each<[string, Partial<Arrival>, object]>([
  ['cold rice of known age', {}, { kind: 'cold' }],
  ['hot rice', { read: inC(70) }, { kind: 'hot' }],
  ['rice of unknown age', { cookedAtMs: 'nobodyKnows' }, { kind: 'refused', why: 'ageUnknown' }],
  ['rice heated again', { isReheated: true }, { kind: 'refused', why: 'reheated' }],
  ['rice cooked after it came', { cookedAtMs: NOW_MS + 1 }, { kind: 'refused', why: 'cookedLater' }],
  ['rice of last week', { cookedAtMs: NOW_MS - 200 * HOUR_MS }, { kind: 'refused', why: 'tooOld' }],
  ['lukewarm rice', { read: inC(25) }, { kind: 'refused', why: 'between' }],
  ['rice whose age nobody was asked', { cookedAtMs: null }, { kind: 'asking', missing: 'age' }],
  ['rice that nobody measured', { read: null }, { kind: 'asking', missing: 'temp' }],
  ['lukewarm rice of unasked age', { cookedAtMs: null, read: inC(25) }, { kind: 'refused', why: 'between' }],
])('%s', (_, change, expected) => {
  expect(judge(change)).toMatchObject(expected)
})

test('a kitchen that reads °F is held against its own figures', () => {
  expect(judge({ read: inF(41) })).toMatchObject({ kind: 'cold' })
  expect(judge({ read: inF(42) })).toMatchObject({ why: 'between' })
  expect(judge({ read: inF(135) })).toMatchObject({ kind: 'hot' })
  expect(judge({ read: inF(134) })).toMatchObject({ why: 'between' })
})

test('law: nothing warmer than cold and cooler than hot is ever taken in, nor anything past its use-by', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...RULE_SETS),
      fc.double({ min: -20, max: 100, noNaN: true }),
      fc.integer({ min: 0, max: 200 }),
      fc.boolean(),
      (ruleSet, tempC, ageH, isReheated) => {
        const cookedAtMs = NOW_MS - ageH * HOUR_MS
        const verdict = judge({ read: inC(tempC), cookedAtMs, isReheated }, ruleSet)
        const { cold, hot } = arrivalLimits(ruleSet)
        const mayCome =
          !isReheated && useByMs([ruleSet], HOUSE, cookedAtMs) >= NOW_MS && (tempC <= cold.tempC || tempC >= hot.tempC)
        expect(verdict.kind === 'cold' || verdict.kind === 'hot').toBe(mayCome)
      },
    ),
  )
})
