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

/** The number of the oldest change that is still there; null where there is none. */
export async function oldestChangeNo(db: Db, kitchenId: string): Promise<number | null> {
  const [rows] = await db.execute<RowDataPacket[]>('SELECT MIN(no) AS no FROM outbox WHERE kitchen_id = ?', [kitchenId])
  const no: unknown = rows[0]?.['no']
  return no === null || no === undefined ? null : Number(no)
}

const TRIMMED_AT_ONCE = 5000

/** Takes out changes that are older than any screen is away; a screen that was away longer asks for everything again. */
export async function trimOutbox(db: Db, kitchenId: string, beforeMs: number): Promise<number> {
  const [result] = await db.execute<ResultSetHeader>(
    `DELETE FROM outbox WHERE kitchen_id = ? AND at_ms < ? ORDER BY no LIMIT ${TRIMMED_AT_ONCE}`,
    [kitchenId, beforeMs],
  )
  return result.affectedRows
}
