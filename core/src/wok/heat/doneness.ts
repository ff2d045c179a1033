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

/** What is followed of a component, in a row of numbers each, in the order of the pan. */
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
const PER_ROW = 16

/** Doneness of everything in a vessel, in one flat array, so that following it allocates nothing. */
export type Following = { readonly rows: Float64Array; count: number }

export const startFollowing = (): Following => ({ rows: new Float64Array(MOST_FOODS * PER_ROW), count: 0 })
export const copyFollowing = ({ rows, count }: Following): Following => ({ rows: rows.slice(), count })

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
  const { rows } = following
  const row = index * PER_ROW
  rows[row + LAG_S] = (pieceM * pieceM) / 4 / (thermal.shapeN * diffusivityM2PerS)
  rows[row + CORE] = one.coreC
  rows[row + SOFT] = one.softness
  rows[row + BROWN] = one.browning
  rows[row + KILL] = one.logKill
  rows[row + SOFT_A] = thermal.softens ? arrheniusA(thermal.softens) : -Infinity
  rows[row + SOFT_B] = thermal.softens ? arrheniusB(thermal.softens) : 0
  rows[row + BROWN_A] = arrheniusA(thermal.browns)
  rows[row + BROWN_B] = arrheniusB(thermal.browns)
  rows[row + KILL_A] = thermal.kill
    ? -(Math.LN10 * thermal.kill.atC) / thermal.kill.zK - log(thermal.kill.dS)
    : -Infinity
  rows[row + KILL_B] = thermal.kill ? Math.LN10 / thermal.kill.zK : 0
  rows[row + BY_CORE] = pieceM >= THICK_M ? 1 : 0
  rows[row + HAD_KG] = freeKg + boundKg
  pan.faces[index] = faceC(pan, index)
  ratesOf(pan, rows, index)
  following.count = index + 1
}
const arrheniusB = ({ activationJPerMol }: Rate) => activationJPerMol / GAS_J_PER_MOL_K
const arrheniusA = (rate: Rate) => log(rate.perS) + arrheniusB(rate) / (rate.atC + ZERO_K)

/** Takes a component's doneness out with it; what follows it moves up by one. */
export function followLifted(following: Following, index: number): Doneness {
  const one = donenessAt(following, index)
  following.rows.copyWithin(index * PER_ROW, (index + 1) * PER_ROW, following.count * PER_ROW)
  following.count -= 1
  return one
}

/** Lets a core follow its mean so much later, or sooner [s]: lumps among grains, while they are opened. */
export function addLag({ rows }: Following, index: number, seconds: number): void {
  rows[index * PER_ROW + LAG_S]! += seconds
}

export const donenessAt = ({ rows }: Following, index: number): Doneness => ({
  coreC: rows[index * PER_ROW + CORE]!,
  softness: rows[index * PER_ROW + SOFT]!,
  browning: rows[index * PER_ROW + BROWN]!,
  logKill: rows[index * PER_ROW + KILL]!,
})
export const coreCAt = ({ rows }: Following, index: number): number => rows[index * PER_ROW + CORE]!
export const softnessAt = ({ rows }: Following, index: number): number => rows[index * PER_ROW + SOFT]!
export const browningAt = ({ rows }: Following, index: number): number => rows[index * PER_ROW + BROWN]!
export const logKillAt = ({ rows }: Following, index: number): number => rows[index * PER_ROW + KILL]!
/** How fast it browns now [1/s]. */
export const browningPerSAt = ({ rows }: Following, index: number): number => rows[index * PER_ROW + BROWN_PER_S]!

/** After a step of the pan: rates between two steps are taken as their geometric mean. */
export function followStep(pan: Pan, { rows, count }: Following, stepS: number): void {
  for (let index = 0; index < count; index += 1) {
    const row = index * PER_ROW
    const meanC = foodC(pan, index)
    rows[row + CORE] = min(MOST_WET_C, meanC - (meanC - rows[row + CORE]!) * exp(-stepS / rows[row + LAG_S]!))
    const softBefore = rows[row + SOFT_PER_S]!
    const brownBefore = rows[row + BROWN_PER_S]!
    const killBefore = rows[row + KILL_PER_S]!
    ratesOf(pan, rows, index)
    rows[row + SOFT]! += stepS * sqrt(softBefore * rows[row + SOFT_PER_S]!)
    rows[row + BROWN]! += stepS * sqrt(brownBefore * rows[row + BROWN_PER_S]!)
    rows[row + KILL]! += stepS * sqrt(killBefore * rows[row + KILL_PER_S]!)
  }
}

function ratesOf(pan: Pan, rows: Float64Array, index: number): void {
  const { y, parts, faces } = pan
  const at = COMMON + index * PER_FOOD
  const part = index * PER_PART
  const row = index * PER_ROW
  const coreC = rows[row + CORE]!
  const waterKg = y[at + FREE]! + y[at + BOUND]!
  const meanC = min(MOST_WET_C, y[at + HEAT]! / (parts[part + P_DRY_J_PER_K]! + waterKg * WATER_J_PER_KGK))
  const softA = rows[row + SOFT_A]!
  if (softA > -Infinity) {
    const softC = rows[row + BY_CORE]! > 0 ? coreC : meanC
    rows[row + SOFT_PER_S] = exp(softA - rows[row + SOFT_B]! / (softC + ZERO_K))
  } else rows[row + SOFT_PER_S] = 0
  const killA = rows[row + KILL_A]!
  rows[row + KILL_PER_S] = coreC < KILLS_FROM_C || killA === -Infinity ? 0 : exp(killA + rows[row + KILL_B]! * coreC)
  // The face that browns stands between the interface and the metal: the drier, and the more alone, the hotter.
  const face = faces[index]!
  const metalTempC = y[METAL_A]! / pan.vessel.capacityAJPerK
  const towards = face + parts[part + P_TOWARDS]! * max(0, metalTempC - face)
  let filmC = towards
  if (towards > BOIL_C) {
    const hadKg = rows[row + HAD_KG]!
    const dried = hadKg > 0 ? min(1, max(0, 1 - waterKg / hadKg)) : 1
    filmC = BOIL_C + parts[part + P_REACHED]! * (towards - BOIL_C) * dried * sqrt(dried)
  }
  const browns = exp(rows[row + BROWN_A]! - rows[row + BROWN_B]! / (min(MOST_DRY_C, filmC) + ZERO_K))
  rows[row + BROWN_PER_S] = min(parts[part + P_MOST_BROWN]!, browns * parts[part + P_TIME_SHARE]!)
}
