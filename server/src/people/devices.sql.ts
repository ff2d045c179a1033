import { PairedDevice } from 'contract/people'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'

type NewDevice = { id: string; name: string; place: string; pairedBy: string | null }

export async function insertDevice(
  connection: PoolConnection,
  kitchenId: string,
  { id, name, place, pairedBy }: NewDevice,
  nowMs: number,
): Promise<void> {
  await connection.execute(
    'INSERT INTO paired_device (kitchen_id, id, name, place, paired_at_ms, paired_by) VALUES (?, ?, ?, ?, ?, ?)',
    [kitchenId, id, name, place, nowMs, pairedBy],
  )
}

/** Devices that were let in, newest first; those that were shut out stay in the list. */
export async function listDevices(db: Db, kitchenId: string): Promise<PairedDevice[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT d.id, d.name, d.place, d.paired_at_ms AS pairedAtMs, d.paired_by AS pairedBy,
            d.shut_out_at_ms AS shutOutAtMs, s.staff_id AS personId, s.started_at_ms AS sinceMs
       FROM paired_device d
       LEFT JOIN device_session s
              ON s.kitchen_id = d.kitchen_id AND s.device_id = d.id AND s.ended_at_ms IS NULL AND s.staff_id IS NOT NULL
      WHERE d.kitchen_id = ? ORDER BY d.paired_at_ms DESC, d.id LIMIT 500`,
    [kitchenId],
  )
  return rows.map((row) => PairedDevice.parse(row))
}

export async function nameDevice(
  connection: PoolConnection,
  kitchenId: string,
  id: string,
  { name, place }: { name: string; place: string },
): Promise<void> {
  await connection.execute('UPDATE paired_device SET name = ?, place = ? WHERE kitchen_id = ? AND id = ?', [
    name,
    place,
    kitchenId,
    id,
  ])
}

/** Shuts a device out for good. @returns its name, or null where there is none or it was out already */
export async function shutOut(
  connection: PoolConnection,
  kitchenId: string,
  id: string,
  nowMs: number,
): Promise<string | null> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT name FROM paired_device WHERE kitchen_id = ? AND id = ? AND shut_out_at_ms IS NULL FOR UPDATE',
    [kitchenId, id],
  )
  if (!rows[0]) return null
  await connection.execute('UPDATE paired_device SET shut_out_at_ms = ? WHERE kitchen_id = ? AND id = ?', [
    nowMs,
    kitchenId,
    id,
  ])
  await connection.execute(
    'UPDATE device_session SET ended_at_ms = ? WHERE kitchen_id = ? AND device_id = ? AND ended_at_ms IS NULL',
    [nowMs, kitchenId, id],
  )
  return String(rows[0]['name'])
}

export async function insertPairingCode(
  db: Db,
  kitchenId: string,
  code: { hash: string; madeBy: string | null; untilMs: number },
): Promise<void> {
  await db.execute('INSERT INTO pairing_code (code_hash, kitchen_id, made_by, until_ms) VALUES (?, ?, ?, ?)', [
    code.hash,
    kitchenId,
    code.madeBy,
    code.untilMs,
  ])
}

/** Uses a code up. @returns whose kitchen it opens and who made it; null where it is unknown, used or too old */
export async function takePairingCode(
  connection: PoolConnection,
  hash: string,
  nowMs: number,
): Promise<{ kitchenId: string; madeBy: string | null } | null> {
  const [result] = await connection.execute<ResultSetHeader>(
    'UPDATE pairing_code SET used_at_ms = ? WHERE code_hash = ? AND used_at_ms IS NULL AND until_ms >= ?',
    [nowMs, hash, nowMs],
  )
  if (result.affectedRows !== 1) return null
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT kitchen_id AS kitchenId, made_by AS madeBy FROM pairing_code WHERE code_hash = ?',
    [hash],
  )
  const row = rows[0]!
  return { kitchenId: String(row['kitchenId']), madeBy: row['madeBy'] === null ? null : String(row['madeBy']) }
}
