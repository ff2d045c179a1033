import { dayAfter, instantOf } from 'core/time/localTime'
import type { Db } from '../db/pool'
import { findKitchen } from '../setup/kitchen.sql'

export type Span = { fromMs: number; toMs: number }

/** A day of the kitchen's calendar, from its midnight to the next. */
export async function daySpan(db: Db, kitchenId: string, day: string): Promise<Span> {
  const timeZone = (await findKitchen(db, kitchenId))?.timeZone ?? 'UTC'
  return { fromMs: instantOf(day, 0, timeZone), toMs: instantOf(dayAfter(day), 0, timeZone) }
}
