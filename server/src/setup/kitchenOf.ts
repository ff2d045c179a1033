import type { Kitchen } from 'contract/kitchen'
import type { Db } from '../db/pool'
import { Problem } from '../http/problems'
import { findKitchen } from './kitchen.sql'

/** The kitchen that a request is about. @throws {Problem} not-found */
export async function kitchenOf(db: Db, kitchenId: string): Promise<Kitchen> {
  const kitchen = await findKitchen(db, kitchenId)
  if (!kitchen) throw new Problem('not-found', { detail: `no kitchen ${kitchenId}` })
  return kitchen
}
