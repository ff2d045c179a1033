import fc from 'fast-check'
import { DISH, EVERYTHING, RING_HEAT, TOOLS, US } from '../test/kitchen'
import { aGriddle, HOB, RING } from '../test/stations'
import type { HeatStation } from '../wok/heat/vessel'
import { onWarmMetal } from '../wok/warmMetal'
import { batchScore } from './batchScore'
import { metalToBeginOnC } from './idleMetal'
import { RESTS_S, soonerAt } from './soonerAt'
import { UNTOUCHED } from './stationPast'
import { soonerByRest } from './warmStart'

const dish = { ...DISH, components: EVERYTHING.filter(({ id }) => ['rice', 'egg', 'soy', 'oil'].includes(id)) }
const coldOn = (station: HeatStation) => {
  const input = { modifiers: [], allergies: [], parts: [{ portions: 1, modifiers: [] }] }
  const result = batchScore(dish, input, { ...RING_HEAT, station }, TOOLS, US)
  if (result.kind !== 'score') throw new Error(result.kind)
  return result.score
}
const NOW_MS = 1_800_000_000_000
const used = (agoS: number) => ({ ...UNTOUCHED, usedUntilMs: NOW_MS - agoS * 1000 })
const begins = (agoS: number) => ({ past: used(agoS), setUp: 'none' as const, startMs: NOW_MS })

test('what the line says that warm metal saves is what firing saves, or less: it is never up later than was said', () => {
  for (const station of [HOB, RING]) {
    const score = coldOn(station)
    const soonerS = soonerByRest(score, station)
    const firedSooner = (agoS: number) =>
      score.totalS - onWarmMetal(score, station, metalToBeginOnC(station, used(agoS), NOW_MS)).totalS
    for (const restS of RESTS_S) {
      // Firing knows the rest in steps of ten seconds.
      const byS = Math.abs(soonerAt(soonerS, begins(restS)) - firedSooner(restS))
      expect(byS).toBeLessThanOrEqual(restS % 10 === 0 ? 0 : 4)
    }
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2000 }), (agoS) => {
        expect(soonerAt(soonerS, begins(agoS))).toBeLessThanOrEqual(firedSooner(Math.ceil(agoS / 10) * 10))
      }),
      { numRuns: 60, endOnFailure: true },
    )
  }
  expect(soonerAt(soonerByRest(coldOn(HOB), HOB), begins(60))).toBeGreaterThan(50)
})

test('nothing is saved on metal that was never used, was washed or has to be, on a griddle, or where nobody worked it out', () => {
  const soonerS = soonerByRest(coldOn(HOB), HOB)
  expect(soonerAt(soonerS, { ...begins(60), setUp: 'wash' })).toBe(0)
  expect(soonerAt(soonerS, { ...begins(60), past: { ...used(60), washedAtMs: NOW_MS - 30_000 } })).toBe(0)
  expect(soonerAt(soonerS, { ...begins(60), past: UNTOUCHED })).toBe(0)
  expect(soonerAt(undefined, begins(60))).toBe(0)
  expect(soonerAt(soonerS, { ...begins(60), setUp: 'brush' })).toBe(soonerAt(soonerS, begins(60)))
  const griddle = aGriddle()
  expect(soonerByRest(coldOn(griddle), griddle)).toEqual(RESTS_S.map(() => 0))
})
