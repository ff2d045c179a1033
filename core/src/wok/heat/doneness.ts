import type { Kill, Rate } from './foods'
import {
  BOUND,
  COMMON,
  FREE,
  HEAT,
  METAL_A,
  MOST_FOODS,
  PER_FOOD,
  PER_PART,
  P_DRY_J_PER_K,
  P_MOST_BROWN,
  P_REACHED,
  P_TIME_SHARE,
  P_TOWARDS,
} from './layout'
import { foodC } from './pan'
import type { Pan } from './layout'
import { faceC } from './face'
import { BOIL_C, WATER_J_PER_KGK } from './parameters'

const { exp, log, max, min, sqrt } = Math

/** How far a component has come. */
export type Doneness = {
  /** Middle of a piece [°C]. */
  coreC: number
  /** Softening or setting by its mean: 1 is done for a vegetable; an egg is set to 1 - exp(-index). */
  softness: number
  /** Browning by its surface: 1 is fragrant for garlic, 8 burnt. */
  browning: number
  /** Powers of ten by which what makes ill has died in the core. */
  logKill: number
}

const GAS_J_PER_MOL_K = 8.314462
const ZERO_K = 273.15
/** Wet food does not pass the boil; a dry face is followed to here [°C]. */
const MOST_WET_C = 100
const MOST_DRY_C = 260
/** A piece from this thickness on is soft when its middle is [m]. [C] */
const THICK_M = 0.005
/** Below this nothing dies that counts: D-values do not hold there [°C]. */
const KILLS_FROM_C = 50

/** Arrhenius: how fast at a temperature [1/s]. */
export function rateAt(rate: Rate, tempC: number): number {
  const inverse = 1 / (rate.atC + ZERO_K) - 1 / (tempC + ZERO_K)
  return rate.perS * exp((rate.activationJPerMol / GAS_J_PER_MOL_K) * inverse)
}

/** Powers of ten that die a second at a temperature. */
export const killPerS = (kill: Kill, tempC: number): number =>
  tempC < KILLS_FROM_C ? 0 : 10 ** ((tempC - kill.atC) / kill.zK) / kill.dS

/** Columns of what is followed for each component, in the order of the pan. */
const CORE = 0
const SOFT = 1
const BROWN = 2
const KILL = 3
const SOFT_PER_S = 4
const BROWN_PER_S = 5
const KILL_PER_S = 6
const LAG_S = 7
/** Arrhenius and death as exp(a - b / K) and exp(a + b °C): minus infinity where there is none. */
const SOFT_A = 8
const SOFT_B = 9
const BROWN_A = 10
const BROWN_B = 11
const KILL_A = 12
const KILL_B = 13
/** 1 where a piece is soft when its middle is. */
const BY_CORE = 14
const HAD_KG = 15
const COLUMNS = 16

/** Doneness of everything in a vessel, in flat arrays, so that following it allocates nothing. */
export type Following = { readonly columns: readonly Float64Array[]; count: number }

export const startFollowing = (): Following => ({
  columns: Array.from({ length: COLUMNS }, () => new Float64Array(MOST_FOODS)),
  count: 0,
})
export const copyFollowing = ({ columns, count }: Following): Following => ({
  columns: columns.map((one) => one.slice()),
  count,
})

/** Follows what was put in since. */
export function followAdded(pan: Pan, following: Following): void {
  for (let index = following.count; index < pan.portions.length; index += 1)
    follow(pan, following, index, { coreC: foodC(pan, index), softness: 0, browning: 0, logKill: 0 })
}

/** Follows a component that came back into the vessel as its last. */
export const followReturned = (pan: Pan, following: Following, one: Doneness): void =>
  follow(pan, following, pan.portions.length - 1, one)

function follow(pan: Pan, following: Following, index: number, one: Doneness): void {
  const { thermal, pieceM, diffusivityM2PerS, freeKg, boundKg } = pan.portions[index]!
  const { columns } = following
  const put = (column: number, value: number) => (columns[column]![index] = value)
  put(LAG_S, (pieceM * pieceM) / 4 / (thermal.shapeN * diffusivityM2PerS))
  put(CORE, one.coreC)
  put(SOFT, one.softness)
  put(BROWN, one.browning)
  put(KILL, one.logKill)
  put(SOFT_A, thermal.softens ? arrheniusA(thermal.softens) : -Infinity)
  put(SOFT_B, thermal.softens ? arrheniusB(thermal.softens) : 0)
  put(BROWN_A, arrheniusA(thermal.browns))
  put(BROWN_B, arrheniusB(thermal.browns))
  put(KILL_A, thermal.kill ? -(Math.LN10 * thermal.kill.atC) / thermal.kill.zK - log(thermal.kill.dS) : -Infinity)
  put(KILL_B, thermal.kill ? Math.LN10 / thermal.kill.zK : 0)
  put(BY_CORE, pieceM >= THICK_M ? 1 : 0)
  put(HAD_KG, freeKg + boundKg)
  pan.faces[index] = faceC(pan, index)
  ratesOf(pan, columns, index)
  following.count = index + 1
}
const arrheniusB = ({ activationJPerMol }: Rate) => activationJPerMol / GAS_J_PER_MOL_K
const arrheniusA = (rate: Rate) => log(rate.perS) + arrheniusB(rate) / (rate.atC + ZERO_K)

/** Takes a component's doneness out with it; what follows it moves up by one. */
export function followLifted(following: Following, index: number): Doneness {
  const one = donenessAt(following, index)
  for (const column of following.columns) column.copyWithin(index, index + 1, following.count)
  following.count -= 1
  return one
}

export const donenessAt = ({ columns }: Following, index: number): Doneness => ({
  coreC: columns[CORE]![index]!,
  softness: columns[SOFT]![index]!,
  browning: columns[BROWN]![index]!,
  logKill: columns[KILL]![index]!,
})
export const coreCAt = ({ columns }: Following, index: number): number => columns[CORE]![index]!
export const softnessAt = ({ columns }: Following, index: number): number => columns[SOFT]![index]!
export const browningAt = ({ columns }: Following, index: number): number => columns[BROWN]![index]!
export const logKillAt = ({ columns }: Following, index: number): number => columns[KILL]![index]!
/** How fast it browns now [1/s]. */
export const browningPerSAt = ({ columns }: Following, index: number): number => columns[BROWN_PER_S]![index]!

/** After a step of the pan: rates between two steps are taken as their geometric mean. */
export function followStep(pan: Pan, { columns, count }: Following, stepS: number): void {
  const core = columns[CORE]!
  const soft = columns[SOFT]!
  const brown = columns[BROWN]!
  const kill = columns[KILL]!
  const softPerS = columns[SOFT_PER_S]!
  const brownPerS = columns[BROWN_PER_S]!
  const killsPerS = columns[KILL_PER_S]!
  const lagS = columns[LAG_S]!
  for (let index = 0; index < count; index += 1) {
    const meanC = foodC(pan, index)
    core[index] = min(MOST_WET_C, meanC - (meanC - core[index]!) * exp(-stepS / lagS[index]!))
    const softBefore = softPerS[index]!
    const brownBefore = brownPerS[index]!
    const killBefore = killsPerS[index]!
    ratesOf(pan, columns, index)
    soft[index]! += stepS * sqrt(softBefore * softPerS[index]!)
    brown[index]! += stepS * sqrt(brownBefore * brownPerS[index]!)
    kill[index]! += stepS * sqrt(killBefore * killsPerS[index]!)
  }
}

function ratesOf(pan: Pan, columns: readonly Float64Array[], index: number): void {
  const { y, parts, faces } = pan
  const at = COMMON + index * PER_FOOD
  const part = index * PER_PART
  const coreC = columns[CORE]![index]!
  const waterKg = y[at + FREE]! + y[at + BOUND]!
  const meanC = min(MOST_WET_C, y[at + HEAT]! / (parts[part + P_DRY_J_PER_K]! + waterKg * WATER_J_PER_KGK))
  const softC = columns[BY_CORE]![index]! > 0 ? coreC : meanC
  columns[SOFT_PER_S]![index] = exp(columns[SOFT_A]![index]! - columns[SOFT_B]![index]! / (softC + ZERO_K))
  columns[KILL_PER_S]![index] =
    coreC < KILLS_FROM_C ? 0 : exp(columns[KILL_A]![index]! + columns[KILL_B]![index]! * coreC)
  // The face that browns stands between the interface and the metal: the drier, and the more alone, the hotter.
  const face = faces[index]!
  const metalTempC = y[METAL_A]! / pan.vessel.capacityAJPerK
  const towards = face + parts[part + P_TOWARDS]! * max(0, metalTempC - face)
  let filmC = towards
  if (towards > BOIL_C) {
    const hadKg = columns[HAD_KG]![index]!
    const dried = hadKg > 0 ? min(1, max(0, 1 - waterKg / hadKg)) : 1
    filmC = BOIL_C + parts[part + P_REACHED]! * (towards - BOIL_C) * dried * sqrt(dried)
  }
  const browns = exp(columns[BROWN_A]![index]! - columns[BROWN_B]![index]! / (min(MOST_DRY_C, filmC) + ZERO_K))
  columns[BROWN_PER_S]![index] = min(parts[part + P_MOST_BROWN]!, browns * parts[part + P_TIME_SHARE]!)
}
