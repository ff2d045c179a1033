import fc from 'fast-check'
import { convert, type Conversion } from './convert'
import type { MeasuredIngredient } from './ingredient'
import { MEASURE_SYSTEMS, VOLUME_UNIT_ML, type MeasureSystem } from './units'

const soy: MeasuredIngredient = {
  name: 'soy sauce',
  densities: [{ form: 'liquid', gPerML: 1.18 }],
  countSizes: [],
  source: 'typical',
  confidence: 'high',
}
const egg: MeasuredIngredient = {
  name: 'egg',
  densities: [{ form: 'beaten', gPerML: 1.03 }],
  countSizes: [{ size: 'us-large', massG: 50 }],
  source: 'typical',
  confidence: 'high',
}

const value = (change: Partial<Conversion> & Pick<Conversion, 'value' | 'from' | 'to'>): number => {
  const result = convert({ system: 'us', toSystem: change.system ?? 'us', ...change })
  if (result.kind === 'refused') throw new Error(result.message)
  return result.value
}

describe('constants that others published', () => {
  test.each([
    ['teaspoon', 'tsp', 4.928922],
    ['tablespoon', 'tbsp', 14.78676],
    ['cup', 'cup', 236.5882],
    ['fluid ounce', 'fl oz', 29.57353],
  ])('US %s: NIST SP 811, to its last printed digit', (_name, unit, mL) => {
    expect(value({ value: 1, from: unit, to: 'mL' })).toBeCloseTo(mL, unit === 'cup' ? 4 : 5)
  })

  test('avoirdupois ounce and pound: NIST Handbook 44, Appendix C, exactly', () => {
    expect(value({ value: 1, from: 'oz', to: 'g' })).toBe(28.349523125)
    expect(value({ value: 1, from: 'lb', to: 'g' })).toBe(453.59237)
  })

  test('labelling measures: 21 CFR 101.9(b)(5)(viii), exactly', () => {
    const system = 'us-label'
    expect([
      value({ value: 1, from: 'tsp', to: 'mL', system }),
      value({ value: 1, from: 'tbsp', to: 'mL', system }),
    ]).toEqual([5, 15])
    expect([
      value({ value: 1, from: 'cup', to: 'mL', system }),
      value({ value: 1, from: 'fl oz', to: 'mL', system }),
    ]).toEqual([240, 30])
  })

  test('the Australian tablespoon is 20 mL, the Japanese cup 200 mL (common standards)', () => {
    expect(value({ value: 3, from: 'tbsp', to: 'mL', system: 'au' })).toBe(60)
    expect(value({ value: 1, from: 'cup', to: 'mL', system: 'jp' })).toBe(200)
  })

  test('a tablespoon of soy sauce weighs 16 to 18.5 g (common practice)', () => {
    const massG = value({ value: 1, from: 'tbsp', to: 'g', ingredient: soy })
    expect(massG).toBeGreaterThan(16)
    expect(massG).toBeLessThan(18.5)
  })
})

describe('laws', () => {
  const unitIn = (system: MeasureSystem) => fc.constantFrom('mL', 'L', ...Object.keys(VOLUME_UNIT_ML[system]))
  const pair = fc
    .tuple(fc.constantFrom(...MEASURE_SYSTEMS), fc.constantFrom(...MEASURE_SYSTEMS))
    .chain(([system, toSystem]) =>
      fc.tuple(fc.constant(system), fc.constant(toSystem), unitIn(system), unitIn(toSystem)),
    )
  const amount = fc.double({ min: 1e-3, max: 1e5, noNaN: true })

  test('there and back is where it began, between any two systems', () => {
    fc.assert(
      fc.property(pair, amount, ([system, toSystem, from, to], one) => {
        const there = value({ value: one, from, to, system, toSystem })
        const back = value({ value: there, from: to, to: from, system: toSystem, toSystem: system })
        expect(back / one).toBeCloseTo(1, 12)
      }),
    )
  })

  test('mass to volume and back through a density', () => {
    fc.assert(
      fc.property(amount, (one) => {
        const volume = value({ value: one, from: 'oz', to: 'cup', ingredient: soy })
        expect(value({ value: volume, from: 'cup', to: 'oz', ingredient: soy }) / one).toBeCloseTo(1, 12)
      }),
    )
  })
})

test("counts and the kitchen's own ladle", () => {
  expect(value({ value: 3, from: 'us-large', to: 'g', ingredient: egg })).toBe(150)
  expect(
    value({
      value: 103,
      from: 'g',
      to: 'small ladle',
      ingredient: egg,
      vessels: [{ name: 'small ladle', volumeML: 50 }],
    }),
  ).toBeCloseTo(2, 12)
})

test('via names the density, its form and its source', () => {
  const result = convert({ value: 1, from: 'tbsp', to: 'g', system: 'us', toSystem: 'us', ingredient: soy })
  expect(result).toMatchObject({
    kind: 'converted',
    via: expect.arrayContaining([expect.stringMatching(/1\.18 g\/mL.*typical/)]),
  })
})

describe('what cannot be converted says what to do', () => {
  test.each([
    [{ value: 1, from: 'cup', to: 'g' }, 'ingredient', /name the ingredient/],
    [{ value: -1, from: 'g', to: 'kg' }, 'value', /zero or more/],
    [{ value: Number.NaN, from: 'g', to: 'kg' }, 'value', /finite number/],
    [{ value: 1, from: 'handful', to: 'g' }, 'from', /use mg, g, kg/],
    [{ value: 1, from: 'pint', to: 'mL', system: 'us-label' as const }, 'from', /another system/],
    [{ value: 1, from: 'tbsp', to: 'g', ingredient: soy, form: 'minced' }, 'form', /use liquid/],
    [{ value: 1, from: 'tbsp', to: 'g', ingredient: { ...soy, densities: [] } }, 'ingredient', /weigh/],
  ])('%j', (change, field, message) => {
    expect(convert({ system: 'us', toSystem: 'us', ...change })).toMatchObject({
      kind: 'refused',
      field,
      message: expect.stringMatching(message),
    })
  })
})
