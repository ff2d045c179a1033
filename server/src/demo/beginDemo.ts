import { DishDraft, type Dish } from 'contract/dish'
import type { PoolConnection } from 'mysql2/promise'
import { saveDish } from '../book/dishes.sql'
import { savePrices } from '../book/ingredient/ingredients.sql'
import { shippedIngredients } from '../book/ingredient/shipped'
import { saveRecipe } from '../book/recipe/recipes.sql'
import { findRiceHouse } from '../rice/house.sql'
import { findKitchen } from '../setup/kitchen.sql'
import { insertKitchen, insertRiceHouse } from './demo.sql'
import { demoDishes } from './demoDishes'
import { DEMO_KITCHEN, DEMO_KITCHEN_ID, DEMO_STAFF, DEMO_STATIONS } from './kitchen'
import { DEMO_PRICES } from './prices'
import { DEMO_RECIPES } from './recipes'
import { DEMO_POLICY } from './rice'
import { DEMO_PLACES, DEMO_VESSELS } from './riceHouse'

/** The book is so much older than its first batch. */
const WRITTEN_MS = 30 * 86_400_000

/** The sample kitchen with its people, stations, book and rice house, before anything was cooked in it. @returns its dishes */
export async function beginDemo(
  connection: PoolConnection,
  nowMs: number,
  timeZone: string,
  firstLotNumber: number,
): Promise<Dish[]> {
  await insertKitchen(connection, { ...DEMO_KITCHEN, timeZone }, DEMO_STATIONS, DEMO_STAFF)
  await fillBook(connection, nowMs - WRITTEN_MS)
  const dishes: Dish[] = []
  for (const [index, draft] of demoDishes(shippedIngredients()).entries()) {
    const parsed = DishDraft.parse(draft)
    dishes.push(await saveDish(connection, DEMO_KITCHEN_ID, parsed, nowMs - WRITTEN_MS + index))
  }
  await insertRiceHouse(connection, DEMO_KITCHEN_ID, firstLotNumber, DEMO_POLICY, DEMO_VESSELS, DEMO_PLACES)
  return dishes
}

/** Sub-recipes and prices; also for a sample kitchen from before there were any. */
export async function fillBook(connection: PoolConnection, nowMs: number): Promise<void> {
  for (const draft of DEMO_RECIPES) await saveRecipe(connection, DEMO_KITCHEN_ID, draft, nowMs)
  const prices = Object.entries(DEMO_PRICES).flatMap(([ingredientId, all]) =>
    all.map((price) => ({ ingredientId, price })),
  )
  await savePrices(connection, DEMO_KITCHEN_ID, prices)
}

/** The sample kitchen and its rice house as they are kept. */
export async function saved(connection: PoolConnection) {
  const kitchen = await findKitchen(connection, DEMO_KITCHEN_ID)
  if (!kitchen) throw new Error('the sample kitchen was not saved')
  return { kitchen, house: await findRiceHouse(connection, DEMO_KITCHEN_ID) }
}
