import { HOB, RING } from '../../test/stations'
import { advance } from './advance'
import { donenessAt, followAdded, followStep, killPerS, rateAt, startFollowing, type Doneness } from './doneness'
import { FOOD_THERMAL } from './foodTable'
import type { FoodLoad } from './load'
import { emptyPan, putIn } from './pan'
import type { Handling } from './parameters'
import { preheat } from './preheat'
import { vesselOf, type HeatStation } from './vessel'

/** When a load alone in a wok at 230 °C comes so far [s]. */
function when(
  station: HeatStation,
  load: FoodLoad,
  isDone: (one: Doneness) => boolean,
  handling: Handling = 'stir',
): number {
  const vessel = vesselOf(station)
  const pan = emptyPan(vessel, 230, preheat(vessel, 230).rimC, 12, handling)
  const following = startFollowing()
  putIn(pan, load)
  followAdded(pan, following)
  for (let atS = 0.25; atS <= 600; atS += 0.25) {
    advance(pan, atS, 0.25, 'rk4', (_, stepS) => followStep(pan, following, stepS))
    if (isDone(donenessAt(following, 0))) return atS
  }
  return Infinity
}

/** Common practice, and the project's bands: alone in a wok of 36 cm on a hob of 3.5 kW. */
test.each<[string, FoodLoad, (one: Doneness) => boolean, number, number]>([
  ['minced garlic is fragrant', { food: 'garlic', massG: 5, tempC: 20 }, (one) => one.browning >= 1, 20, 30],
  ['minced garlic is burnt', { food: 'garlic', massG: 5, tempC: 20 }, (one) => one.browning >= 8, 40, 80],
  ['diced onion is soft', { food: 'allium', massG: 60, tempC: 10 }, (one) => one.softness >= 1, 90, 150],
  ['diced carrot is tender', { food: 'hardVeg', massG: 60, tempC: 10 }, (one) => one.softness >= 1, 90, 150],
  [
    'shrimp of 13 mm is cooked',
    { food: 'seafood', massG: 150, tempC: 4 },
    (one) => one.logKill >= 4 && one.coreC >= 63,
    100,
    180,
  ],
  ['beef of 5 mm is cooked', { food: 'meat', massG: 250, tempC: 4 }, (one) => one.logKill >= 5, 90, 160],
  ['chicken of 10 mm is safe', { food: 'poultry', massG: 200, tempC: 4 }, (one) => one.logKill >= 7, 110, 220],
  ['leaves are wilted', { food: 'leafy', massG: 80, tempC: 5 }, (one) => one.softness >= 1, 20, 45],
  ['a thin egg is set', { food: 'egg', massG: 110, tempC: 6 }, (one) => one.softness >= 2.3, 20, 60],
])('%s', (_what, load, isDone, least, most) => {
  const atS = when(HOB, load, isDone)
  expect(atS).toBeGreaterThanOrEqual(least)
  expect(atS).toBeLessThanOrEqual(most)
})

test('on a ring an egg sets and garlic browns sooner, an egg in under 40 s', () => {
  const egg: FoodLoad = { food: 'egg', massG: 110, tempC: 6 }
  expect(when(RING, egg, (one) => one.softness >= 2.3)).toBeLessThan(40)
  const garlic: FoodLoad = { food: 'garlic', massG: 5, tempC: 20 }
  const burnt = (station: HeatStation) => when(station, garlic, (one) => one.browning >= 8)
  expect(burnt(RING)).toBeLessThan(burnt(HOB))
})

test('thicker pieces are safe later', () => {
  const safe = (pieceMm: number) =>
    when(HOB, { food: 'poultry', massG: 150, tempC: 4, pieceMm }, (one) => one.logKill >= 7)
  expect(safe(5)).toBeLessThan(safe(10))
  expect(safe(10)).toBeLessThan(safe(20))
})

/**
 * Poultry by its table: seven powers of ten take 36 s at 70 °C and 7.8 s at 74 °C; order of the tables of FSIS's
 * Appendix A, from memory.
 */
test.each([
  [70, 36],
  [74, 7.8],
])('seven powers of ten at %d °C in %d s', (tempC, seconds) => {
  expect(7 / killPerS(FOOD_THERMAL.poultry.kill!, tempC) / seconds).toBeCloseTo(1, 1)
})

test('a rate is its own at its temperature and doubles where Arrhenius says', () => {
  const rate = { perS: 0.5, atC: 85, activationJPerMol: 90_000 }
  expect(rateAt(rate, 85)).toBe(0.5)
  const doubled = 1 / (1 / 358.15 - (Math.LN2 * 8.314462) / 90_000) - 273.15
  expect(rateAt(rate, doubled)).toBeCloseTo(1, 9)
})
