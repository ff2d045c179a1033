import fc from 'fast-check'
import { DISH, EVERYTHING, RING_HEAT, TOOLS, US } from '../test/kitchen'
import { aGriddle, HOB, RING } from '../test/stations'
import { AIR_C } from '../wok/heat/parameters'
import type { HeatStation } from '../wok/heat/vessel'
import { LiveCooking } from '../wok/live/liveCooking'
import { onWarmMetal, startMetalC } from '../wok/warmMetal'
import type { BatchHeat } from './batchHeat'
import { batchScore } from './batchScore'
import { metalToBeginOnC, restedMetalC } from './idleMetal'
import { liveBatch } from './liveBatch'
import { scoreFaults } from './scoreFaults'

const input = { modifiers: [], allergies: [], parts: [{ portions: 1, modifiers: [] }] }
const dish = { ...DISH, components: EVERYTHING.filter(({ id }) => ['rice', 'egg', 'soy', 'oil'].includes(id)) }
function cold(station: HeatStation) {
  const heat: BatchHeat = { ...RING_HEAT, station }
  const result = batchScore(dish, input, heat, TOOLS, US)
  if (result.kind !== 'score') throw new Error(result.kind)
  return result
}
const NOW_MS = 1_800_000_000_000
const used = (agoS: number, washedAgoS: number | null = null) => ({
  usedUntilMs: NOW_MS - agoS * 1000,
  washedAtMs: washedAgoS === null ? null : NOW_MS - washedAgoS * 1000,
})
const fromLast = (station: HeatStation, agoS: number) =>
  onWarmMetal(cold(station).score, station, metalToBeginOnC(station, used(agoS), NOW_MS))

test('a hob on which somebody cooked a minute ago is hot much sooner, and everything comes as much earlier', () => {
  const { score, batch } = cold(HOB)
  const warm = fromLast(HOB, 60)
  const savedS = score.totalS - warm.totalS
  expect(savedS).toBeGreaterThan(50)
  expect(savedS).toBeLessThan(score.steps[0]!.durationS)
  expect(warm.steps.slice(1).map(({ startS, durationS }) => [startS + savedS, durationS])).toEqual(
    score.steps.slice(1).map(({ startS, durationS }) => [startS, durationS]),
  )
  expect(warm.steps[0]!.figures).toEqual({ ...score.steps[0]!.figures, fromC: startMetalC(warm) })
  expect(startMetalC(warm)).toBeGreaterThan(100)
  // Times and masses hold; that the metal is warm only the kitchen says.
  expect(scoreFaults(warm, batch, US)).toMatchObject([{ field: 'score.steps.0.figures.fromC' }])
})

test('on the strongest ring there are seconds left to read "heat the wok"', () => {
  expect(fromLast(RING, 0).steps[0]!.durationS).toBeGreaterThanOrEqual(5)
})

test('metal that was washed since, that nobody used, or that stood for an hour is cold; what was cooked after the wash warms it', () => {
  expect(metalToBeginOnC(HOB, { usedUntilMs: null, washedAtMs: null }, NOW_MS)).toBe(AIR_C)
  expect(metalToBeginOnC(HOB, used(60, 30), NOW_MS)).toBe(AIR_C)
  expect(metalToBeginOnC(HOB, used(3600), NOW_MS)).toBe(AIR_C)
  expect(metalToBeginOnC(HOB, used(60, 90), NOW_MS)).toBeGreaterThan(100)
  // Whoever touches it is told of the heat that it may still have, washed or not.
  expect(restedMetalC(HOB, used(60, 30).usedUntilMs, NOW_MS)).toBeGreaterThan(100)
  // A clock ten minutes behind: as if it had just been used.
  expect(metalToBeginOnC(HOB, used(-600), NOW_MS)).toBe(metalToBeginOnC(HOB, used(0), NOW_MS))
})

test('a griddle, a score by house figures and one that is on warm metal already stay as they are', () => {
  const griddle = aGriddle()
  const { basis: _basis, ...byHouse } = cold(HOB).score
  const warm = fromLast(HOB, 60)
  const onGriddle = cold(griddle).score
  expect(onWarmMetal(onGriddle, griddle, 200)).toBe(onGriddle)
  expect(onWarmMetal(byHouse, HOB, 200)).toBe(byHouse)
  expect(onWarmMetal(warm, HOB, 200)).toBe(warm)
})

test('the longer it stood, the longer it heats up, and never longer than from cold', () => {
  const heatsS = (agoS: number) => fromLast(HOB, agoS).steps[0]!.durationS
  const coldS = cold(HOB).score.steps[0]!.durationS
  const agoS = fc.integer({ min: 0, max: 4000 })
  fc.assert(
    fc.property(agoS, agoS, (a, b) => {
      expect(heatsS(Math.min(a, b))).toBeLessThanOrEqual(heatsS(Math.max(a, b)))
      expect(heatsS(a)).toBeLessThanOrEqual(coldS)
    }),
    { numRuns: 30, endOnFailure: true },
  )
})

test('the model finds the metal as hot at the end of heating up, whether it began warm or cold', () => {
  const { score } = cold(HOB)
  const warm = fromLast(HOB, 60)
  const batch = liveBatch(dish, input, score, HOB, US)!
  const hot = (one: typeof score) => {
    const live = new LiveCooking(batch, startMetalC(one))
    live.begin(one.steps[0]!)
    live.go(one.steps[0]!.durationS)
    return live.mark().metalC
  }
  expect(Math.abs(hot(warm) - hot(score))).toBeLessThan(12)
})
