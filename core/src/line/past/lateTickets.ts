import type { Evening, PastRun, PastTicket } from './evening'

/**
 * Why a ticket was late, by what took most of the time that it had not: it could not be had so soon; a station was down; all
 * stations were taken; all hands were; it stood while a station and hands were free; a batch was thrown away; it took longer than
 * its score; it waited at the pass.
 */
export const LATE_CAUSES = ['promise', 'down', 'stations', 'hands', 'stood', 'thrown', 'longer', 'pass'] as const
export type LateCause = (typeof LATE_CAUSES)[number]

/** A ticket that was late, and how long each cause held it up [s]; standing counts from when it had to be fired. */
export type LateTicket = {
  id: string
  number: number
  lateS: number
  cause: LateCause
  parts: { cause: LateCause; seconds: number }[]
}

/** Less than this nobody notices [s]. */
const NOTICED_S = 60
/** From the wok to the hand that takes it out [s]: common practice. */
const PASS_S = 60

type Station = { id: string; kind: string }
export type LateFacts = {
  stations: readonly Station[]
  /** The kind of station that a dish is fried at; null of a dish that is not in the book any more. */
  kindOf: (dishId: string) => string | null
  /** Pairs of hands there were. */
  pairs: number
}

/**
 * The tickets that were out more than a minute after their promise, latest first, each with its cause. Of a ticket of several
 * batches the last to be up says why. Tickets that never came up whole are left out.
 */
export function lateTickets(evening: Evening, facts: LateFacts): LateTicket[] {
  return evening.tickets
    .flatMap((ticket) => lateTicket(ticket, evening, facts) ?? [])
    .sort((a, b) => b.lateS - a.lateS || a.number - b.number)
}

/** When a ticket was whole on the pass, and by which run; null where a portion never came up. */
export function wholeAt(ticket: PastTicket, runs: readonly PastRun[]): { upMs: number; last: PastRun } | null {
  const ended = runs.filter(({ isStopped }) => !isStopped).sort((a, b) => a.endedAtMs - b.endedAtMs)
  let last: PastRun | null = null
  for (const item of ticket.items) {
    let left = item.portions
    for (const run of ended) {
      const own = run.parts.filter(({ itemId }) => itemId === item.id).reduce((sum, part) => sum + part.portions, 0)
      if (own === 0 || left <= 0) continue
      left -= own
      if (last === null || run.endedAtMs > last.endedAtMs) last = run
    }
    if (left > 0) return null
  }
  return last && { upMs: last.endedAtMs, last }
}

function lateTicket(ticket: PastTicket, evening: Evening, facts: LateFacts): LateTicket | null {
  const whole = wholeAt(ticket, evening.runs)
  if (!whole) return null
  const { upMs, last } = whole
  const outMs = Math.max(upMs, ticket.handedOverAtMs ?? upMs)
  const lateS = Math.round((outMs - ticket.promisedAtMs) / 1000)
  if (lateS < NOTICED_S) return null
  const ids = new Set(ticket.items.map(({ id }) => id))
  const stopped = evening.runs.find(
    (run) => run.isStopped && run.firedAtMs < last.firedAtMs && run.parts.some(({ itemId }) => ids.has(itemId)),
  )
  const waitedUntilMs = stopped?.firedAtMs ?? last.firedAtMs
  const waited = waitedFor({ fromMs: ticket.placedAtMs, toMs: waitedUntilMs }, last, evening, facts)
  // What there was to wait before it had to be fired is nobody's fault.
  const inHandS = (ticket.promisedAtMs - ticket.placedAtMs) / 1000 - last.plannedS
  const seconds: Record<LateCause, number> = {
    promise: -inHandS,
    ...waited,
    stood: waited.stood - Math.max(0, inHandS),
    thrown: stopped ? (last.firedAtMs - stopped.firedAtMs) / 1000 : 0,
    longer: (last.endedAtMs - last.firedAtMs) / 1000 - last.plannedS,
    pass: (outMs - upMs) / 1000 - PASS_S,
  }
  const parts = LATE_CAUSES.map((cause) => ({ cause, seconds: Math.round(Math.max(0, seconds[cause])) })).filter(
    (part) => part.seconds > 0,
  )
  const most = [...parts].sort((a, b) => b.seconds - a.seconds)[0]
  // A promise that nobody could have kept is its own cause, whatever else there was, where it is most of the lateness.
  const cause = seconds.promise >= lateS / 2 ? 'promise' : (most?.cause ?? 'stood')
  return { id: ticket.id, number: ticket.number, lateS, cause, parts }
}

type Waited = Record<'down' | 'stations' | 'hands' | 'stood', number>

/** What kept a batch from being fired, second by second in stretches: the reasons that a cook sees first come first. */
function waitedFor(
  { fromMs, toMs }: { fromMs: number; toMs: number },
  batch: PastRun,
  { runs, downs }: Evening,
  { stations, kindOf, pairs }: LateFacts,
): Waited {
  const kind = kindOf(batch.dishId)
  const fit = stations.filter((station) => station.id === batch.stationId || station.kind === kind)
  const others = runs.filter((run) => run !== batch && run.firedAtMs < toMs && run.endedAtMs > fromMs)
  const isIn = (atMs: number) => (span: { fromMs: number; toMs: number | null }) =>
    span.fromMs <= atMs && (span.toMs === null || span.toMs > atMs)
  const cuts = [
    ...new Set(
      [
        fromMs,
        toMs,
        ...others.flatMap((run) => [run.firedAtMs, run.endedAtMs]),
        ...downs.flatMap((down) => [down.fromMs, down.toMs ?? toMs]),
      ].filter((ms) => ms >= fromMs && ms <= toMs),
    ),
  ].sort((a, b) => a - b)
  const waited: Waited = { down: 0, stations: 0, hands: 0, stood: 0 }
  cuts.slice(1).forEach((endMs, i) => {
    const startMs = cuts[i]!
    const open = others.filter((run) => run.firedAtMs <= startMs && run.endedAtMs > startMs)
    const down = downs.filter(isIn(startMs)).map(({ stationId }) => stationId)
    const isTaken = ({ id }: Station) => open.some(({ stationId }) => stationId === id)
    const free = fit.filter((station) => !isTaken(station) && !down.includes(station.id))
    const reason =
      free.length > 0
        ? open.length >= pairs
          ? 'hands'
          : 'stood'
        : fit.some(({ id }) => down.includes(id))
          ? 'down'
          : 'stations'
    waited[reason] += (endMs - startMs) / 1000
  })
  return waited
}
