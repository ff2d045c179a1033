import { Recipe, type RecipeDraft } from 'contract/recipe'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { z } from 'zod'
import type { Db } from '../../db/pool'

/** The newest version of every sub-recipe in the book. */
export async function listRecipes(db: Db, kitchenId: string): Promise<Recipe[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT body FROM recipe_version AS newest
      WHERE kitchen_id = ? AND NOT is_gone
        AND version = (SELECT MAX(version) FROM recipe_version AS other
                        WHERE other.kitchen_id = newest.kitchen_id AND other.recipe_id = newest.recipe_id)
      ORDER BY recipe_id`,
    [kitchenId],
  )
  return rows.map((row) => Recipe.parse(row['body']))
}

/** The newest version number of a sub-recipe, 0 where it is not in the book; locked until the transaction ends. */
export async function lockRecipe(connection: PoolConnection, kitchenId: string, id: string) {
  // The kitchen's row first: a locked read of versions alone would not see one inserted while it waited.
  await connection.execute('SELECT id FROM kitchen WHERE id = ? FOR UPDATE', [kitchenId])
  const [rows] = await connection.execute<RowDataPacket[]>(
    `SELECT version, is_gone AS isGone FROM recipe_version WHERE kitchen_id = ? AND recipe_id = ?
      ORDER BY version DESC LIMIT 1 FOR UPDATE`,
    [kitchenId, id],
  )
  const last = Number(rows[0]?.['version'] ?? 0)
  return { last, version: rows[0]?.['isGone'] ? 0 : last }
}

export async function saveRecipe(
  connection: PoolConnection,
  kitchenId: string,
  draft: z.infer<typeof RecipeDraft>,
  nowMs: number,
  isGone = false,
): Promise<Recipe> {
  const { last } = await lockRecipe(connection, kitchenId, draft.id)
  const recipe = Recipe.parse({ ...draft, version: last + 1 })
  await connection.execute(
    `INSERT INTO recipe_version (kitchen_id, recipe_id, version, body, is_gone, created_at_ms) VALUES (?, ?, ?, ?, ?, ?)`,
    [kitchenId, recipe.id, recipe.version, JSON.stringify(recipe), isGone, nowMs],
  )
  return recipe
}
