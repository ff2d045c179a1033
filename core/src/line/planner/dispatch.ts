import { beginChange, capOf, measureBatch, mayJoin, newBatch, putIn, write } from './batch'
import { decode, forgetFrom } from './decode'
import type { Loaded } from './load'
import {
  COUNT,
  HANDS_SLOTS,
  HEAD,
  ORDER,
  pieceArrived,
  pieceDish,
  pieceN,
  pieceTicket,
  S,
  size,
  SPAN,
  START,
  STATION,
  ticketDue,
} from './memory'

/** Rules by which a kitchen without a plan takes the next ticket: as they came, by promise, or by what is left until it. */
export const RULES = ['fcfs', 'edd', 'slack'] as const
export type Rule = (typeof RULES)[number]

const NEAR = 1e-6

/** Empties the solution at hand. */
export function clearSolution(): void {
  for (let batch = 0; batch < size.pieces; batch += 1) {
    S[ORDER + batch] = batch
    S[HEAD + batch] = -1
  }
  S[COUNT] = 0
  S[HANDS_SLOTS] = 0
  forgetFrom(0)
}

/**
 * Dispatches by a rule: the next piece goes to the station that has it up first, with like pieces that are there already.
 * @param order pieces, first served first
 */
export function dispatch(loaded: Loaded, order: readonly number[]): void {
  clearSolution()
  const left = new Set(order)
  for (const seed of order) {
    if (!left.delete(seed)) continue
    beginChange()
    const position = S[COUNT]!
    const stations = loaded.stationsOf[pieceDish[seed]!]!.filter(
      (station) => pieceN[seed]! <= capOf(station, pieceDish[seed]!) + NEAR,
    )
    const batch = newBatch(seed, stations[0]!, position)
    let bestEnd = Infinity
    let best = stations[0]!
    for (const station of stations) {
      write(STATION + batch, station)
      measureBatch(batch)
      decode(position, Infinity)
      const end = START[batch]! + S[SPAN + batch]!
      if (end >= bestEnd) continue
      bestEnd = end
      best = station
    }
    write(STATION + batch, best)
    measureBatch(batch)
    decode(position, Infinity)
    const start = START[batch]!
    for (const piece of left) {
      if (pieceArrived[piece]! > start || !mayJoin(piece, batch)) continue
      putIn(piece, batch)
      left.delete(piece)
    }
    forgetFrom(position)
  }
}

/** Pieces in the order of a rule. */
export function inOrderOf(rule: Rule, loaded: Loaded): number[] {
  const key = (piece: number) => {
    const due = ticketDue[pieceTicket[piece]!]!
    switch (rule) {
      case 'fcfs':
        return pieceArrived[piece]!
      case 'edd':
        return due
      case 'slack':
        return due - shortestS(loaded, piece)
    }
  }
  return [...loaded.free].sort((a, b) => key(a) - key(b) || a - b)
}

/** The shortest time that a piece alone takes on any station [s]. */
function shortestS(loaded: Loaded, piece: number): number {
  clearSolution()
  beginChange()
  let shortest = Infinity
  for (const station of loaded.stationsOf[pieceDish[piece]!]!) {
    const batch = newBatch(piece, station, 0)
    shortest = Math.min(shortest, S[SPAN + batch]! * size.gridS)
    clearSolution()
  }
  return shortest
}
