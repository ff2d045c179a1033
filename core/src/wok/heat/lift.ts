import { BOUND, COMMON, FREE, HEAT, ICE, PER_FOOD } from './layout'
import type { Portion } from './load'
import { arrange } from './arrange'
import { foodC } from './pan'
import type { Pan } from './layout'
import { AIR_C, WATER_J_PER_KGK } from './parameters'

/** A component that was taken out of the vessel, as it is. */
export type Lifted = {
  portion: Portion
  tempC: number
  freeKg: number
  boundKg: number
  iceJ: number
}

/** Food set aside in a bowl cools with this time for 100 g [s]; a larger heap more slowly. [C] */
const BOWL = { timeS: 420, atKg: 0.1, power: 1 / 3 } as const

/** Takes a component out of the vessel; those after it move up by one. Heat and water that leave with it leave the balance. */
export function lift(pan: Pan, index: number): Lifted {
  const portion = pan.portions[index]
  if (!portion) throw new RangeError(`no component ${index} in the vessel`)
  const at = COMMON + index * PER_FOOD
  const { y, put } = pan
  const lifted: Lifted = {
    portion,
    tempC: foodC(pan, index),
    freeKg: y[at + FREE]!,
    boundKg: y[at + BOUND]!,
    iceJ: y[at + ICE]!,
  }
  put[0]! -= y[at + HEAT]! - y[at + ICE]!
  put[1]! -= y[at + FREE]! + y[at + BOUND]!
  y.copyWithin(at, at + PER_FOOD, COMMON + pan.portions.length * PER_FOOD)
  pan.faces.copyWithin(index, index + 1, pan.portions.length)
  pan.patches.copyWithin(index, index + 1, pan.portions.length)
  pan.portions.splice(index, 1)
  arrange(pan)
  return lifted
}

/** Puts what was taken out back in, as its last component; its number comes back. */
export function putBack(pan: Pan, { portion, tempC, freeKg, boundKg, iceJ }: Lifted): number {
  const index = pan.portions.push(portion) - 1
  pan.patches[index] = 0
  const at = COMMON + index * PER_FOOD
  const heatJ = (portion.dryJPerK + (freeKg + boundKg) * WATER_J_PER_KGK) * tempC
  pan.y[at + HEAT] = heatJ
  pan.y[at + FREE] = freeKg
  pan.y[at + BOUND] = boundKg
  pan.y[at + ICE] = iceJ
  pan.put[0]! += heatJ - iceJ
  pan.put[1]! += freeKg + boundKg
  arrange(pan)
  return index
}

/** What was taken out, after so many seconds in a bowl. */
export function inBowl(lifted: Lifted, seconds: number): Lifted {
  const massKg = lifted.portion.dryKg + lifted.freeKg + lifted.boundKg
  const timeS = BOWL.timeS * (massKg / BOWL.atKg) ** BOWL.power
  return { ...lifted, tempC: AIR_C + (lifted.tempC - AIR_C) * Math.exp(-seconds / timeS) }
}

/** Gives a component metal of its own [m²], or 0 to fold it into the heap. */
export function setPatch(pan: Pan, index: number, patchM2: number): void {
  if (!pan.portions[index]) throw new RangeError(`no component ${index} in the vessel`)
  pan.patches[index] = patchM2
  arrange(pan)
}
