import { normalQuantile } from './normal'
import { wholeUp } from '../../math/wholeUp'

/** What a missed portion and a portion thrown away cost, in the same money. */
export type Margin = { shortageCost: number; wasteCost: number }

/**
 * The share of days on which the rice shall suffice (newsvendor): one more portion is cooked as long as its chance to be
 * asked for, times what missing it costs, outweighs its chance to be thrown away, times what that costs.
 */
export function sufficientShare({ shortageCost, wasteCost }: Margin): number {
  if (!(shortageCost > 0 && wasteCost > 0))
    throw new RangeError(`costs ${shortageCost} and ${wasteCost} must be above 0`)
  return shortageCost / (shortageCost + wasteCost)
}

/** Portions that suffice on that share of days, demand being normal. Never below 0. */
export function portionsToCover(expected: number, spread: number, share: number): number {
  return Math.max(0, expected + normalQuantile(share) * spread)
}

/** Portions to cover, what one weighs, and what is there already. */
export type CookInput = { portions: number; portionG: number; usableG: number }

/** Cooked rice still to be made, ready for the wok [g]: whole portions, less what is in the house. */
export function cookedMassWantedG({ portions, portionG, usableG }: CookInput): number {
  return Math.max(0, wholeUp(portions) * portionG - usableG)
}
