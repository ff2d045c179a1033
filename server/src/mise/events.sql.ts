import { MiseEvent } from 'contract/mise/event'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { checkSameEvent } from '../db/sameEvent'

const STOCK_KINDS: readonly MiseEvent['kind'][] = ['ended', 'delivered', 'counted', 'settled', 'wasted', 'undone']

/** Keeps an event; true where it was not there yet. */
export async function insertMiseEvent(
  connection: PoolConnection,
  kitchenId: string,
  event: MiseEvent,
  nowMs: number,
): Promise<boolean> {
  const [result] = await connection.execute<ResultSetHeader>(
    `INSERT IGNORE INTO mise_event (kitchen_id, id, plan_id, device_id, kind, is_stock, at_ms, counter, body, received_at_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      kitchenId,
      event.id,
      event.day,
      event.deviceId,
      event.kind,
      STOCK_KINDS.includes(event.kind),
      event.atMs,
      event.counter,
      JSON.stringify(event),
      nowMs,
    ],
  )
  if (result.affectedRows > 0) return true
  await checkSameEvent(connection, 'mise_event', kitchenId, { id: event.id, subjectId: event.day, kind: event.kind })
  return false
}

/** What was said of plans, oldest first. */
export async function listPlanEvents(db: Db, kitchenId: string, planIds: readonly string[]): Promise<MiseEvent[]> {
  if (planIds.length === 0) return []
  const [rows] = await db.query<RowDataPacket[]>(
    'SELECT body FROM mise_event WHERE kitchen_id = ? AND plan_id IN (?) ORDER BY at_ms, counter, id',
    [kitchenId, planIds],
  )
  return rows.map((row) => MiseEvent.parse(row['body']))
}

/** What was made, came, was counted or wasted since an instant, oldest first. */
export async function listStockEvents(db: Db, kitchenId: string, fromMs: number): Promise<MiseEvent[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT body FROM mise_event WHERE kitchen_id = ? AND is_stock AND at_ms >= ? ORDER BY at_ms, counter, id',
    [kitchenId, fromMs],
  )
  return rows.map((row) => MiseEvent.parse(row['body']))
}
