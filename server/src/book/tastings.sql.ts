import { Tasting } from 'contract/book'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { checkSameEvent } from '../db/sameEvent'

const MOST = 500

/** What was tasted of the dishes, newest first. */
export async function listTastings(db: Db, kitchenId: string): Promise<Tasting[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT id, dish_id AS dishId, dish_version AS dishVersion, verdict, strength, at_ms AS atMs, added
       FROM tasting WHERE kitchen_id = ? ORDER BY at_ms DESC LIMIT ${MOST}`,
    [kitchenId],
  )
  return rows.map((row) => Tasting.parse({ ...row, atMs: Number(row['atMs']) }))
}

/** Keeps a tasting; the same id again changes nothing. */
export async function addTasting(
  connection: PoolConnection,
  kitchenId: string,
  tasting: Tasting,
  nowMs: number,
): Promise<void> {
  const [result] = await connection.execute<ResultSetHeader>(
    `INSERT IGNORE INTO tasting (kitchen_id, id, dish_id, dish_version, verdict, strength, at_ms, added, received_at_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      kitchenId,
      tasting.id,
      tasting.dishId,
      tasting.dishVersion,
      tasting.verdict,
      tasting.strength,
      tasting.atMs,
      JSON.stringify(tasting.added),
      nowMs,
    ],
  )
  if (result.affectedRows > 0) return
  const { id, dishId, verdict } = tasting
  await checkSameEvent(connection, 'tasting', kitchenId, { id, subjectId: dishId, kind: verdict })
}
