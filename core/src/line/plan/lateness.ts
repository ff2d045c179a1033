import type { TicketUp } from '../ticketUps'

type Promised = { id: string; number: number | null; promisedAtMs: number; isCancelled: boolean }

/** Seconds that a ticket is up after its promise; 0 where it is in time, or nothing of it is planned. */
function lateS(ticket: Promised, ups: ReadonlyMap<string, TicketUp>): number {
  const up = ups.get(ticket.id)
  return up ? Math.max(0, (up.upMs - ticket.promisedAtMs) / 1000) : 0
}

/** Less than this nobody notices [s]. */
const NOTICED_S = 30

/** What a change of the plan costs tickets: seconds of lateness more (negative: fewer) in all, and who comes out late who was not, or later. */
export type LatenessChange = { moreS: number; later: { number: number | null; moreS: number }[] }

/** Compares two plans of the same tickets by how late each ticket is up. */
export function latenessChange(
  tickets: readonly Promised[],
  before: ReadonlyMap<string, TicketUp>,
  after: ReadonlyMap<string, TicketUp>,
): LatenessChange {
  const changes = tickets
    .filter(({ isCancelled }) => !isCancelled)
    .map((ticket) => ({ number: ticket.number, moreS: lateS(ticket, after) - lateS(ticket, before) }))
  return {
    moreS: Math.round(changes.reduce((sum, { moreS }) => sum + moreS, 0)),
    later: changes
      .filter(({ moreS }) => moreS >= NOTICED_S)
      .map(({ number, moreS }) => ({ number, moreS: Math.round(moreS) }))
      .sort((a, b) => b.moreS - a.moreS),
  }
}
