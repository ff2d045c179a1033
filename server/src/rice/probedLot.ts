import type { Kitchen } from 'contract/kitchen'
import type { Lot, SaidOfLot } from 'contract/rice'
import type { RiceHouse } from 'contract/riceHouse'
import type { Doubt } from 'core/rice/lot/lotEvent'
import type { LotState } from 'core/rice/lot/lotState'
import type { PoolConnection } from 'mysql2/promise'
import { findKitchen } from '../setup/kitchen.sql'
import { foldLot, policyOf } from './foldLot'
import { findRiceHouse } from './house.sql'
import { findLot } from './lots.sql'
import { takeLotEvents } from './takeLotEvents'

export type ProbedLot = { kitchen: Kitchen; house: RiceHouse; lot: Lot; state: LotState }

/** The lot that a probe stands in, as it is now; null where there is none. */
export async function probedLot(
  connection: PoolConnection,
  kitchenId: string,
  lotId: string,
  nowMs: number,
): Promise<ProbedLot | null> {
  const kitchen = await findKitchen(connection, kitchenId)
  const lot = await findLot(connection, kitchenId, lotId)
  if (!kitchen || !lot) return null
  const house = await findRiceHouse(connection, kitchenId)
  return { kitchen, house, lot, state: foldLot(lot, policyOf(kitchen, house), nowMs) }
}

export async function takeReading(
  connection: PoolConnection,
  { kitchen, house, lot }: ProbedLot,
  reading: SaidOfLot,
  doubt: Doubt | null,
  nowMs: number,
): Promise<void> {
  const doubts = new Map(doubt === null ? [] : [[reading.id, doubt]])
  await takeLotEvents(connection, kitchen, house, lot.id, [reading], nowMs, doubts)
}
