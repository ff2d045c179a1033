import fc from 'fast-check'
import { component, DISH } from '../test/kitchen'
import { setUpFor, type SetUp } from './station'
import { cleanedSinceUse, isWashed, UNTOUCHED, type StationPast } from './stationPast'

const past = (part: Partial<StationPast> = {}): StationPast => ({ ...UNTOUCHED, ...part })

test.each<[string, StationPast, boolean]>([
  ['never used, never washed', past(), false],
  ['washed before the first use', past({ washedAtMs: 1 }), true],
  ['used since it was washed', past({ washedAtMs: 1, usedUntilMs: 2 }), false],
  ['washed when it came free', past({ washedAtMs: 2, usedUntilMs: 2 }), true],
  ['washed since', past({ washedAtMs: 3, usedUntilMs: 2 }), true],
])('%s: washed is %s', (_, station, washed) => {
  expect(isWashed(station)).toBe(washed)
})

const sauce = (ingredientId: string) =>
  component({ id: 'sauce', role: 'liquidSeasoning', food: 'seasoning', ratioG: 3, ingredientId })
const DUCK = { ...DISH, id: 'duck', components: [sauce('soy')] }
const PORK = { ...DISH, id: 'pork', components: [sauce('soy')] }
const CRAB = { ...DISH, id: 'crab', components: [sauce('curry')] }
const egg = ['egg'] as const
const usedMs = { lastDishId: 'duck', usedUntilMs: 1 }
test.each<[string, typeof DUCK, readonly 'egg'[], StationPast, typeof DUCK | null, SetUp]>([
  ['the same dish again', DUCK, [], past(usedMs), DUCK, 'none'],
  ['another dish with the same base', PORK, [], past(usedMs), DUCK, 'wipe'],
  ['another dish', CRAB, [], past(usedMs), DUCK, 'brush'],
  ['a dish that is not in the book any more', CRAB, [], past(usedMs), null, 'brush'],
  ['nothing was cooked on it', CRAB, [], past(), null, 'none'],
  ['an allergy on metal nobody washed', CRAB, egg, past(), null, 'wash'],
  ['an allergy after the same dish', DUCK, egg, past(usedMs), DUCK, 'wash'],
  ['another dish, brushed since', CRAB, [], past({ ...usedMs, brushedAtMs: 2 }), DUCK, 'none'],
  ['another dish, brushed before the last use', CRAB, [], past({ ...usedMs, brushedAtMs: 0 }), DUCK, 'brush'],
  ['another dish, only wiped since', CRAB, [], past({ ...usedMs, wipedAtMs: 2 }), DUCK, 'brush'],
  ['the same base, wiped since', PORK, [], past({ ...usedMs, wipedAtMs: 2 }), DUCK, 'none'],
  ['an allergy on brushed metal', CRAB, egg, past({ ...usedMs, brushedAtMs: 2, wipedAtMs: 2 }), DUCK, 'wash'],
  ['an allergy on washed metal', CRAB, egg, past({ ...usedMs, washedAtMs: 2 }), DUCK, 'none'],
  [
    'an allergy, washed before the last use',
    CRAB,
    egg,
    past({ ...usedMs, usedUntilMs: 3, washedAtMs: 2 }),
    DUCK,
    'wash',
  ],
])('%s', (_, dish, allergies, station, fried, setUp) => {
  expect(setUpFor({ dish, allergies }, station, fried)).toBe(setUp)
})

test('the more thorough cleaning counts, and none from before the last use', () => {
  expect(cleanedSinceUse(past({ usedUntilMs: 1, wipedAtMs: 3, brushedAtMs: 2 }))).toBe('brushed')
  expect(cleanedSinceUse(past({ usedUntilMs: 2, wipedAtMs: 2, brushedAtMs: 1 }))).toBe('wiped')
  expect(cleanedSinceUse(past({ usedUntilMs: 3, wipedAtMs: 2, brushedAtMs: 2 }))).toBeNull()
})

test('law: an allergy is never met with less than a wash, unless the station was washed since its last use', () => {
  const ms = fc.option(fc.integer({ min: 0, max: 5 }))
  fc.assert(
    fc.property(
      ms,
      ms,
      ms,
      ms,
      fc.option(fc.constantFrom('duck', 'crab')),
      (usedUntilMs, washedAtMs, wipedAtMs, brushedAtMs, lastDishId) => {
        const station = past({ usedUntilMs, washedAtMs, wipedAtMs, brushedAtMs, lastDishId })
        const setUp = setUpFor({ dish: DUCK, allergies: ['egg'] }, station, lastDishId === null ? null : DUCK)
        expect(setUp).toBe(isWashed(station) ? 'none' : 'wash')
      },
    ),
  )
})
