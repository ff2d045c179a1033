import { LineWish, ToldOrder, type PutOrder } from 'contract/line'
import { compareEvents } from 'core/event/eventOrder'
import { subjectOf } from 'core/line/plan/wishes'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { checkSameEvent } from '../db/sameEvent'

const DAY_MS = 24 * 3_600_000

/** The last word on each thing that was decided of the line; of one ticket or its portions, only of the last day. */
export async function listWishes(db: Db, kitchenId: string, nowMs: number): Promise<LineWish[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT wish FROM line_wish_now WHERE kitchen_id = ? AND (is_of_a_day = 0 OR at_ms > ?)',
    [kitchenId, nowMs - DAY_MS],
  )
  return rows.map((row) => LineWish.parse(row['wish']))
}

/** Keeps what was decided, each id once, and whether it is the last word on its subject. @throws {Problem} id-taken */
export async function insertWish(
  connection: PoolConnection,
  kitchenId: string,
  wish: LineWish,
  nowMs: number,
): Promise<void> {
  const subject = subjectOf(wish)
  const text = JSON.stringify(wish)
  const [result] = await connection.execute<ResultSetHeader>(
    'INSERT IGNORE INTO line_wish (kitchen_id, id, subject, wish, at_ms, received_at_ms) VALUES (?, ?, ?, ?, ?, ?)',
    [kitchenId, wish.id, subject, text, wish.atMs, nowMs],
  )
  if (result.affectedRows === 0)
    return checkSameEvent(connection, 'line_wish', kitchenId, { id: wish.id, subjectId: subject, kind: wish.kind })
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT wish FROM line_wish_now WHERE kitchen_id = ? AND subject = ? FOR UPDATE',
    [kitchenId, subject],
  )
  if (rows[0] && compareEvents(wish, LineWish.parse(rows[0]['wish'])) < 0) return
  const isOfADay = wish.kind === 'ticket' || wish.kind === 'pin'
  await connection.execute(
    'REPLACE INTO line_wish_now (kitchen_id, subject, wish, at_ms, is_of_a_day) VALUES (?, ?, ?, ?, ?)',
    [kitchenId, subject, text, wish.atMs, isOfADay],
  )
  await connection.execute('DELETE FROM line_wish_now WHERE kitchen_id = ? AND is_of_a_day = 1 AND at_ms < ?', [
    kitchenId,
    nowMs - DAY_MS,
  ])
}

/** The order that the cooks were told last, or null. */
export async function findOrder(db: Db, kitchenId: string): Promise<ToldOrder | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT no, told, made_at_ms AS madeAtMs FROM line_order WHERE kitchen_id = ? ORDER BY no DESC LIMIT 1',
    [kitchenId],
  )
  const [row] = rows
  return row
    ? ToldOrder.parse({ ...(row['told'] as object), no: Number(row['no']), madeAtMs: Number(row['madeAtMs']) })
    : null
}

const KEPT_MS = 14 * DAY_MS

/** Keeps an order under the next number; what was told longer ago than two weeks is let go. */
export async function insertOrder(
  connection: PoolConnection,
  kitchenId: string,
  { basedOn, key, batches, why, deviceId }: PutOrder,
  nowMs: number,
): Promise<void> {
  await connection.execute(
    'INSERT INTO line_order (kitchen_id, no, told, device_id, made_at_ms) VALUES (?, ?, ?, ?, ?)',
    [kitchenId, basedOn + 1, JSON.stringify({ key, batches, why }), deviceId, nowMs],
  )
  await connection.execute('DELETE FROM line_order WHERE kitchen_id = ? AND made_at_ms < ? AND no <= ?', [
    kitchenId,
    nowMs - KEPT_MS,
    basedOn,
  ])
}
