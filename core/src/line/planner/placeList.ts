import { beginChange, capOf, mayJoin, newBatch, putIn, write } from './batch'
import { decode, forgetFrom } from './decode'
import { clearSolution } from './dispatch'
import type { LineInstance } from './instance'
import { load } from './load'
import { COUNT, DELAY, pieceDish, pieceN, S, size, WASH } from './memory'
import { planOf, type Planned } from './planOf'
import { itemsGone, piecesOf } from './pieces'

/** A batch as somebody wants it: its parts, where, whether washed before, and not before a second. */
export type WantedBatch = { parts: readonly string[]; station: string; wash?: boolean; notBefore?: number }

const NEAR = 1e-6

/**
 * Places batches in an order that somebody gave: each at the first second that it can have. Parts that must not be fried
 * together become batches of their own, what a station cannot take goes to one that can, what is not named follows, and washes
 * that are missing are added: any list is a plan.
 */
export function placeList(instance: LineInstance, wanted: readonly WantedBatch[]): Planned {
  const gone = itemsGone(instance)
  const loaded = load(instance, piecesOf(instance, gone))
  clearSolution()
  beginChange()
  const numberOf = new Map(loaded.free.map((piece) => [loaded.pieces[piece]!.id, piece]))
  const stationNumber = new Map(loaded.stations.map(({ id }, number) => [id, number]))
  const add = ({ parts, station, wash = false, notBefore = 0 }: WantedBatch) => {
    let batch = -1
    for (const part of parts) {
      const piece = numberOf.get(part)
      if (piece === undefined) continue
      numberOf.delete(part)
      if (batch >= 0 && mayJoin(piece, batch)) {
        putIn(piece, batch)
        continue
      }
      const dish = pieceDish[piece]!
      const fits = (one: number) => pieceN[piece]! <= capOf(one, dish) + NEAR
      const own = stationNumber.get(station)
      const at = own !== undefined && fits(own) ? own : loaded.stationsOf[dish]!.find(fits)!
      batch = newBatch(piece, at, S[COUNT]!)
      write(WASH + batch, wash ? 1 : 0)
      write(DELAY + batch, Math.max(0, Math.ceil((notBefore - size.originS) / size.gridS)))
    }
  }
  for (const one of wanted) add(one)
  for (const part of [...numberOf.keys()]) add({ parts: [part], station: '' })
  forgetFrom(0)
  decode(0, Infinity)
  return planOf(instance, loaded, gone, 0)
}
