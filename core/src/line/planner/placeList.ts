import { beginChange, capOf, mayJoin, newBatch, putIn, write } from './batch'
import { decode, forgetFrom } from './decode'
import { clearSolution } from './dispatch'
import type { LineInstance } from './instance'
import { load, type Loaded } from './load'
import {
  COUNT,
  DELAY,
  HEAD,
  NEXT,
  ORDER,
  pieceDish,
  pieceN,
  pieceTicket,
  S,
  size,
  STATION,
  ticketDue,
  WASH,
} from './memory'
import { planOf, type Planned } from './planOf'
import { itemsGone, piecesOf } from './pieces'
import { putBack } from './ruin'

/** A batch as somebody wants it: its parts, where, whether washed before, and not before a second. */
export type WantedBatch = { parts: readonly string[]; station: string; wash?: boolean; notBefore?: number }

/** The latest start that a list asks for [s]. */
export const latestS = (wanted: readonly WantedBatch[]): number =>
  Math.max(0, ...wanted.map(({ notBefore = 0 }) => notBefore))

const NEAR = 1e-6

/** What is done with pieces that a list does not name: each is placed where it costs least, or they follow at the end. */
export type Unnamed = 'cheapest' | 'last'

/**
 * Places batches in an order that somebody gave: each at the first second that it can have. Parts that must not be fried
 * together become batches of their own, what a station cannot take goes to one that can, what is not named is placed too, and
 * washes that are missing are added: any list is a plan.
 */
export function placeList(instance: LineInstance, wanted: readonly WantedBatch[], unnamed: Unnamed = 'last'): Planned {
  return placedList(instance, wanted, unnamed).plan
}

/** As `placeList`, with the list that names everything. */
export function placedList(
  instance: LineInstance,
  wanted: readonly WantedBatch[],
  unnamed: Unnamed,
): { plan: Planned; list: WantedBatch[] } {
  const gone = itemsGone(instance)
  const loaded = load(instance, piecesOf(instance, gone), latestS(wanted))
  fillFrom(loaded, wanted, unnamed)
  return { plan: planOf(instance, loaded, gone, 0), list: listNow(loaded) }
}

/** Fills the plan at hand from a list. @returns its points */
export function fillFrom(loaded: Loaded, wanted: readonly WantedBatch[], unnamed: Unnamed = 'cheapest'): number {
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
  const left = [...numberOf].sort(([, a], [, b]) => ticketDue[pieceTicket[a]!]! - ticketDue[pieceTicket[b]!]!)
  for (const [part, piece] of left) {
    if (unnamed === 'last') {
      add({ parts: [part], station: '' })
      continue
    }
    forgetFrom(0)
    beginChange()
    putBack(loaded, piece)
  }
  forgetFrom(0)
  return decode(0, Infinity)
}

/** The plan at hand as a list: placed from it again, it is the same plan. */
export function listNow(loaded: Loaded): WantedBatch[] {
  const list: WantedBatch[] = []
  for (let position = 0; position < S[COUNT]!; position += 1) {
    const batch = S[ORDER + position]!
    const parts: string[] = []
    for (let piece = S[HEAD + batch]!; piece >= 0; piece = S[NEXT + piece]!) parts.push(loaded.pieces[piece]!.id)
    const delay = S[DELAY + batch]!
    list.push({
      parts: parts.sort(),
      station: loaded.stations[S[STATION + batch]!]!.id,
      ...(S[WASH + batch] === 1 && { wash: true }),
      ...(delay > 0 && { notBefore: size.originS + delay * size.gridS }),
    })
  }
  return list
}
