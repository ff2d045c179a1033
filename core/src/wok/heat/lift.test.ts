import fc from 'fast-check'
import { HOB } from '../../test/stations'
import { advance } from './advance'
import { HEAT_FOODS } from './foods'
import { inBowl, lift, putBack, setPatch } from './lift'
import { emptyPan, foodC, heapMass, putIn, residuals } from './pan'
import { AIR_C } from './parameters'
import { vesselOf } from './vessel'

const panOf = (...foods: readonly (typeof HEAT_FOODS)[number][]) => {
  const pan = emptyPan(vesselOf(HOB), 230, 200, 10, 'stir')
  for (const food of foods) putIn(pan, { food, massG: 80, tempC: 8 })
  return pan
}

test('what is taken out and put back at once changes nothing: no heat, no water', () => {
  const food = fc.constantFrom(...HEAT_FOODS)
  fc.assert(
    fc.property(food, food, fc.integer({ min: 5, max: 90 }), (one, other, seconds) => {
      const pan = panOf(one, other)
      advance(pan, seconds, 1, 'rk4')
      const [before, tempC] = [heapMass(pan), foodC(pan, 0)]
      putBack(pan, lift(pan, 0))
      const after = heapMass(pan)
      expect(after.massKg).toBeCloseTo(before.massKg, 12)
      expect(after.freeKg).toBeCloseTo(before.freeKg, 12)
      expect(foodC(pan, 1)).toBeCloseTo(tempC, 9)
      expect(residuals(pan).energy).toBeLessThan(1e-9)
      expect(residuals(pan).water).toBeLessThan(1e-9)
    }),
    { numRuns: 40, endOnFailure: true },
  )
})

test('the others stay as they are, and move up by one', () => {
  const pan = panOf('garlic', 'poultry', 'rice')
  advance(pan, 30, 1, 'rk4')
  const temps = [foodC(pan, 0), foodC(pan, 2)]
  lift(pan, 1)
  expect(pan.portions.map(({ food }) => food)).toEqual(['garlic', 'rice'])
  expect([foodC(pan, 0), foodC(pan, 1)]).toEqual(temps)
})

test('in a bowl food cools towards the kitchen and never below it; more of it cools more slowly', () => {
  const lifted = (massG: number) => {
    const pan = emptyPan(vesselOf(HOB), 230, 200, 10, 'stir')
    putIn(pan, { food: 'rice', massG, tempC: 90 })
    return lift(pan, 0)
  }
  const coolsTo = (massG: number, seconds: number) => inBowl(lifted(massG), seconds).tempC
  expect(coolsTo(100, 0)).toBeCloseTo(90, 9)
  // 100 g have a time of 420 s: after it, a little more than a third of the difference is left.
  expect(coolsTo(100, 420)).toBeCloseTo(AIR_C + (90 - AIR_C) / Math.E, 6)
  expect(coolsTo(800, 420)).toBeGreaterThan(coolsTo(100, 420))
  expect(coolsTo(100, 100_000)).toBeCloseTo(AIR_C, 6)
})

test('nothing is taken from where nothing lies', () => {
  expect(() => lift(panOf('rice'), 1)).toThrow(/no component 1/)
  expect(() => setPatch(panOf('rice'), 3, 0.01)).toThrow(/no component 3/)
})
