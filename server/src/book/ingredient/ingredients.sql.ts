import { Ingredient, Price, type KitchenIngredient } from 'contract/ingredient'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../../db/pool'
import { mapInTurns } from '../../http/turns'
import { foodNotSaidThen, notSaidThen, shippedIngredients, type ShippedIngredient } from './shipped'

/** Every ingredient as this kitchen has it, with its prices, newest first. */
export async function listIngredients(db: Db, kitchenId: string): Promise<KitchenIngredient[]> {
  const [rows] = await db.execute<RowDataPacket[]>('SELECT version, body FROM ingredient WHERE kitchen_id = ?', [
    kitchenId,
  ])
  const base = shippedIngredients()
  const shippedById = new Map(base.map((row) => [row.id, row]))
  const own = new Map(
    await mapInTurns(rows, (row): [string, { body: Ingredient; version: number }] => {
      const kept = (typeof row['body'] === 'string' ? JSON.parse(row['body']) : row['body']) as Omit<
        Ingredient,
        'food'
      > &
        Partial<Pick<Ingredient, 'food'>>
      const body = Ingredient.parse({
        ...notSaidThen(kept.allergens, shippedById.get(kept.id)),
        ...kept,
        food: kept.food === undefined ? foodNotSaidThen(kept) : kept.food,
      })
      return [body.id, { body, version: Number(row['version']) }]
    }),
  )
  const prices = await listPrices(db, kitchenId)
  const ids = new Set(base.map((row) => row.id))
  const added = [...own.values()].filter(({ body }) => !ids.has(body.id))
  return [
    ...base.map((row) => kitchenRow(own.get(row.id)?.body ?? row, own.get(row.id)?.version ?? 0, prices)),
    ...added.map(({ body, version }) => kitchenRow(body, version, prices)),
  ]
}

function kitchenRow(
  row: ShippedIngredient | Ingredient,
  version: number,
  prices: ReadonlyMap<string, Price[]>,
): KitchenIngredient {
  return {
    ...row,
    aliases: [...row.aliases],
    densities: [...row.densities],
    countSizes: [...row.countSizes],
    allergens: [...row.allergens],
    allergensUs: [...row.allergensUs],
    mayContain: [...row.mayContain],
    diets: [...row.diets],
    version,
    isOwn: version > 0,
    prices: prices.get(row.id) ?? [],
  }
}

async function listPrices(db: Db, kitchenId: string): Promise<Map<string, Price[]>> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT ingredient_id AS id, DATE_FORMAT(from_day, '%Y-%m-%d') AS fromDay, pack_name AS packName, pack_g AS packG,
            price_minor AS priceMinor
       FROM ingredient_price WHERE kitchen_id = ? ORDER BY ingredient_id, from_day DESC`,
    [kitchenId],
  )
  const prices = new Map<string, Price[]>()
  for (const { id, ...price } of rows) {
    const known = prices.get(String(id)) ?? []
    known.push(Price.parse(price))
    prices.set(String(id), known)
  }
  return prices
}

/** Saves the kitchen's own row; false where somebody else saved another version meanwhile. */
export async function saveIngredient(
  connection: PoolConnection,
  kitchenId: string,
  version: number,
  ingredient: Ingredient,
): Promise<boolean> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT version FROM ingredient WHERE kitchen_id = ? AND id = ? FOR UPDATE',
    [kitchenId, ingredient.id],
  )
  if (Number(rows[0]?.['version'] ?? 0) !== version) return false
  await connection.execute(
    `INSERT INTO ingredient (kitchen_id, id, version, body) VALUES (?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE version = VALUES(version), body = VALUES(body)`,
    [kitchenId, ingredient.id, version + 1, JSON.stringify(ingredient)],
  )
  return true
}

/** Takes the kitchen's own row away; what ships under that id, if anything, holds again. */
export async function removeIngredient(connection: PoolConnection, kitchenId: string, id: string): Promise<void> {
  await connection.execute('DELETE FROM ingredient WHERE kitchen_id = ? AND id = ?', [kitchenId, id])
}

/** Saves prices, all in one statement; of one day the last one said holds. */
export async function savePrices(
  connection: PoolConnection,
  kitchenId: string,
  prices: readonly { ingredientId: string; price: Price }[],
): Promise<void> {
  if (prices.length === 0) return
  await connection.query(
    `INSERT INTO ingredient_price (kitchen_id, ingredient_id, from_day, pack_name, pack_g, price_minor)
     VALUES ?
     ON DUPLICATE KEY UPDATE pack_name = VALUES(pack_name), pack_g = VALUES(pack_g), price_minor = VALUES(price_minor)`,
    [
      prices.map(({ ingredientId, price }) => [
        kitchenId,
        ingredientId,
        price.fromDay,
        price.packName,
        price.packG,
        price.priceMinor,
      ]),
    ],
  )
}
