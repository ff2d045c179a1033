import type { Kitchen } from 'contract/kitchen'
import type { Demand } from 'core/rice/plan/demand'
import { dayAfter, instantOf, localDay, localMinute } from 'core/time/localTime'
import type { PoolConnection } from 'mysql2/promise'
import { lastTicketDay, listAsked, saveDemand, type AskedPortions } from './plan.sql'

export const SLOT_MIN = 20
/** Days that a forecast looks back. */
export const HISTORY_DAYS = 70

/** Portions of tickets by slot of the day and dish. */
export function demandOf(input: readonly AskedPortions[], timeZone: string): Demand[] {
  const sums = new Map<string, Demand>()
  for (const { promisedAtMs, dishId, portions } of input) {
    const day = localDay(promisedAtMs, timeZone)
    const minute = Math.floor(localMinute(promisedAtMs, timeZone) / SLOT_MIN) * SLOT_MIN
    const key = `${day} ${minute} ${dishId}`
    const sum = sums.get(key) ?? { day, minute, dishId, portions: 0 }
    sum.portions += Number(portions)
    sums.set(key, sum)
  }
  return [...sums.values()]
}

/** Writes the tickets of past days to the record of demand, each day once it is over. */
export async function recordDemand(
  connection: PoolConnection,
  kitchen: Pick<Kitchen, 'id' | 'timeZone'>,
  nowMs: number,
): Promise<void> {
  const today = localDay(nowMs, kitchen.timeZone)
  const last = await lastTicketDay(connection, kitchen.id)
  const fromDay = last === null ? dayAfter(today, -HISTORY_DAYS) : dayAfter(last)
  if (fromDay >= today) return
  const fromMs = instantOf(fromDay, 0, kitchen.timeZone)
  const toMs = instantOf(today, 0, kitchen.timeZone)
  const input = await listAsked(connection, kitchen.id, fromMs, toMs)
  await saveDemand(connection, kitchen.id, demandOf(input, kitchen.timeZone), 'tickets')
}
