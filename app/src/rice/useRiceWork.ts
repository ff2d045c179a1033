import { useQueries, useQuery } from '@tanstack/react-query'
import type { RiceHouse } from 'contract/riceHouse'
import { inTrays, type CoolingPlace, type CoolStage } from 'core/rice/cooling/coolingPlace'
import type { DayRicePlan, RicePlanForInput } from 'core/rice/plan/ricePlanFor'
import type { RuleSet } from 'core/safety/limits'
import { WORKING, workedOf, type Worked } from '../device/worked'
import { inRiceWorker } from './riceWorker'
import type { WatchedLot } from 'core/rice/lot/watchLot'
import type { ShownLot } from './useLots'

const MINUTE_MS = 60_000
/** An answer of the minute before stands in until the new one is here; an answer to another question never does. */
const sameButMinute =
  (key: readonly unknown[]) =>
  <T>(before: T | undefined, query?: { queryKey: readonly unknown[] }): T | undefined =>
    query && JSON.stringify(query.queryKey.slice(0, -1)) === JSON.stringify(key.slice(0, -1)) ? before : undefined
const once = { staleTime: Infinity, gcTime: 5 * MINUTE_MS, retry: false } as const

function watching({ lot, state }: ShownLot, house: RiceHouse, nowMs: number) {
  const minute = Math.floor(nowMs / MINUTE_MS)
  const cooling = inTrays(house.policy.cooling, house.policy.tray.material)
  const isCooling = state.stage === 'cooling' || state.stage === 'chilling'
  const key = ['worked', 'watch', lot.id, lot.events.length, lot.events.at(-1)?.id, minute]
  return {
    ...once,
    queryKey: key,
    enabled: isCooling,
    placeholderData: sameButMinute(key),
    queryFn: ({ signal }: { signal: AbortSignal }) =>
      inRiceWorker(
        (functions) => functions.watchLot({ state, plan: cooling, places: coolPlaces(house), nowMs }),
        signal,
      ),
  }
}

/** Where a cooling lot goes, worked out again with every reading and every minute. */
export function useWatchedLot(shown: ShownLot, house: RiceHouse, nowMs: number): Worked<WatchedLot> {
  const input = watching(shown, house, nowMs)
  return workedOf({ ...useQuery(input), isEnabled: input.enabled })
}

type WorkedQuery<T> = { data: T | null | undefined; isError: boolean; isEnabled: boolean }
export type WatchedLots = ReadonlyMap<string, Worked<WatchedLot>>

export function useWatchedLots(lots: readonly ShownLot[], house: RiceHouse | undefined, nowMs: number): WatchedLots {
  const cooling = lots.filter(({ state }) => state.stage === 'cooling' || state.stage === 'chilling')
  const results = useQueries({ queries: house ? cooling.map((lot) => watching(lot, house, nowMs)) : [] })
  return new Map(
    cooling.map(({ lot }, i) => [lot.id, results[i] ? workedOf(results[i] as WorkedQuery<WatchedLot>) : WORKING]),
  )
}

const STRONGEST_FIRST: readonly CoolingPlace[] = ['blast', 'ice-bath', 'fan', 'fridge', 'rack']

/** Places of the house that cool, the strongest first. */
function coolPlaces({ places }: RiceHouse) {
  return places
    .flatMap((place) => {
      const kind = STRONGEST_FIRST.find((one) => one === place.kind)
      return kind ? [{ kind, airTempC: place.airTempC }] : []
    })
    .sort((a, b) => STRONGEST_FIRST.indexOf(a.kind) - STRONGEST_FIRST.indexOf(b.kind))
}

/** The deepest tray to advise in these stages [m]; none where no depth cools in time. */
export function useMostDepthM(stages: CoolStage[], ruleSet: RuleSet, startTempC: number): Worked<number> {
  const key = ['worked', 'depth', ruleSet, startTempC, stages]
  const query = useQuery({
    ...once,
    queryKey: key,
    queryFn: ({ signal }) => inRiceWorker((functions) => functions.advisedDepthM(startTempC, stages, ruleSet), signal),
  })
  return workedOf(query)
}

/** A day's rice, worked out again as the plan is edited. */
export function useDayPlan(input: RicePlanForInput | null): Worked<DayRicePlan> {
  const key = ['worked', 'plan', input && { ...input, nowMs: 0 }, input && Math.floor(input.nowMs / MINUTE_MS)]
  const query = useQuery({
    ...once,
    enabled: input !== null,
    queryKey: key,
    placeholderData: sameButMinute(key),
    queryFn: ({ signal }) => (input ? inRiceWorker((functions) => functions.ricePlanFor(input), signal) : null),
  })
  return workedOf(query as { data: DayRicePlan | undefined; isError: boolean })
}
