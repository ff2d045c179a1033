import { keepPreviousData, useQuery } from '@tanstack/react-query'
import type { Kitchen } from 'contract/kitchen'
import type { MiseHouse } from 'contract/mise/house'
import type { MisePlan } from 'contract/mise/plan'
import { foldDay, type DayState, type TaskState } from 'core/mise/doing/foldDay'
import type { KitchenInput, KitchenPlan } from 'core/mise/doing/planKitchen'
import type { ScheduledTask } from 'core/mise/doing/scheduleDay'
import { useMemo } from 'react'
import { useNowMs } from '../device/clock'
import { NONE, valueOf, WORKING, type Worked } from '../device/worked'
import { workedClient } from '../live/workedClient'
import { useKitchen } from '../setup/useKitchen'
import { useRiceHouse } from '../rice/useLots'
import { inMiseWorker } from './miseWorker'
import { useMiseHouse, useMisePlans } from './useMise'

const MINUTE_MS = 60_000

export type MiseTask = TaskState & { at: ScheduledTask | null; planId: string }
export type Mise = {
  kitchen: Kitchen
  house: MiseHouse
  plans: readonly MisePlan[]
  /** Of the services that were drawn, the next. */
  next: MisePlan | null
  /** None where no service was drawn; until the worker has answered nothing is said of times, people or what is late. */
  plan: Worked<KitchenPlan>
  /** What was said, folded here at once; the plan over people follows from the worker. */
  states: ReadonlyMap<string, DayState>
  tasks: readonly MiseTask[]
  byId: ReadonlyMap<string, MiseTask>
  nowMs: number
  /** What this plan was worked out from, without the clock. */
  planKey: string
  /** The better answer, not the first one: what changed is read off it. */
  isBest: boolean
}

/** The plan of the kitchen as it stands, worked out in the worker: a first answer at once, a better one after it. */
export function useKitchenPlan() {
  const kitchen = useKitchen()
  const house = useMiseHouse()
  const rice = useRiceHouse()
  const { plans, ...query } = useMisePlans()
  const nowMs = useNowMs(10_000)
  const minuteMs = Math.floor(nowMs / MINUTE_MS) * MINUTE_MS
  const saidKey = plans
    .map((plan) => `${plan.id} ${plan.version} ${plan.events.length} ${plan.events.at(-1)?.id}`)
    .join()
  const input = useMemo((): KitchenInput | null => {
    if (!kitchen.data || !house.data || !rice.data || plans.length === 0) return null
    const { policy } = house.data
    return {
      plans: plans.map(({ id, fromMs, drawn, events }) => ({ id, fromMs, drawn, events })),
      people: policy.people,
      equipment: [...policy.equipment, ...rice.data.vessels.map(({ id, count }) => ({ id: `vessel:${id}`, count }))],
      timeZone: kitchen.data.timeZone,
      nowMs: minuteMs,
      aheadS: policy.aheadMin * 60,
    }
  }, [kitchen.data, house.data, rice.data, plans, minuteMs])
  const key = [saidKey, house.data?.version, minuteMs]
  const fullKey = `${saidKey} ${house.data?.version ?? 0}`
  const first = useWorked(input && { ...input, passes: 1 }, fullKey, ['first', ...key])
  const best = useWorked(first.data ? input : null, fullKey, ['best', ...key])
  const worked = best.isPlaceholderData && !first.isPlaceholderData ? first.data : (best.data ?? first.data)
  const failed = first.isError || best.isError
  const plan = useMemo(
    (): Worked<KitchenPlan> =>
      worked?.plan ? { kind: 'value', value: worked.plan } : plans.length === 0 || failed ? NONE : WORKING,
    [worked, plans.length, failed],
  )
  const planKey = worked?.key ?? ''
  const isBest = worked !== undefined && worked === best.data && !best.isPlaceholderData
  const states = useMemo(
    () => new Map(plans.flatMap((one) => (one.drawn ? [[one.id, foldDay(one.drawn, one.events)] as const] : []))),
    [plans],
  )
  const mise = useMemo((): Mise | null => {
    if (!kitchen.data || !house.data || !query.data) return null
    const at = new Map(valueOf(plan)?.schedule.tasks.map((one) => [one.id, one]))
    const tasks = [...states].flatMap(([planId, state]) =>
      state.tasks.map((task) => ({ ...task, at: at.get(task.id) ?? null, planId })),
    )
    return {
      kitchen: kitchen.data,
      house: house.data,
      plans,
      next: plans.find((one) => one.drawn !== null) ?? null,
      plan,
      states,
      tasks,
      byId: new Map(tasks.map((task) => [task.id, task])),
      nowMs,
      planKey,
      isBest,
    }
  }, [kitchen.data, house.data, query.data, plans, plan, states, nowMs, planKey, isBest])
  const error = query.error ?? house.error ?? kitchen.error ?? rice.error
  return { mise, error, refetch: query.refetch }
}

function useWorked(input: KitchenInput | null, said: string, key: unknown[]) {
  return useQuery(
    {
      queryKey: ['mise', 'plan', ...key],
      enabled: input !== null,
      staleTime: Infinity,
      gcTime: MINUTE_MS,
      placeholderData: keepPreviousData,
      queryFn: async ({ signal }) =>
        input ? { key: said, plan: await inMiseWorker((functions) => functions.planKitchen(input), signal) } : null,
    },
    workedClient,
  )
}
