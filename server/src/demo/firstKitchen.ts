import type { Pool } from 'mysql2/promise'
import { beginKitchen } from '../setup/house/begin'
import { listKitchenIds } from '../setup/house/house.sql'
import { DEMO_KITCHEN_ID } from './kitchen'
import { prepareDemo } from './prepareDemo'

/**
 * The kitchen that a start is about: the sample kitchen, made or brought up to date; or an own one, begun empty where
 * there is none. What is there stays: an own kitchen stands beside the sample one.
 * @param isOwn whether an own kitchen was asked for
 */
export async function firstKitchen(pool: Pool, isOwn: boolean, evenings: number): Promise<string> {
  const ids = await listKitchenIds(pool)
  const own = ids.find((id) => id !== DEMO_KITCHEN_ID)
  if (ids.includes(DEMO_KITCHEN_ID) || (ids.length === 0 && !isOwn)) {
    const demo = await prepareDemo(pool, Date.now(), { evenings, month: evenings > 0 })
    if (!isOwn) return demo
  }
  if (own !== undefined) return own
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions()
  const { id } = await beginKitchen(
    pool,
    { name: 'Our kitchen', timeZone, locale: 'en-GB', currency: 'USD', ruleSet: 'us' },
    Date.now(),
  )
  return id
}
