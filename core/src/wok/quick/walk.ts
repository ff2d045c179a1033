import { MOVEMENT, type Handling } from '../heat/parameters'
import type { Vessel } from '../heat/vessel'
import { handlingFor, heatFor, preheatToC } from '../sequence/levels'
import type { Choice } from '../sequence/vocabulary'
import { writeFigures } from './figures'
import {
  AT_S,
  BEGAN_S,
  COLD_AT_S,
  COLD_J,
  emptyVessel,
  FREE_KG,
  J_PER_K,
  LAYER_M2,
  OIL_KG,
  OWED_J,
  RICE_AT_S,
  SAUCE_KG,
  VOLUME_M3,
} from './inVessel'
import type { Food, PreparedMove } from './preparedWay'

export type QuickStation = { vessel: Vessel; handling: Handling }
export type QuickChoice = Pick<Choice, 'heat' | 'lastToss' | 'preheat'>

const EMPTY_M3 = 1e-9
/** Of the flame, so much goes to the boil. [C] */
const FLAME_GIVES = 0.5

/**
 * Goes through a prepared way at a station, with `factor` times the load that it was prepared with. Where the seconds of a move
 * follow from the food, its figures are written and `secondsOf` is asked. @returns the seconds from the first oil on
 */
export function walk(
  way: readonly PreparedMove[],
  { vessel, handling }: QuickStation,
  choice: QuickChoice,
  factor: number,
  secondsOf: (index: number) => number,
): number {
  const preheatC = preheatToC(choice, vessel.holdC)
  const now = emptyVessel()
  let heat = heatFor(choice, 'base', vessel.holdC)
  let segment = 'base'
  for (let index = 0; index < way.length; index += 1) {
    const move = way[index]!
    const { goes, leaves, waits } = move
    if (move.segment !== segment) {
      segment = move.segment
      heat = heatFor(choice, move.segment, vessel.holdC)
    }
    now[BEGAN_S + index] = now[AT_S]!
    now[OIL_KG]! += move.oilKg * factor
    if (goes !== null) put(now, goes, factor, move)
    if (leaves !== null) take(now, leaves, factor)
    let seconds = move.seconds
    if (waits !== null || (move.isOil && index > 0 && now[VOLUME_M3]! < EMPTY_M3)) {
      const movement = MOVEMENT[move.handling ?? handlingFor(move.segment, handling)]
      writeFigures(vessel, heat, movement, preheatC, now, index, move, factor)
      const asked = secondsOf(index)
      seconds += waits === null ? Math.max(0, asked) : Math.min(waits.mostS, Math.max(waits.leastS, asked))
    }
    now[OWED_J] = Math.max(0, now[OWED_J]! - FLAME_GIVES * vessel.netW * heat.open * seconds)
    now[AT_S]! += seconds
  }
  return now[AT_S]!
}

function put(now: Float64Array, goes: Food, factor: number, { isSauce, isRice }: PreparedMove): void {
  now[J_PER_K]! += factor * goes.jPerK
  now[FREE_KG]! += factor * goes.freeKg
  now[VOLUME_M3]! += factor * goes.volumeM3
  now[LAYER_M2]! += factor * goes.layerM2
  now[OWED_J]! += factor * goes.boilJ
  now[COLD_J]! += factor * goes.boilJ
  now[COLD_AT_S] = now[AT_S]!
  if (isSauce) now[SAUCE_KG]! += factor * goes.freeKg
  if (isRice && now[RICE_AT_S]! < 0) now[RICE_AT_S] = now[AT_S]!
}

function take(now: Float64Array, leaves: Food, factor: number): void {
  now[J_PER_K] = Math.max(0, now[J_PER_K]! - factor * leaves.jPerK)
  now[FREE_KG] = Math.max(0, now[FREE_KG]! - factor * leaves.freeKg)
  now[VOLUME_M3] = Math.max(0, now[VOLUME_M3]! - factor * leaves.volumeM3)
  now[LAYER_M2] = Math.max(0, now[LAYER_M2]! - factor * leaves.layerM2)
}
