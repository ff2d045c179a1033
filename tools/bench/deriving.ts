import type { StatedSchools } from '../../core/src/book/schools'
import { aGriddle, aWok, HOB, RING } from '../../core/src/test/stations'
import { aBatch, CARROT, CHICKEN, DUCK, GREENS, ONION, PASTE, PEAS, PLAIN, SHRIMP } from '../../core/src/test/wokDishes'
import { derive, type SequenceInput } from '../../core/src/wok/sequence/derive'
import type { ComponentInput } from '../../core/src/wok/sequence/vocabulary'
import { lcg } from '../../server/src/demo/chance'
import { percentile } from './percentile'

export const DISHES = 80
const WARM_UP = 12
const MORE: readonly ComponentInput[] = [
  SHRIMP,
  CHICKEN,
  DUCK,
  ONION,
  CARROT,
  GREENS,
  PEAS,
  PASTE,
  { id: 'beef', role: 'protein', food: 'meat', state: 'marinated', ratioG: 20, cut: { sizeMm: 4 } },
  { id: 'ham', role: 'protein', food: 'cured', readyToEat: true, ratioG: 12 },
  { id: 'mushroom', role: 'vegetable', food: 'mushroom', ratioG: 10 },
  { id: 'stems', role: 'vegetable', food: 'stem', ratioG: 8 },
  { id: 'tomato', role: 'vegetable', food: 'softVeg', ratioG: 12 },
]
const STATIONS = [
  { station: HOB, handling: 'stir', batchMassG: 280 },
  { station: aWok(15_000), handling: 'toss', batchMassG: 500 },
  { station: RING, handling: 'toss', batchMassG: 600 },
  { station: aGriddle(), handling: 'flip', batchMassG: 800 },
] as const
export const STATED: StatedSchools = {
  egg: 'firstOut',
  heat: 'mediumThenHigh',
  rawProtein: 'ownOut',
  sauce: 'wall',
  readyProtein: 'base',
}

/** Times [ms] of deriving dishes at stations that are drawn by chance, the same ones each time, once it is warm. */
export function derivingMs(schools: StatedSchools): { tookMs: number[]; most: number } {
  const random = lcg(7)
  const tookMs: number[] = []
  let most = 0
  for (let n = 0; n < DISHES + WARM_UP; n += 1) {
    const input = drawn(random, schools)
    const beganMs = performance.now()
    const derived = derive(input)
    if (n >= WARM_UP && derived.kind === 'derived') tookMs.push(performance.now() - beganMs)
    if (derived.kind === 'derived') most = Math.max(most, derived.simulated)
  }
  return { tookMs, most }
}

/** Such times in words. */
export const spread = (tookMs: readonly number[], more = ''): string =>
  `median ${percentile(tookMs, 0.5).toFixed(0)} ms, p95 ${percentile(tookMs, 0.95).toFixed(0)} ms of ${tookMs.length} dishes${more}`

export function drawn(random: () => number, schools: StatedSchools): SequenceInput {
  const at = STATIONS[Math.floor(random() * STATIONS.length)] ?? STATIONS[0]
  const components = [...PLAIN, ...MORE.filter(() => random() < 0.25)].filter(
    ({ id }) => id === 'rice' || random() < 0.9,
  )
  return aBatch([], schools, { ...at, dish: { components } })
}
