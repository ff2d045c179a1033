import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query'
import type { RiceHouse } from 'contract/riceHouse'
import { inTrays, type CoolingPlace, type CoolStage } from 'core/rice/cooling/coolingPlace'
import type { RicePlanForAsked } from 'core/rice/plan/ricePlanFor'
import type { RuleSet } from 'core/safety/limits'
import { runRice } from './runRice'
import type { WatchedLot } from './riceWork'
import type { ShownLot } from './useLots'

const MINUTE_MS = 60_000
const once = { staleTime: Infinity, gcTime: 5 * MINUTE_MS, retry: false } as const

function watching({ lot, state }: ShownLot, house: RiceHouse, nowMs: number) {
  const minute = Math.floor(nowMs / MINUTE_MS)
  const cooling = inTrays(house.policy.cooling, house.policy.tray.material)
  const isCooling = state.stage === 'cooling' || state.stage === 'chilling'
  return {
    ...once,
    queryKey: ['worked', 'watch', lot.id, lot.events.length, lot.events.at(-1)?.id, minute],
    enabled: isCooling,
    placeholderData: keepPreviousData,
    queryFn: () => runRice<'watch'>({ kind: 'watch', state, plan: cooling, places: coolPlaces(house), nowMs }),
  }
}

/** Where a cooling lot goes, worked out again with every reading and every minute. */
export function useWatchedLot(shown: ShownLot, house: RiceHouse, nowMs: number): WatchedLot | null {
  return useQuery(watching(shown, house, nowMs)).data ?? null
}

export function useWatchedLots(lots: readonly ShownLot[], house: RiceHouse | undefined, nowMs: number) {
  const cooling = lots.filter(({ state }) => state.stage === 'cooling' || state.stage === 'chilling')
  const results = useQueries({ queries: house ? cooling.map((lot) => watching(lot, house, nowMs)) : [] })
  return new Map(cooling.map(({ lot }, i) => [lot.id, results[i]?.data ?? null]))
}

const STRONGEST_FIRST: readonly CoolingPlace[] = ['blast', 'ice-bath', 'fan', 'fridge', 'rack']

/** Places of the house that cool, the strongest first. */
export function coolPlaces({ places }: RiceHouse) {
  return places
    .flatMap((place) => {
      const kind = STRONGEST_FIRST.find((one) => one === place.kind)
      return kind ? [{ kind, airTempC: place.airTempC }] : []
    })
    .sort((a, b) => STRONGEST_FIRST.indexOf(a.kind) - STRONGEST_FIRST.indexOf(b.kind))
}

/** The deepest tray to advise in these stages [m]; null while it is worked out. */
export function useMostDepthM(stages: CoolStage[], ruleSet: RuleSet, startTempC: number): number | null {
  const key = ['worked', 'depth', ruleSet, startTempC, stages]
  const query = useQuery({
    ...once,
    queryKey: key,
    placeholderData: keepPreviousData,
    queryFn: () => runRice<'depth'>({ kind: 'depth', startTempC, stages, ruleSet }),
  })
  return query.data ?? null
}

/** A day's rice, worked out again as the plan is edited. */
export function useDayPlan(asked: RicePlanForAsked | null) {
  const query = useQuery({
    ...once,
    enabled: asked !== null,
    queryKey: ['worked', 'plan', asked && { ...asked, nowMs: Math.floor(asked.nowMs / MINUTE_MS) }],
    placeholderData: keepPreviousData,
    queryFn: () => (asked ? runRice<'plan'>({ kind: 'plan', asked }) : null),
  })
  return query.data ?? null
}
