import { rowsAs } from '../../db/rows'
import type { Feed } from 'contract/kitchen'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../../db/pool'

type FeedState = Feed & { startedAtMs: number | null; fedUntilMs: number | null }

const OFF: FeedState = { isOn: false, seed: 1, startedAtMs: null, fedUntilMs: null }

export async function findFeed(db: Db, kitchenId: string, lock = false): Promise<FeedState> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT is_on AS isOn, seed, started_at_ms AS startedAtMs, fed_until_ms AS fedUntilMs FROM feed WHERE kitchen_id = ?
      ${lock ? 'FOR UPDATE' : ''}`,
    [kitchenId],
  )
  const row = rowsAs<FeedState>(rows)[0]
  return row ? { ...row, isOn: Boolean(row.isOn) } : OFF
}

export async function saveFeed(connection: PoolConnection, kitchenId: string, feed: FeedState): Promise<void> {
  await connection.execute(
    `INSERT INTO feed (kitchen_id, is_on, seed, started_at_ms, fed_until_ms) VALUES (?, ?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE is_on = VALUES(is_on), seed = VALUES(seed), started_at_ms = VALUES(started_at_ms),
                             fed_until_ms = VALUES(fed_until_ms)`,
    [kitchenId, feed.isOn, feed.seed, feed.startedAtMs, feed.fedUntilMs],
  )
}
