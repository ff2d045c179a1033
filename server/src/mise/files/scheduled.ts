import type { MisePlan } from 'contract/mise/plan'
import { planKitchen, type KitchenPlan } from 'core/mise/doing/planKitchen'
import type { MiseKitchen } from '../miseKitchen'

/** The plan as the screens show it, worked out here for files: the same function, the same number of passes. */
export function scheduled(
  plans: readonly MisePlan[],
  { house, rice, kitchen }: MiseKitchen,
  nowMs: number,
): KitchenPlan {
  return planKitchen({
    plans,
    people: house.policy.people,
    equipment: [...house.policy.equipment, ...rice.vessels.map(({ id, count }) => ({ id: `vessel:${id}`, count }))],
    timeZone: kitchen.timeZone,
    nowMs,
    aheadS: house.policy.aheadMin * 60,
  })
}
