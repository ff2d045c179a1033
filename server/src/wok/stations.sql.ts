import type { StationEvent, StationPastRow } from 'contract/station'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { checkSameEvent } from '../db/sameEvent'

/** What each station last cooked, until when, and when it was last washed, wiped and brushed. */
export async function listStationPasts(db: Db, kitchenId: string): Promise<StationPastRow[]> {
  const [stations] = await db.execute<RowDataPacket[]>(
    'SELECT id FROM station WHERE kitchen_id = ? ORDER BY position',
    [kitchenId],
  )
  return Promise.all(stations.map((row) => findStationPast(db, kitchenId, String(row['id']))))
}

export async function findStationPast(db: Db, kitchenId: string, stationId: string): Promise<StationPastRow> {
  const [runs] = await db.execute<RowDataPacket[]>(
    `SELECT dish_id AS dishId, COALESCE(ended_at_ms, fired_at_ms) AS usedUntilMs FROM run
      WHERE kitchen_id = ? AND station_id = ? ORDER BY fired_at_ms DESC LIMIT 1`,
    [kitchenId, stationId],
  )
  const lastMs = async (kind: StationEvent['kind']): Promise<number | null> => {
    const [said] = await db.execute<RowDataPacket[]>(
      'SELECT MAX(at_ms) AS atMs FROM station_event WHERE kitchen_id = ? AND station_id = ? AND kind = ?',
      [kitchenId, stationId, kind],
    )
    const atMs: unknown = said[0]?.['atMs'] ?? null
    return atMs === null ? null : Number(atMs)
  }
  return {
    stationId,
    lastDishId: runs[0] ? String(runs[0]['dishId']) : null,
    usedUntilMs: runs[0] ? Number(runs[0]['usedUntilMs']) : null,
    washedAtMs: await lastMs('washed'),
    wipedAtMs: await lastMs('wiped'),
    brushedAtMs: await lastMs('brushed'),
  }
}

/** Adds an event; false where it was there before. @throws {Problem} id-taken */
export async function insertStationEvent(
  connection: PoolConnection,
  kitchenId: string,
  event: StationEvent,
  nowMs: number,
): Promise<boolean> {
  const { id, stationId, kind, deviceId, staffId, atMs } = event
  const [result] = await connection.execute<ResultSetHeader>(
    `INSERT IGNORE INTO station_event (kitchen_id, id, station_id, kind, device_id, staff_id, at_ms, received_at_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [kitchenId, id, stationId, kind, deviceId, staffId, atMs, nowMs],
  )
  if (result.affectedRows > 0) return true
  await checkSameEvent(connection, 'station_event', kitchenId, {
    id: event.id,
    subjectId: event.stationId,
    kind: event.kind,
  })
  return false
}
