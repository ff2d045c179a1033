import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse, RicePlanDay, Tonight } from 'contract/riceHouse'
import type { DayRicePlan } from 'core/rice/plan/ricePlanFor'
import { localDay } from 'core/time/localTime'
import type { Pool } from 'mysql2/promise'
import { listDishes } from '../book/dishes.sql'
import { inTransaction } from '../db/pool'
import { kitchenOf } from '../setup/kitchenOf'
import { demandOf, recordDemand } from './plan/demandRecord'
import { findRiceHouse } from './house.sql'
import { dayRicePlan } from './plan/dayRicePlan'
import { listOpenLots } from './lots.sql'
import { forecastsOf } from './plan/knownForecasts'
import { findPlan, listAsked, listUnfired } from './plan/plan.sql'
import { leadS, tonightDemands } from './plan/planDay'

const DAY_MS = 86_400_000

/** The kitchen and how it does its rice. */
export async function riceKitchen(pool: Pool, kitchenId: string): Promise<{ kitchen: Kitchen; house: RiceHouse }> {
  return { kitchen: await kitchenOf(pool, kitchenId), house: await findRiceHouse(pool, kitchenId) }
}

/** What the record expects of a day, with what people changed. */
export async function planOfDay(
  pool: Pool,
  kitchen: Kitchen,
  house: RiceHouse,
  day: string,
  nowMs: number,
): Promise<RicePlanDay> {
  await inTransaction(pool, (connection) => recordDemand(connection, kitchen, nowMs))
  const services = await forecastsOf(pool, kitchen.id, house, await listDishes(pool, kitchen.id), day)
  return { day, ...(await findPlan(pool, kitchen.id, day)), services }
}

/** What is still to be asked for tonight. */
export async function tonightOf(pool: Pool, kitchen: Kitchen, house: RiceHouse, nowMs: number): Promise<Tonight> {
  const { timeZone, ruleSet } = kitchen
  const today = localDay(nowMs, timeZone)
  const plan = await planOfDay(pool, kitchen, house, today, nowMs)
  const input = await listAsked(pool, kitchen.id, nowMs - DAY_MS, nowMs + DAY_MS)
  const demands = tonightDemands({
    unfired: await listUnfired(pool, kitchen.id),
    placed: demandOf(input, timeZone).filter((one) => one.day === today),
    plan,
    dishes: await listDishes(pool, kitchen.id),
    timeZone,
    nowMs,
  })
  return { demands, leadS: leadS(house, ruleSet) }
}

/** The rice of a day from what is expected, what is in the house and what tonight still takes; null without a vessel. */
export async function dayRiceOf(
  pool: Pool,
  kitchen: Kitchen,
  house: RiceHouse,
  plan: RicePlanDay,
  nowMs: number,
): Promise<DayRicePlan | null> {
  const { demands } = await tonightOf(pool, kitchen, house, nowMs)
  return dayRicePlan(plan, await listOpenLots(pool, kitchen.id), demands, kitchen, house, nowMs)
}
