import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import type { MiseHouse } from 'contract/mise/house'
import type { RiceHouse } from 'contract/riceHouse'
import { listDishes } from '../book/dishes.sql'
import { readShelf, type Shelf } from '../book/shelf'
import type { Db } from '../db/pool'
import { riceKitchen } from '../rice/riceKitchen'
import type { Pool } from 'mysql2/promise'
import { findMiseHouse } from './house.sql'

export type MiseKitchen = { kitchen: Kitchen; rice: RiceHouse; house: MiseHouse; dishes: Dish[]; shelf: Shelf }

/** Everything that the mise of a kitchen is worked out from. */
export async function miseKitchen(pool: Pool, kitchenId: string): Promise<MiseKitchen> {
  const { kitchen, house: rice } = await riceKitchen(pool, kitchenId)
  return { kitchen, rice, ...(await bookOf(pool, kitchenId)), house: await findMiseHouse(pool, kitchenId) }
}

async function bookOf(db: Db, kitchenId: string) {
  return { dishes: await listDishes(db, kitchenId), shelf: await readShelf(db, kitchenId) }
}
