import {
  BOUND,
  COMMON,
  FILM,
  FREE,
  HEAT,
  HEAT_IN,
  HEAT_OUT,
  ICE,
  METAL_A,
  METAL_B,
  MOST_FOODS,
  PER_FOOD,
  PER_PART,
  PER_VESSEL,
  P_CATCH,
  V_BOIL_PER_S,
  V_FILM_C,
  V_HOLD_C,
  V_LEVEL,
  WATER_OUT,
} from './layout'
import type { Pan } from './layout'
import { arrange } from './arrange'
import { portionOf, type FoodLoad, type Portion } from './load'
import { BOIL_C, BULK_BOIL_PER_S, CATCH_BELOW_BOIL_K, WATER_J_PER_KGK, type Handling } from './parameters'
import { type Vessel } from './vessel'

const { abs, max, min } = Math

/** An empty vessel whose two zones have these temperatures. */
export function emptyPan(vessel: Vessel, metalAC: number, metalBC: number, oilG: number, handling: Handling): Pan {
  const pan: Pan = {
    vessel,
    portions: [],
    y: new Float64Array(COMMON + MOST_FOODS * PER_FOOD),
    fixed: new Float64Array(PER_VESSEL),
    parts: new Float64Array(MOST_FOODS * PER_PART),
    put: new Float64Array(2),
    faces: new Float64Array(MOST_FOODS),
    patches: new Float64Array(MOST_FOODS),
    handling,
    oilKg: oilG / 1000,
    atS: 0,
  }
  pan.y[METAL_A] = vessel.capacityAJPerK * metalAC
  pan.y[METAL_B] = vessel.capacityBJPerK * metalBC
  pan.put[0] = vessel.capacityAJPerK * metalAC + vessel.capacityBJPerK * metalBC
  pan.fixed[V_LEVEL] = 1
  pan.fixed[V_HOLD_C] = vessel.holdC
  pan.fixed[V_BOIL_PER_S] = BULK_BOIL_PER_S
  arrange(pan)
  return pan
}

/** The same vessel as it is now, to go on from in another way. Named one by one, so that all vessels have one shape. */
export const copyPan = (pan: Pan): Pan => ({
  vessel: pan.vessel,
  portions: pan.portions.slice(),
  y: pan.y.slice(),
  fixed: pan.fixed.slice(),
  parts: pan.parts.slice(),
  put: pan.put.slice(),
  faces: pan.faces.slice(),
  patches: pan.patches.slice(),
  handling: pan.handling,
  oilKg: pan.oilKg,
  atS: pan.atS,
})

/**
 * Puts food in; its number among the components comes back.
 * @throws {RangeError} when the load is no food, or more than `MOST_FOODS` are in
 */
export const putIn = (pan: Pan, load: FoodLoad): number => putPortionIn(pan, portionOf(load))

/** The same with what a load is to the model. */
export function putPortionIn(pan: Pan, one: Portion): number {
  if (pan.portions.length >= MOST_FOODS) throw new RangeError(`more than ${MOST_FOODS} components in one vessel`)
  const index = pan.portions.push(one) - 1
  pan.patches[index] = 0
  const at = COMMON + index * PER_FOOD
  const heatJ = (one.dryJPerK + (one.freeKg + one.boundKg) * WATER_J_PER_KGK) * one.tempC
  pan.y[at + HEAT] = heatJ
  pan.y[at + FREE] = one.freeKg
  pan.y[at + BOUND] = one.boundKg
  pan.y[at + ICE] = one.iceJ
  pan.put[0]! += heatJ - one.iceJ
  pan.put[1]! += one.freeKg + one.boundKg
  arrange(pan)
  return index
}

/** Pours a liquid on bare metal, where it boils until it has drained into the food [kg of water, °C]. */
export function pourOnMetal(pan: Pan, waterKg: number, tempC: number): void {
  const was = pan.y[FILM]!
  const mixC = was + waterKg > 0 ? (pan.fixed[V_FILM_C]! * was + tempC * waterKg) / (was + waterKg) : tempC
  pan.y[FILM] = was + waterKg
  pan.fixed[V_FILM_C] = mixC
  pan.put[0]! += waterKg * WATER_J_PER_KGK * tempC
  pan.put[1]! += waterKg
}

/** Sets how the food is moved, how far the flame is open (0 to 1) and the ceiling [°C]. */
export function setWork(pan: Pan, work: { handling?: Handling; level?: number; holdC?: number }): void {
  if (work.level !== undefined) pan.fixed[V_LEVEL] = work.level
  if (work.holdC !== undefined) pan.fixed[V_HOLD_C] = work.holdC
  if (work.handling === undefined || work.handling === pan.handling) return
  pan.handling = work.handling
  arrange(pan)
}

/** Pours oil in, or takes it out with what carries it [kg]; no more than there is. */
export function pourOil(pan: Pan, oilKg: number): void {
  pan.oilKg = max(0, pan.oilKg + oilKg)
  arrange(pan)
}

/** Temperature of the metal under the flame [°C]. */
export const metalC = (pan: Pan): number => pan.y[METAL_A]! / pan.vessel.capacityAJPerK
export const rimC = (pan: Pan): number => pan.y[METAL_B]! / pan.vessel.capacityBJPerK

/** Heat capacity [J/K] of a component as wet as it is now. */
export function capacityJPerK(pan: Pan, index: number): number {
  const at = COMMON + index * PER_FOOD
  return pan.portions[index]!.dryJPerK + (pan.y[at + FREE]! + pan.y[at + BOUND]!) * WATER_J_PER_KGK
}

/** Mean temperature of a component [°C]. */
export const foodC = (pan: Pan, index: number): number =>
  pan.y[COMMON + index * PER_FOOD + HEAT]! / capacityJPerK(pan, index)

/** Mean temperature of all food [°C]; null without food. */
export function heapC(pan: Pan): number | null {
  let heat = 0
  let capacity = 0
  pan.portions.forEach((_, index) => {
    heat += pan.y[COMMON + index * PER_FOOD + HEAT]!
    capacity += capacityJPerK(pan, index)
  })
  return capacity > 0 ? heat / capacity : null
}

/** What all food weighs, and its free water [kg]. */
export function heapMass(pan: Pan): { massKg: number; freeKg: number } {
  let massKg = 0
  let freeKg = 0
  for (let index = 0; index < pan.portions.length; index += 1) {
    const at = COMMON + index * PER_FOOD
    massKg += pan.portions[index]!.dryKg + pan.y[at + FREE]! + pan.y[at + BOUND]!
    freeKg += pan.y[at + FREE]!
  }
  return { massKg, freeKg }
}

/**
 * How far heat and water are from what went in, less what went out, against what moved. A run keeps both below 1e-9; the
 * sauce that lies on the metal keeps its own heat.
 */
export function residuals(pan: Pan): { energy: number; water: number } {
  const { y, fixed, put } = pan
  let heat = y[METAL_A]! + y[METAL_B]! + y[FILM]! * WATER_J_PER_KGK * fixed[V_FILM_C]!
  let water = y[FILM]!
  for (let index = 0; index < pan.portions.length; index += 1) {
    const at = COMMON + index * PER_FOOD
    heat += y[at + HEAT]! - y[at + ICE]!
    water += y[at + FREE]! + y[at + BOUND]!
  }
  const heatMoved = abs(put[0]!) + y[HEAT_IN]! + abs(y[HEAT_OUT]!)
  const waterMoved = put[1]! + y[WATER_OUT]!
  return {
    energy: heatMoved > 0 ? abs(heat - put[0]! - y[HEAT_IN]! + y[HEAT_OUT]!) / heatMoved : 0,
    water: waterMoved > 0 ? abs(water - put[1]! + y[WATER_OUT]!) / waterMoved : 0,
  }
}

/** Share of the heat by which steam condenses below the boil. */
export const catchShare = (parts: Float64Array, at: number, tempC: number): number =>
  parts[at + P_CATCH]! * min(CATCH_BELOW_BOIL_K, max(0, BOIL_C - tempC))
