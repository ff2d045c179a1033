import { contact, metalSideWPerM2K, touch } from './contact'
import {
  BOUND,
  COMMON,
  FREE,
  HEAT,
  METAL_A,
  P_AREA_A,
  P_BOUND_KG,
  P_DRY_J_PER_K,
  P_DRY_KG,
  P_FLOATS,
  P_FOOD_SIDE,
  P_INNER,
  P_SUPPLY,
  PER_FOOD,
  PER_PART,
} from './layout'
import type { Pan } from './layout'
import { HALF_WET_FRACTION, WATER_J_PER_KGK } from './parameters'

const { max } = Math

/** Share of a component's face that is wet, by its free water. */
export function wetShare(pan: Pan, index: number): number {
  const at = COMMON + index * PER_FOOD
  const free = max(0, pan.y[at + FREE]!)
  const fraction = free / (pan.parts[index * PER_PART + P_DRY_KG]! + free + pan.y[at + BOUND]!)
  return fraction / (fraction + HALF_WET_FRACTION)
}

/** Temperature of the face of a component that lies on the metal under the flame [°C]. */
export function faceC(pan: Pan, index: number): number {
  const { y, parts, fixed } = pan
  const part = index * PER_PART
  const at = COMMON + index * PER_FOOD
  const metalTempC = y[METAL_A]! / pan.vessel.capacityAJPerK
  const water = y[at + FREE]! + y[at + BOUND]!
  const boundKg = parts[part + P_BOUND_KG]!
  const inner = boundKg > 0 ? (parts[part + P_INNER]! * max(0, y[at + BOUND]!)) / boundKg : 0
  const outer = (parts[part + P_SUPPLY]! * max(0, y[at + FREE]!)) / (parts[part + P_DRY_KG]! + water)
  const foodTempC = y[at + HEAT]! / (parts[part + P_DRY_J_PER_K]! + water * WATER_J_PER_KGK)
  const metalSide = metalSideWPerM2K(fixed, wetShare(pan, index), parts[part + P_FLOATS]!, metalTempC)
  touch(metalTempC, foodTempC, metalSide, parts[part + P_FOOD_SIDE]!, outer + inner)
  return contact[2]!
}

/** Mean temperature of all faces that lie on the metal under the flame [°C]; null where nothing lies on it. */
export function interfaceC(pan: Pan): number | null {
  let area = 0
  let sum = 0
  for (let index = 0; index < pan.portions.length; index += 1) {
    const own = pan.parts[index * PER_PART + P_AREA_A]!
    area += own
    sum += own * faceC(pan, index)
  }
  return area > 0 ? sum / area : null
}
