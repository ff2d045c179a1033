import type { PlaceDraft, VesselDraft } from 'contract/house'
import type { RicePolicy } from 'contract/riceHouse'
import { RiceHouse, RicePlace, RiceVessel } from 'contract/riceHouse'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { DEFAULT_POLICY } from './defaultPolicy'

const VESSEL = `SELECT id, name, method, volume_l AS volumeL, count, steam_g_per_min AS steamGPerMin,
                       loads_weighed AS loadsWeighed FROM rice_vessel`

/** Vessels, places and policy of a kitchen. */
export async function findRiceHouse(db: Db, kitchenId: string): Promise<RiceHouse> {
  const [kitchens] = await db.execute<RowDataPacket[]>(
    'SELECT rice_policy AS policy, rice_policy_version AS version FROM kitchen WHERE id = ?',
    [kitchenId],
  )
  const [vessels] = await db.execute<RowDataPacket[]>(`${VESSEL} WHERE kitchen_id = ? ORDER BY position`, [kitchenId])
  const [places] = await db.execute<RowDataPacket[]>(
    `SELECT id, name, kind, air_temp_c AS airTempC, trays FROM rice_place WHERE kitchen_id = ? ORDER BY position`,
    [kitchenId],
  )
  const policy = (kitchens[0]?.['policy'] as RicePolicy | null | undefined) ?? DEFAULT_POLICY
  const isThere = vessels.some(({ id }) => id === policy.vesselId)
  const first = vessels[0]?.['id'] as string | undefined
  return RiceHouse.parse({
    version: Number(kitchens[0]?.['version'] ?? 0),
    // A pot that was taken out: rice is cooked in the first of the others.
    policy: { ...policy, vesselId: isThere || first === undefined ? policy.vesselId : first },
    vessels: vessels.map((row) => RiceVessel.parse(row)),
    places: places.map((row) => RicePlace.parse(row)),
  })
}

/** Writes the policy if nobody else did since `version`; false where somebody did. */
export async function saveRicePolicy(
  connection: PoolConnection,
  kitchenId: string,
  version: number,
  policy: RicePolicy,
): Promise<boolean> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT rice_policy_version AS version FROM kitchen WHERE id = ? FOR UPDATE',
    [kitchenId],
  )
  if (Number(rows[0]?.['version']) !== version) return false
  await connection.execute(
    'UPDATE kitchen SET rice_policy = ?, rice_policy_version = rice_policy_version + 1 WHERE id = ?',
    [JSON.stringify(policy), kitchenId],
  )
  return true
}

/** A vessel, locked until commit. */
export async function lockVessel(
  connection: PoolConnection,
  kitchenId: string,
  id: string,
): Promise<RiceVessel | null> {
  const [rows] = await connection.execute<RowDataPacket[]>(`${VESSEL} WHERE kitchen_id = ? AND id = ? FOR UPDATE`, [
    kitchenId,
    id,
  ])
  return rows[0] ? RiceVessel.parse(rows[0]) : null
}

export async function saveSteam(
  connection: PoolConnection,
  kitchenId: string,
  vesselId: string,
  steamGPerMin: number,
): Promise<void> {
  await connection.execute(
    `UPDATE rice_vessel SET steam_g_per_min = ?, loads_weighed = loads_weighed + 1 WHERE kitchen_id = ? AND id = ?`,
    [steamGPerMin, kitchenId, vesselId],
  )
}

/** Writes a vessel; what weighed loads taught of its steam stays unless somebody gives another figure. */
export async function saveVessel(
  connection: PoolConnection,
  kitchenId: string,
  id: string,
  { name, method, volumeL, count, steamGPerMin }: VesselDraft,
): Promise<void> {
  await connection.execute(
    `INSERT INTO rice_vessel (kitchen_id, id, name, method, volume_l, count, steam_g_per_min, loads_weighed, position)
     SELECT ?, ?, ?, ?, ?, ?, ?, 0, last.next FROM (SELECT COALESCE(MAX(position) + 1, 0) AS next FROM rice_vessel WHERE kitchen_id = ?) AS last
     ON DUPLICATE KEY UPDATE name = VALUES(name), method = VALUES(method), volume_l = VALUES(volume_l),
       count = VALUES(count), steam_g_per_min = VALUES(steam_g_per_min)`,
    [kitchenId, id, name, method, volumeL, count, steamGPerMin, kitchenId],
  )
}

export async function savePlace(
  connection: PoolConnection,
  kitchenId: string,
  id: string,
  { name, kind, airTempC, trays }: PlaceDraft,
): Promise<void> {
  await connection.execute(
    `INSERT INTO rice_place (kitchen_id, id, name, kind, air_temp_c, trays, position)
     SELECT ?, ?, ?, ?, ?, ?, last.next FROM (SELECT COALESCE(MAX(position) + 1, 0) AS next FROM rice_place WHERE kitchen_id = ?) AS last
     ON DUPLICATE KEY UPDATE name = VALUES(name), kind = VALUES(kind), air_temp_c = VALUES(air_temp_c),
       trays = VALUES(trays)`,
    [kitchenId, id, name, kind, airTempC, trays, kitchenId],
  )
}

export async function removeThing(
  connection: PoolConnection,
  table: 'rice_vessel' | 'rice_place',
  kitchenId: string,
  id: string,
): Promise<boolean> {
  const [result] = await connection.execute<ResultSetHeader>(`DELETE FROM ${table} WHERE kitchen_id = ? AND id = ?`, [
    kitchenId,
    id,
  ])
  return result.affectedRows === 1
}
