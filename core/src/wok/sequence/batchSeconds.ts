import { startDeriving, type SequenceInput } from './derive'
import { movesOf } from './grammar'
import { fillM3 } from './judge'
import { simulate } from './simulate'
import type { Choice } from './vocabulary'

/** How long a batch takes from a cold vessel, and how much of that is frying rice until it is done; whether it fits and fries dry. */
export type BatchSeconds = { preheatS: number; totalS: number; riceS: number | null; fits: boolean }

/**
 * Seconds of a batch of any size by a way that was derived before, by steps of four seconds. An estimate for the plan of the
 * line: the score itself is always derived in full.
 */
export function batchSeconds(input: SequenceInput, choice: Choice): BatchSeconds {
  const { parts, station, components, vessel } = startDeriving(input)
  const { preheatS, totalS, rice } = simulate(parts, choice, movesOf(parts, choice), station, 'coarse')
  return {
    preheatS: preheatS ?? 0,
    totalS: (preheatS ?? 0) + totalS,
    riceS: rice.doneS === null ? null : rice.doneS - rice.startS,
    fits: preheatS !== null && rice.doneS !== null && fillM3(components) <= vessel.workableM3,
  }
}
