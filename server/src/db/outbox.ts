import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import { LiveChange } from 'contract/run'
import type { Db } from './pool'

export type Change = Pick<LiveChange, 'topic' | 'key'>

/**
 * Writes changes to the outbox in the caller's transaction. The number comes from the kitchen's row, which stays locked
 * until commit, so that a reader never sees a number before a smaller one: call it last, right before the commit.
 */
export async function announce(
  connection: PoolConnection,
  kitchenId: string,
  nowMs: number,
  changes: Change[],
): Promise<void> {
  for (const { topic, key } of changes) {
    const [result] = await connection.execute<ResultSetHeader>(
      'UPDATE kitchen SET outbox_no = LAST_INSERT_ID(outbox_no + 1) WHERE id = ?',
      [kitchenId],
    )
    await connection.execute('INSERT INTO outbox (kitchen_id, no, topic, topic_key, at_ms) VALUES (?, ?, ?, ?, ?)', [
      kitchenId,
      result.insertId,
      topic,
      key,
      nowMs,
    ])
  }
}

const PAGE = 500

/** Changes after a number, oldest first, at most a page of them. */
export async function changesAfter(db: Db, kitchenId: string, after: number): Promise<LiveChange[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT no, topic, topic_key AS \`key\` FROM outbox WHERE kitchen_id = ? AND no > ? ORDER BY no LIMIT ${PAGE}`,
    [kitchenId, after],
  )
  return rows.map((row) => LiveChange.parse(row))
}

/** The number of the newest change; 0 before the first. */
export async function newestChangeNo(db: Db, kitchenId: string): Promise<number> {
  const [rows] = await db.execute<RowDataPacket[]>('SELECT outbox_no AS no FROM kitchen WHERE id = ?', [kitchenId])
  return Number(rows[0]?.['no'] ?? 0)
}
