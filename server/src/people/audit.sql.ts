import { AuditEntry, type AUDITED } from 'contract/people'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import type { Db } from '../db/pool'

export type By = { staffId: string | null; deviceId: string | null }
type Changed = {
  id?: string
  what: (typeof AUDITED)[number]
  subject: string
  was?: string | null
  became?: string | null
}
const LONGEST = 400

/** Writes down who changed what, in the transaction that changes it, once an id; nothing ever takes a line out. */
export async function noteChange(
  connection: PoolConnection,
  kitchenId: string,
  by: By,
  { id = newId(), what, subject, was = null, became = null }: Changed,
  nowMs: number,
): Promise<void> {
  const cut = (text: string | null) => (text === null ? null : text.slice(0, LONGEST))
  await connection.execute(
    `INSERT IGNORE INTO audit (kitchen_id, id, at_ms, staff_id, device_id, what, subject, was, became)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [kitchenId, id, Math.round(nowMs), by.staffId, by.deviceId, what, subject.slice(0, 160), cut(was), cut(became)],
  )
}

export type AuditKey = { atMs: number; id: string }

/** Lines of the audit, newest first, after a key. */
export async function listAudit(
  db: Db,
  kitchenId: string,
  before: AuditKey | null,
  limit: number,
): Promise<AuditEntry[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT a.id, a.at_ms AS atMs, a.staff_id AS staffId, d.name AS deviceName, a.what, a.subject, a.was, a.became
       FROM audit a LEFT JOIN paired_device d ON d.kitchen_id = a.kitchen_id AND d.id = a.device_id
      WHERE a.kitchen_id = ? ${before ? 'AND (a.at_ms < ? OR (a.at_ms = ? AND a.id < ?))' : ''}
      ORDER BY a.at_ms DESC, a.id DESC LIMIT ${limit}`,
    before ? [kitchenId, before.atMs, before.atMs, before.id] : [kitchenId],
  )
  return rows.map((row) => AuditEntry.parse(row))
}
