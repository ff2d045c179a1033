import type { PastBatch, ReadingWhy, RiceRead } from 'core/rice/reading/riceReading'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'

/** Keeps whether a run's rice is read. */
export async function saveReading(
  connection: PoolConnection,
  kitchenId: string,
  runId: string,
  why: ReadingWhy,
): Promise<void> {
  await connection.execute('UPDATE run SET rice_reading = ? WHERE kitchen_id = ? AND id = ?', [why, kitchenId, runId])
}

/** What was read of the rice of the batches fired since, newest first, without the run itself. */
export async function listPastReadings(
  db: Db,
  kitchenId: string,
  exceptId: string,
  sinceMs: number,
  most: number,
): Promise<PastBatch[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT past.rice_read AS riceRead, GROUP_CONCAT(run_lot.lot_id) AS lotIds
       FROM (SELECT kitchen_id, id, rice_read, fired_at_ms FROM run WHERE kitchen_id = ? AND fired_at_ms > ? AND id <> ?
              ORDER BY fired_at_ms DESC, id DESC LIMIT ?) AS past
       LEFT JOIN run_lot ON run_lot.kitchen_id = past.kitchen_id AND run_lot.run_id = past.id
      GROUP BY past.id, past.rice_read, past.fired_at_ms ORDER BY past.fired_at_ms DESC, past.id DESC`,
    [kitchenId, sinceMs, exceptId, most],
  )
  return rows.map((row) => ({
    read: row['riceRead'] as RiceRead | null,
    lotIds: row['lotIds'] === null ? [] : String(row['lotIds']).split(','),
  }))
}
