import { ticketOf, type TicketDraft } from './draftTicket'
import { latenessChange } from 'core/line/plan/lateness'
import { MOST_PAIRS, type LineWishes } from 'core/line/plan/wishes'
import { lineWith } from './hand/wishing'
import type { Line } from './useLinePlan'
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
  const withTicket = { ...line, tickets: [...line.tickets, ticket] }
  const planned = (wishes: Partial<LineWishes> = {}) => lineWith(withTicket, wishes, nowMs)
  const plan = planned()
  const mine = plan.batches.filter((batch) => batch.parts.some((part) => part.ticketId === DRAFT_ID))
  const last = [...mine].sort((a, b) => b.upMs - a.upMs)[0]
  if (!last) return null
  const change = latenessChange(line.tickets, line.ups, plan.ups)
  const ownLateS = Math.max(0, (last.upMs - (draft.promisedAtMs ?? last.upMs)) / 1000)
  return {
    dish: last.dish.shortName,
    station: last.station.name,
    readyMs: last.upMs,
    joins: last.parts.some((part) => part.ticketId !== DRAFT_ID),
    batches: mine.length,
    /** Tickets that come out later for it, and by how much. */
    later: change.later,
    laterS: change.later.reduce((sum, { moreS }) => sum + moreS, 0),
    /** It cannot be kept [s]. */
    ownLateS,
    wayOut: change.later.length > 0 || ownLateS > NOTICED_S ? wayOutOf(line, plan, planned, ownLateS) : null,
  }
}

/** Less than this nobody notices [s]. */
const NOTICED_S = 30

/** What would help most where a ticket makes others late, or cannot be had when it is wanted. */
export type WayOut =
  | { kind: 'hands'; lessS: number }
  | { kind: 'station'; stationId: string; lessS: number }
  | { kind: 'tell'; moreMin: number }
  | null

function wayOutOf(line: Line, plan: Line, planned: (wishes: Partial<LineWishes>) => Line, ownLateS: number): WayOut {
  const lessWith = (wishes: Partial<LineWishes>) => -latenessChange(plan.tickets, plan.ups, planned(wishes).ups).moreS
  const { pairs } = line.basis
  const { downStations } = line.wishes
  const ways: NonNullable<WayOut>[] = [
    ...(pairs < MOST_PAIRS ? [{ kind: 'hands' as const, lessS: lessWith({ pairs: pairs + 1 }) }] : []),
    ...downStations.map((stationId) => ({
      kind: 'station' as const,
      stationId,
      lessS: lessWith({ downStations: downStations.filter((id) => id !== stationId) }),
    })),
  ]
  const best = ways.sort((a, b) => lessOf(b) - lessOf(a))[0]
  if (best && lessOf(best) >= NOTICED_S) return best
  return ownLateS > NOTICED_S ? { kind: 'tell', moreMin: Math.ceil(ownLateS / 60) } : null
}

const lessOf = (way: NonNullable<WayOut>) => (way.kind === 'tell' ? 0 : way.lessS)
