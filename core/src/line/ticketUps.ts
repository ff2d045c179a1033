/** When the last portion of a ticket is up [ms since 1970], and at which station. */
export type TicketUp = { upMs: number; stationId: string }

/** What of the line says when a ticket is up: batches by plan, runs as they stand. */
type UpSources = {
  batches: readonly (TicketUp & { parts: readonly { ticketId: string }[] })[]
  runs: readonly {
    run: { stationId: string; parts: readonly { ticketId: string }[] }
    state: { upMs: number }
  }[]
}

/** Of each ticket the last of its portions that has a station, by the ticket's id. */
export function ticketUps({ batches, runs }: UpSources): Map<string, TicketUp> {
  const ups = new Map<string, TicketUp>()
  const note = ({ upMs, stationId }: TicketUp, parts: readonly { ticketId: string }[]) => {
    for (const { ticketId } of parts) {
      const known = ups.get(ticketId)
      if (!known || known.upMs < upMs) ups.set(ticketId, { upMs, stationId })
    }
  }
  for (const batch of batches) note(batch, batch.parts)
  for (const { run, state } of runs) note({ upMs: state.upMs, stationId: run.stationId }, run.parts)
  return ups
}
