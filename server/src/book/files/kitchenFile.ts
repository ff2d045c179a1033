import { KITCHEN_FORMAT, KitchenFile } from 'contract/book'
import type { KitchenContext } from '../../http/context'
import type { PoolConnection } from 'mysql2/promise'
import { listDishes, saveDish } from '../dishes.sql'
import { listIngredients, saveIngredient, savePrices } from '../ingredient/ingredients.sql'
import { listRecipes, saveRecipe } from '../recipe/recipes.sql'
import { checkRecipe, readShelf, resolveDish } from '../shelf'
import { findStyles, saveStyles } from '../styles.sql'
import type { Db } from '../../db/pool'

/** The whole book of a kitchen; what it writes, `bringKitchenFile` reads back to the same. */
export async function kitchenFile(db: Db, kitchenId: string): Promise<KitchenFile> {
  const rows = await listIngredients(db, kitchenId)
  const withoutVersion = <T extends { version: number }>({ version: _version, ...rest }: T) => rest
  return KitchenFile.parse({
    format: KITCHEN_FORMAT,
    dishes: (await listDishes(db, kitchenId)).map(withoutVersion),
    recipes: (await listRecipes(db, kitchenId)).map(withoutVersion),
    ingredients: rows
      .filter((row) => row.isOwn)
      .map(({ version: _version, isOwn: _isOwn, prices: _prices, ...ingredient }) => ingredient),
    prices: rows.flatMap((row) => row.prices.map((price) => ({ ingredientId: row.id, price }))),
    styles: (await findStyles(db, kitchenId)).styles,
  })
}

/** Saves everything of a file as next versions, in one transaction; what the file does not name stays. */
export async function bringKitchenFile(
  connection: PoolConnection,
  { kitchenId, now }: Pick<KitchenContext, 'kitchenId' | 'now'>,
  file: KitchenFile,
) {
  const versions = new Map((await listIngredients(connection, kitchenId)).map((row) => [row.id, row.version]))
  for (const ingredient of file.ingredients)
    await saveIngredient(connection, kitchenId, versions.get(ingredient.id) ?? 0, ingredient)
  await savePrices(connection, kitchenId, file.prices)
  for (const recipe of file.recipes) await saveRecipe(connection, kitchenId, recipe, now())
  const shelf = await readShelf(connection, kitchenId)
  for (const recipe of shelf.list) checkRecipe(recipe, shelf)
  for (const dish of file.dishes) await saveDish(connection, kitchenId, resolveDish(dish, shelf), now())
  const { version } = await findStyles(connection, kitchenId)
  if (file.styles.length > 0) await saveStyles(connection, kitchenId, { version, styles: file.styles })
  return {
    dishes: file.dishes.length,
    recipes: file.recipes.length,
    ingredients: file.ingredients.length,
    prices: file.prices.length,
  }
}
