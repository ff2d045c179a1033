import { Dish } from 'contract/dish'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'

/** The newest version of every dish in the book. */
export async function listDishes(db: Db, kitchenId: string): Promise<Dish[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT body FROM dish_version AS newest
      WHERE kitchen_id = ? AND version = (SELECT MAX(version) FROM dish_version AS other
                                           WHERE other.kitchen_id = newest.kitchen_id AND other.dish_id = newest.dish_id)
      ORDER BY created_at_ms, dish_id`,
    [kitchenId],
  )
  return rows.map((row) => Dish.parse(row['body']))
}

/** Saves a dish as its next version and returns it; versions are never changed. */
export async function saveDish(
  connection: PoolConnection,
  kitchenId: string,
  draft: Omit<Dish, 'version'>,
  nowMs: number,
): Promise<Dish> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT COALESCE(MAX(version), 0) AS version FROM dish_version WHERE kitchen_id = ? AND dish_id = ? FOR UPDATE',
    [kitchenId, draft.id],
  )
  const dish = Dish.parse({ ...draft, version: Number(rows[0]?.['version'] ?? 0) + 1 })
  await connection.execute(
    'INSERT INTO dish_version (kitchen_id, dish_id, version, body, created_at_ms) VALUES (?, ?, ?, ?, ?)',
    [kitchenId, dish.id, dish.version, JSON.stringify(dish), nowMs],
  )
  return dish
}
