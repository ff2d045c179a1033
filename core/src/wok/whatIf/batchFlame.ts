import { batchSeconds, type BatchSeconds } from '../sequence/batchSeconds'
import type { SequenceInput } from '../sequence/derive'
import type { Choice } from '../sequence/vocabulary'

/** What a batch of a size over a flame comes to. */
export const OUTCOMES = ['fries', 'slow', 'steams', 'full'] as const
export type Outcome = (typeof OUTCOMES)[number]

/** Rice that takes longer than so dries out while it waits to be dry [s]: house figure, common practice. */
export const SLOW_S = 180

/** Too full to work in, too wet for the flame, too slow, or fried as it should be. */
export function outcomeOf({ fillShare, riceS, fits }: Pick<BatchSeconds, 'fillShare' | 'riceS' | 'fits'>): Outcome {
  if (fillShare > 1) return 'full'
  if (riceS === null || !fits) return 'steams'
  return riceS > SLOW_S ? 'slow' : 'fries'
}

/** One batch over one flame: rice [g], power [W], and what it comes to. */
export type BatchFlameCell = { riceG: number; powerW: number; outcome: Outcome; riceS: number | null }

/**
 * Batches × flames of a dish by one way of cooking it, by coarse steps: an estimate to look at, row by row from the weakest
 * flame.
 */
export function batchFlameMap(
  inputOf: (riceG: number, powerW: number) => SequenceInput,
  choice: Choice,
  ricesG: readonly number[],
  powersW: readonly number[],
): BatchFlameCell[] {
  return powersW.flatMap((powerW) =>
    ricesG.map((riceG): BatchFlameCell => {
      const seconds = batchSeconds(inputOf(riceG, powerW), choice)
      return { riceG, powerW, outcome: outcomeOf(seconds), riceS: seconds.riceS }
    }),
  )
}
