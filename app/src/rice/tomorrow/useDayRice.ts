import type { RicePlanDay, Tonight } from 'contract/riceHouse'
import { lotForDay } from 'core/rice/plan/planDay'
import type { DayRicePlan, RicePlanForInput } from 'core/rice/plan/ricePlanFor'
import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse } from 'contract/riceHouse'
import { useMemo } from 'react'
import type { Worked } from '../../device/worked'
import type { ShownLot } from '../useLots'
import { useDayPlan } from '../useRiceWork'

const MINUTE_MS = 60_000

type DayRiceInput = {
  plan: RicePlanDay | undefined
  tonight: Tonight | undefined
  /** Null until they are here: no lots yet is not no lots. */
  lots: readonly ShownLot[] | null
  kitchen: Kitchen
  house: RiceHouse
  nowMs: number
}

/** The rice of a day, worked out in the worker once everything it rests on is here. */
export function useDayRice({ plan, tonight, lots, kitchen, house, nowMs }: DayRiceInput): Worked<DayRicePlan> {
  const minuteMs = Math.floor(nowMs / MINUTE_MS) * MINUTE_MS
  const input = useMemo((): RicePlanForInput | null => {
    if (!plan || !tonight || !lots) return null
    return {
      day: plan.day,
      services: plan.services,
      edits: plan.edits,
      house: house.policy,
      vessels: house.vessels,
      lots: lots.flatMap(({ lot, state }) => lotForDay(lot, state, house.vessels) ?? []),
      tonightG: tonight.demands.reduce((sum, one) => sum + one.massG, 0),
      timeZone: kitchen.timeZone,
      ruleSet: kitchen.ruleSet,
      nowMs: minuteMs,
    }
  }, [plan, tonight, lots, kitchen, house, minuteMs])
  return useDayPlan(input)
}
