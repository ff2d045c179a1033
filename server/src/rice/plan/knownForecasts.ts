import type { Dish } from 'contract/dish'
import type { RiceHouse, ServiceForecast } from 'contract/riceHouse'
import { dayAfter } from 'core/time/localTime'
import type { Db } from '../../db/pool'
import { HISTORY_DAYS } from './demandRecord'
import { forecastServices } from './planDay'
import { demandMark, listDemand, listSoldOut } from './plan.sql'

/** Days that are kept worked out: today, tomorrow, and those that somebody looks at. */
const MAX_KNOWN = 30
const known = new Map<string, { from: string; services: ServiceForecast[] }>()

/**
 * What the record expects of each service of a day. Every screen asks for tonight whenever a ticket changes, and the record
 * of past days changes once a day: it is read and worked out again only where its mark in the database is another.
 */
export async function forecastsOf(
  db: Db,
  kitchenId: string,
  house: RiceHouse,
  dishes: readonly Dish[],
  day: string,
): Promise<ServiceForecast[]> {
  const fromDay = dayAfter(day, -HISTORY_DAYS)
  const soldOut = await listSoldOut(db, kitchenId, fromDay, day)
  const from = JSON.stringify([
    await demandMark(db, kitchenId, fromDay, day),
    soldOut,
    house.policy.services,
    dishes.map(({ id, portionRiceG }) => [id, portionRiceG]),
  ])
  const key = `${kitchenId} ${day}`
  const before = known.get(key)
  if (before?.from === from) return before.services
  const services = forecastServices(await listDemand(db, kitchenId, fromDay, day), house, dishes, day, soldOut)
  known.delete(key)
  known.set(key, { from, services })
  for (const oldest of [...known.keys()].slice(0, -MAX_KNOWN)) known.delete(oldest)
  return services
}
