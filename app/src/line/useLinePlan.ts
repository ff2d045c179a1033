import type { Dish } from 'contract/dish'
import type { Kitchen, Station } from 'contract/kitchen'
import type { Run } from 'contract/run'
import type { StationPastRow } from 'contract/station'
import type { LaterTickets } from 'contract/ticket'
import type { ProposedBatch } from 'core/line/batches'
import type { RiceNow } from 'core/line/batchScore'
import { batchInputOf, lineNow, type LineBatch, type LineNow, type LineRun, type WorkedOut } from 'core/line/lineNow'
import { ticketUps, type TicketUp } from 'core/line/ticketUps'
import { useEffect, useMemo } from 'react'
import { CHILLED_RICE } from 'core/rice/lot/riceAtWok'
import { useDishes } from '../book/useDishes'
import { useRiceNow } from '../rice/useLots'
import { useNowMs } from '../device/clock'
import { useKitchen } from '../setup/useKitchen'
import { useOpenRuns } from '../wok/useRuns'
import { useWorkedOutVersion, workedOut, workOut } from '../wok/workedOut'
import { useStations } from './useStations'
import { useTickets, type ShownTicket } from './useTickets'

export type ShownBatch = LineBatch<Station, Dish>
export type ShownRun = LineRun<Station, Run>
export type Line = {
  kitchen: Kitchen
  dishes: readonly Dish[]
  /** The tickets that are promised first: the line is worked out for these. */
  tickets: readonly ShownTicket[]
  /** What is promised after them. */
  later: LaterTickets | null
  runs: readonly ShownRun[]
  batches: readonly ShownBatch[]
  homeless: readonly ProposedBatch[]
  /** Batches whose times are being worked out. */
  pending: readonly ProposedBatch[]
  unknown: LineNow<Station, Dish, Run>['unknown']
  known: WorkedOut<Station, Dish>
  /** The rice that scores are derived for. */
  rice: RiceNow
  /** Of all that is open, also of what is promised later. */
  portionsWaiting: number
  /** When and where the last portion of a ticket is up; a ticket of which a portion has no station may be missing. */
  ups: ReadonlyMap<string, TicketUp>
  /** What is known of each station's metal. */
  pasts: readonly StationPastRow[]
}

/** How often the proposal is worked out again by the clock alone [ms]. */
const REPLAN_MS = 5000

/** The line as it stands: tickets, runs at the stations, and the batches proposed after them. */
export function useLinePlan() {
  const kitchen = useKitchen()
  const dishes = useDishes()
  const tickets = useTickets()
  const runs = useOpenRuns()
  const { pasts } = useStations()
  const planMs = useNowMs(REPLAN_MS)
  const version = useWorkedOutVersion()
  const rice = useRiceNow()
  const { tickets: shown, later } = tickets
  /** Until the kitchen has answered, nobody knows that nothing waits. */
  const isAnswered = tickets.data !== undefined && runs.data !== undefined
  const line = useMemo((): Line | null => {
    if (!kitchen.data || !dishes.data || !isAnswered) return null
    const known = workedOut({ kitchen: kitchen.data, rice })
    return lineOf(kitchen.data, dishes.data.dishes, { tickets: shown, later, rice }, runs.runs, pasts, planMs, known)
    // What was worked out is read anew whenever there is more of it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [kitchen.data, dishes.data, isAnswered, shown, later, runs.runs, pasts, planMs, version, rice])
  useEffect(() => {
    if (line) workOut(line, wantedOf(line))
  }, [line])
  const error = kitchen.error ?? dishes.error ?? tickets.error ?? runs.error
  const refetch = () => Promise.all([kitchen.refetch(), dishes.refetch(), tickets.refetch(), runs.refetch()])
  return { line, error: line ? null : error, refetch }
}

/** So many batches are scored anew when the rice has become warmer. */
const SCORED_ANEW = 12

/** What the line does not know, and, for the rice as it is now, what it knew before. */
function wantedOf({ unknown, batches }: Line): Line['unknown'] {
  const first = [...batches].sort((a, b) => a.startMs - b.startMs).slice(0, SCORED_ANEW)
  return {
    times: [...unknown.times, ...first.map(({ dish, station }) => ({ dish, station }))],
    scores: [
      ...unknown.scores,
      ...first.map((one) => ({ dish: one.dish, station: one.station, batch: batchInputOf(one) })),
    ],
  }
}

/** The line from what the kitchen has and what this device said of it. */
export function lineOf(
  kitchen: Kitchen,
  dishes: readonly Dish[],
  { tickets, later, rice = CHILLED_RICE }: Pick<Line, 'tickets' | 'later'> & { rice?: RiceNow },
  runs: readonly Run[],
  pasts: readonly StationPastRow[],
  nowMs: number,
  known: WorkedOut<Station, Dish>,
): Line {
  const { stations } = kitchen
  const now = lineNow({ stations, dishes, tickets, runs, pasts, rules: kitchen, known, nowMs })
  const portionsWaiting = now.portionsWaiting + (later?.portions ?? 0)
  return { kitchen, dishes, tickets, later, pasts, known, rice, ups: ticketUps(now), ...now, portionsWaiting }
}
