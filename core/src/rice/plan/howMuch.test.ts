import fc from 'fast-check'
import { cookedMassWantedG, portionsToCover, sufficientShare } from './howMuch'
import { normalCdf, normalQuantile } from './normal'

test.each([
  [0.5, 0],
  [0.8413447460685429, 1],
  [0.9772498680518208, 2],
  [0.975, 1.959963984540054],
  [0.1, -1.2815515655446004],
])('the normal quantile of %s is %s (tables of the normal distribution, from memory)', (share, z) => {
  expect(normalQuantile(share)).toBeCloseTo(z, 10)
  expect(normalCdf(z)).toBeCloseTo(share, 12)
})

test('law: quantile and distribution undo each other, and both rise', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.0001, max: 0.9999, noNaN: true }), (share) => {
      expect(normalCdf(normalQuantile(share))).toBeCloseTo(share, 10)
    }),
  )
  fc.assert(
    fc.property(fc.double({ min: -6, max: 6, noNaN: true }), fc.double({ min: 0.01, max: 2, noNaN: true }), (z, by) => {
      expect(normalCdf(z + by)).toBeGreaterThan(normalCdf(z))
      expect(normalCdf(z) + normalCdf(-z)).toBeCloseTo(1, 12)
    }),
  )
})

test.each([0, 1, -0.1, Number.NaN])('a share of %s is refused', (share) => {
  expect(() => normalQuantile(share)).toThrow(RangeError)
})

test('nine in ten where a missed portion costs nine times one thrown away (newsvendor, common practice)', () => {
  expect(sufficientShare({ shortageCost: 9, wasteCost: 1 })).toBeCloseTo(0.9, 12)
  expect(sufficientShare({ shortageCost: 2, wasteCost: 2 })).toBe(0.5)
  expect(() => sufficientShare({ shortageCost: 0, wasteCost: 1 })).toThrow(/above 0/)
})

test('law: the number that is cooked costs least, weighed against every number beside it', () => {
  const cost = (cooked: number, expected: number, spread: number, shortage: number, waste: number) => {
    let total = 0
    for (let z = -5; z <= 5; z += 0.05) {
      const demand = Math.max(0, expected + z * spread)
      const weight = Math.exp((-z * z) / 2)
      total += weight * (demand > cooked ? (demand - cooked) * shortage : (cooked - demand) * waste)
    }
    return total
  }
  fc.assert(
    fc.property(
      fc.integer({ min: 40, max: 200 }),
      fc.integer({ min: 5, max: 30 }),
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 1, max: 9 }),
      (expected, spread, shortage, waste) => {
        const best = portionsToCover(expected, spread, sufficientShare({ shortageCost: shortage, wasteCost: waste }))
        const least = cost(best, expected, spread, shortage, waste)
        for (const other of [best * 0.8, best * 0.9, best * 1.1, best * 1.2])
          expect(cost(other, expected, spread, shortage, waste)).toBeGreaterThanOrEqual(least * 0.999)
      },
    ),
    { numRuns: 40 },
  )
})

test.each([
  [10, 220, 0, 2200],
  [10.2, 220, 0, 2420],
  [10, 220, 500, 1700],
  [2, 220, 900, 0],
  [10.0000000001, 220, 0, 2200],
])('%s portions of %s g with %s g in the house: %s g', (portions, portionG, usableG, massG) => {
  expect(cookedMassWantedG({ portions, portionG, usableG })).toBeCloseTo(massG, 6)
})
