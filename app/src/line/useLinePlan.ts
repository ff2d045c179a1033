import type { Dish } from 'contract/dish'
import type { Kitchen, Station } from 'contract/kitchen'
import type { Run } from 'contract/run'
import type { StationPastRow } from 'contract/station'
import type { ProposedBatch } from 'core/line/batches'
import { lineNow, type LineBatch, type LineRun } from 'core/line/lineNow'
import { useMemo } from 'react'
import { useDishes } from '../book/useDishes'
import { useNowMs } from '../device/clock'
import { useKitchen } from '../setup/useKitchen'
import { useOpenRuns } from '../wok/useRuns'
import { useStations } from './useStations'
import { useTickets, type ShownTicket } from './useTickets'

export type ShownBatch = LineBatch<Station, Dish>
export type ShownRun = LineRun<Station, Run>
export type Line = {
  kitchen: Kitchen
  dishes: readonly Dish[]
  tickets: readonly ShownTicket[]
  runs: readonly ShownRun[]
  batches: readonly ShownBatch[]
  homeless: readonly ProposedBatch[]
  portionsWaiting: number
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
  const line = useMemo((): Line | null => {
    if (!kitchen.data || !dishes.data) return null
    return lineOf(kitchen.data, dishes.data.dishes, tickets.tickets, runs.runs, pasts, planMs)
  }, [kitchen.data, dishes.data, tickets.tickets, runs.runs, pasts, planMs])
  const error = kitchen.error ?? dishes.error ?? tickets.error ?? runs.error
  const refetch = () => Promise.all([kitchen.refetch(), dishes.refetch(), tickets.refetch(), runs.refetch()])
  return { line, error: line ? null : error, refetch }
}

/** The line from what the kitchen has and what this device said of it. */
export function lineOf(
  kitchen: Kitchen,
  dishes: readonly Dish[],
  tickets: readonly ShownTicket[],
  runs: readonly Run[],
  pasts: readonly StationPastRow[],
  nowMs: number,
): Line {
  const { stations, tools } = kitchen
  const now = lineNow({ stations, dishes, tickets, runs, pasts, tools, rules: kitchen, nowMs })
  return { kitchen, dishes, tickets, pasts, ...now }
}
