import { startDeriving, type SequenceInput } from './derive'
import { movesOf } from './grammar'
import { fillM3 } from './judge'
import { simulate } from './simulate'
import type { Choice } from './vocabulary'

/** How long a batch takes, and how much of that is frying rice until it is done; whether it fits and fries dry. */
export type BatchSeconds = { totalS: number; riceS: number | null; fits: boolean }

/**
 * Seconds of a batch of any size by a way that was derived before, by steps of four seconds. An estimate for the plan of the
 * line: the score itself is always derived in full.
 */
export function batchSeconds(input: SequenceInput, choice: Choice): BatchSeconds {
  const { parts, station, components, vessel } = startDeriving(input)
  const { totalS, rice } = simulate(parts, choice, movesOf(parts, choice), station, 'coarse')
  return {
    totalS,
    riceS: rice.doneS === null ? null : rice.doneS - rice.startS,
    fits: rice.doneS !== null && fillM3(components) <= vessel.workableM3,
  }
}
