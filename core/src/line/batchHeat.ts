import type { Dish } from '../book/dish'
import { CHILLED_RICE, type RiceAtWok } from '../rice/lot/riceAtWok'
import type { Handling } from '../wok/heat/parameters'
import { usualHandling, usualStation } from '../wok/heat/usualStations'
import type { HeatStation } from '../wok/heat/vessel'
import { factorFor } from '../wok/learn/learn'

/** The heat that a batch is cooked by: a version of a station, how food is moved on it, and how cold and how wet the rice is. */
export type BatchHeat = {
  station: HeatStation
  stationVersion: number
  handling: Handling
  riceTempC: number
  riceWaterFraction: number
  /** Lumps of rice that was not loosened [mm]; none where it was, or where nobody said so. */
  riceLumpMm?: number | undefined
  /** What the kitchen's runs say of its seconds; it is in the station's efficiency already. */
  learned?: number | undefined
}

/** A station of the kitchen with what is known of its heat; without a version it is what is usual for its kind and power. */
export type HeatedStation = {
  kind: Dish['stationKind']
  powerW: number | null
  heat?: { version: number; plate: HeatStation } | undefined
  /** What its runs, and those of dishes, say of the model's seconds. */
  learned?: { factor: number; dishes: Readonly<Record<string, number>> } | undefined
}
/** What a score needs to know of the rice. */
export type RiceNow = Pick<RiceAtWok, 'tempC' | 'waterFraction' | 'lumpMm'>
/** Scores are derived in whole steps of both, so that rice on the bench does not change them every minute. */
const STEPS = { tempC: 4, water: 0.02 } as const
/** Warmer than this it is no chilled rice, and its lot says so [°C]. */
const WARMEST_C = 40
/** Rice in the steps that scores are derived in. */
export const riceInSteps = ({ tempC, waterFraction, lumpMm }: RiceNow): RiceNow => ({
  tempC: Math.min(WARMEST_C, Math.max(0, Math.round(tempC / STEPS.tempC) * STEPS.tempC)),
  waterFraction: Math.round(Math.round(waterFraction / STEPS.water) * STEPS.water * 100) / 100,
  lumpMm,
})

/**
 * The heat of a station for a dish, with rice from the fridge unless more is known of it. Where its runs take longer than the
 * model says, less of its flame reaches the food.
 */
export function heatOf(
  { kind, powerW, heat, learned }: HeatedStation,
  rice: RiceNow = CHILLED_RICE,
  dishId: string | null = null,
): BatchHeat {
  const known = heat?.plate ?? usualStation(kind, powerW)
  const factor = factorFor(learned?.factor, dishId === null ? undefined : learned?.dishes[dishId])
  const station = factor === 1 ? known : { ...known, efficiency: Math.min(0.95, known.efficiency / factor) }
  return {
    station,
    ...(factor !== 1 && { learned: factor }),
    stationVersion: heat?.version ?? 0,
    handling: usualHandling(station),
    riceTempC: rice.tempC,
    riceWaterFraction: rice.waterFraction,
    ...(rice.lumpMm !== null && rice.lumpMm > 0 && { riceLumpMm: rice.lumpMm }),
  }
}
