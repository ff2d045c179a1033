import type { RicePolicy } from 'contract/riceHouse'
import { RiceHouse, RicePlace, RiceVessel } from 'contract/riceHouse'
import type { RowDataPacket } from 'mysql2'
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
  return RiceHouse.parse({
    version: Number(kitchens[0]?.['version'] ?? 0),
    policy: (kitchens[0]?.['policy'] as unknown) ?? DEFAULT_POLICY,
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
