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
  P_AREA_A,
  P_AREA_B,
  P_AWAY_KG,
  P_BOUND_KG,
  P_CATCH,
  P_DRY_ACTIVITY,
  P_DRY_J_PER_K,
  P_DRY_KG,
  P_FLOATS,
  P_FOOD_SIDE,
  P_GIVES_UP_PER_S,
  P_ICE_TAPER,
  P_INNER,
  P_KEEPS_KG,
  P_SHARE,
  P_SUPPLY,
  P_SURFACE,
  P_TAKES_UP_PER_S,
  V_AIR,
  V_BARE_A,
  V_BARE_B,
  V_DRY_SIDE,
  V_FASTEST_PER_S,
  V_FILM_C,
  V_FILM_MOST_M2,
  V_HOLD_C,
  V_LEVEL,
  V_PRESSED,
  WATER_OUT,
} from './layout'
import { portionOf, type FoodLoad, type Portion } from './load'
import {
  BOIL_C,
  CATCH_BELOW_BOIL_K,
  CONTACT,
  MOVEMENT,
  OIL_FULL_KG_PER_M2,
  PACKET,
  SAUCE_FILM,
  SURFACE,
  WATER_J_PER_KGK,
  type Handling,
} from './parameters'
import { heapOf, type Vessel } from './vessel'

const ICE_TAPER_SHARE = 0.15
/** With less dry matter than this a food is a liquid, which draws together when little of it is left. [C] */
const LIQUID_DRY_SHARE = 0.02
const AWAY_SHARE = 0.1

/** A vessel with food in it, in flat arrays: the derivative allocates nothing. */
export type Pan = {
  readonly vessel: Vessel
  readonly portions: Portion[]
  readonly y: Float64Array
  readonly fixed: Float64Array
  readonly parts: Float64Array
  /** Metal, food and water that were put in: heat [J] and water [kg], for the balance. */
  readonly put: Float64Array
  handling: Handling
  oilKg: number
  atS: number
}

/** An empty vessel whose two zones have these temperatures. */
export function emptyPan(vessel: Vessel, metalAC: number, metalBC: number, oilG: number, handling: Handling): Pan {
  const pan: Pan = {
    vessel,
    portions: [],
    y: new Float64Array(COMMON + MOST_FOODS * PER_FOOD),
    fixed: new Float64Array(PER_VESSEL),
    parts: new Float64Array(MOST_FOODS * PER_PART),
    put: new Float64Array(2),
    handling,
    oilKg: oilG / 1000,
    atS: 0,
  }
  pan.y[METAL_A] = vessel.capacityAJPerK * metalAC
  pan.y[METAL_B] = vessel.capacityBJPerK * metalBC
  pan.put[0] = vessel.capacityAJPerK * metalAC + vessel.capacityBJPerK * metalBC
  pan.fixed[V_LEVEL] = 1
  pan.fixed[V_HOLD_C] = vessel.holdC
  arrange(pan)
  return pan
}

/**
 * Puts food in; its number among the components comes back.
 * @throws {RangeError} when the load is no food, or more than `MOST_FOODS` are in
 */
export function putIn(pan: Pan, load: FoodLoad): number {
  if (pan.portions.length >= MOST_FOODS) throw new RangeError(`more than ${MOST_FOODS} components in one vessel`)
  const one = portionOf(load)
  const index = pan.portions.push(one) - 1
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
  if (work.handling !== undefined) pan.handling = work.handling
  if (work.level !== undefined) pan.fixed[V_LEVEL] = work.level
  if (work.holdC !== undefined) pan.fixed[V_HOLD_C] = work.holdC
  arrange(pan)
}

/** Works out what is fixed until the next change: how the heap lies, and what each component touches. */
export function arrange(pan: Pan): void {
  const { vessel, portions, fixed, parts } = pan
  const move = MOVEMENT[pan.handling]
  let volumeM3 = 0
  let layerM2 = 0
  let patchesM2 = 0
  let apartM3 = 0
  for (const one of portions) {
    patchesM2 += one.patchM2
    if (one.patchM2 > 0) {
      apartM3 += one.volumeM3
      continue
    }
    volumeM3 += one.volumeM3
    layerM2 += one.layerM2
  }
  const heap = heapOf(vessel, volumeM3, layerM2, move.spread)
  const coversAM2 = Math.min(heap.coversM2, vessel.areaAM2 - patchesM2)
  const coversBM2 = Math.min(heap.coversM2 - coversAM2, vessel.areaBM2)
  fixed[V_BARE_A] = vessel.areaAM2 - coversAM2 - patchesM2
  fixed[V_BARE_B] = vessel.areaBM2 - coversBM2 + vessel.outsideBM2
  const oilFull = heap.coversM2 > 0 ? Math.min(1, pan.oilKg / (OIL_FULL_KG_PER_M2 * heap.coversM2)) : 0
  fixed[V_DRY_SIDE] = oilFull
  fixed[V_PRESSED] = move.pressed
  fixed[V_AIR] = SURFACE.airWPerM2K * move.air
  fixed[V_FILM_MOST_M2] = SAUCE_FILM.mostShare * vessel.areaAM2
  const caught = move.caught * (1 - Math.exp(-heap.depthM / SURFACE.catchDepthM))
  fixed[V_FASTEST_PER_S] = 0
  const metalSide = (CONTACT.dryWPerM2K + CONTACT.oilWPerM2K * oilFull) * move.pressed
  portions.forEach((one, index) => {
    const at = index * PER_PART
    const isApart = one.patchM2 > 0
    // Where nothing else is in, what lies apart is all that water and steam can go to.
    const share = volumeM3 === 0 ? one.volumeM3 / apartM3 : isApart ? 0 : one.volumeM3 / volumeM3
    const packet = Math.sqrt((one.bedWPerMK * one.bedKgPerM3 * one.bedJPerKgK) / (Math.PI * move.contactS))
    const piece = one.pieceM / 2 / ((one.thermal.shapeN / 2) * one.pieceWPerMK)
    const touches = one.thermal.hasGaps ? Math.min(1, vessel.contact * move.contactShare) : 1
    parts[at + P_AREA_A] = isApart ? one.patchM2 : coversAM2 * share * touches
    parts[at + P_AREA_B] = coversBM2 * share * touches
    parts[at + P_SURFACE] = isApart ? one.patchM2 : heap.surfaceM2 * share * move.surface
    parts[at + P_FOOD_SIDE] = one.thermal.convectsWPerM2K ?? 1 / (1 / (2 * packet) + piece)
    const foodSide = parts[at + P_FOOD_SIDE]!
    const touched = parts[at + P_AREA_A]! + parts[at + P_AREA_B]!
    const heats = (touched * metalSide * foodSide) / (metalSide + foodSide) / one.dryJPerK
    fixed[V_FASTEST_PER_S] = Math.max(fixed[V_FASTEST_PER_S]!, heats)
    parts[at + P_SUPPLY] = (PACKET.share * one.bedKgPerM3 * PACKET.depthM) / move.contactS
    parts[at + P_INNER] = one.thermal.innerKgPerM2S
    parts[at + P_DRY_J_PER_K] = one.dryJPerK
    parts[at + P_DRY_KG] = one.dryKg
    parts[at + P_BOUND_KG] = one.boundKg
    parts[at + P_KEEPS_KG] = one.boundKg - one.givesUpKg
    parts[at + P_GIVES_UP_PER_S] = one.thermal.givesUpPerS
    parts[at + P_TAKES_UP_PER_S] = one.thermal.takesUpPerS
    parts[at + P_CATCH] = caught / CATCH_BELOW_BOIL_K
    parts[at + P_SHARE] = share
    const waterKg = one.freeKg + one.boundKg
    parts[at + P_AWAY_KG] = one.dryKg < LIQUID_DRY_SHARE * waterKg ? AWAY_SHARE * waterKg : 0
    parts[at + P_FLOATS] = one.thermal.convectsWPerM2K === undefined ? 1 : 0
    parts[at + P_ICE_TAPER] = ICE_TAPER_SHARE * one.iceJ
    parts[at + P_DRY_ACTIVITY] = one.thermal.dryActivity
  })
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
  pan.portions.forEach((one, index) => {
    const at = COMMON + index * PER_FOOD
    massKg += one.dryKg + pan.y[at + FREE]! + pan.y[at + BOUND]!
    freeKg += pan.y[at + FREE]!
  })
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
  const heatMoved = Math.abs(put[0]!) + y[HEAT_IN]! + Math.abs(y[HEAT_OUT]!)
  const waterMoved = put[1]! + y[WATER_OUT]!
  return {
    energy: heatMoved > 0 ? Math.abs(heat - put[0]! - y[HEAT_IN]! + y[HEAT_OUT]!) / heatMoved : 0,
    water: waterMoved > 0 ? Math.abs(water - put[1]! + y[WATER_OUT]!) / waterMoved : 0,
  }
}

/** Share of the heat by which steam condenses below the boil. */
export const catchShare = (parts: Float64Array, at: number, tempC: number): number =>
  parts[at + P_CATCH]! * Math.min(CATCH_BELOW_BOIL_K, Math.max(0, BOIL_C - tempC))
