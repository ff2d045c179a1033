import { MiseHouse, type MisePolicy } from 'contract/mise/house'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { DEFAULT_MISE_POLICY } from './defaultPolicy'

/** How a kitchen does its mise; where it has not said, hands and tools of a small counter, with nobody on shift. */
export async function findMiseHouse(db: Db, kitchenId: string): Promise<MiseHouse> {
  const [rows] = await db.execute<RowDataPacket[]>(
    'SELECT mise_policy AS policy, mise_policy_version AS version FROM kitchen WHERE id = ?',
    [kitchenId],
  )
  return MiseHouse.parse({
    version: Number(rows[0]?.['version'] ?? 0),
    policy: (rows[0]?.['policy'] as unknown) ?? DEFAULT_MISE_POLICY,
  })
}

/** Writes the policy if nobody else did since `version`; false where somebody did. */
export async function saveMisePolicy(
  connection: PoolConnection,
  kitchenId: string,
  version: number,
  policy: MisePolicy,
): Promise<boolean> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT mise_policy_version AS version FROM kitchen WHERE id = ? FOR UPDATE',
    [kitchenId],
  )
  if (Number(rows[0]?.['version']) !== version) return false
  await connection.execute(
    'UPDATE kitchen SET mise_policy = ?, mise_policy_version = mise_policy_version + 1 WHERE id = ?',
    [JSON.stringify(policy), kitchenId],
  )
  return true
}
