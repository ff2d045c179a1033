import { preheatOf } from '../heat/preheat'
import { startDeriving, type SequenceInput } from '../sequence/derive'
import { movesOf } from '../sequence/grammar'
import { fillM3 } from '../sequence/judge'
import { preheatToC } from '../sequence/levels'
import type { Choice } from '../sequence/vocabulary'
import { figures } from './figures'
import { moveNet } from './moveNet'
import { preparedWay, type PreparedMove } from './preparedWay'
import { walk, type QuickStation } from './walk'
import { FITTED_PER_MILLE } from './weights'

const logSeconds = moveNet(Float64Array.from(FITTED_PER_MILLE, (one) => one / 1000))
const seconds = () => Math.exp(logSeconds(figures)) - 1

/** A dish by a way that is known, read once for all loads. */
export type PreparedDish = {
  way: readonly PreparedMove[]
  choice: Choice
  station: QuickStation & { isGriddle: boolean }
  /** Of what can be worked in the vessel, so much is filled. */
  fillShare: number
}

/** Reads a dish by a way that is known, at its station. */
export function prepareDish(input: SequenceInput, choice: Choice): PreparedDish {
  const { parts, station, components, vessel } = startDeriving(input)
  const way = preparedWay(movesOf(parts, choice), parts)
  return { way, choice, station, fillShare: fillM3(components) / vessel.workableM3 }
}

/**
 * Seconds of a whole dish from its first oil on, for `factor` times the load that it was prepared with, by moves whose seconds
 * were fitted to the model: within some percent, in microseconds. It says nothing of whether the batch fries.
 */
export const quickSeconds = ({ way, choice, station }: PreparedDish, factor = 1): number =>
  walk(way, station, choice, factor, seconds)

/** Whether its rice probably fries dry before anybody would give it up: where to begin to look, and no answer. */
export function quickFries({ way, choice, station }: PreparedDish, factor: number): boolean {
  let fries = true
  walk(way, station, choice, factor, (index) => {
    const { isRice, waits } = way[index]!
    const asked = seconds()
    if (isRice && waits !== null && asked >= waits.mostS) fries = false
    return asked
  })
  return fries
}

/** The same from a cold vessel; null where its flame never heats it. */
export function quickTotalS(dish: PreparedDish, factor = 1): number | null {
  const { vessel, isGriddle } = dish.station
  const preheatS = isGriddle ? 0 : preheatOf(vessel, preheatToC(dish.choice, vessel.holdC)).seconds
  return preheatS === null ? null : preheatS + quickSeconds(dish, factor)
}
