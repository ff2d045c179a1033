import { Person, type PersonDraft } from 'contract/people'
import type { PinTries } from 'core/people/pinTries'
import type { Role } from 'core/people/roles'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'

export async function listPeople(db: Db, kitchenId: string): Promise<Person[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT id, name, role, pin_hash IS NOT NULL AS hasPin FROM staff WHERE kitchen_id = ? AND NOT is_gone ORDER BY position',
    [kitchenId],
  )
  return rows.map((row) => Person.parse({ ...row, hasPin: row['hasPin'] === 1 }))
}

/** Somebody who works here, with the hash of the PIN. */
export async function findPerson(
  db: Db,
  kitchenId: string,
  id: string,
): Promise<{ id: string; name: string; role: Role; pinHash: string | null } | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT id, name, role, pin_hash AS pinHash FROM staff WHERE kitchen_id = ? AND id = ? AND NOT is_gone',
    [kitchenId, id],
  )
  const row = rows[0]
  if (!row) return null
  const { name, role, pinHash } = row
  return { id, name: String(name), role: role as Role, pinHash: pinHash as string | null }
}

/** Whether the id was ever somebody's here: their events keep it. */
export async function isTaken(db: Db, kitchenId: string, id: string): Promise<boolean> {
  const [rows] = await db.execute<RowDataPacket[]>('SELECT 1 FROM staff WHERE kitchen_id = ? AND id = ?', [
    kitchenId,
    id,
  ])
  return rows.length > 0
}

export async function insertPerson(
  connection: PoolConnection,
  kitchenId: string,
  id: string,
  { name, role }: PersonDraft,
): Promise<void> {
  await connection.execute(
    `INSERT INTO staff (kitchen_id, id, name, role, position)
     SELECT ?, ?, ?, ?, last.next FROM (SELECT COALESCE(MAX(position) + 1, 0) AS next FROM staff WHERE kitchen_id = ?) AS last`,
    [kitchenId, id, name, role, kitchenId],
  )
}

export async function changePerson(
  connection: PoolConnection,
  kitchenId: string,
  id: string,
  { name, role }: PersonDraft,
): Promise<void> {
  await connection.execute('UPDATE staff SET name = ?, role = ? WHERE kitchen_id = ? AND id = ?', [
    name,
    role,
    kitchenId,
    id,
  ])
}

/** Somebody leaves: what they said keeps their name, and they sign in nowhere. */
export async function letGo(connection: PoolConnection, kitchenId: string, id: string): Promise<void> {
  await connection.execute('UPDATE staff SET is_gone = TRUE, pin_hash = NULL WHERE kitchen_id = ? AND id = ?', [
    kitchenId,
    id,
  ])
}

export async function savePinHash(db: Db, kitchenId: string, id: string, hash: string): Promise<void> {
  await db.execute('UPDATE staff SET pin_hash = ? WHERE kitchen_id = ? AND id = ?', [hash, kitchenId, id])
  await db.execute('DELETE FROM pin_try WHERE kitchen_id = ? AND staff_id = ?', [kitchenId, id])
}

/** Who owns the kitchen, locked until commit, so that two owners cannot take each other out at once. */
export async function lockOwners(connection: PoolConnection, kitchenId: string): Promise<string[]> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    "SELECT id FROM staff WHERE kitchen_id = ? AND role = 'owner' AND NOT is_gone ORDER BY position FOR UPDATE",
    [kitchenId],
  )
  return rows.map((row) => String(row['id']))
}

type TryKey = { kitchenId: string; deviceId: string; staffId: string }

/** Wrong PINs so far of one person at one device, locked until commit. */
export async function lockTries(connection: PoolConnection, key: TryKey): Promise<PinTries | null> {
  // A row that is not there cannot be locked: many tries at the same moment would each be the first.
  await connection.execute(
    `INSERT INTO pin_try (kitchen_id, device_id, staff_id, failed, wait_until_ms) VALUES (?, ?, ?, 0, 0)
     ON DUPLICATE KEY UPDATE failed = failed`,
    [key.kitchenId, key.deviceId, key.staffId],
  )
  const [rows] = await connection.execute<RowDataPacket[]>(
    `SELECT failed, wait_until_ms AS waitUntilMs FROM pin_try
      WHERE kitchen_id = ? AND device_id = ? AND staff_id = ? FOR UPDATE`,
    [key.kitchenId, key.deviceId, key.staffId],
  )
  const row = rows[0]
  return row ? { failed: Number(row['failed']), waitUntilMs: Number(row['waitUntilMs']) } : null
}

/** Keeps the count; null clears it. */
export async function saveTries(connection: PoolConnection, key: TryKey, tries: PinTries | null): Promise<void> {
  const { kitchenId, deviceId, staffId } = key
  if (tries === null)
    await connection.execute('DELETE FROM pin_try WHERE kitchen_id = ? AND device_id = ? AND staff_id = ?', [
      kitchenId,
      deviceId,
      staffId,
    ])
  else
    await connection.execute(
      `INSERT INTO pin_try (kitchen_id, device_id, staff_id, failed, wait_until_ms) VALUES (?, ?, ?, ?, ?)
       ON DUPLICATE KEY UPDATE failed = VALUES(failed), wait_until_ms = VALUES(wait_until_ms)`,
      [kitchenId, deviceId, staffId, tries.failed, Math.round(tries.waitUntilMs)],
    )
}

export async function findRecovery(db: Db, kitchenId: string): Promise<string | null> {
  const [rows] = await db.execute<RowDataPacket[]>('SELECT recovery_hash AS hash FROM kitchen WHERE id = ?', [
    kitchenId,
  ])
  return (rows[0]?.['hash'] as string | null | undefined) ?? null
}

export async function saveRecovery(db: Db, kitchenId: string, hash: string | null): Promise<void> {
  await db.execute('UPDATE kitchen SET recovery_hash = ? WHERE id = ?', [hash, kitchenId])
}
