import fc from 'fast-check'
import { aGriddle, aWok, HOB } from '../../test/stations'
import { advance } from './advance'
import { HEAT_FOODS } from './foods'
import { setPatch } from './lift'
import { P_AREA_A, P_AREA_B, P_MIXES, P_SURFACE, PER_PART, type Pan } from './layout'
import { portionOf, type FoodLoad } from './load'
import { emptyPan, foodC, putIn, residuals } from './pan'
import { HANDLINGS, WATER_J_PER_KGK, type Handling } from './parameters'
import { vesselOf } from './vessel'

/** Foods that touch nothing but each other: neither metal nor air. */
function apart(loads: readonly FoodLoad[], handling: Handling = 'stir') {
  const pan = emptyPan(vesselOf(HOB), 20, 20, 0, handling)
  for (const load of loads) putIn(pan, load)
  loads.forEach((_, index) => {
    for (const place of [P_AREA_A, P_AREA_B, P_SURFACE]) pan.parts[index * PER_PART + place] = 0
  })
  return pan
}

/** What all their heat makes of them together: a sum on paper, ice included [°C]. */
function mixedC(loads: readonly FoodLoad[]): number {
  const sums = loads.map((load) => {
    const { dryJPerK, freeKg, boundKg, iceJ } = portionOf(load)
    const perK = dryJPerK + (freeKg + boundKg) * WATER_J_PER_KGK
    return { perK, heatJ: perK * load.tempC - iceJ }
  })
  return sums.reduce((sum, { heatJ }) => sum + heatJ, 0) / sums.reduce((sum, { perK }) => sum + perK, 0)
}
const ONION = { food: 'allium', massG: 200, tempC: 90 } as const
const BEEF = { food: 'meat', massG: 300, tempC: 10 } as const
const RICE = { food: 'rice', massG: 400, tempC: 90 } as const
const PEAS = { food: 'peas', massG: 100, tempC: -18 } as const

/** The last figure: the same sum with the table of foods of the project's prototype, which differs by a few per cent. */
test.each([
  ['onion at 90 °C and beef at 10 °C', [ONION, BEEF], 44.545],
  ['rice at 90 °C and frozen peas', [RICE, PEAS], 53.512],
])('%s come to one temperature, and it is that of all their heat', (_, loads, prototypeC) => {
  const pan = apart(loads)
  advance(pan, 1_500, 0.5, 'rk4')
  expect(foodC(pan, 0)).toBeCloseTo(foodC(pan, 1), 4)
  expect(foodC(pan, 0)).toBeCloseTo(mixedC(loads), 1)
  expect(Math.abs(foodC(pan, 0) / prototypeC - 1)).toBeLessThan(0.04)
})

test('law: between foods heat runs from the warmer to the colder, and none is lost on the way', () => {
  const load = fc.record({
    food: fc.constantFrom(...HEAT_FOODS),
    massG: fc.integer({ min: 5, max: 400 }),
    tempC: fc.integer({ min: 1, max: 95 }),
  })
  fc.assert(
    fc.property(fc.array(load, { minLength: 2, maxLength: 5 }), fc.constantFrom(...HANDLINGS), (loads, handling) => {
      const pan = apart(loads, handling)
      const temps = () => loads.map((_, index) => foodC(pan, index))
      const [before, spanK] = [temps(), (some: number[]) => Math.max(...some) - Math.min(...some)]
      advance(pan, 40, 0.5, 'rk4')
      expect(spanK(temps())).toBeLessThanOrEqual(spanK(before) + 1e-9)
      expect(Math.max(...temps())).toBeLessThanOrEqual(Math.max(...before) + 1e-9)
      expect(residuals(pan).energy).toBeLessThan(1e-9)
      expect(residuals(pan).water).toBeLessThan(1e-9)
    }),
    { numRuns: 60, endOnFailure: true },
  )
})

test('finer pieces take heat from the heap sooner; what lies apart, as an egg in a well, takes none', () => {
  const dice = (pieceMm: number) =>
    apart([
      { food: 'rice', massG: 300, tempC: 5 },
      { food: 'cured', massG: 40, tempC: 5, pieceMm },
    ])
  const mixes = (pan: Pan) => pan.parts[PER_PART + P_MIXES]!
  expect(mixes(dice(4))).toBeGreaterThan(1.5 * mixes(dice(8)))
  const pan = dice(4)
  setPatch(pan, 1, 0.01)
  expect(mixes(pan)).toBe(0)
})

/** Common practice: cold dice of cooked meat get hot within two minutes in rice that is tossed over a strong flame. */
test('cooked dice that go onto hot rice are hot in half a minute to two minutes', () => {
  const pan = emptyPan(vesselOf(aWok(15_000)), 230, 200, 12, 'toss')
  putIn(pan, { food: 'rice', massG: 450, tempC: 5 })
  advance(pan, 75, 0.5, 'rk4')
  const dice = putIn(pan, { food: 'meat', massG: 45, tempC: 4, pieceMm: 6 })
  while (foodC(pan, dice) < 74 && pan.atS < 400) advance(pan, pan.atS + 1, 0.5, 'rk4')
  expect(pan.atS - 75).toBeGreaterThan(30)
  expect(pan.atS - 75).toBeLessThan(120)
})

test.each([1, 4])(
  'a pinch of herb that dries out among other food stays as hot as they are, by steps of %d s',
  (stepS) => {
    const pan = emptyPan(vesselOf(aGriddle()), 225, 225, 12, 'flip')
    const foods = [
      { food: 'herb', massG: 5, tempC: 5 },
      { food: 'paste', massG: 55, tempC: 5 },
      { food: 'hardVeg', massG: 88, tempC: 5, pieceMm: 4 },
      { food: 'readyVeg', massG: 220, tempC: 5, pieceMm: 12 },
      { food: 'rice', massG: 1100, tempC: 18 },
    ] as const
    foods.forEach((one, nth) => {
      putIn(pan, one)
      for (let n = 0; n < (nth === foods.length - 1 ? 100 : 10); n += 1) {
        advance(pan, pan.atS + stepS, stepS, 'heun')
        for (let index = 0; index <= nth; index += 1) {
          expect(foodC(pan, index)).toBeGreaterThan(0)
          expect(foodC(pan, index)).toBeLessThan(230)
        }
      }
    })
  },
)
