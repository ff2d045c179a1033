import { capOf, loadOf, mayJoin, measureBatch, newBatch, putIn, shift, takeOut, write } from './batch'
import { below, chance } from './chance'
import { ruin } from './ruin'
import { boxDelay, delayFor, startOf } from './waits'
import { places, placesOf } from './places'
import { completeS, decode, NEVER, readyS } from './decode'
import type { Loaded } from './load'
import {
  AVOIDS,
  BATCH,
  CONTENTS,
  COUNT,
  DELAY,
  DISH,
  HEAD,
  NEXT,
  ORDER,
  pieceDish,
  pieceFamily,
  pieceN,
  pieceTicket,
  S,
  size,
  SPAN,
  STATION,
  stationKind,
  ticketDue,
  ticketIsTake,
  WASH,
} from './memory'

/** How often each move is tried, in parts of the sum. */
export type MoveShares = readonly [
  batch: number,
  swap: number,
  piece: number,
  pieceSwap: number,
  wash: number,
  delay: number,
  together: number,
  ticket: number,
  ruin: number,
  slide: number,
]
/** A rush: pieces and whole tickets find their place; delays only hurt it, and are polished in at the end. */
export const RUSH: MoveShares = [24, 12, 50, 8, 1, 0, 5, 16, 0, 0]
/** Between the two: some waits are worth it. */
export const BUSY: MoveShares = [24, 12, 40, 6, 1, 8, 5, 16, 0, 6]
/** A few pieces: what to wait for counts most. */
export const CALM: MoveShares = [30, 16, 26, 10, 6, 14, 6, 10, 3, 16]

const NEAR = 1e-6
const { min, max, floor, round } = Math
/** Like pieces are looked for within so many places. */
const REACH = 12
const LOOKS = 6

/** Changes the solution by one move. @returns the first position that changed, or -1 where nothing did */
export function move(loaded: Loaded, shares: MoveShares, sum: number): number {
  let draw = chance() * sum
  if ((draw -= shares[0]) < 0) return moveBatch(loaded)
  if ((draw -= shares[1]) < 0) return swapBatches()
  if ((draw -= shares[2]) < 0) return movePiece(loaded)
  if ((draw -= shares[3]) < 0) return swapPieces()
  if ((draw -= shares[4]) < 0) return toggleWash()
  if ((draw -= shares[5]) < 0) return setDelay()
  if ((draw -= shares[6]) < 0) return bringTogether()
  if ((draw -= shares[7]) < 0) return shiftTicket()
  if ((draw -= shares[8]) < 0) return ruin(loaded)
  return slide()
}

/**
 * Waits together: all batches of a ticket, or all from a place on, begin so much later or earlier; a takeaway's so that the last
 * is up with its boat. Packed against a boat, batches cannot be moved one by one.
 */
function slide(): number {
  decode(S[COUNT]!, NEVER)
  const ticket = below(size.tickets)
  const count = placesOf(ticket)
  if (count === 0) return -1
  const slack = floor((ticketDue[ticket]! - completeS(ticket)) / size.gridS)
  const by = slack > 0 && ticketIsTake[ticket] === 1 && chance() < 0.5 ? slack : below(25) - 12
  if (by === 0) return -1
  const first = places[0]!
  const isWhole = chance() < 0.5
  let next = 0
  for (let position = first; position < S[COUNT]!; position += 1) {
    const isOwn = next < count && places[next] === position
    if (isOwn) next += 1
    const batch = S[ORDER + position]!
    if (isOwn || !isWhole) write(DELAY + batch, max(0, startOf(batch) + by))
  }
  return first
}

const near = (position: number, reach: number): number =>
  min(S[COUNT]! - 1, max(0, position - reach + below(2 * reach + 1)))

/** Another station that takes this dish and this load; -1 where there is none. */
function otherStation(loaded: Loaded, dish: number, load: number, own: number): number {
  const stations = loaded.stationsOf[dish]!
  const station = stations[below(stations.length)]!
  return station !== own && load <= capOf(station, dish) + NEAR ? station : -1
}

const OTHER_STATION = 0.4

function moveBatch(loaded: Loaded): number {
  const from = below(S[COUNT]!)
  const batch = S[ORDER + from]!
  const to = near(from, 4)
  let isMoved = false
  if (chance() < OTHER_STATION) {
    const own = S[STATION + batch]!
    const station = otherStation(loaded, S[DISH + batch]!, loadOf(batch), own)
    if (station >= 0) {
      write(STATION + batch, station)
      if (stationKind[station] !== stationKind[own]) measureBatch(batch)
      isMoved = true
    }
  }
  if (from === to && !isMoved) return -1
  shift(from, to)
  return min(from, to)
}

function swapBatches(): number {
  const a = below(S[COUNT]!)
  const b = near(a, REACH)
  if (a === b) return -1
  const batch = S[ORDER + a]!
  write(ORDER + a, S[ORDER + b]!)
  write(ORDER + b, batch)
  return min(a, b)
}

/** One of a batch's pieces. */
function pieceIn(batch: number): number {
  let count = 0
  for (let piece = S[HEAD + batch]!; piece >= 0; piece = S[NEXT + piece]!) count += 1
  let steps = count > 1 ? below(count) : 0
  let piece = S[HEAD + batch]!
  while (steps > 0) {
    piece = S[NEXT + piece]!
    steps -= 1
  }
  return piece
}

const ALONE = 0.15

function movePiece(loaded: Loaded): number {
  const from = below(S[COUNT]!)
  const batch = S[ORDER + from]!
  const piece = pieceIn(batch)
  if (chance() >= ALONE)
    for (let look = 0; look < LOOKS; look += 1) {
      const to = near(from, REACH)
      const other = S[ORDER + to]!
      if (to === from || !mayJoin(piece, other)) continue
      takeOut(piece, from)
      putIn(piece, other)
      return min(from, to)
    }
  if (S[NEXT + S[HEAD + batch]!]! < 0) return -1
  const own = S[STATION + batch]!
  const dish = pieceDish[piece]!
  const other = chance() < 0.5 ? otherStation(loaded, dish, pieceN[piece]!, own) : -1
  takeOut(piece, from)
  const to = min(S[COUNT]!, max(0, from - 2 + below(5)))
  const alone = newBatch(piece, other >= 0 ? other : own, to)
  if (chance() < 0.5) write(DELAY + alone, boxDelay(piece, alone))
  return min(from, to)
}

function swapPieces(): number {
  const from = below(S[COUNT]!)
  const batch = S[ORDER + from]!
  const piece = pieceIn(batch)
  for (let look = 0; look < LOOKS; look += 1) {
    const to = near(from, REACH)
    const other = S[ORDER + to]!
    if (other === batch || pieceFamily[S[HEAD + other]!] !== pieceFamily[piece]) continue
    const with_ = pieceIn(other)
    if (pieceTicket[piece] === pieceTicket[with_]) continue
    const dish = pieceDish[piece]!
    const more = pieceN[with_]! - pieceN[piece]!
    if (loadOf(batch) + more > capOf(S[STATION + batch]!, dish) + NEAR) continue
    if (loadOf(other) - more > capOf(S[STATION + other]!, dish) + NEAR) continue
    exchange(batch, piece, other, with_)
    const meets = (one: number) => (S[AVOIDS + one]! & S[CONTENTS + one]!) !== 0
    return meets(batch) || meets(other) ? -2 : min(from, to)
  }
  return -1
}

/** The place in the solution that points to a piece of a batch. */
function pointerTo(batch: number, piece: number): number {
  let pointer = HEAD + batch
  while (S[pointer] !== piece) pointer = NEXT + S[pointer]!
  return pointer
}

function exchange(batch: number, piece: number, other: number, with_: number): void {
  const a = pointerTo(batch, piece)
  const b = pointerTo(other, with_)
  const nextA = S[NEXT + piece]!
  const nextB = S[NEXT + with_]!
  write(a, with_)
  write(b, piece)
  write(NEXT + with_, nextA)
  write(NEXT + piece, nextB)
  write(BATCH + piece, other)
  write(BATCH + with_, batch)
  measureBatch(batch)
  measureBatch(other)
}

function toggleWash(): number {
  const position = below(S[COUNT]!)
  const batch = S[ORDER + position]!
  write(WASH + batch, 1 - S[WASH + batch]!)
  return position
}

function setDelay(): number {
  const position = below(S[COUNT]!)
  const batch = S[ORDER + position]!
  decode(S[COUNT]!, NEVER)
  const way = below(5)
  const piece = pieceIn(batch)
  const start = round(readyS(piece) / size.gridS) - S[SPAN + batch]!
  const delay = way < 3 ? delayFor(batch, piece, way) : way === 3 ? start - 12 + below(25) : 0
  if (delay === S[DELAY + batch]!) return -1
  write(DELAY + batch, max(0, delay))
  return position
}

function bringTogether(): number {
  const count = placesOf(below(size.tickets))
  if (count < 2) return -1
  const i = below(count - 1)
  const first = places[i]!
  const second = places[i + 1]!
  if (second - first < 2) return -1
  if (chance() < 0.5) shift(second, first + 1)
  else shift(first, second - 1)
  return first
}

const TICKET_REACH = 8

function shiftTicket(): number {
  const count = placesOf(below(size.tickets))
  const by = below(2 * TICKET_REACH + 1) - TICKET_REACH
  if (count === 0 || by === 0) return -1
  const last = S[COUNT]! - 1
  let first = last
  for (let k = 0; k < count; k += 1) {
    const from = places[by < 0 ? k : count - 1 - k]!
    const to = min(last, max(0, from + by))
    shift(from, to)
    first = min(first, from, to)
  }
  return first
}
