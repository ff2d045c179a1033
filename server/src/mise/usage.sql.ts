import type { RowDataPacket } from 'mysql2'
import type { Db } from '../db/pool'

export type FiredRun = { dishId: string; riceMassG: number; firedAtMs: number; modifiers: string[] }

/** What the wok fired since an instant, without what was stopped. */
export async function listFired(db: Db, kitchenId: string, fromMs: number): Promise<FiredRun[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT dish_id AS dishId, rice_mass_g AS riceMassG, fired_at_ms AS firedAtMs, modifiers FROM run
      WHERE kitchen_id = ? AND fired_at_ms >= ? AND state <> 'stopped'`,
    [kitchenId, fromMs],
  )
  return rows as unknown as FiredRun[]
}
