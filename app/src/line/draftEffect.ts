import { ticketOf, type TicketDraft } from './draftTicket'
import { lineOf, type Line } from './useLinePlan'
import type { ShownTicket } from './useTickets'

const DRAFT_ID = '00000000-0000-7000-8000-000000000000'

/**
 * What the ticket would do to the line: which batch it joins, where, and when it is all up. Null where nobody can say: no
 * dish was chosen, or it is promised after those tickets that the line is worked out for.
 */
export function effectOf(draft: TicketDraft, line: Line, nowMs: number) {
  if (draft.lines.length === 0) return null
  if (line.later && (draft.promisedAtMs ?? nowMs) >= line.later.firstPromisedAtMs) return null
  const ticket = {
    ...ticketOf(draft, DRAFT_ID, draft.promisedAtMs ?? nowMs + 8 * 60_000, ''),
    number: 0,
    placedAtMs: nowMs,
    isCancelled: false,
    items: draft.lines.map((one) => ({ ...one, firedPortions: 0, donePortions: 0 })),
  } as unknown as ShownTicket
  const plan = lineOf({
    ...line,
    tickets: [...line.tickets, ticket],
    runs: line.runs.map(({ run }) => run),
    orderFor: () => line.basis.order,
    nowMs,
  })
  const mine = plan.batches.filter((batch) => batch.parts.some((part) => part.ticketId === DRAFT_ID))
  const last = [...mine].sort((a, b) => b.upMs - a.upMs)[0]
  if (!last) return null
  return {
    dish: last.dish.shortName,
    station: last.station.name,
    readyMs: last.upMs,
    joins: last.parts.some((part) => part.ticketId !== DRAFT_ID),
    batches: mine.length,
  }
}
