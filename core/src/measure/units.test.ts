import fc from 'fast-check'
import { celsiusOf, fahrenheitOf, isAbove, isBelow } from './temperature'
import {
  isMassUnit,
  isMetricVolume,
  MASS_UNIT_G,
  MEASURE_SYSTEMS,
  readUnit,
  VOLUME_UNIT_ML,
  volumeUnitML,
  type VolumeUnit,
} from './units'

test.each([
  ['Tbsp.', 'tbsp'],
  ['TABLESPOONS', 'tbsp'],
  ['teaspoon', 'tsp'],
  ['Cups', 'cup'],
  ['grams', 'g'],
  ['gr', 'g'],
  ['Kilos', 'kg'],
  ['lbs.', 'lb'],
  ['ounces', 'oz'],
  ['fl  oz', 'fl oz'],
  ['fluid ounces', 'fl oz'],
  ['cc', 'mL'],
  ['ML', 'mL'],
  ['litre', 'L'],
  ['Liters', 'L'],
  ['gō', 'gō'],
  ['kati', 'catty'],
  ['pinch', null],
  ['clove', null],
  ['', null],
  ['metre', null],
])('"%s" means %s', (word, unit) => expect(readUnit(word)).toBe(unit))

describe('systems agree within themselves', () => {
  /** Ratios that hold wherever both units are defined: NIST Handbook 44, Appendix C, and common practice. */
  test.each<[VolumeUnit, number, VolumeUnit, (typeof MEASURE_SYSTEMS)[number][]]>([
    ['tbsp', 3, 'tsp', ['us', 'us-label', 'metric', 'jp', 'uk', 'in', 'sg', 'rice-cooker']],
    ['tbsp', 4, 'tsp', ['au']],
    ['cup', 16, 'tbsp', ['us', 'us-label', 'in']],
    ['pint', 2, 'cup', ['us', 'uk']],
    ['quart', 2, 'pint', ['us', 'uk', 'au']],
    ['gallon', 4, 'quart', ['us', 'uk', 'au']],
    ['cup', 8, 'fl oz', ['us', 'us-label']],
    ['pint', 20, 'fl oz', ['uk', 'au']],
  ])('one %s is %d %s', (large, times, small, systems) => {
    for (const system of systems)
      expect(volumeUnitML(large, system)! / volumeUnitML(small, system)!).toBeCloseTo(times, 9)
  })

  test('metric volumes are the same everywhere, spoons and cups are not', () => {
    for (const unit of ['mL', 'cL', 'dL', 'L'] as const) {
      expect(isMetricVolume(unit)).toBe(true)
      expect(new Set(MEASURE_SYSTEMS.map((system) => volumeUnitML(unit, system))).size).toBe(1)
    }
    expect(new Set(MEASURE_SYSTEMS.map((system) => volumeUnitML('cup', system))).size).toBeGreaterThan(4)
    expect(isMetricVolume('cup')).toBe(false)
  })

  test('what a system does not define is null and never borrowed from another', () => {
    expect(volumeUnitML('gō', 'us')).toBeNull()
    expect(volumeUnitML('pint', 'jp')).toBeNull()
    for (const system of MEASURE_SYSTEMS)
      for (const unit of ['tsp', 'tbsp', 'cup'] as const) expect(VOLUME_UNIT_ML[system][unit]).toBeGreaterThan(0)
  })
})

test('pounds, ounces, catties and taels hang together (Hong Kong’s Ordinance, from memory: a catty is 604.78982 g)', () => {
  expect(MASS_UNIT_G.lb / MASS_UNIT_G.oz).toBe(16)
  expect(MASS_UNIT_G.catty / MASS_UNIT_G.tael).toBeCloseTo(16, 9)
  expect(MASS_UNIT_G.catty).toBeCloseTo(604.78982, 4)
  expect([isMassUnit('tael'), isMassUnit('cup')]).toEqual([true, false])
})

describe('temperatures', () => {
  test.each([
    [0, 32],
    [5, 41],
    [60, 140],
    [100, 212],
    [-18, -0.4],
    [-40, -40],
  ])('%d °C is %d °F', (tempC, tempF) => {
    expect(fahrenheitOf(tempC)).toBeCloseTo(tempF, 9)
    expect(celsiusOf(tempF)).toBeCloseTo(tempC, 9)
  })

  test('a limit is compared in the unit that was read: 165 °F is enough for poultry, though 74 °C is a little more', () => {
    const limit = { tempC: 74, tempF: 165 }
    expect(isBelow({ tempC: celsiusOf(165), tempF: 165 }, limit)).toBe(false)
    expect(isBelow({ tempC: celsiusOf(165), tempF: null }, limit)).toBe(true)
    expect(isAbove({ tempC: celsiusOf(41), tempF: 41 }, { tempC: 5, tempF: 41 })).toBe(false)
  })

  test('law: of a reading and a limit exactly one holds: above, below, or the same', () => {
    const temp = fc.double({ min: -30, max: 110, noNaN: true })
    fc.assert(
      fc.property(temp, temp, fc.boolean(), (readC, limitC, inF) => {
        const read = { tempC: readC, tempF: inF ? fahrenheitOf(readC) : null }
        const limit = { tempC: limitC, tempF: fahrenheitOf(limitC) }
        expect(isAbove(read, limit) && isBelow(read, limit)).toBe(false)
      }),
    )
  })
})
