import { allocateRice, type LotOnHand } from '../../rice/lot/allocate'

/** Where the rice on hand ends: the first ticket that does not get all of its own, what it lacks [g], and what all lack. */
export type RiceEnd = { ticketNumber: number; atMs: number; shortG: number; allShortG: number }

/**
 * Which ticket the rice ends with, if batches draw on it in the order in which they are set up; null where it lasts for all.
 * Within a batch the tickets that were promised later go without: parts stand in their order.
 */
export function riceEnd(
  lots: readonly LotOnHand[],
  batches: readonly { setUpStartMs: number; riceMassG: number; parts: readonly { ticketNumber: number }[] }[],
): RiceEnd | null {
  const inOrder = [...batches].sort((a, b) => a.setUpStartMs - b.setUpStartMs)
  const shorts = allocateRice(
    lots,
    inOrder.map(({ riceMassG }) => riceMassG),
  ).map(({ shortG }) => shortG)
  const first = shorts.findIndex((shortG) => shortG > 0)
  const batch = inOrder[first]
  if (!batch) return null
  return {
    ticketNumber: batch.parts.at(-1)?.ticketNumber ?? 0,
    atMs: batch.setUpStartMs,
    shortG: shorts[first]!,
    allShortG: shorts.reduce((sum, shortG) => sum + shortG, 0),
  }
}
