import { capOf, changedSoFar, mayJoin, newBatch, putIn, takeBack, takeOut, write } from './batch'
import { below, chance } from './chance'
import { completeS, decode, forgetFrom, NEVER } from './decode'
import type { Loaded } from './load'
import {
  BATCH,
  COUNT,
  DELAY,
  HEAD,
  NEXT,
  ORDER,
  pieceDish,
  pieceN,
  pieceTicket,
  S,
  setUpSlots,
  size,
  SPAN,
  STATION,
  stationKind,
  ticketFirst,
  ticketPieces,
} from './memory'
import { positionOf } from './places'
import { boxDelay, delayFor, startOf } from './waits'

const NEAR = 1e-6
const { max, floor } = Math
const MOST = 12
const out = new Int32Array(MOST)

/**
 * Takes one or two tickets out of the plan, or a few pieces, and puts each piece back where it costs least (Schrimpf et al.,
 * 2000): into a like batch, or alone at any place of any station.
 * @returns the first position that changed, which is 0, or -1 where nothing was taken out
 */
export function ruin(loaded: Loaded): number {
  let count = 0
  const take = (piece: number) => {
    if (count === MOST || S[BATCH + piece]! < 0) return
    for (let i = 0; i < count; i += 1) if (out[i] === piece) return
    out[count++] = piece
  }
  if (chance() < 0.5) for (let n = 1 + below(3); n > 0; n -= 1) take(loaded.free[below(loaded.free.length)]!)
  else
    for (let n = 1 + below(2); n > 0; n -= 1) {
      const ticket = below(size.tickets)
      const end = ticketFirst[ticket]! + ticketPieces[ticket]!
      for (let piece = ticketFirst[ticket]!; piece < end; piece += 1) take(piece)
    }
  if (count === 0) return -1
  for (let i = 0; i < count; i += 1) {
    const batch = S[BATCH + out[i]!]!
    takeOut(out[i]!, positionOf(batch))
    if (S[HEAD + batch]! >= 0) waitBest(batch)
  }
  for (let i = count - 1; i > 0; i -= 1) {
    const j = below(i + 1)
    const piece = out[i]!
    out[i] = out[j]!
    out[j] = piece
  }
  forgetFrom(0)
  for (let i = 0; i < count; i += 1) putBack(loaded, out[i]!)
  for (let i = 0; i < count; i += 1) {
    const ticket = pieceTicket[out[i]!]!
    const end = ticketFirst[ticket]! + ticketPieces[ticket]!
    for (let piece = ticketFirst[ticket]!; piece < end; piece += 1)
      if (S[BATCH + piece]! >= 0) waitBest(S[BATCH + piece]!)
  }
  forgetFrom(0)
  return 0
}

/** Puts a piece where the plan so far costs least, with the wait that costs least there. */
export function putBack(loaded: Loaded, piece: number): void {
  const before = changedSoFar()
  const dish = pieceDish[piece]!
  let best = NEVER
  let bestBatch = -1
  /** Where the plan is beyond its horizon anyhow, any place will do: it is not taken. */
  let bestStation = loaded.stationsOf[dish]!.find((station) => pieceN[piece]! <= capOf(station, dish) + NEAR)!
  let bestPosition = S[COUNT]!
  let bestDelay = 0
  decode(S[COUNT]!, NEVER)
  const completeAt = completeS(pieceTicket[piece]!)
  for (let position = 0; position < S[COUNT]!; position += 1) {
    const batch = S[ORDER + position]!
    if (!mayJoin(piece, batch)) continue
    putIn(piece, batch)
    const points = decode(position, best)
    takeBack(before)
    if (points >= best) continue
    best = points
    bestBatch = batch
  }
  for (const station of loaded.stationsOf[dish]!) {
    if (pieceN[piece]! > capOf(station, dish) + NEAR) continue
    for (let position = 0; position <= S[COUNT]!; position += 1)
      for (let way = 0; way < 3; way += 1) {
        const batch = newBatch(piece, station, position)
        const delay =
          way === 0 ? 0 : way === 1 ? boxDelay(piece, batch) : floor(completeAt / size.gridS) - S[SPAN + batch]!
        if (way > 0) write(DELAY + batch, max(0, delay))
        const points = way > 0 && delay <= 0 ? NEVER : decode(position, best)
        takeBack(before)
        if (points >= best) continue
        best = points
        bestBatch = -1
        bestStation = station
        bestPosition = position
        bestDelay = max(0, delay)
      }
  }
  if (bestBatch >= 0) putIn(piece, bestBatch)
  else {
    bestBatch = newBatch(piece, bestStation, bestPosition)
    write(DELAY + bestBatch, bestDelay)
  }
  waitBest(bestBatch)
}

const tries = new Int32Array(128)
const AHEAD = 2

/** The wait of a batch that costs least: none, up with its tickets, held freely, or just before those that follow begin. */
function waitBest(batch: number): void {
  const position = positionOf(batch)
  forgetFrom(position)
  let best = decode(S[COUNT]!, NEVER)
  let bestDelay = S[DELAY + batch]!
  let count = 0
  tries[count++] = 0
  for (let piece = S[HEAD + batch]!; piece >= 0 && count < 60; piece = S[NEXT + piece]!)
    for (let way = 0; way < 3; way += 1) tries[count++] = delayFor(batch, piece, way)
  const kind = stationKind[S[STATION + batch]!]! * 3
  for (let ahead = 1; ahead <= AHEAD && position + ahead < S[COUNT]!; ahead += 1) {
    const latest = startOf(S[ORDER + position + ahead]!) - S[SPAN + batch]!
    tries[count++] = latest
    tries[count++] = latest - setUpSlots[kind]!
    tries[count++] = latest - setUpSlots[kind + 1]!
  }
  for (let i = 0; i < count; i += 1) {
    const delay = max(0, tries[i]!)
    if (delay === S[DELAY + batch] || (i > 0 && delay === tries[i - 1])) continue
    const mark = changedSoFar()
    write(DELAY + batch, delay)
    const points = decode(position, best)
    takeBack(mark)
    if (points >= best) continue
    best = points
    bestDelay = delay
  }
  if (bestDelay === S[DELAY + batch]) return
  write(DELAY + batch, bestDelay)
  forgetFrom(position)
}
