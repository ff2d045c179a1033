import type { Dish } from '../book/dish'

/** A load is called wet from this many points of water above what was wanted: common practice. */
const WET_FROM = 0.02
const RESCUE_DEPTH_M = 0.02
/** Free water that a full batch of dry-cooked rice brings, by mass, common practice. */
const USUAL_FREE_FRACTION = 0.06

/** A load that came out too wet, and what to do with it. */
export type WetLoad = {
  isWet: boolean
  /** Water to lose for the wanted moisture [g]. */
  excessWaterG: number
  /** Spread no deeper than this [m], uncovered, and left for these hours more. */
  depthM: number
  extraHours: number
  /** What a batch at the wok is to be cut to, 0–1. */
  batchFactor: number
}

/**
 * What to do with a load that came out wetter than wanted. A night uncovered in the cold takes one or two points off and
 * dries the top millimetre most, so it is stirred once; what stays wet is met at the wok by smaller batches.
 */
export function rescueWetLoad(cookedMassG: number, waterFraction: number, wantedFraction: number): WetLoad {
  const excess = waterFraction - wantedFraction
  const excessWaterG = Math.max(0, cookedMassG * (1 - (1 - waterFraction) / (1 - wantedFraction)))
  const isWet = excess >= WET_FROM
  return {
    isWet,
    excessWaterG,
    depthM: RESCUE_DEPTH_M,
    extraHours: isWet ? 12 : 0,
    batchFactor: isWet ? Math.max(0.5, USUAL_FREE_FRACTION / (USUAL_FREE_FRACTION + excess)) : 1,
  }
}

/** What brings free water to the rice: common practice. */
const WET_ROLES = ['liquidSeasoning', 'paste', 'egg', 'vegetable'] as const
const BEST_DISHES = 3

/** Dishes that bear a wet load best: those that bring the least water of their own per 100 g of rice, driest first. */
export function dishesForWetRice<T extends Pick<Dish, 'components'>>(dishes: readonly T[]): T[] {
  const wetG = ({ components }: T) =>
    components.filter((one) => WET_ROLES.some((role) => role === one.role)).reduce((sum, one) => sum + one.ratioG, 0)
  return [...dishes].sort((a, b) => wetG(a) - wetG(b)).slice(0, BEST_DISHES)
}
