import fc from 'fast-check'
import { isWashed, setUpFor, type SetUp, type StationPast } from './stationPast'

const past = (part: Partial<StationPast> = {}): StationPast => ({
  lastDishId: null,
  usedUntilMs: null,
  washedAtMs: null,
  ...part,
})

test.each<[string, StationPast, boolean]>([
  ['never used, never washed', past(), false],
  ['washed before the first use', past({ washedAtMs: 1 }), true],
  ['used since it was washed', past({ washedAtMs: 1, usedUntilMs: 2 }), false],
  ['washed when it came free', past({ washedAtMs: 2, usedUntilMs: 2 }), true],
  ['washed since', past({ washedAtMs: 3, usedUntilMs: 2 }), true],
])('%s: washed is %s', (_, station, washed) => {
  expect(isWashed(station)).toBe(washed)
})

const egg = ['egg'] as const
test.each<[string, string, readonly 'egg'[], StationPast, SetUp]>([
  ['the same dish again', 'duck', [], past({ lastDishId: 'duck', usedUntilMs: 1 }), 'none'],
  ['another dish', 'crab', [], past({ lastDishId: 'duck', usedUntilMs: 1 }), 'wipe'],
  ['nothing was cooked on it', 'crab', [], past(), 'none'],
  ['an allergy on metal nobody washed', 'crab', egg, past(), 'wash'],
  ['an allergy after the same dish', 'duck', egg, past({ lastDishId: 'duck', usedUntilMs: 1 }), 'wash'],
  ['an allergy on washed metal', 'crab', egg, past({ lastDishId: 'duck', usedUntilMs: 1, washedAtMs: 2 }), 'none'],
  [
    'an allergy, washed before the last use',
    'crab',
    egg,
    past({ lastDishId: 'duck', usedUntilMs: 3, washedAtMs: 2 }),
    'wash',
  ],
])('%s', (_, dishId, allergies, station, setUp) => {
  expect(setUpFor({ dishId, allergies: [...allergies] }, station)).toBe(setUp)
})

test('law: an allergy is never met with less than a wash, unless the station was washed since its last use', () => {
  const ms = fc.option(fc.integer({ min: 0, max: 5 }))
  fc.assert(
    fc.property(ms, ms, fc.option(fc.constantFrom('duck', 'crab')), (usedUntilMs, washedAtMs, lastDishId) => {
      const station = past({ usedUntilMs, washedAtMs, lastDishId })
      const setUp = setUpFor({ dishId: 'duck', allergies: ['egg'] }, station)
      expect(setUp).toBe(isWashed(station) ? 'none' : 'wash')
    }),
  )
})
