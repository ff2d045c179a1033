import { Dish, type DishDraft } from 'contract/dish'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'

/** The newest version of every dish in the book. */
export async function listDishes(db: Db, kitchenId: string): Promise<Dish[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT body FROM dish_version AS newest
      WHERE kitchen_id = ? AND NOT is_gone
        AND version = (SELECT MAX(version) FROM dish_version AS other
                        WHERE other.kitchen_id = newest.kitchen_id AND other.dish_id = newest.dish_id)
      ORDER BY (SELECT MIN(created_at_ms) FROM dish_version AS first
                 WHERE first.kitchen_id = newest.kitchen_id AND first.dish_id = newest.dish_id), dish_id`,
    [kitchenId],
  )
  return rows.map((row) => Dish.parse(row['body']))
}

/** Every version of a dish, newest first. */
export async function listDishVersions(db: Db, kitchenId: string, dishId: string) {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT body, created_at_ms AS savedAtMs FROM dish_version
      WHERE kitchen_id = ? AND dish_id = ? AND NOT is_gone ORDER BY version DESC LIMIT 200`,
    [kitchenId, dishId],
  )
  return rows.map((row) => ({ dish: Dish.parse(row['body']), savedAtMs: Number(row['savedAtMs']) }))
}

/** The newest version number of a dish, and the same or 0 where it left the book; locked until the transaction ends. */
export async function lockDish(connection: PoolConnection, kitchenId: string, dishId: string) {
  // The kitchen's row first: a locked read of versions alone would not see one inserted while it waited.
  await connection.execute('SELECT id FROM kitchen WHERE id = ? FOR UPDATE', [kitchenId])
  const [rows] = await connection.execute<RowDataPacket[]>(
    `SELECT version, is_gone AS isGone FROM dish_version WHERE kitchen_id = ? AND dish_id = ?
      ORDER BY version DESC LIMIT 1 FOR UPDATE`,
    [kitchenId, dishId],
  )
  const last = Number(rows[0]?.['version'] ?? 0)
  return { last, version: rows[0]?.['isGone'] ? 0 : last }
}

/** Saves a dish as its next version and returns it; versions are never changed. */
export async function saveDish(
  connection: PoolConnection,
  kitchenId: string,
  draft: DishDraft,
  nowMs: number,
  isGone = false,
): Promise<Dish> {
  const { last } = await lockDish(connection, kitchenId, draft.id)
  const dish = Dish.parse({ ...draft, version: last + 1 })
  await connection.execute(
    `INSERT INTO dish_version (kitchen_id, dish_id, version, body, created_at_ms, is_gone) VALUES (?, ?, ?, ?, ?, ?)`,
    [kitchenId, dish.id, dish.version, JSON.stringify(dish), nowMs, isGone],
  )
  return dish
}
