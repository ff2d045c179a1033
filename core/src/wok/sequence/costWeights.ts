import type { Place } from './place'

/** Weights of what a cook would rather not have; lower wins. [C] */
export const COST = {
  takeOut: 12,
  wipe: 6,
  perS: 0.1,
  waitPerS: 0.05,
  entry: 0.8,
  dipPerK: 0.25,
  unfriedPerS: 0.4,
  freeWater: 600,
  burn: 25 / 0.4,
  leafPast: 6,
  vegetablePast: 4,
  shortfall: 40,
  asidePerK: 0.08,
  eggOnDirty: 4,
  quickLate: 10,
  readyIntoRice: 5,
  vegetableIntoRice: 2,
  crispIntoRice: 80,
  frozenIntoRice: 30,
  caramel: -4,
  butterPerK: 0.2,
  acrossZones: 3,
} as const
/** Done and hot, each second, by what it is. */
export const OVERDONE_PER_S: Readonly<Record<string, number>> = {
  seafood: 0.1,
  poultry: 0.09,
  meat: 0.08,
  mince: 0.08,
  egg: 0.03,
  cured: 0.02,
}
/** What it costs that something goes in after the rice, which it cools and wets; raw vegetables and frozen food by their mass. */
export function intoRiceCost({ place, isFrozen, massG }: Into, riceG: number): number {
  const frozen = isFrozen ? (COST.frozenIntoRice * massG) / riceG : 0
  switch (place) {
    case 'ready':
      return frozen + COST.readyIntoRice
    case 'readyVeg':
      return frozen + COST.vegetableIntoRice
    case 'crisp':
      return frozen + COST.vegetableIntoRice + (COST.crispIntoRice * massG) / riceG
    default:
      return frozen
  }
}
type Into = { place: Place; isFrozen: boolean; massG: number }

/** Tomato or pineapple that is only warmed is good all the same: what it lacks counts for so much of what other food lacks. [C] */
const SOFT_SHORT = 0.25

/** What it costs that food is short of its goal, by the share that it came to. */
export const shortfallCost = (place: Place, progress: number): number =>
  COST.shortfall * (place === 'soft' ? SOFT_SHORT : 1) * Math.max(0, 1 - progress)

/** Softer than its goal by so much is past it. [C] */
const PAST = { vegetable: 1.8, leaf: 2.5 } as const

/**
 * What it costs that a vegetable or a leaf is softer than its goal, so many times its goal. The first seconds past it matter
 * most: what is soft already is not much worse for being softer, and every vegetable that stays in under the rice softens.
 */
export function tooSoftCost(softness: number, what: keyof typeof PAST): number {
  const past = PAST[what]
  const perGoal = what === 'leaf' ? COST.leafPast : COST.vegetablePast
  return perGoal * past * Math.log(Math.max(1, softness / past))
}
