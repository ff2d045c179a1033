import { startDeriving, type SequenceInput } from './derive'
import { movesOf } from './grammar'
import { fillM3 } from './judge'
import { simulate } from './simulate'
import type { Choice } from './vocabulary'

/**
 * How long a batch takes from a cold vessel, and how much of that is frying rice until it is done; how much of what can be
 * worked in the vessel it fills, and whether it fits and fries dry.
 */
export type BatchSeconds = {
  preheatS: number
  totalS: number
  riceS: number | null
  /** Of the metal from the rice on [°C], and how long the food lay on metal hot enough to fry [s]. */
  lowestC: number
  fryingS: number
  fillShare: number
  fits: boolean
}

/**
 * Seconds of a batch of any size by a way that was derived before, by steps of eight seconds. An estimate for the plan of the
 * line: the score itself is always derived in full.
 */
export function batchSeconds(input: SequenceInput, choice: Choice): BatchSeconds {
  const { parts, station, components, vessel } = startDeriving(input)
  const { preheatS, totalS, rice } = simulate(parts, choice, movesOf(parts, choice), station, 'coarse')
  const fillShare = fillM3(components) / vessel.workableM3
  return {
    preheatS: preheatS ?? 0,
    totalS: (preheatS ?? 0) + totalS,
    riceS: rice.doneS === null ? null : rice.doneS - rice.startS,
    lowestC: rice.lowestC,
    fryingS: rice.fryingS,
    fillShare,
    fits: preheatS !== null && rice.doneS !== null && fillShare <= 1,
  }
}
