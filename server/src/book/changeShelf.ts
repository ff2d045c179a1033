import type { PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import type { KitchenContext } from '../http/context'
import { refreshDishes } from './shelf'

/** Changes an ingredient or a sub-recipe: dishes that it changes get their next version in the same transaction. */
export async function changeShelf(
  { pool, kitchenId, now, changed }: KitchenContext,
  work: (connection: PoolConnection) => Promise<unknown>,
): Promise<void> {
  await inTransaction(pool, async (connection) => {
    await work(connection)
    const dishes = await refreshDishes(connection, kitchenId, now())
    await announce(connection, kitchenId, now(), [
      { topic: 'book', key: '' },
      ...dishes.map((key) => ({ topic: 'book' as const, key })),
    ])
  })
  changed()
}
