import {
  COOKED_BULK_KG_PER_L,
  WASH_HELD_FRACTION,
  blendWaterFraction,
  cookTimes,
  ruleWaterG,
  type Blend,
  type Method,
  type Wash,
} from './cookMethod'
import { DRY_RICE_WATER_FRACTION, waterForTarget, waterFractionOf } from './waterBalance'
import { wholeUp } from '../math/wholeUp'

/** A kitchen's vessel for rice; `steamGPerMin` is learnt from weighed loads. */
export type Vessel = {
  id: string
  method: Method
  volumeL: number
  /** How many of them can cook at once. */
  count: number
  steamGPerMin: number
}

/** How full a vessel may be with cooked rice, so that it swells and steams freely: common practice. */
const FILL_FRACTION = 0.8
const DRY_STEP_G = 10

/** One load: dry rice, water, and what comes out of it [g]. */
export type LoadPlan = {
  dryMassG: number
  /** Water for the wanted moisture by mass balance, of which `heldWaterG` already hangs on the washed grain. */
  waterG: number
  heldWaterG: number
  /** Water by the method's rule of thumb, for those who measure so. */
  ruleWaterG: number
  steamG: number
  cookedMassG: number
  waterFraction: number
  cookedVolumeL: number
  cookS: number
  restS: number
}

/** How much cooked rice is wanted, and what it is cooked in. */
export type LoadsInput = { cookedMassG: number; vessel: Vessel; blend: Blend; wash: Wash }

/** Largest dry mass [g] whose cooked volume fits the vessel. */
export function mostDryMassG(vessel: Vessel, blend: Blend): number {
  const cookedG = vessel.volumeL * FILL_FRACTION * COOKED_BULK_KG_PER_L * 1000
  const yieldRatio = (1 - DRY_RICE_WATER_FRACTION) / (1 - blendWaterFraction(blend))
  return Math.floor(cookedG / yieldRatio / DRY_STEP_G) * DRY_STEP_G
}

/**
 * As few loads as the vessel allows, all alike, to a scale's ten grams and never less than asked for. Cooked masses are
 * of rice as it leaves the heat.
 */
export function planLoads({ cookedMassG, vessel, blend, wash }: LoadsInput): LoadPlan[] {
  if (cookedMassG <= 0) return []
  const targetWaterFraction = blendWaterFraction(blend)
  const dryMassG = (cookedMassG * (1 - targetWaterFraction)) / (1 - DRY_RICE_WATER_FRACTION)
  const count = wholeUp(dryMassG / mostDryMassG(vessel, blend))
  const each = wholeUp(dryMassG / count / DRY_STEP_G) * DRY_STEP_G
  return Array.from({ length: count }, () => planLoad(each, vessel, blend, wash))
}

/** One load of this much dry rice [g]. */
function planLoad(dryMassG: number, vessel: Vessel, blend: Blend, wash: Wash): LoadPlan {
  const { cookMin, restMin } = cookTimes(vessel.method, blend)
  const steamG = vessel.steamGPerMin * (cookMin + restMin)
  const { waterG, cookedMassG } = waterForTarget({
    dryMassG,
    targetWaterFraction: blendWaterFraction(blend),
    evaporatedG: steamG,
  })
  return {
    dryMassG,
    waterG,
    heldWaterG: dryMassG * WASH_HELD_FRACTION[wash],
    ruleWaterG: ruleWaterG(vessel.method, blend, dryMassG),
    steamG,
    cookedMassG,
    waterFraction: waterFractionOf(dryMassG, cookedMassG),
    cookedVolumeL: cookedMassG / 1000 / COOKED_BULK_KG_PER_L,
    cookS: cookMin * 60,
    restS: restMin * 60,
  }
}

/** Rule of thumb and mass balance may differ by so much before it is worth a word, by the rule. */
const SAME_WATER_FRACTION = 0.15

/** Whether the rule of thumb would give water that is far from what the wanted moisture takes. */
export const isFarFromRule = ({ waterG, ruleWaterG }: Pick<LoadPlan, 'waterG' | 'ruleWaterG'>): boolean =>
  Math.abs(waterG - ruleWaterG) > SAME_WATER_FRACTION * ruleWaterG

const LEARNT_SHARE = 0.3

/** What a weighed load says of its vessel's steam [g/min], smoothed over the loads before it. */
export function learnSteam(
  vessel: Vessel,
  weighed: { dryMassG: number; waterG: number; cookedMassG: number; blend: Blend },
): { steamGPerMin: number; observedGPerMin: number } {
  const { cookMin, restMin } = cookTimes(vessel.method, weighed.blend)
  const observedGPerMin = (weighed.dryMassG + weighed.waterG - weighed.cookedMassG) / (cookMin + restMin)
  const kept = Math.max(0, observedGPerMin)
  return { observedGPerMin, steamGPerMin: vessel.steamGPerMin + LEARNT_SHARE * (kept - vessel.steamGPerMin) }
}
