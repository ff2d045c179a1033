import { completeS, readyS } from './decode'
import { HEAD, pieceFree, pieceTicket, S, size, SPAN, ticketDue, ticketIsTake } from './memory'

const { max, floor, ceil, round } = Math

/** The delays worth trying for a batch of the plan as it stands: up with a ticket of its, or so late that it holds freely. */
export function delayFor(batch: number, piece: number, way: number): number {
  const ticket = pieceTicket[piece]!
  const complete = completeS(ticket)
  const due = ticketDue[ticket]!
  const outS = ticketIsTake[ticket] === 1 && due > complete ? due : complete
  const span = S[SPAN + batch]!
  if (way === 0) return floor(complete / size.gridS) - span
  if (way === 1) return ceil((outS - pieceFree[piece]!) / size.gridS) - span
  return floor(outS / size.gridS) - span
}

/** The wait of a batch with a takeaway that then holds freely until its boat; 0 for a table. */
export function boxDelay(piece: number, batch: number): number {
  const ticket = pieceTicket[piece]!
  if (ticketIsTake[ticket] === 0) return 0
  return max(0, ceil((ticketDue[ticket]! - pieceFree[piece]!) / size.gridS) - S[SPAN + batch]!)
}

/** The slot at which a batch begins, in the plan that was last placed to its end. */
export const startOf = (batch: number): number => round(readyS(S[HEAD + batch]!) / size.gridS) - S[SPAN + batch]!
