import type { RicePlanDay, Tonight } from 'contract/riceHouse'
import type { Lot } from 'contract/rice'
import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse } from 'contract/riceHouse'
import { lotForDay } from 'core/rice/plan/planDay'
import { ricePlanFor, type DayRicePlan } from 'core/rice/plan/ricePlanFor'
import { foldLot, policyOf } from '../foldLot'

/** The rice of a day as the server works it out for files: the same function that the app runs. */
export function dayRicePlan(
  { day, services, edits }: RicePlanDay,
  lots: readonly Lot[],
  demands: Tonight['demands'],
  kitchen: Kitchen,
  house: RiceHouse,
  nowMs: number,
): DayRicePlan | null {
  const policy = policyOf(kitchen, house)
  const inHouse = lots.flatMap((lot) => lotForDay(lot, foldLot(lot, policy, nowMs), house.vessels) ?? [])
  return ricePlanFor({
    day,
    services,
    edits,
    house: house.policy,
    vessels: house.vessels,
    lots: inHouse,
    tonightG: demands.reduce((sum, one) => sum + one.massG, 0),
    timeZone: kitchen.timeZone,
    ruleSet: kitchen.ruleSet,
    nowMs,
  })
}
