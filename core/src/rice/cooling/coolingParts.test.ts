import fc from 'fast-check'
import { COOLING_LIMITS } from '../../safety/coolingLimits'
import { readAt, tableOf } from './byTemperature'
import { COOLING_PLACES, inTrays, STACKS, surroundingsOf, TRAY_MATERIALS, usualAirTempC } from './coolingPlace'
import { freezing } from './freezing'
import { evenGrid, usualGrid } from './grid'
import { growthLog10, growthRatePerH, ORGANISM_NAMES } from './growth'
import { coolsToS, judgeCurve, type Curve } from './judgeCurve'

const place = fc.constantFrom(...COOLING_PLACES)
const material = fc.constantFrom(...TRAY_MATERIALS)
const stack = fc.constantFrom(...STACKS)
const runs = { endOnFailure: true, numRuns: 100 }
const sum = (some: readonly number[]) => some.reduce((total, one) => total + one, 0)

describe('what a tray feels', () => {
  const at = (more: Partial<Parameters<typeof surroundingsOf>[0]>, factor = 1) =>
    surroundingsOf({ durationS: 600, place: 'fridge', covered: false, ...more }, factor)

  test('law: a cover, a neighbour, or a wall of plastic never lets it cool faster', () => {
    fc.assert(
      fc.property(place, material, stack, fc.boolean(), (where, of, how, covered) => {
        const best = at({ place: where, material: 'aluminium' })
        const { top, bottom } = at({ place: where, material: of, stack: how, covered })
        expect(top.heatTransferWPerM2K).toBeLessThanOrEqual(best.top.heatTransferWPerM2K)
        expect(bottom.heatTransferWPerM2K).toBeLessThanOrEqual(best.bottom.heatTransferWPerM2K)
        expect(top.radiatingShare).toBeLessThanOrEqual(best.top.radiatingShare)
        expect(top.evaporates).toBe(!covered && how !== 'nested')
      }),
      runs,
    )
  })

  test('the air that was read stands over what is usual; an ice bath keeps its bottom cold all the same', () => {
    expect(at({}).top.tempC).toBe(usualAirTempC('fridge'))
    expect(at({ airTempC: 7 })).toMatchObject({ top: { tempC: 7 }, bottom: { tempC: 7 } })
    expect(at({ place: 'ice-bath', airTempC: 30 })).toMatchObject({ top: { tempC: 30 }, bottom: { tempC: 0.5 } })
  })

  test('calibration scales both faces; a wall in between makes the lower gain a little less than that', () => {
    const [once, twice] = [at({ material: 'plastic' }), at({ material: 'plastic' }, 2)]
    expect(twice.top.heatTransferWPerM2K).toBeCloseTo(2 * once.top.heatTransferWPerM2K, 9)
    expect(twice.bottom.heatTransferWPerM2K).toBeLessThan(2 * once.bottom.heatTransferWPerM2K)
    expect(twice.bottom.heatTransferWPerM2K).toBeGreaterThan(1.6 * once.bottom.heatTransferWPerM2K)
  })

  test('the house’s trays are those of every stage that does not name its own', () => {
    const stages = inTrays(
      [
        { durationS: 1, place: 'rack', covered: false },
        { durationS: 1, place: 'rack', covered: false, material: 'plastic' },
      ],
      'aluminium',
    )
    expect(stages.map((one) => one.material)).toEqual(['aluminium', 'plastic'])
  })
})

test('law: cells fill the depth, are finest on top, and finer ones are parts of them', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 0.15, noNaN: true }), fc.integer({ min: 1, max: 3 }), (depthM, finer) => {
      const { widthsM, firstStepS } = usualGrid(depthM, finer)
      expect(sum(widthsM)).toBeCloseTo(depthM, 9)
      expect(widthsM.at(-1)).toBe(Math.min(...widthsM))
      expect(widthsM.length).toBe(finer * usualGrid(depthM).widthsM.length)
      expect(firstStepS * finer).toBeCloseTo(usualGrid(depthM).firstStepS, 9)
      expect(sum(evenGrid(depthM, 7).widthsM)).toBeCloseTo(depthM, 12)
    }),
    runs,
  )
})

test('a table of temperatures gives straight lines exactly, curves nearly, and its ends beyond them', () => {
  const line = tableOf((tempC) => 3 * tempC - 1)
  const square = tableOf((tempC) => tempC * tempC)
  for (const tempC of [-59.9, -3.3, 0, 21.7, 104.9]) {
    expect(readAt(line, tempC)).toBeCloseTo(3 * tempC - 1, 9)
    expect(Math.abs(readAt(square, tempC) - tempC * tempC)).toBeLessThan(0.02)
  }
})

test('law: colder rice holds less heat, all of its ice is between −1 and −4 °C, and the slope is that of the heat', () => {
  const rice = freezing(2.6e6, 300)
  fc.assert(
    fc.property(
      fc.double({ min: -25, max: 20, noNaN: true }),
      fc.double({ min: 0.01, max: 5, noNaN: true }),
      (tempC, byK) => {
        expect(rice.heatJPerM3(tempC)).toBeLessThan(rice.heatJPerM3(tempC + byK))
        expect(rice.capacityJPerM3K(tempC)).toBeGreaterThanOrEqual(2.6e6)
      },
    ),
    runs,
  )
  // 333.55 kJ/kg: physics tables, from memory.
  expect(rice.heatJPerM3(-1) - rice.heatJPerM3(-4)).toBeCloseTo(3 * 2.6e6 + 300 * 333_550, 0)
  expect(freezing(2.6e6, 0)).toMatchObject({ startsC: -Infinity })
})

test('law: growth never falls with time, begins at none and ends at six powers of ten', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...ORGANISM_NAMES),
      fc.double({ min: 0, max: 40, noNaN: true }),
      fc.double({ min: 0, max: 10, noNaN: true }),
      (name, integral, more) => {
        expect(growthLog10(name, integral + more)).toBeGreaterThanOrEqual(growthLog10(name, integral) - 1e-9)
        expect(growthLog10(name, integral)).toBeLessThanOrEqual(6 + 1e-9)
      },
    ),
    runs,
  )
  for (const name of ORGANISM_NAMES) {
    expect(growthLog10(name, 0)).toBeCloseTo(0, 9)
    for (const tempC of [-5, 4, 60, 90]) expect(growthRatePerH(name, tempC)).toBe(0)
  }
})

describe('judging a curve', () => {
  const curve = (...points: [number, number][]): Curve => ({
    timesS: points.map(([h]) => h * 3600),
    coreC: points.map(([, tempC]) => tempC),
  })
  test.each<[string, Curve, boolean]>([
    ['in time and cold to the end', curve([0, 60], [1.5, 21], [5, 5], [8, 4]), true],
    ['too slow to 21 °C', curve([0, 60], [3, 21], [4, 5]), false],
    ['too slow to 5 °C', curve([0, 60], [1, 21], [9, 5]), false],
    ['warm again after it was cold', curve([0, 60], [1, 21], [4, 5], [5, 7]), false],
    ['already below the start, since nobody knows when', curve([0, 50], [1, 21], [4, 5]), false],
    ['never cold', curve([0, 60], [1, 21], [9, 12]), false],
  ])('%s', (_, one, passes) => expect(judgeCurve(one, COOLING_LIMITS.us).passes).toBe(passes))

  test('between two points the moment lies on a straight line; what is below from the start is there at once', () => {
    const one = curve([0, 60], [2, 20])
    expect(coolsToS(one, 40)).toBeCloseTo(3600, 6)
    expect(coolsToS(one, 70)).toBe(0)
    expect(coolsToS(one, 10)).toBeNull()
  })
})
