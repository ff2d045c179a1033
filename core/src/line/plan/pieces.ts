import { cutLoads } from '../planner/pieces'
import type { WaitingItem } from '../waiting'
import type { Pin } from './wishes'

/** Portions of one ticket line that are fried in one go; a pin says with what, where, or not before when. */
export type LinePiece = { id: string; item: WaitingItem; portions: number; pin: Pin | null }

/**
 * Ticket lines as pieces: what is pinned by itself, and of the rest as few pieces as the largest station allows. A line that is
 * one piece keeps its id.
 * @param capOf the most portions of an item's dish at a station, or of any for null; 0 where it is not fried there
 */
export function linePieces(
  items: readonly WaitingItem[],
  pins: readonly Pin[],
  capOf: (item: WaitingItem, stationId: string | null) => number,
): LinePiece[] {
  return items.flatMap((item) => {
    const cuts: { portions: number; pin: Pin | null }[] = []
    let left = item.portions
    const cut = (portions: number, cap: number, pin: Pin | null) => {
      if (portions <= 0) return
      left -= portions
      for (const size of cutLoads(portions, cap)) cuts.push({ portions: size, pin })
    }
    for (const pin of pins) {
      const cap = capOf(item, pin.stationId)
      if (cap <= 0) continue
      const wanted = pin.parts.filter(({ itemId }) => itemId === item.itemId).reduce((n, part) => n + part.portions, 0)
      cut(Math.min(left, wanted), cap, pin)
    }
    cut(left, Math.max(1, capOf(item, null)), null)
    return cuts.map((one, i) => ({ ...one, item, id: cuts.length === 1 ? item.itemId : `${item.itemId}#${i + 1}` }))
  })
}
