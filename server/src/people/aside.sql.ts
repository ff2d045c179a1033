import { Aside } from 'contract/people'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import type { Db } from '../db/pool'
import { digest } from './secrets'

type Kept = { deviceId: string; staffId: string | null; path: string; body: string }

/** Keeps what somebody said who was not allowed to; the same thing sent twice is kept once. */
export async function keepAside(db: Db, kitchenId: string, kept: Kept, nowMs: number): Promise<void> {
  await db.execute(
    `INSERT IGNORE INTO kept_aside (kitchen_id, id, body_hash, device_id, staff_id, path, body, kept_at_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      kitchenId,
      newId(),
      digest(`${kept.path}\n${kept.body}`),
      kept.deviceId,
      kept.staffId,
      kept.path,
      kept.body,
      Math.round(nowMs),
    ],
  )
}

const MOST_SHOWN = 100

/** What waits for the lead, oldest first. */
export async function listAside(db: Db, kitchenId: string): Promise<Aside[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT a.id, d.name AS deviceName, a.staff_id AS staffId, a.path, a.body, a.kept_at_ms AS keptAtMs
       FROM kept_aside a JOIN paired_device d ON d.kitchen_id = a.kitchen_id AND d.id = a.device_id
      WHERE a.kitchen_id = ? AND a.decided_at_ms IS NULL ORDER BY a.kept_at_ms, a.id LIMIT ${MOST_SHOWN}`,
    [kitchenId],
  )
  return rows.map((row) => Aside.parse({ ...row, body: JSON.parse(String(row['body'])) as unknown }))
}

/** @returns what it was about, or null where it is not there or was decided already */
export async function decideAside(
  connection: PoolConnection,
  kitchenId: string,
  id: string,
  { isTaken, by }: { isTaken: boolean; by: string | null },
  nowMs: number,
): Promise<string | null> {
  const [result] = await connection.execute<ResultSetHeader>(
    `UPDATE kept_aside SET decided_at_ms = ?, decided_by = ?, is_taken = ?
      WHERE kitchen_id = ? AND id = ? AND decided_at_ms IS NULL`,
    [Math.round(nowMs), by, isTaken, kitchenId, id],
  )
  if (result.affectedRows !== 1) return null
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT path FROM kept_aside WHERE kitchen_id = ? AND id = ?',
    [kitchenId, id],
  )
  return String(rows[0]?.['path'])
}
