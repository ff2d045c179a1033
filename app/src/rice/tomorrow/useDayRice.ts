import type { RicePlanDay, Tonight } from 'contract/riceHouse'
import { METHOD_FIGURES } from 'core/rice/cookMethod'
import { loadToComeG, type LotForDay } from 'core/rice/plan/planDay'
import type { DayRicePlan, RicePlanForAsked } from 'core/rice/plan/ricePlanFor'
import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse } from 'contract/riceHouse'
import { useMemo } from 'react'
import type { ShownLot } from '../useLots'
import { useDayPlan } from '../useRiceWork'

const MINUTE_MS = 60_000

export type DayRiceAsked = {
  plan: RicePlanDay | undefined
  tonight: Tonight | undefined
  lots: readonly ShownLot[]
  kitchen: Kitchen
  house: RiceHouse
  nowMs: number
}

/** The rice of a day, worked out in the worker from what this device knows; null until it is. */
export function useDayRice({ plan, tonight, lots, kitchen, house, nowMs }: DayRiceAsked): DayRicePlan | null {
  const minuteMs = Math.floor(nowMs / MINUTE_MS) * MINUTE_MS
  const asked = useMemo((): RicePlanForAsked | null => {
    if (!plan) return null
    return {
      day: plan.day,
      services: plan.services,
      edits: plan.edits,
      house: house.policy,
      vessels: house.vessels,
      lots: lots.flatMap((one) => lotForDay(one, house)),
      tonightG: (tonight?.demands ?? []).reduce((sum, one) => sum + one.massG, 0),
      timeZone: kitchen.timeZone,
      ruleSet: kitchen.ruleSet,
      nowMs: minuteMs,
    }
  }, [plan, tonight, lots, kitchen, house, minuteMs])
  return useDayPlan(asked)
}

function lotForDay({ lot, state }: ShownLot, house: RiceHouse): LotForDay[] {
  const { id, name, load } = lot
  const { stage, massG, useByMs, cookedAtMs } = state
  if (stage === 'cooking' && load) {
    const { cookMin, restMin } = METHOD_FIGURES[load.method]
    const steamGPerMin = house.vessels.find((one) => one.id === load.vesselId)?.steamGPerMin ?? 0
    const toComeG = loadToComeG(load, steamGPerMin, cookMin + restMin)
    return [{ id, name, stage: 'cooling', massG: toComeG, useByMs: Infinity, cookedAtMs: Infinity }]
  }
  if (stage !== 'ready' && stage !== 'tempering' && stage !== 'cooling' && stage !== 'chilling') return []
  return [{ id, name, stage, massG, useByMs: useByMs ?? 0, cookedAtMs: cookedAtMs ?? 0 }]
}
