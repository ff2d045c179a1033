/** A load is called wet from this many points of water above what was wanted: common practice. */
const WET_FROM = 0.02
const RESCUE_DEPTH_M = 0.02
/** Free water that a full batch of dry-cooked rice brings, by mass, common practice. */
const USUAL_FREE_FRACTION = 0.06

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
