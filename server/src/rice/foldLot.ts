import type { Lot } from 'contract/rice'
import type { RiceHouse } from 'contract/riceHouse'
import { leadIdsOf, type Kitchen } from 'contract/kitchen'
import { lotState } from 'core/rice/lot/lot'
import type { HousePolicy, LotState } from 'core/rice/lot/lotState'

/** What a lot is judged by: the kitchen's zone and what the house holds tighter. */
export const policyOf = (kitchen: Pick<Kitchen, 'timeZone' | 'staff'>, house: RiceHouse): HousePolicy => ({
  timeZone: kitchen.timeZone,
  keepDays: house.policy.keepDays,
  outMin: house.policy.outMin,
  leadIds: leadIdsOf(kitchen),
})

export const foldLot = (lot: Lot, policy: HousePolicy, nowMs: number): LotState =>
  lotState(lot, lot.events, policy, nowMs)
