import fc from 'fast-check'
import {
  blendWaterFraction,
  bulkKgPerL,
  cookTimes,
  GRAIN_FIGURES,
  GRAINS,
  METHODS,
  ruleWaterG,
  type Blend,
} from './cookMethod'
import { DRY_RICE_WATER_FRACTION, waterForTarget } from './waterBalance'

const one = fc.double({ min: 0.01, max: 1, noNaN: true })
const anyBlend: fc.Arbitrary<Blend> = fc
  .tuple(fc.subarray([...GRAINS], { minLength: 1 }), fc.array(one, { minLength: 7, maxLength: 7 }))
  .map(([grains, weights]) => {
    const sum = grains.reduce((total, _, i) => total + weights[i]!, 0)
    return Object.fromEntries(grains.map((grain, i) => [grain, weights[i]! / sum]))
  })
const between = (value: number, figures: readonly number[]) => {
  expect(value).toBeGreaterThanOrEqual(Math.min(...figures) - 1e-9)
  expect(value).toBeLessThanOrEqual(Math.max(...figures) + 1e-9)
}

test('law: a blend lies between its grains in density, moisture and water, and takes as long as the slowest', () => {
  fc.assert(
    fc.property(anyBlend, fc.constantFrom(...METHODS), (blend, method) => {
      const grains = Object.keys(blend) as (keyof Blend)[]
      const alone = <T>(of: (blend: Blend) => T) => grains.map((grain) => of({ [grain]: 1 }))
      between(bulkKgPerL(blend), alone(bulkKgPerL))
      between(blendWaterFraction(blend), alone(blendWaterFraction))
      const minutes = alone((grain) => cookTimes(method, grain).cookMin)
      expect(cookTimes(method, blend).cookMin).toBe(Math.max(...minutes))
    }),
  )
})

test('law: a rule of thumb is for as much rice as there is: double the rice, double the water, but for the splash', () => {
  fc.assert(
    fc.property(
      anyBlend,
      fc.constantFrom(...METHODS),
      fc.integer({ min: 100, max: 9000 }),
      (blend, method, dryMassG) => {
        const splash = ruleWaterG(method, blend, 0)
        expect(ruleWaterG(method, blend, 2 * dryMassG) - splash).toBeCloseTo(
          2 * (ruleWaterG(method, blend, dryMassG) - splash),
          6,
        )
      },
    ),
  )
})

test('every grain of every method comes out drier than porridge and wetter than raw, by its rule of thumb', () => {
  for (const method of METHODS)
    for (const grain of GRAINS) {
      const blend = { [grain]: 1 }
      const { cookMin, restMin } = cookTimes(method, blend)
      expect(cookMin).toBeGreaterThanOrEqual(9)
      expect(cookMin + restMin).toBeLessThanOrEqual(70)
      const ratio = ruleWaterG(method, blend, 1000) / 1000
      expect(ratio).toBeGreaterThan(0.85)
      expect(ratio).toBeLessThan(3.2)
    }
})

/** Common practice: what a kilogram of dry rice weighs when it is cooked for frying. */
test.each([
  ['long', 2.19],
  ['jasmine', 2.13],
  ['short', 2.03],
  ['parboiled', 2.3],
] as const)('a kilogram of %s cooks to about %s kg', (grain, yieldRatio) => {
  const { targetWaterFraction } = GRAIN_FIGURES[grain]
  const balance = waterForTarget({ dryMassG: 1000, targetWaterFraction, evaporatedG: 0 })
  expect(balance.yieldRatio).toBeCloseTo(yieldRatio, 1)
  expect(balance.yieldRatio).toBeCloseTo((1 - DRY_RICE_WATER_FRACTION) / (1 - targetWaterFraction), 12)
})

test.each([0.1, 0.125, 1, 1.2])('no water brings rice to a moisture of %s', (targetWaterFraction) => {
  expect(() => waterForTarget({ dryMassG: 1000, targetWaterFraction, evaporatedG: 0 })).toThrow(RangeError)
})

test.each<[string, Blend]>([
  ['nothing', {}],
  ['half', { long: 0.5 }],
  ['twice', { long: 1, short: 1 }],
])('a blend whose shares sum to %s is refused', (_what, blend) => {
  expect(() => blendWaterFraction(blend)).toThrow(/sum to/)
  expect(() => cookTimes('pot', blend)).toThrow(/sum to/)
})
