/** Water by mass of raw milled rice as bought, common practice. */
export const DRY_RICE_WATER_FRACTION = 0.125
/** Outside this it is no cooked rice: drier is raw in the middle, wetter is porridge. A target there is refused. */
export const MIN_TARGET_WATER_FRACTION = 0.45
/** Wetter than this is porridge [g water / g]. */
export const MAX_TARGET_WATER_FRACTION = 0.78

/** Dry rice, the water it should hold, and what goes off as steam. */
export type WaterInput = {
  dryMassG: number
  targetWaterFraction: number
  evaporatedG: number
  dryWaterFraction?: number | undefined
}
/** The water to add, and what comes of it [g]; yield in g cooked per g dry. */
export type WaterBalance = { waterG: number; cookedMassG: number; yieldRatio: number }

/**
 * Water to add [g] so that the cooked rice holds this share of water: dry matter stays, steam leaves. Exact mass balance;
 * what it takes from practice is the steam of this vessel: weigh a load.
 * @throws {RangeError} where the target is no wetter than the raw rice or is all water
 */
export function waterForTarget({
  dryMassG,
  targetWaterFraction,
  evaporatedG,
  dryWaterFraction = DRY_RICE_WATER_FRACTION,
}: WaterInput): WaterBalance {
  if (!(targetWaterFraction > dryWaterFraction && targetWaterFraction < 1))
    throw new RangeError(`targetWaterFraction ${targetWaterFraction} is outside (${dryWaterFraction}, 1)`)
  const cookedMassG = (dryMassG * (1 - dryWaterFraction)) / (1 - targetWaterFraction)
  return { waterG: cookedMassG - dryMassG + evaporatedG, cookedMassG, yieldRatio: cookedMassG / dryMassG }
}

/** Water by mass of rice that weighed `dryMassG` raw and weighs `cookedMassG` now. */
export function waterFractionOf(
  dryMassG: number,
  cookedMassG: number,
  dryWaterFraction = DRY_RICE_WATER_FRACTION,
): number {
  return 1 - (dryMassG * (1 - dryWaterFraction)) / cookedMassG
}

/** What a load on the heat will weigh when it comes off [g]; nothing where there is no load. */
export const cookedMassOf = (load: { dryMassG: number; targetWaterFraction: number } | null): number =>
  load ? waterForTarget({ ...load, evaporatedG: 0 }).cookedMassG : 0
