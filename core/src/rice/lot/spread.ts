import { COOKED_BULK_KG_PER_L } from '../cookMethod'
import type { CoolingPlace, CoolStage } from '../cooling/coolingPlace'
import { MAX_DEPTH_M, MIN_DEPTH_M } from '../cooling/coolTray'
import { waterFractionOf } from '../waterBalance'
import { wholeUp } from '../../math/wholeUp'

/** How deep rice is spread where nobody says otherwise [m]: common practice keeps it under 5 cm. */
const AIM_DEPTH_M = 0.038
/** Part of a tray that may be left over before another one is taken. */
const SPARE_TRAY = 0.05
/** Water of cooked rice outside these is a slip of the scale, not rice. */
const LIKELY_WATER = { least: 0.5, most: 0.7 } as const
/** How long trays stay where they are put, at the most: long enough for every rule to be decided [s]. */
const STAY_S = 36_000
/** What rice that leaves the heat usually reads [°C], common practice; the model is asked between these. */
export const USUAL_SPREAD_C = 90
const MODEL_C = { least: 60, most: 100 } as const

/** A load that is weighed off the heat and spread; `trays` and `tempC` are null until somebody says them. */
export type SpreadInput = {
  massG: number
  dryMassG: number | null
  trayM2: number
  trays: number | null
  place: { kind: CoolingPlace | 'bench' | 'freezer'; airTempC: number | null } | null
  isCovered: boolean
  /** How the house cools, first place first. */
  cooling: readonly CoolStage[]
  tempC: number | null
}

/** What follows from it: how many trays, how deep, where it cools, and what speaks against it. */
export type Spread = {
  trays: number
  depthM: number
  place: CoolingPlace
  stages: CoolStage[]
  /** Temperature that the cooling model starts from [°C]. */
  modelC: number
  waterFraction: number | null
  isWaterOdd: boolean
  isDepthOdd: boolean
  /** Trays that keep every one of them at or under a depth. */
  traysFor: (depthM: number) => number
}

/** Spreads a load: trays as many as keep it at the usual depth, the house's own cooling where the first place is its first. */
export function spreadOf(input: SpreadInput): Spread {
  const { massG, dryMassG, trayM2, isCovered, cooling, tempC } = input
  const levelM = massG / 1_000_000 / COOKED_BULK_KG_PER_L / trayM2
  const trays = input.trays ?? Math.max(1, Math.ceil(levelM / AIM_DEPTH_M - SPARE_TRAY))
  const depthM = Math.round((levelM / trays) * 1000) / 1000
  const kind = input.place?.kind
  const place = kind === undefined || kind === 'bench' || kind === 'freezer' ? 'fridge' : kind
  const own: CoolStage = { durationS: STAY_S, place, covered: isCovered, airTempC: input.place?.airTempC ?? undefined }
  const isAsHouse = cooling[0]?.place === place && cooling.length > 1 && !isCovered
  const waterFraction = dryMassG === null ? null : waterFractionOf(dryMassG, massG)
  return {
    trays,
    depthM,
    place,
    stages: isAsHouse ? [...cooling] : [own],
    modelC: Math.min(MODEL_C.most, Math.max(MODEL_C.least, tempC ?? USUAL_SPREAD_C)),
    waterFraction,
    isWaterOdd: waterFraction !== null && (waterFraction < LIKELY_WATER.least || waterFraction > LIKELY_WATER.most),
    isDepthOdd: depthM < MIN_DEPTH_M || depthM > MAX_DEPTH_M,
    traysFor: (mostM) => wholeUp(levelM / mostM),
  }
}
