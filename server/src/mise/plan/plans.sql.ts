import { DrawnPlan } from 'contract/mise/plan'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../../db/pool'

type KeptPlan = { id: string; version: number; drawn: DrawnPlan }

/** Plans as they were drawn, by id. */
export async function listPlans(db: Db, kitchenId: string, ids: readonly string[]): Promise<KeptPlan[]> {
  if (ids.length === 0) return []
  const [rows] = await db.query<RowDataPacket[]>(
    'SELECT id, version, body FROM mise_plan WHERE kitchen_id = ? AND id IN (?)',
    [kitchenId, ids],
  )
  return rows.map((row) => ({
    id: String(row['id']),
    version: Number(row['version']),
    drawn: DrawnPlan.parse(row['body']),
  }))
}

/** Writes a plan if nobody else drew it since `version`; false where somebody did. The kitchen's row is locked until commit. */
export async function savePlan(
  connection: PoolConnection,
  kitchenId: string,
  id: string,
  version: number,
  drawn: DrawnPlan,
): Promise<boolean> {
  await connection.execute('SELECT id FROM kitchen WHERE id = ? FOR UPDATE', [kitchenId])
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT version FROM mise_plan WHERE kitchen_id = ? AND id = ? FOR UPDATE',
    [kitchenId, id],
  )
  if (Number(rows[0]?.['version'] ?? 0) !== version) return false
  await connection.execute(
    `INSERT INTO mise_plan (kitchen_id, id, version, body) VALUES (?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE version = VALUES(version), body = VALUES(body)`,
    [kitchenId, id, version + 1, JSON.stringify(drawn)],
  )
  return true
}
