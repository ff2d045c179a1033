import fc from 'fast-check'
import { COOLING_LIMITS } from '../../safety/coolingLimits'
import { runPython } from '../../../outside/runPython'
import { conductivityWPerMK } from '../../physics/food'
import { coolTray, type TrayStage } from './coolTray'
import { surroundingsOf, type CoolStage } from './coolingPlace'
import { fitCooling, tempAtC } from './fitCooling'
import { evenGrid, usualGrid } from './grid'
import { growthLog10, growthRatePerH } from './growth'
import { coolsToS, judgeCurve } from './judgeCurve'
import { largestPassingDepthM, mostDepthM, predictCooling, trayStages } from './predictCooling'
import { riceBed } from './riceBed'

const HOUR_S = 3600
const US = COOLING_LIMITS.us
const stage = (place: CoolStage['place'], hours: number, covered = false): CoolStage => ({
  place,
  covered,
  durationS: hours * HOUR_S,
})
const minutes = (seconds: number | null) => (seconds === null ? null : seconds / 60)

/** Roots of z tan z = Bi by bisection, one in each half period. */
function roots(biot: number, count: number): number[] {
  return Array.from({ length: count }, (_, n) => {
    let low = n * Math.PI
    let high = low + Math.PI / 2 - 1e-12
    for (let i = 0; i < 80; i += 1) {
      const middle = (low + high) / 2
      if (middle * Math.tan(middle) < biot) low = middle
      else high = middle
    }
    return (low + high) / 2
  })
}

/** Centre of a plane wall with convection, 60 terms of its series (Incropera, chapter 5; Carslaw and Jaeger). */
function seriesTheta(biot: number, fourier: number): number {
  return roots(biot, 60).reduce((sum, zeta) => {
    const c = (4 * Math.sin(zeta)) / (2 * zeta + Math.sin(2 * zeta))
    return sum + c * Math.exp(-zeta * zeta * fourier)
  }, 0)
}

/** A wall of half thickness `halfM` in a fluid at 0 °C from 100 °C, insulated in its middle. */
function wall(biot: number, fourier: number, grid = usualGrid(0.05)) {
  const [k, heat, halfM] = [0.4, 2.4e6, 0.05]
  const durationS = (fourier * halfM * halfM * heat) / k
  const top = { heatTransferWPerM2K: (biot * k) / halfM, tempC: 0, evaporates: false, radiatingShare: 0, humidity: 0 }
  const tray = { depthM: halfM, startTempC: 100, constant: { conductivityWPerMK: k, heatCapacityJPerM3K: heat } }
  return coolTray(tray, [{ durationS, surroundings: { top, bottom: { heatTransferWPerM2K: 0, tempC: 0 } } }], grid)
}

test('the series itself agrees with the textbook table (Incropera, table 5.1)', () => {
  expect([0.1, 1, 10].map((biot) => roots(biot, 1)[0]!)).toEqual([
    expect.closeTo(0.31105, 4),
    expect.closeTo(0.86033, 4),
    expect.closeTo(1.42887, 4),
  ])
})

test.each([0.1, 0.5, 1, 2, 10, 50])('a plane wall at Biot %d follows the series within 0.5 %%', (biot) => {
  for (const fourier of [0.2, 0.5, 0.719, 1]) {
    const theta = seriesTheta(biot, fourier)
    expect(Math.abs(wall(biot, fourier).coreC.at(-1)! / 100 / theta - 1)).toBeLessThan(0.005)
  }
})

test('errors fall with the square of the cell and of the step', () => {
  const [biot, fourier] = [1, 0.5]
  const exact = seriesTheta(biot, fourier) * 100
  const durationS = (fourier * 0.05 * 0.05 * 2.4e6) / 0.4
  const error = (cells: number, steps: number) => {
    const stepS = durationS / steps
    return Math.abs(wall(biot, fourier, evenGrid(0.05, cells, stepS, stepS)).coreC.at(-1)! - exact)
  }
  expect(error(8, 1000) / error(16, 1000)).toBeCloseTo(4, 0)
  const fine = wall(biot, fourier, evenGrid(0.05, 100, durationS / 1000, durationS / 1000)).coreC.at(-1)!
  const stepError = (steps: number) =>
    Math.abs(wall(biot, fourier, evenGrid(0.05, 100, durationS / steps, durationS / steps)).coreC.at(-1)! - fine)
  const order = Math.log2(stepError(40) / stepError(80))
  expect(order).toBeGreaterThan(1.7)
  expect(order).toBeLessThan(2.4)
})

test('rice in a fridge and on a bench cools as scipy finds on the same equations with steam from iapws', () => {
  const bed = riceBed(0.62)
  const most = conductivityWPerMK(
    { water: 0.62, carbohydrate: 0.34504, protein: 0.03002, fat: 0.00304, ash: 0.0019 },
    50,
  )
  const atS = [600, 1800, 3600, 7200, 14_400]
  const cases = [
    { depthM: 0.03, place: 'fridge' as const },
    { depthM: 0.05, place: 'fan' as const },
  ].map((one) => ({ ...one, surroundings: surroundingsOf(stage(one.place, 4)) }))
  const found = runPython<{ coreC: number[]; massLossFraction: number }[]>(
    'tray.py',
    cases.map(({ depthM, surroundings }) => ({
      depthM,
      startTempC: 95,
      waterFraction: 0.62,
      atS,
      bed: { ...bed, mostGrainWPerMK: most },
      ...surroundings,
    })),
  )
  for (const [i, { depthM, surroundings }] of cases.entries()) {
    const ours = coolTray({ depthM, startTempC: 95 }, [{ durationS: 4 * HOUR_S, surroundings }])
    const ourC = atS.map((timeS) => tempAtC(ours, timeS))
    ourC.forEach((tempC, n) => expect(Math.abs(tempC - found[i]!.coreC[n]!)).toBeLessThan(0.2))
    expect(Math.abs(ours.massLossFraction / found[i]!.massLossFraction - 1)).toBeLessThan(0.03)
  }
})

test('heat and water are neither made nor lost, whatever the tray', () => {
  const anyStage = fc.record({
    place: fc.constantFrom<CoolStage['place'][]>('rack', 'fan', 'fridge', 'blast', 'ice-bath'),
    covered: fc.boolean(),
    durationS: fc.integer({ min: 60, max: 3 * HOUR_S }),
  })
  fc.assert(
    fc.property(
      fc.double({ min: 0.005, max: 0.15, noNaN: true }),
      fc.double({ min: 20, max: 99, noNaN: true }),
      fc.array(anyStage, { minLength: 1, maxLength: 4 }),
      (depthM, startTempC, stages) => {
        const cooled = coolTray({ depthM, startTempC }, trayStages(stages))
        expect(cooled.energyResidual).toBeLessThan(1e-9)
        expect(cooled.waterResidual).toBeLessThan(1e-9)
        expect(Math.min(...cooled.profileWaterFraction)).toBeGreaterThanOrEqual(0)
      },
    ),
    { numRuns: 25, seed: 4 },
  )
})

test('a thicker tray never cools sooner, a wider stage never passes less', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('fan', 'fridge', 'blast', 'ice-bath') as fc.Arbitrary<CoolStage['place']>,
      fc.integer({ min: 8, max: 90 }),
      fc.integer({ min: 1, max: 30 }),
      (place, millimetres, more) => {
        const reach = (depthM: number) =>
          coolsToS(predictCooling({ depthM, startTempC: 95 }, trayStages([stage(place, 8)]), US).cooling, 25) ??
          Infinity
        expect(reach((millimetres + more) / 1000)).toBeGreaterThanOrEqual(reach(millimetres / 1000))
      },
    ),
    { numRuns: 12, seed: 11 },
  )
})

const FRIDGE = [stage('fridge', 10)]
/** Minutes from 57 °C; figures of the project's first prototype, the same equations written by another hand. */
test.each([
  { name: 'fridge uncovered', stages: FRIDGE, depthM: 0.03, to21: 56, to5: 174 },
  { name: 'fridge uncovered', stages: FRIDGE, depthM: 0.05, to21: 117, to5: 354 },
  { name: 'fan 20 min, fridge', stages: [stage('fan', 1 / 3), ...FRIDGE], depthM: 0.02, to21: 32, to5: 102 },
  { name: 'ice bath 45 min, fridge', stages: [stage('ice-bath', 0.75), ...FRIDGE], depthM: 0.05, to21: 85, to5: 313 },
  { name: 'blast chiller', stages: [stage('blast', 10)], depthM: 0.075, to21: 116, to5: 261 },
])('$name at $depthM m takes what the prototype says', ({ stages, depthM, to21, to5 }) => {
  const { cooling } = predictCooling({ depthM, startTempC: 95 }, trayStages(stages), US)
  const from = coolsToS(cooling, 57)!
  expect(Math.abs(minutes(coolsToS(cooling, 21)! - from)! / to21 - 1)).toBeLessThan(0.08)
  expect(Math.abs(minutes(coolsToS(cooling, 5)! - from)! / to5 - 1)).toBeLessThan(0.08)
})

test('the largest passing depth is the last millimetre that passes', () => {
  const stages = trayStages(FRIDGE)
  const largest = largestPassingDepthM({ startTempC: 95 }, stages, US)
  const passes = (depthM: number) => predictCooling({ depthM, startTempC: 95 }, stages, US).judgement.passes
  expect([largest, passes(largest), passes(largest + 0.001)]).toEqual([0.049, true, false])
  expect(largestPassingDepthM({ startTempC: 95 }, trayStages([stage('rack', 10)]), US)).toBe(0)
  expect(largestPassingDepthM({ startTempC: 95 }, trayStages([stage('fridge', 10, true)]), US)).toBeLessThan(largest)
})

test('a curve reaches its limit in the very second and passes, a second later it does not', () => {
  const straight = (at21S: number) => ({ timesS: [0, 100, 100 + at21S, 30_000], coreC: [60, 57, 21, 4] })
  expect(judgeCurve(straight(7200), US).steps[0]).toMatchObject({ reachedS: 7300, limitS: 7300, passes: true })
  expect(judgeCurve(straight(7201), US).steps[0]!.passes).toBe(false)
  const au = judgeCurve({ timesS: [0, 3600, 3600 + 4 * HOUR_S], coreC: [60, 21, 5] }, COOLING_LIMITS.au)
  expect(au.steps.map((one) => [one.limitS, one.passes])).toEqual([
    [7200, true],
    [3600 + 4 * HOUR_S, true],
  ])
})

test('readings find the surface that made them, and say how sure they are', () => {
  const tray = { depthM: 0.038, startTempC: 95 }
  const stages = [stage('rack', 0.5), ...FRIDGE]
  const truth = coolTray(tray, trayStages(stages, 0.62))
  const readings = [2400, 4200, 6000].map((timeS) => ({ timeS, tempC: tempAtC(truth, timeS) }))
  const before = fitCooling(tray, stages, [])
  const one = fitCooling(tray, stages, readings.slice(0, 1))
  const three = fitCooling(tray, stages, readings)
  expect(three.surfaceFactor).toBeCloseTo(0.62, 1)
  expect([before.logSpread > one.logSpread, one.logSpread > three.logSpread]).toEqual([true, true])
})

test('growth rates are those of the published square-root model, and rice left warm grows by orders', () => {
  expect([10, 20, 30].map((tempC) => growthRatePerH('bacillusCereus', tempC))).toEqual([
    expect.closeTo(0.05, 2),
    expect.closeTo(0.56, 1),
    expect.closeTo(1.61, 1),
  ])
  const hours = (tempC: number, h: number) => growthRatePerH('bacillusCereus', tempC) * h
  expect(growthLog10('bacillusCereus', hours(4, 24))).toBe(0)
  expect(growthLog10('bacillusCereus', hours(30, 8))).toBeGreaterThan(4)
  expect(growthLog10('bacillusCereus', hours(30, 100))).toBeCloseTo(6, 2)
})

test.each([
  [{ depthM: 0, startTempC: 95 }, /depthM 0/],
  [{ depthM: 0.6, startTempC: 95 }, /depthM 0.6/],
  [{ depthM: 0.04, startTempC: 185 }, /startTempC 185/],
])('%j is refused', (tray, message) => {
  const stages: TrayStage[] = trayStages(FRIDGE)
  expect(() => coolTray(tray, stages)).toThrow(message)
})

describe('what a passing verdict means', () => {
  const passes = (stages: CoolStage[], depthM = 0.03, startTempC = 95) =>
    predictCooling({ depthM, startTempC }, trayStages(stages), US).passes
  test('a place whose air is above the cold limit never passes, however thin the tray and wet the rice', () => {
    const air = (airTempC: number): CoolStage[] => [{ ...stage('fan', 10), airTempC }]
    expect([passes(air(5), 0.01), passes(air(5.1), 0.01), passes(air(22), 0.005)]).toEqual([true, false, false])
    expect(passes([stage('ice-bath', 10)], 0.01)).toBe(false)
    expect(passes([stage('ice-bath', 0.75), ...FRIDGE], 0.03)).toBe(true)
  })
  test('it stays cold to the end of its stages', () => {
    expect(passes([...FRIDGE, { ...stage('fridge', 6), airTempC: 4 }])).toBe(true)
    expect(passes([...FRIDGE, { ...stage('rack', 2), airTempC: 5 }])).toBe(true)
    expect(passes([...FRIDGE, stage('rack', 4), ...FRIDGE])).toBe(false)
  })
  test('rice below the start temperature of the rule has no clock: nobody knows for how long it cooled before', () => {
    const curve = coolTray({ depthM: 0.03, startTempC: 40 }, trayStages(FRIDGE))
    expect(judgeCurve(curve, US)).toMatchObject({
      startS: null,
      passes: false,
      steps: [
        { reachedS: null, limitS: null },
        { reachedS: null, limitS: null },
      ],
    })
  })
})

describe('trays', () => {
  const to5 = (change: Partial<CoolStage>) =>
    coolsToS(
      predictCooling({ depthM: 0.03, startTempC: 95 }, trayStages([{ ...FRIDGE[0]!, ...change }]), US).cooling,
      5,
    )
  test('one above the other cool slower than alone, in one another hardly at all; plastic holds the heat', () => {
    const alone = to5({})!
    expect(to5({ stack: 'stacked' }) ?? Infinity).toBeGreaterThan(1.2 * alone)
    expect(to5({ stack: 'nested' })).toBeNull()
    expect(to5({ material: 'plastic' })!).toBeGreaterThan(alone)
    expect(to5({ material: 'aluminium' })!).toBeCloseTo(alone, -1)
  })
  test('the advised depth is the passing one, but no deeper than good practice in an ordinary fridge', () => {
    expect(mostDepthM({ startTempC: 95 }, FRIDGE, US)).toEqual({ passingM: 0.049, advisedM: 0.04 })
    const blast = mostDepthM({ startTempC: 95 }, [stage('blast', 10)], US)
    expect(blast.advisedM).toBe(blast.passingM)
    expect(blast.passingM).toBeGreaterThan(0.06)
  })
})

describe('freezing', () => {
  const frozen = (airTempC: number, hours: number, depthM = 0.03) =>
    coolTray(
      { depthM, startTempC: 4 },
      trayStages([{ place: 'blast', covered: true, durationS: hours * HOUR_S, airTempC }]),
    )
  test('rice holds its heat while it freezes; no heat is made or lost on the way', () => {
    for (const airTempC of [-10, -20, -35]) {
      const run = frozen(airTempC, 12)
      expect(run.energyResidual).toBeLessThan(1e-9)
      const [from, to] = [coolsToS(run, -1)!, coolsToS(run, -4)!]
      const before = (coolsToS(run, -1)! - coolsToS(run, 2)!) / 3
      expect((to - from) / 3).toBeGreaterThan(4 * before)
    }
  })
  test('it takes about as long as Plank found in 1913 for a slab (from memory of food engineering textbooks)', () => {
    const [airTempC, depthM] = [-30, 0.04]
    const bed = riceBed(0.62)
    const faces = surroundingsOf({ place: 'blast', covered: true, durationS: 1, airTempC })
    const h = (faces.top.heatTransferWPerM2K + faces.bottom.heatTransferWPerM2K) / 2
    const latentJPerM3 = bed.densityKgPerM3 * 0.62 * 0.85 * 333_550 + 3 * bed.heatCapacityJPerM3K
    const k = bed.conductivity(-2, 0.95)
    const plankS = (latentJPerM3 / (-2.5 - airTempC)) * (depthM / (2 * h) + (depthM * depthM) / (8 * k))
    const run = frozen(airTempC, 24, depthM)
    const ours = coolsToS(run, -4)! - coolsToS(run, -1)!
    expect(ours / plankS).toBeGreaterThan(0.6)
    expect(ours / plankS).toBeLessThan(1.4)
  })
})

test('growth is that of the place where most grows, and never less than in the warmest point', () => {
  const deep = predictCooling({ depthM: 0.1, startTempC: 95 }, trayStages(FRIDGE), US).cooling
  const ofCore = deep.timesS.reduce((sum, timeS, i) => {
    if (i === 0) return 0
    const rate =
      (growthRatePerH('bacillusCereus', deep.coreC[i - 1]!) + growthRatePerH('bacillusCereus', deep.coreC[i]!)) / 2
    return sum + (rate * (timeS - deep.timesS[i - 1]!)) / HOUR_S
  }, 0)
  expect(deep.growthIntegral.bacillusCereus).toBeGreaterThan(0.97 * ofCore)
  expect(growthLog10('bacillusCereus', deep.growthIntegral.bacillusCereus)).toBeGreaterThan(2)
  const thin = predictCooling({ depthM: 0.02, startTempC: 95 }, trayStages(FRIDGE), US).cooling
  expect(thin.growthIntegral.bacillusCereus).toBeLessThan(deep.growthIntegral.bacillusCereus)
})
