import type { Dish } from 'contract/dish'
import type { Kitchen, Station } from 'contract/kitchen'
import type { ToldOrder } from 'contract/line'
import type { Run } from 'contract/run'
import type { StationPastRow } from 'contract/station'
import type { LaterTickets } from 'contract/ticket'
import type { RiceNow } from 'core/line/batchHeat'
import { batchInputOf } from 'core/line/batchInput'
import {
  lineNow,
  type GoneBatch,
  type LineBasis,
  type LineBatch,
  type LineInput,
  type LineNow,
  type LineRun,
  type WorkedOut,
} from 'core/line/lineNow'
import { NO_WISHES, type LineWishes } from 'core/line/plan/wishes'
import type { ProposedBatch } from 'core/line/waiting'
import { useQueryClient } from '@tanstack/react-query'
import { ticketUps, type TicketUp } from 'core/line/ticketUps'
import { useEffect, useMemo } from 'react'
import { cooksAt, type AtMise } from 'core/line/cooks'
import { CHILLED_RICE } from 'core/rice/lot/riceAtWok'
import { useDishes } from '../book/useDishes'
import { useRiceNow } from '../rice/useLots'
import { useIsFocused } from 'expo-router'
import { useNowMsInSlices } from '../device/clock'
import { useMiseHouse } from '../mise/useMise'
import { useKitchen } from '../setup/useKitchen'
import { useOpenRuns } from '../wok/useRuns'
import { useWorkedOutVersion, workedOut, workOut } from '../wok/workedOut'
import { isOrderFor, orderFor, searchOrder, useOrderVersion } from './plan/orderSearch'
import { useLineState } from './plan/useLineState'
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
  /** What two moved at the same time. */
  overruled: LineNow<Station, Dish, Run>['overruled']
  /** What is 86. */
  gone: readonly GoneBatch[]
  /** The instant that it was planned for. */
  atMs: number
  /** How the line was planned. */
  basis: LineBasis
  wishes: LineWishes
  /** Who is at the mise when, and not at the line. */
  atMise: readonly AtMise[]
  /** The order that the cooks were told last. */
  told: ToldOrder | null
  /** Whether the order is of older facts: a better one is being worked out. */
  isOld: boolean
  /** Portions beyond what is planned at once. */
  portionsBeyond: number
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

/** How often the proposal is worked out again by the clock alone [ms]: in sight, and behind another screen. */
const REPLAN_MS = 5000
const BEHIND_MS = 30_000

/** The line as it stands: tickets, runs at the stations, and the batches proposed after them. */
export function useLinePlan() {
  const kitchen = useKitchen()
  const dishes = useDishes()
  const tickets = useTickets()
  const runs = useOpenRuns()
  const { pasts } = useStations()
  const { wishes, told, data: state } = useLineState()
  const atMise = useMiseHouse().data?.policy.people
  const queries = useQueryClient()
  const orders = useOrderVersion()
  const planMs = useNowMsInSlices(useIsFocused() ? REPLAN_MS : BEHIND_MS)
  const version = useWorkedOutVersion()
  const rice = useRiceNow()
  const { tickets: shown, later } = tickets
  /** Until the kitchen has answered, nobody knows that nothing waits. */
  const isAnswered = tickets.data !== undefined && runs.data !== undefined && state !== undefined
  const line = useMemo((): Line | null => {
    if (!kitchen.data || !dishes.data || !isAnswered) return null
    const known = workedOut({ kitchen: kitchen.data, rice })
    return lineOf({
      kitchen: kitchen.data,
      dishes: dishes.data.dishes,
      ...{ tickets: shown, later, rice, known, pasts, wishes, told, atMise },
      runs: runs.runs,
      nowMs: planMs,
    })
    // What was worked out is read anew whenever there is more of it.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [
    kitchen.data,
    dishes.data,
    isAnswered,
    shown,
    later,
    runs.runs,
    pasts,
    planMs,
    version,
    rice,
    wishes,
    told,
    atMise,
    orders,
  ])
  useEffect(() => {
    if (!line) return
    workOut(line, wantedOf(line))
    if (line.pending.length > 0 || line.unknown.times.length > 0) return
    searchOrder(line.basis, line.told, (answer) => {
      if (answer) queries.setQueryData(['line'], answer)
      else for (const topic of ['line', 'tickets', 'runs']) void queries.invalidateQueries({ queryKey: [topic] })
    })
  }, [line, queries])
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

/** What the line is worked out from. */
type LineSources = {
  kitchen: Kitchen
  dishes: readonly Dish[]
  tickets: readonly ShownTicket[]
  later: LaterTickets | null
  runs: readonly Run[]
  pasts: readonly StationPastRow[]
  nowMs: number
  known: WorkedOut<Station, Dish>
  rice?: RiceNow
  wishes?: LineWishes
  atMise?: readonly AtMise[] | undefined
  told?: ToldOrder | null
  orderFor?: LineInput<Station, Dish, ShownTicket, Run>['orderFor']
}

/** The line from what the kitchen has and what this device said of it. */
export function lineOf(sources: LineSources): Line {
  const { kitchen, dishes, tickets, later, runs, pasts, nowMs, known } = sources
  const { rice = CHILLED_RICE, wishes = NO_WISHES, told = null, orderFor: order = orderFor(told) } = sources
  const { atMise = [] } = sources
  const { stations } = kitchen
  const cooks = cooksAt(kitchen.staff, atMise, nowMs, kitchen.timeZone)
  const input = { stations, dishes, tickets, runs, pasts, rules: kitchen, known, wishes, cooks, nowMs }
  const now = lineNow({ ...input, orderFor: order })
  return {
    ...{ kitchen, dishes, tickets, later, pasts, known, rice, wishes, told, atMise },
    ...now,
    atMs: nowMs,
    isOld: !isOrderFor(told, now.basis) && now.basis.pieces.length > 0,
    ups: ticketUps(now),
    portionsWaiting: now.portionsWaiting + (later?.portions ?? 0),
  }
}
