import fc from 'fast-check'
import { bulkUnitG, SCALE_UNITS, shownBulk, shownMass, writeBulk, writeMass } from './scaleUnit'
import { isMassUnit, MASS_UNIT_G } from './units'

test.each([
  [0.04, '0 g'],
  [0.4, '0.4 g'],
  [7.46, '7.5 g'],
  [9.97, '10 g'],
  [46.2, '46 g'],
  [999.4, '999 g'],
  [999.6, '1.00 kg'],
  [1040, '1.04 kg'],
  [-12.6, '-13 g'],
])('%d g on a scale of grams: %s', (massG, words) => expect(writeMass(massG, 'g')).toBe(words))

/** 28.349523125 g an ounce, 453.59237 g a pound. Source: NIST Handbook 44, Appendix C. */
test.each([
  [7.46, '0.26 oz'],
  [28.2, '0.99 oz'],
  [28.35, '1 oz'],
  [46, '1.6 oz'],
  [260, '9.2 oz'],
  [453.2, '1.00 lb'],
  [1040, '2.29 lb'],
  [12_400, '27.34 lb'],
])('%d g on a scale of ounces: %s', (massG, words) => expect(writeMass(massG, 'oz')).toBe(words))

test('rice stays in the large unit, however little is left', () => {
  expect([800, 12_400].map((massG) => writeBulk(massG, 'g'))).toEqual(['0.8 kg', '12.4 kg'])
  expect([800, 12_400].map((massG) => writeBulk(massG, 'oz'))).toEqual(['1.8 lb', '27.3 lb'])
  expect(shownBulk(1234, 'g', 2)).toEqual({ figures: '1.23', unit: 'kg' })
})

test('what is shown, read back, is the mass to half of its last digit; the two scales never differ by more', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 60_000, noNaN: true }),
      fc.constantFrom(...SCALE_UNITS),
      (massG, weighsIn) => {
        const { figures, unit } = shownMass(massG, weighsIn)
        const digits = figures.split('.')[1]?.length ?? 0
        // A figure that ends in nought is written without it: 7 g stands for 7.0 g.
        const leastDigits = unit === 'g' || unit === 'oz' ? Math.max(digits, unit === 'oz' ? 1 : 0) : digits
        const halfDigitG = 0.5 * 10 ** -leastDigits * MASS_UNIT_G[unit]
        expect(Math.abs(Number(figures) * MASS_UNIT_G[unit] - massG)).toBeLessThanOrEqual(halfDigitG * (1 + 1e-9))
        expect(isMassUnit(unit)).toBe(true)
        expect(unit === 'kg' || unit === 'lb').toBe(Number(figures) * MASS_UNIT_G[unit] >= bulkUnitG(weighsIn) * 0.9999)
      },
    ),
    { endOnFailure: true },
  )
})
