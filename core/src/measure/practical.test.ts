import fc from 'fast-check'
import { practicalMeasure, ROUNDING_LIMIT_FRACTION, type MeasureTools } from './practical'

const tools: MeasureTools = {
  system: 'us',
  ladles: [
    { name: 'large ladle', volumeML: 120 },
    { name: 'small ladle', volumeML: 40 },
  ],
  scaleResolutionG: 1,
  fineScale: { belowG: 10, resolutionG: 0.1 },
}

test('48 g of soy is one small ladle; 17.5 g is a tablespoon', () => {
  const soy = { gPerML: 1.18, isSalty: true, isPourable: true }
  expect(practicalMeasure({ massG: 48, ...soy }, tools)).toMatchObject({ tool: 'ladle', name: 'small ladle', count: 1 })
  expect(practicalMeasure({ massG: 17.5, ...soy }, tools)).toMatchObject({ tool: 'tbsp', count: 1 })
})

test('eggs are counted, by halves', () => {
  const egg = { count: { size: 'egg', massG: 50 }, gPerML: 1.03, isSalty: false, isPourable: true }
  expect(practicalMeasure({ massG: 106, ...egg }, tools)).toMatchObject({ tool: 'count', count: 2 })
  expect(practicalMeasure({ massG: 124, ...egg }, tools)).toMatchObject({ tool: 'count', count: 2.5 })
})

test('what does not pour is never taken by the ladle', () => {
  const duck = { massG: 124, gPerML: 0.58, isSalty: false, isPourable: false }
  expect(practicalMeasure(duck, tools).tool).toBe('scale')
})

test('a small amount goes to the fine scale, and without one to what comes closest', () => {
  const pepper = { massG: 0.66, gPerML: 0.48, isSalty: true, isPourable: false }
  expect(practicalMeasure(pepper, tools)).toMatchObject({ tool: 'scale', count: 0.7 })
  expect(practicalMeasure(pepper, { ...tools, fineScale: null })).toMatchObject({ tool: 'tsp', count: 0.25 })
})

test('any mass gets a measure, within the accepted rounding wherever the scale is fine enough', () => {
  const thing = fc.record({
    massG: fc.double({ min: 0.5, max: 5000, noNaN: true }),
    gPerML: fc.double({ min: 0.2, max: 1.5, noNaN: true }),
    isSalty: fc.boolean(),
    isPourable: fc.boolean(),
  })
  fc.assert(
    fc.property(thing, (one) => {
      const measure = practicalMeasure(one, tools)
      expect(measure.massG / one.massG - 1).toBeCloseTo(measure.errorFraction, 9)
      const limit = one.isSalty ? ROUNDING_LIMIT_FRACTION.salty : ROUNDING_LIMIT_FRACTION.other
      expect(Math.abs(measure.errorFraction)).toBeLessThanOrEqual(Math.max(limit, 0.1 / one.massG))
    }),
  )
})

test('no mass, no measure', () => {
  expect(() => practicalMeasure({ massG: 0, isSalty: false, isPourable: false }, tools)).toThrow(RangeError)
})
