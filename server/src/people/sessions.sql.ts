import type { Me } from 'contract/people'
import type { Role } from 'core/people/roles'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { rowsAs } from '../db/rows'

/** Who asks: the device, the kitchen it belongs to, and who is signed in at it since when. */
export type Session = Me & { tokenHash: string; startedAtMs: number; isReplaced: boolean }

type SessionRow = {
  kitchenId: string
  kitchenName: string
  deviceId: string
  deviceName: string
  place: string
  staffId: string | null
  staffName: string | null
  role: Role | null
  startedAtMs: string
  endedAtMs: string | null
  isUsed: number
}

/** Nobody's shift is longer: whoever is signed in then signs in anew. */
const SHIFT_MS = 16 * 3_600_000

/**
 * The session of a token; null where the device was never let in, was shut out, or uses a token from before. A token that
 * was replaced counts, without a person, until the new one is used: the answer that brought it may have been lost.
 * @param isShown whether the device showed the token, which is its use
 */
export async function findSession(db: Db, tokenHash: string, nowMs: number, isShown = true): Promise<Session | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT s.kitchen_id AS kitchenId, k.name AS kitchenName, s.device_id AS deviceId, d.name AS deviceName, d.place,
            s.staff_id AS staffId, p.name AS staffName, s.role, s.started_at_ms AS startedAtMs,
            s.ended_at_ms AS endedAtMs, s.is_used AS isUsed
       FROM device_session s
       JOIN paired_device d ON d.kitchen_id = s.kitchen_id AND d.id = s.device_id AND d.shut_out_at_ms IS NULL
       JOIN kitchen k ON k.id = s.kitchen_id
       LEFT JOIN staff p ON p.kitchen_id = s.kitchen_id AND p.id = s.staff_id AND NOT p.is_gone
      WHERE s.token_hash = ?`,
    [tokenHash],
  )
  const [row] = rowsAs<SessionRow>(rows)
  if (!row) return null
  const isReplaced = row.endedAtMs !== null
  if (isReplaced && (await isNewestUsed(db, row.kitchenId, row.deviceId))) return null
  if (isShown && !isReplaced && row.isUsed === 0)
    await db.execute('UPDATE device_session SET is_used = TRUE WHERE token_hash = ?', [tokenHash])
  const startedAtMs = Number(row.startedAtMs)
  const isIn = !isReplaced && nowMs - startedAtMs < SHIFT_MS
  const { staffId, staffName, role } = row
  return {
    tokenHash,
    startedAtMs,
    isReplaced,
    kitchen: { id: row.kitchenId, name: row.kitchenName },
    device: { id: row.deviceId, name: row.deviceName, place: row.place },
    person: isIn && staffId !== null && staffName !== null && role ? { id: staffId, name: staffName, role } : null,
  }
}

async function isNewestUsed(db: Db, kitchenId: string, deviceId: string): Promise<boolean> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT is_used AS isUsed FROM device_session WHERE kitchen_id = ? AND device_id = ? AND ended_at_ms IS NULL
      ORDER BY started_at_ms DESC LIMIT 1`,
    [kitchenId, deviceId],
  )
  return rows[0]?.['isUsed'] !== 0
}

/**
 * Who was signed in at a device at an instant, nobody once the shift was over; undefined where it was not let in yet.
 */
export async function findSpeaker(
  db: Db,
  kitchenId: string,
  deviceId: string,
  atMs: number,
): Promise<{ staffId: string | null; role: Role | null } | undefined> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT staff_id AS staffId, role, started_at_ms AS startedAtMs FROM device_session
      WHERE kitchen_id = ? AND device_id = ? AND started_at_ms <= ? ORDER BY started_at_ms DESC LIMIT 1`,
    [kitchenId, deviceId, atMs],
  )
  const [row] = rowsAs<{ staffId: string | null; role: Role | null; startedAtMs: string }>(rows)
  if (!row) return undefined
  const isOver = atMs - Number(row.startedAtMs) >= SHIFT_MS
  return isOver ? { staffId: null, role: null } : { staffId: row.staffId, role: row.role }
}

/** The roles that were signed in at a device since an instant. */
export async function rolesSince(db: Db, kitchenId: string, deviceId: string, sinceMs: number): Promise<Role[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT DISTINCT role FROM device_session WHERE kitchen_id = ? AND device_id = ? AND role IS NOT NULL
        AND (ended_at_ms IS NULL OR ended_at_ms >= ?)`,
    [kitchenId, deviceId, sinceMs],
  )
  return rows.map((row) => row['role'] as Role)
}

type Opened = { tokenHash: string; person: { id: string; role: Role } | null }

/** Ends what holds at a device and begins the next. */
export async function openSession(
  connection: PoolConnection,
  kitchenId: string,
  deviceId: string,
  { tokenHash, person }: Opened,
  nowMs: number,
): Promise<void> {
  await connection.execute(
    'UPDATE device_session SET ended_at_ms = ? WHERE kitchen_id = ? AND device_id = ? AND ended_at_ms IS NULL',
    [nowMs, kitchenId, deviceId],
  )
  await connection.execute(
    `INSERT INTO device_session (token_hash, kitchen_id, device_id, staff_id, role, started_at_ms)
     VALUES (?, ?, ?, ?, ?, ?)`,
    [tokenHash, kitchenId, deviceId, person?.id ?? null, person?.role ?? null, nowMs],
  )
}

/** Devices at which somebody is signed in now. */
export async function devicesOfPerson(db: Db, kitchenId: string, staffId: string): Promise<string[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT device_id AS id FROM device_session WHERE kitchen_id = ? AND staff_id = ? AND ended_at_ms IS NULL',
    [kitchenId, staffId],
  )
  return rows.map((row) => String(row['id']))
}
