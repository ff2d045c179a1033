import type { NewKitchen } from 'contract/house'
import type { Pool } from 'mysql2/promise'
import { inTransaction } from '../../db/pool'
import { beginAccess } from '../../people/beginAccess'
import { freeId } from '../freeId'
import { insertEmptyKitchen, isKitchen } from './house.sql'

/** An empty kitchen beside those that are there, and the code by which its first device comes in. */
export const beginKitchen = (pool: Pool, draft: NewKitchen, nowMs: number): Promise<{ id: string; code: string }> =>
  inTransaction(pool, async (connection) => {
    const id = await freeId(draft.name, 'kitchen', (one) => isKitchen(connection, one))
    await insertEmptyKitchen(connection, id, draft, nowMs)
    const { code } = await beginAccess(connection, id, nowMs)
    return { id, code }
  })
