import { keepPreviousData, useQuery } from '@tanstack/react-query'
import type { Kitchen } from 'contract/kitchen'
import type { MiseHouse } from 'contract/mise/house'
import type { MisePlan } from 'contract/mise/plan'
import { foldDay, type DayState, type TaskState } from 'core/mise/doing/foldDay'
import type { KitchenAsked, KitchenPlan } from 'core/mise/doing/planKitchen'
import type { ScheduledTask } from 'core/mise/doing/scheduleDay'
import { useMemo } from 'react'
import { useNowMs } from '../device/clock'
import { workedClient } from '../live/workedClient'
import { useKitchen } from '../setup/useKitchen'
import { useRiceHouse } from '../rice/useLots'
import { runMise } from './runMise'
import { useMiseHouse, useMisePlans } from './useMise'

const MINUTE_MS = 60_000

export type MiseTask = TaskState & { at: ScheduledTask | null; planId: string }
export type Mise = {
  kitchen: Kitchen
  house: MiseHouse
  plans: readonly MisePlan[]
  /** Of the services that were drawn, the next. */
  next: MisePlan | null
  plan: KitchenPlan | null
  /** What was said, folded here at once; the plan over people follows from the worker. */
  states: ReadonlyMap<string, DayState>
  tasks: readonly MiseTask[]
  byId: ReadonlyMap<string, MiseTask>
  nowMs: number
  /** What the plan was worked out from, without the clock. */
  saidKey: string
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
  const asked = useMemo((): KitchenAsked | null => {
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
  const first = useWorked(asked && { ...asked, passes: 1 }, ['first', ...key])
  const best = useWorked(first.data ? asked : null, ['best', ...key])
  const plan = (best.isPlaceholderData && !first.isPlaceholderData ? first.data : (best.data ?? first.data)) ?? null
  const states = useMemo(
    () => new Map(plans.flatMap((one) => (one.drawn ? [[one.id, foldDay(one.drawn, one.events)] as const] : []))),
    [plans],
  )
  const mise = useMemo((): Mise | null => {
    if (!kitchen.data || !house.data || !query.data) return null
    const at = new Map(plan?.schedule.tasks.map((one) => [one.id, one]))
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
      saidKey: `${saidKey} ${house.data.version}`,
    }
  }, [kitchen.data, house.data, query.data, plans, plan, states, nowMs, saidKey])
  const error = query.error ?? house.error ?? kitchen.error ?? rice.error
  return { mise, error, refetch: query.refetch, isBest: plan !== null && plan === best.data }
}

function useWorked(asked: KitchenAsked | null, key: unknown[]) {
  return useQuery(
    {
      queryKey: ['mise', 'plan', ...key],
      enabled: asked !== null,
      staleTime: Infinity,
      gcTime: MINUTE_MS,
      placeholderData: keepPreviousData,
      queryFn: () => (asked ? runMise(asked) : null),
    },
    workedClient,
  )
}
