import type { LineInstance } from '../planner/instance'
import type { WantedBatch } from '../planner/placeList'
import type { LinePiece } from './pieces'

/** A batch of the order that the cooks were told: portions of ticket lines, at a station, not before an instant. */
export type OrderedParts = {
  stationId: string
  parts: readonly { itemId: string; portions: number }[]
  notBeforeMs: number | null
}
/** What the cooks were told: batches in the order in which the plan places them. */
export type LineOrder = { batches: readonly OrderedParts[] }

/**
 * An order on the pieces that wait now: what was fired or cancelled since is left out, and of a line that is cut otherwise the
 * piece with as many portions stands in, or the next.
 */
export function wantedOf(order: LineOrder, pieces: readonly LinePiece[]): WantedBatch[] {
  const left = new Map<string, LinePiece[]>()
  for (const piece of pieces) left.set(piece.item.itemId, [...(left.get(piece.item.itemId) ?? []), piece])
  return order.batches.flatMap(({ stationId, parts, notBeforeMs }) => {
    const ids = parts.flatMap(({ itemId, portions }) => {
      const own = left.get(itemId) ?? []
      const found = own.find((piece) => piece.portions === portions) ?? own[0]
      if (!found) return []
      left.set(
        itemId,
        own.filter((piece) => piece !== found),
      )
      return [found.id]
    })
    if (ids.length === 0) return []
    return [{ parts: ids, station: stationId, ...(notBeforeMs !== null && { notBefore: notBeforeMs / 1000 }) }]
  })
}

/** A list of the planner as an order. Washes are not in it: what an allergy needs is worked out whenever it is placed. */
export function orderOf(list: readonly WantedBatch[], pieces: readonly LinePiece[]): LineOrder {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]))
  return {
    batches: list.flatMap(({ station, parts, notBefore }) => {
      const own = parts.flatMap((id) => byId.get(id) ?? [])
      if (own.length === 0) return []
      return [
        {
          stationId: station,
          parts: own.map(({ item, portions }) => ({ itemId: item.itemId, portions })),
          notBeforeMs: notBefore === undefined ? null : Math.round(notBefore * 1000),
        },
      ]
    }),
  }
}

/** The batch that each station's cook was shown as next. */
export function toldOf(wanted: readonly { station: string; parts: readonly string[] }[]): LineInstance['told'] {
  const first = new Map<string, { station: string; parts: readonly string[] }>()
  for (const { station, parts } of wanted) if (!first.has(station)) first.set(station, { station, parts })
  return [...first.values()]
}

/** The station at which an order has the first of a batch's portions; null where it names none of them. */
export function toldStation({ batches }: LineOrder, parts: readonly { itemId: string }[]): string | null {
  const ids = new Set(parts.map(({ itemId }) => itemId))
  return batches.find((one) => one.parts.some(({ itemId }) => ids.has(itemId)))?.stationId ?? null
}
