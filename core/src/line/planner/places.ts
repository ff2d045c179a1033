import { BATCH, ORDER, S, ticketFirst, ticketPieces } from './memory'

/** Position of a batch in the order. */
export function positionOf(batch: number): number {
  let position = 0
  while (S[ORDER + position] !== batch) position += 1
  return position
}
/** What `placesOf` found. */
export const places = new Int32Array(64)
/** Positions of a ticket's batches, in order. @returns how many there are */
export function placesOf(ticket: number): number {
  let count = 0
  const end = ticketFirst[ticket]! + ticketPieces[ticket]!
  for (let piece = ticketFirst[ticket]!; piece < end && count < places.length; piece += 1) {
    const batch = S[BATCH + piece]!
    if (batch < 0) continue
    const position = positionOf(batch)
    let i = count
    while (i > 0 && places[i - 1]! > position) i -= 1
    if (i > 0 && places[i - 1] === position) continue
    for (let j = count; j > i; j -= 1) places[j] = places[j - 1]!
    places[i] = position
    count += 1
  }
  return count
}
