import type { Dish } from 'contract/dish'
import type { Kitchen, Station } from 'contract/kitchen'
import type { Run } from 'contract/run'
import type { StationPastRow } from 'contract/station'
import { proposeBatches, type ProposedBatch } from 'core/line/batches'
import { batchScore } from 'core/line/batchScore'
import { largestCap, planLine, type PlannedBatch } from 'core/line/planLine'
import type { StationPast } from 'core/line/stationPast'
import { waitingItems } from 'core/line/waiting'
import { runState, type RunState } from 'core/wok/run'
import type { Score } from 'core/wok/score'
import { useMemo } from 'react'
import { useDishes } from '../book/useDishes'
import { useNowMs } from '../device/clock'
import { useKitchen } from '../setup/useKitchen'
import { useOpenRuns } from '../wok/useRuns'
import { useStations } from './useStations'
import { useTickets, type ShownTicket } from './useTickets'

export type ShownBatch = PlannedBatch & { key: string; dish: Dish; score: Score; station: Station }
export type ShownRun = { run: Run; state: RunState; station: Station | undefined }
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
    return planOf(kitchen.data, dishes.data.dishes, tickets.tickets, runs.runs, pasts, planMs)
  }, [kitchen.data, dishes.data, tickets.tickets, runs.runs, pasts, planMs])
  const error = kitchen.error ?? dishes.error ?? tickets.error ?? runs.error
  const refetch = () => Promise.all([kitchen.refetch(), dishes.refetch(), tickets.refetch(), runs.refetch()])
  return { line, error: line ? null : error, refetch }
}

export function planOf(
  kitchen: Kitchen,
  dishes: readonly Dish[],
  tickets: readonly ShownTicket[],
  openRuns: readonly Run[],
  pasts: readonly StationPastRow[],
  nowMs: number,
): Line {
  const runs = openRuns
    .map((run) => ({
      run,
      state: runState(run, run.events, nowMs),
      station: kitchen.stations.find((one) => one.id === run.stationId),
    }))
    .filter(({ state }) => state.endedMs === null)
  const byId = new Map(dishes.map((dish) => [dish.id, dish]))
  const waiting = waitingItems(withoutFired(tickets, runs)).filter((item) => byId.has(item.dishId))
  const kindOf = (dishId: string) => byId.get(dishId)?.stationKind ?? 'wok'
  const hasHome = (dishId: string) => largestCap(kitchen.stations, kindOf(dishId)) > 0
  const proposed = proposeBatches(
    waiting.filter((item) => hasHome(item.dishId)),
    byId,
    (dish) => largestCap(kitchen.stations, dish.stationKind),
  )
  const scores = new Map<ProposedBatch, Score>()
  for (const batch of proposed) {
    const dish = byId.get(batch.dishId)
    const result = dish && batchScore(dish, batch, kitchen.tools, kitchen)
    if (result?.kind === 'score') scores.set(batch, result.score)
  }
  const stations = kitchen.stations.map((station) => {
    const at = runs.find((one) => one.run.stationId === station.id)
    const past = pastAt(pasts, station.id)
    return at
      ? { ...station, ...past, freeAtMs: at.state.upMs, usedUntilMs: at.state.upMs, lastDishId: at.run.dishId }
      : { ...station, ...past, freeAtMs: nowMs }
  })
  const cookable = proposed.filter((batch) => scores.has(batch))
  const plan = planLine(cookable, stations, kindOf, (batch) => scores.get(batch)?.totalS ?? 0, nowMs)
  const batches = plan.batches.flatMap((batch): ShownBatch[] => {
    const dish = byId.get(batch.dishId)
    const source = cookable.find((one) => one.parts === batch.parts)
    const score = source && scores.get(source)
    const station = kitchen.stations.find((one) => one.id === batch.stationId)
    return dish && score && station ? [{ ...batch, key: keyOf(batch), dish, score, station }] : []
  })
  const homeless = [...plan.homeless, ...proposed.filter((batch) => !scores.has(batch))]
  return {
    kitchen,
    dishes,
    tickets,
    runs,
    batches,
    homeless,
    pasts,
    portionsWaiting: waiting.reduce((sum, item) => sum + item.portions, 0),
  }
}

/** What nobody said of a station is not so: it was not washed. */
export const pastAt = (pasts: readonly StationPastRow[], stationId: string): StationPast =>
  pasts.find((past) => past.stationId === stationId) ?? { lastDishId: null, usedUntilMs: null, washedAtMs: null }

/** A batch is the same while it holds the same portions of the same tickets. */
const keyOf = (batch: ProposedBatch) => batch.parts.map((part) => `${part.itemId}:${part.portions}`).join(' ')

/** Takes out what this device fired and the kitchen does not know yet. */
function withoutFired(tickets: readonly ShownTicket[], runs: readonly ShownRun[]) {
  return tickets.map((ticket) => ({
    ...ticket,
    number: ticket.number ?? 0,
    items: ticket.items.map((item) => {
      const here = runs.flatMap(({ run }) => run.parts.filter((part) => part.itemId === item.id))
      const firedHere = here.reduce((sum, part) => sum + part.portions, 0)
      return { ...item, firedPortions: Math.max(item.firedPortions, item.donePortions + firedHere) }
    }),
  }))
}
