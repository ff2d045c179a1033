import { useQueries, useQuery } from '@tanstack/react-query'
import { Evening } from 'contract/evening'
import type { Kitchen } from 'contract/kitchen'
import type { Dish } from 'contract/dish'
import { cooksAt, type AtMise } from 'core/line/cooks'
import { changesFor, type EveningChange, type EveningPlan } from 'core/line/past/eveningAgain'
import { lateTickets, type LateTicket } from 'core/line/past/lateTickets'
import { usualPairs } from 'core/line/plan/wishes'
import { CHILLED_RICE } from 'core/rice/lot/riceAtWok'
import { useEffect, useMemo } from 'react'
import { useDishes } from '../../book/useDishes'
import { getJson } from '../../device/http'
import { inLineWorker } from '../../line/plan/lineWorker'
import { useMiseHouse } from '../../mise/useMise'
import { useKitchen } from '../../setup/useKitchen'
import { useWorkedOutVersion, workedOut, workOut } from '../../wok/workedOut'

/** What an evening would have been: a plan, none, or not yet. */
export type Again = { change: EveningChange; plan: EveningPlan | null; state: 'working' | 'done' | 'failed' }
export type LookedBack = {
  kitchen: Kitchen
  evening: Evening
  late: LateTicket[]
  again: Again[]
}

/** A day of the line: what happened, why tickets were late, and the same tickets planned again in the worker. */
export function useEvening(day: string) {
  const kitchen = useKitchen()
  const dishes = useDishes()
  const mise = useMiseHouse()
  const evening = useQuery({
    queryKey: ['record', 'evening', day],
    queryFn: ({ signal }) => getJson(`/record/evenings/${day}`, Evening, signal),
  })
  const past =
    kitchen.data && dishes.data && evening.data && mise.data
      ? {
          kitchen: kitchen.data,
          dishes: dishes.data.dishes,
          evening: evening.data,
          atMise: mise.data.policy.people,
        }
      : null
  const again = useAgain(day, past, evening.dataUpdatedAt)
  const late = useMemo(() => (past ? lateOf(past) : []), [past?.kitchen, past?.dishes, past?.evening]) // oxlint-disable-line react-hooks/exhaustive-deps
  const lookedBack: LookedBack | null = past && { kitchen: past.kitchen, evening: past.evening, late, again }
  return {
    lookedBack,
    error: kitchen.error ?? dishes.error ?? mise.error ?? evening.error,
    refetch: () => Promise.all([kitchen.refetch(), dishes.refetch(), mise.refetch(), evening.refetch()]),
  }
}

type Past = { kitchen: Kitchen; dishes: readonly Dish[]; evening: Evening; atMise: readonly AtMise[] }
/** The pairs of hands that were said, else the most cooks that were not at the mise while something was fried. */
function pairsOf({ kitchen, evening, atMise }: Past): number {
  const { staff, stations, timeZone } = kitchen
  const cooks = evening.runs.map(({ firedAtMs }) => cooksAt(staff, atMise, firedAtMs, timeZone))
  return evening.pairs ?? usualPairs(stations.length, Math.max(0, ...cooks))
}

function lateOf(past: Past): LateTicket[] {
  const { kitchen, dishes, evening } = past
  return lateTickets(evening, {
    stations: kitchen.stations,
    kindOf: (dishId) => dishes.find(({ id }) => id === dishId)?.stationKind ?? null,
    pairs: pairsOf(past),
  })
}

/** The dishes of an evening with their stations' times, once all of them are worked out; null until then. */
function useTimes(past: Past | null) {
  const version = useWorkedOutVersion()
  const sold = new Set(past?.evening.tickets.flatMap(({ items }) => items.map(({ dishId }) => dishId)))
  const pairs = past
    ? past.dishes
        .filter(({ id }) => sold.has(id))
        .flatMap((dish) =>
          past.kitchen.stations.filter(({ kind }) => kind === dish.stationKind).map((station) => ({ dish, station })),
        )
    : []
  const known = past && workedOut({ kitchen: past.kitchen, rice: CHILLED_RICE })
  const times = pairs.map(({ dish, station }) => ({
    ...{ dishId: dish.id, stationId: station.id },
    times: known?.timesOf(dish, station) ?? null,
  }))
  useEffect(() => {
    if (past) workOut({ kitchen: past.kitchen, rice: CHILLED_RICE }, { times: pairs, scores: [] })
    // What is known grows with the version; pairs follow from the evening.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [past?.evening, past?.kitchen, version])
  return past && times.every(({ times: own }) => own !== null && own.isRough !== true) ? { sold, times } : null
}

function useAgain(day: string, past: Past | null, readAtMs: number): Again[] {
  const known = useTimes(past)
  const changes = past ? changesFor(past.evening, past.kitchen.stations, pairsOf(past)) : []
  const answers = useQueries({
    queries: changes.map((change) => ({
      queryKey: ['worked', 'evening', day, change, readAtMs],
      enabled: known !== null,
      staleTime: Infinity,
      queryFn: ({ signal }: { signal: AbortSignal }) => {
        const { kitchen, dishes, evening } = past!
        const { sold, times } = known!
        const facts = {
          stations: kitchen.stations,
          dishes: dishes.filter(({ id }) => sold.has(id)),
          times,
          rules: { ruleSet: kitchen.ruleSet, isScottish: kitchen.isScottish },
          pairs: pairsOf(past!),
        }
        return inLineWorker((functions) => functions.eveningAgain(evening, facts, change), signal)
      },
    })),
  })
  return changes.map((change, i) => ({
    change,
    plan: answers[i]?.data ?? null,
    state: answers[i]?.isError ? 'failed' : answers[i]?.data === undefined ? 'working' : 'done',
  }))
}
