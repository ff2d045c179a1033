import fc from 'fast-check'
import { conductivityWPerMK, densityKgPerM3, heatCapacityJPerKgK, type ProximateComposition } from './food'
import { latentHeatJPerKg, saturationPressurePa, vapourDiffusivityM2PerS } from './water'

/** Rows of food tables: water, protein, fat, carbohydrate, fibre, ash. */
const food = (water: number, protein: number, fat: number, carbohydrate: number, fibre: number, ash: number) => ({
  water,
  protein,
  fat,
  carbohydrate,
  fibre,
  ash,
})
const COOKED_RICE = food(0.684, 0.027, 0.003, 0.278, 0.004, 0.004)
const RAW_CHICKEN = food(0.745, 0.231, 0.012, 0, 0, 0.012)
const WHOLE_EGG = food(0.753, 0.125, 0.1, 0.012, 0, 0.01)
const CARROT = food(0.878, 0.01, 0.002, 0.071, 0.03, 0.009)
const OIL: ProximateComposition = { fat: 1 }

/** Handbook values above freezing, from memory of the ASHRAE Refrigeration Handbook's table of foods; within 6 %. */
test.each<[string, ProximateComposition, number]>([
  ['chicken', RAW_CHICKEN, 3530],
  ['whole egg', WHOLE_EGG, 3630],
  ['carrot', CARROT, 3920],
])('heat capacity of %s near that of the handbook (from memory)', (_name, composition, expected) => {
  expect(Math.abs(heatCapacityJPerKgK(composition, 20) / expected - 1)).toBeLessThan(0.06)
})

/** Common engineering values, from memory. */
test.each<[string, (of: ProximateComposition, tempC: number) => number, ProximateComposition, number, number]>([
  ['conductivity of cooked rice without pores [W/m K]', conductivityWPerMK, COOKED_RICE, 0.44, 0.57],
  ['conductivity of oil [W/m K]', conductivityWPerMK, OIL, 0.16, 0.18],
  ['conductivity of raw chicken [W/m K]', conductivityWPerMK, RAW_CHICKEN, 0.44, 0.53],
  ['density of oil [kg/m³]', densityKgPerM3, OIL, 910, 925],
  ['density of egg [kg/m³]', densityKgPerM3, WHOLE_EGG, 1010, 1040],
  ['density of raw chicken [kg/m³]', densityKgPerM3, RAW_CHICKEN, 1040, 1075],
  ['heat capacity of oil [J/kg K]', heatCapacityJPerKgK, OIL, 1900, 2100],
])('%s at 20 °C', (_what, of, composition, least, most) => {
  expect(of(composition, 20)).toBeGreaterThan(least)
  expect(of(composition, 20)).toBeLessThan(most)
})

const share = fc.double({ min: 0.01, max: 1, noNaN: true })
const anyFood = fc.tuple(share, share, share, share, share, share).map((parts) => {
  const sum = parts.reduce((total, one) => total + one, 0)
  const [water, protein, fat, carbohydrate, fibre, ash] = parts.map((one) => one / sum) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  return food(water, protein, fat, carbohydrate, fibre, ash)
})
const anyTempC = fc.double({ min: 0, max: 100, noNaN: true })

test('law: a mixture lies between its parts, in each property', () => {
  fc.assert(
    fc.property(anyFood, anyTempC, (composition, tempC) => {
      for (const property of [densityKgPerM3, heatCapacityJPerKgK, conductivityWPerMK]) {
        const alone = Object.keys(composition).map((name) => property({ [name]: 1 }, tempC))
        expect(property(composition, tempC)).toBeGreaterThanOrEqual(Math.min(...alone) - 1e-9)
        expect(property(composition, tempC)).toBeLessThanOrEqual(Math.max(...alone) + 1e-9)
      }
    }),
  )
})

test('law: more water takes more heat to warm and carries it better', () => {
  fc.assert(
    fc.property(anyFood, anyTempC, fc.double({ min: 0.05, max: 0.5, noNaN: true }), (composition, tempC, more) => {
      const wetter = Object.fromEntries(
        Object.entries(composition).map(([name, fraction]) => [
          name,
          name === 'water' ? fraction * (1 - more) + more : fraction * (1 - more),
        ]),
      )
      expect(heatCapacityJPerKgK(wetter, tempC)).toBeGreaterThan(heatCapacityJPerKgK(composition, tempC))
      expect(conductivityWPerMK(wetter, tempC)).toBeGreaterThan(conductivityWPerMK(composition, tempC))
    }),
  )
})

test.each([
  [0, 611],
  [20, 2339],
  [60, 19_946],
  [100, 101_420],
])('water boils at %d °C under %d Pa (steam table, from memory; within 0.1 %%)', (tempC, pressurePa) => {
  expect(Math.abs(saturationPressurePa(tempC) / pressurePa - 1)).toBeLessThan(0.001)
})

test('a kilogram of water takes 2.5 MJ to leave cold and 2.26 MJ at the boil (steam table, from memory)', () => {
  expect(latentHeatJPerKg(0) / 2.501e6).toBeCloseTo(1, 3)
  expect(latentHeatJPerKg(100) / 2.2564e6).toBeCloseTo(1, 2.5)
})

test('law: warmer air lets vapour through faster, and a warmer surface gives more of it', () => {
  fc.assert(
    fc.property(anyTempC, fc.double({ min: 0.5, max: 20, noNaN: true }), (tempC, more) => {
      expect(vapourDiffusivityM2PerS(tempC + more)).toBeGreaterThan(vapourDiffusivityM2PerS(tempC))
      expect(saturationPressurePa(tempC + more)).toBeGreaterThan(saturationPressurePa(tempC))
      expect(latentHeatJPerKg(tempC + more)).toBeLessThan(latentHeatJPerKg(tempC))
    }),
  )
})
