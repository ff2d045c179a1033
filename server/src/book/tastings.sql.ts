import { Tasting } from 'contract/book'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { checkSameEvent } from '../db/sameEvent'
import { Problem } from '../http/problems'

const MOST = 500

/** What was tasted of the dishes, newest first. */
export async function listTastings(db: Db, kitchenId: string): Promise<Tasting[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT id, dish_id AS dishId, dish_version AS dishVersion, run_id AS runId, verdict, strength, at_ms AS atMs, added
       FROM tasting WHERE kitchen_id = ? ORDER BY at_ms DESC LIMIT ${MOST}`,
    [kitchenId],
  )
  return rows.map((row) => Tasting.parse({ ...row, atMs: Number(row['atMs']) }))
}

/** Keeps a tasting; the same id again changes nothing. @throws {Problem} unknown-run where it is of no run of that dish */
export async function addTasting(
  connection: PoolConnection,
  kitchenId: string,
  tasting: Tasting,
  nowMs: number,
): Promise<void> {
  if (tasting.runId) await checkRun(connection, kitchenId, tasting.runId, tasting.dishId)
  const [result] = await connection.execute<ResultSetHeader>(
    `INSERT IGNORE INTO tasting (kitchen_id, id, dish_id, dish_version, run_id, verdict, strength, at_ms, added,
                                 received_at_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      kitchenId,
      tasting.id,
      tasting.dishId,
      tasting.dishVersion,
      tasting.runId ?? null,
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

async function checkRun(connection: PoolConnection, kitchenId: string, runId: string, dishId: string): Promise<void> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT id FROM run WHERE kitchen_id = ? AND id = ? AND dish_id = ?',
    [kitchenId, runId, dishId],
  )
  if (rows.length > 0) return
  throw new Problem('unknown-run', {
    detail: `no run ${runId} of "${dishId}": leave out runId to note a tasting of the dish`,
  })
}
