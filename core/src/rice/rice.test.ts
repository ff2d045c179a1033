import fc from 'fast-check'
import { runPython } from '../../outside/runPython'
import { COOLING_LIMITS } from '../safety/coolingLimits'
import { GRAIN_FIGURES, bulkKgPerL, cookTimes, ruleWaterG, type Blend } from './cookMethod'
import { cookedMassWantedG, portionsToCover, sufficientShare } from './plan/howMuch'
import { isFarFromRule, learnSteam, mostDryMassG, planLoads, type Vessel } from './loads'
import { normalCdf, normalQuantile } from './plan/normal'
import { planRice } from './plan/planRice'
import { coverTonight } from './plan/tonight'
import { cookedMassOf, waterForTarget, waterFractionOf } from './waterBalance'
import type { Component } from '../book/dish'
import { dishesForWetRice, rescueWetLoad } from './wetLoad'

const STEAMER: Vessel = { id: 'steamer', method: 'steamer', volumeL: 18, count: 1, steamGPerMin: 8 }

describe('water', () => {
  test.each([
    { waterG: 180, evaporatedG: 15, cookedG: 345, moisture: 0.543 },
    { waterG: 180, evaporatedG: 77, cookedG: 283, moisture: 0.443 },
    { waterG: 270, evaporatedG: 40, cookedG: 410, moisture: 0.616 },
  ])('180 g dry and $waterG g water less $evaporatedG g steam: $cookedG g (common practice)', (row) => {
    const { waterG, evaporatedG, cookedG, moisture } = row
    expect(waterFractionOf(180, cookedG)).toBeCloseTo(moisture, 3)
    const back = waterForTarget({ dryMassG: 180, targetWaterFraction: waterFractionOf(180, cookedG), evaporatedG })
    expect([back.waterG, back.cookedMassG]).toEqual([expect.closeTo(waterG, 6), expect.closeTo(cookedG, 6)])
  })

  test('a load on the heat is expected at the mass that keeps its dry matter, and no load at nothing', () => {
    expect(cookedMassOf(null)).toBe(0)
    const cookedG = cookedMassOf({ dryMassG: 1000, targetWaterFraction: 0.6 })
    expect(waterFractionOf(1000, cookedG)).toBeCloseTo(0.6, 9)
    expect(cookedMassOf({ dryMassG: 2000, targetWaterFraction: 0.6 })).toBeCloseTo(2 * cookedG, 6)
  })

  test('the dry end of practice, ×1.57, is 44 % water: asked about, never assumed', () => {
    expect(283 / 180).toBeCloseTo(1.57, 2)
    expect(waterFractionOf(180, 283)).toBeLessThan(0.5)
  })

  test('mass is kept: dry and water in, rice and steam out', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 20_000, noNaN: true }),
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        fc.double({ min: 0, max: 500, noNaN: true }),
        (dryMassG, targetWaterFraction, evaporatedG) => {
          const { waterG, cookedMassG } = waterForTarget({ dryMassG, targetWaterFraction, evaporatedG })
          expect(dryMassG + waterG - evaporatedG).toBeCloseTo(cookedMassG, 6)
          expect(waterFractionOf(dryMassG, cookedMassG)).toBeCloseTo(targetWaterFraction, 9)
        },
      ),
      { seed: 3 },
    )
  })

  test('the rule of thumb of a bowl in the steamer and of a pot (common practice)', () => {
    expect(ruleWaterG('steamer', { medium: 1 }, 180)).toBe(180)
    expect(Math.abs(ruleWaterG('pot', { medium: 1 }, 180) / 250 - 1)).toBeLessThan(0.07)
  })

  test('a blend lies between its grains, and its shares must sum to 1', () => {
    const half = bulkKgPerL({ long: 0.5, short: 0.5 })
    expect(half).toBeGreaterThan(GRAIN_FIGURES.long.bulkKgPerL)
    expect(half).toBeLessThan(GRAIN_FIGURES.short.bulkKgPerL)
    expect(() => bulkKgPerL({ long: 0.5, short: 0.6 })).toThrow(/sum to 1.1/)
  })
})

describe('grains', () => {
  test('each cooks by its own time and water: a blend as long as its slowest grain', () => {
    expect(cookTimes('pot', { long: 1 })).toEqual({ cookMin: 10, restMin: 10 })
    expect(cookTimes('pot', { brown: 1 }).cookMin).toBe(20)
    expect(cookTimes('cooker', { long: 0.9, brown: 0.1 }).cookMin).toBe(cookTimes('cooker', { brown: 1 }).cookMin)
    const rule = (blend: Blend) => ruleWaterG('cooker', blend, 1000)
    expect([rule({ brown: 1 }) > rule({ parboiled: 1 }), rule({ basmati: 1 }) > rule({ jasmine: 1 })]).toEqual([
      true,
      true,
    ])
    expect(rule({ jasmine: 1 })).toBeGreaterThan(rule({ long: 1 }))
  })

  test('rule of thumb and balance far apart are told from those that agree', () => {
    expect(isFarFromRule({ waterG: 1160, ruleWaterG: 1000 })).toBe(true)
    expect(isFarFromRule({ waterG: 1140, ruleWaterG: 1000 })).toBe(false)
    expect(isFarFromRule({ waterG: 840, ruleWaterG: 1000 })).toBe(true)
  })
})

describe('loads', () => {
  test('as few as fit, alike, never less than asked for, and the cooked rice fits the vessel', () => {
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 80_000 }), (cookedMassG) => {
        const loads = planLoads({ cookedMassG, vessel: STEAMER, blend: { long: 1 }, wash: 'three' })
        const sum = loads.reduce((total, load) => total + load.cookedMassG, 0)
        expect(sum).toBeGreaterThanOrEqual(cookedMassG - 1e-6)
        expect(sum - cookedMassG).toBeLessThan(22 * loads.length)
        expect(new Set(loads.map((load) => load.dryMassG)).size).toBe(1)
        expect(loads[0]!.cookedVolumeL).toBeLessThanOrEqual(STEAMER.volumeL * 0.8 + 0.05)
        expect(loads[0]!.dryMassG).toBeLessThanOrEqual(mostDryMassG(STEAMER, { long: 1 }))
      }),
      { seed: 5 },
    )
    expect(planLoads({ cookedMassG: 0, vessel: STEAMER, blend: { long: 1 }, wash: 'none' })).toEqual([])
  })

  test('a vessel learns its steam from weighed loads and ends at what it does', () => {
    let vessel = STEAMER
    for (let n = 0; n < 20; n += 1) {
      const { steamGPerMin } = learnSteam(vessel, {
        dryMassG: 3000,
        waterG: 3900,
        cookedMassG: 6900 - 11 * 30,
        blend: { long: 1 },
      })
      vessel = { ...vessel, steamGPerMin }
    }
    expect(vessel.steamGPerMin).toBeCloseTo(11, 1)
  })

  test('a wet load loses its excess and is met at the wok with smaller batches', () => {
    const wet = rescueWetLoad(8000, 0.66, 0.6)
    expect(wet.isWet).toBe(true)
    expect(1 - ((1 - 0.66) * 8000) / (8000 - wet.excessWaterG)).toBeCloseTo(0.6, 9)
    expect(wet.batchFactor).toBeCloseTo(0.5, 1)
    expect(rescueWetLoad(8000, 0.61, 0.6)).toMatchObject({ isWet: false, batchFactor: 1 })
  })
})

describe('how much', () => {
  test('the normal distribution is that of scipy', () => {
    const rows = runPython<{ share: number; z: number; cdf: number }[]>('normal.py')
    for (const { share, z, cdf } of rows) {
      expect(normalQuantile(share)).toBeCloseTo(z, 9)
      expect(normalCdf(3 * share - 2)).toBeCloseTo(cdf, 12)
    }
  })

  test('the closed form is what a brute-force simulation of twenty thousand days finds cheapest', () => {
    const [mean, spread] = [100, 15]
    const margin = { shortageCost: 8.2, wasteCost: 0.9 }
    let state = 1
    const chance = () => (state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0) / 4_294_967_296
    const days = Array.from({ length: 20_000 }, () =>
      Math.max(0, mean + spread * Math.sqrt(-2 * Math.log(chance() + 1e-12)) * Math.cos(2 * Math.PI * chance())),
    )
    const cost = (portions: number) =>
      days.reduce(
        (sum, sold) =>
          sum + margin.shortageCost * Math.max(0, sold - portions) + margin.wasteCost * Math.max(0, portions - sold),
        0,
      )
    const candidates = Array.from({ length: 20 }, (_, n) => mean + 10 + n)
    const best = candidates.reduce((a, b) => (cost(b) < cost(a) ? b : a))
    expect(Math.abs(portionsToCover(mean, spread, sufficientShare(margin)) - best)).toBeLessThanOrEqual(1)
  })

  test('what is usable is taken off, whole portions are cooked, never less than none', () => {
    expect(cookedMassWantedG({ portions: 118.2, portionG: 220, usableG: 1900 })).toBe(119 * 220 - 1900)
    expect(cookedMassWantedG({ portions: 3, portionG: 220, usableG: 9000 })).toBe(0)
    expect(() => sufficientShare({ shortageCost: 0, wasteCost: 1 })).toThrow(/above 0/)
  })
})

describe('the plan', () => {
  const input = {
    expected: 104,
    spread: 11,
    margin: { shortageCost: 8.2, wasteCost: 0.45 },
    portionG: 220,
    usableG: 1900,
    vessel: STEAMER,
    blend: { long: 1 },
    wash: 'three' as const,
    tray: { lengthM: 0.53, widthM: 0.325 },
    cooling: [
      { durationS: 1800, place: 'rack' as const, covered: false },
      { durationS: 36_000, place: 'fridge' as const, covered: false },
    ],
    limit: COOLING_LIMITS.us,
    fromMs: 0,
    coldByMs: 8 * 3_600_000,
  }
  const plan = planRice(input)

  test('what lies on the trays when it is cold is what was wanted', () => {
    const hotG = plan.loads.reduce((sum, load) => sum + load.cookedMassG, 0)
    expect(plan.portions).toBe(Math.ceil(104 + 11 * normalQuantile(8.2 / 8.65)))
    expect(plan.toCookG).toBe(plan.portions * 220 - 1900)
    expect(hotG * (1 - plan.coolingLossFraction)).toBeGreaterThanOrEqual(plan.toCookG - 1e-6)
    const volumeL = plan.trays * 53 * 32.5 * plan.depthM * 100 * 0.001
    expect(volumeL * 0.596).toBeGreaterThanOrEqual(hotG / 1000 - 1e-6)
    expect(plan.depthM).toBeLessThanOrEqual(0.04)
    expect(plan.largestPassingDepthM).toBeGreaterThan(0.04)
  })

  test('loads follow each other; started at the latest start, the last is cold in the very minute', () => {
    const { times, latestStartMs } = plan
    expect(times[1]!.startMs).toBe(times[0]!.readyMs)
    const late = planRice({ ...input, fromMs: latestStartMs! })
    expect(late.times.at(-1)!.coldMs).toBeCloseTo(input.coldByMs, -1)
  })

  test('a place that never gets cold has no latest start and says so', () => {
    const room = planRice({ ...input, cooling: [{ durationS: 36_000, place: 'rack', covered: false }] })
    expect([room.coolS, room.latestStartMs, room.largestPassingDepthM]).toEqual([null, null, 0])
  })
})

test('tonight: the first demand that the rice does not cover, and the start that would be in time for it', () => {
  const boats = [1, 2, 3].map((n) => ({ atMs: n * 1_200_000, massG: 3000 }))
  expect(coverTonight(6500, boats, 900)).toEqual({
    untilMs: 3_600_000,
    startByMs: 2_700_000,
    neededG: 9000,
    shortG: 2500,
  })
  const coming = [{ atMs: 3_000_000, massG: 2500 }]
  expect(coverTonight(6500, boats, 900, coming).untilMs).toBeNull()
  expect(coverTonight(6500, boats, null, [{ atMs: 3_700_000, massG: 9000 }])).toMatchObject({
    untilMs: 3_600_000,
    startByMs: null,
  })
  expect(coverTonight(9000, boats, 900)).toMatchObject({ untilMs: null, shortG: 0 })
})

test('a wet load goes first into the dishes that bring the least water', () => {
  const dish = (id: string, ...parts: [Component['role'], number][]) => ({
    id,
    components: parts.map(([role, ratioG]) => ({ role, ratioG }) as Component),
  })
  const saucy = dish('saucy', ['liquidSeasoning', 9], ['protein', 20])
  const dry = dish('dry', ['protein', 30], ['fat', 6])
  const eggy = dish('eggy', ['egg', 16], ['paste', 3])
  const leafy = dish('leafy', ['vegetable', 4])
  expect(dishesForWetRice([saucy, eggy, dry, leafy]).map((one) => one.id)).toEqual(['dry', 'leafy', 'saucy'])
})
