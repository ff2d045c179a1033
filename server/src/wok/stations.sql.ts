import type { StationEvent, StationPastRow } from 'contract/station'
import type { AllergyMark } from 'core/line/allergyMarks'
import type { StationWord } from 'core/line/stationPast'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { checkSameEvent } from '../db/sameEvent'
import { Problem } from '../http/problems'

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
  const lastMs = async (kind: StationWord): Promise<number | null> => {
    const [said] = await db.execute<RowDataPacket[]>(
      `SELECT at_ms AS atMs FROM station_event WHERE kitchen_id = ? AND station_id = ? AND kind = ? AND undone_by IS NULL
        ORDER BY at_ms DESC LIMIT 1`,
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

/**
 * Adds an event; false where it was there before. One that takes back another strikes that out: it stays, and counts no more.
 * @throws {Problem} id-taken, or invalid where there is nothing to take back
 */
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
  if (result.affectedRows > 0) {
    if (event.kind === 'undone') await strike(connection, kitchenId, event)
    return true
  }
  await checkSameEvent(connection, 'station_event', kitchenId, {
    id: event.id,
    subjectId: event.stationId,
    kind: event.kind,
  })
  return false
}

/** Strikes a word out; what was fired for an allergy on the strength of that wash is marked, since nobody washed. */
async function strike(
  connection: PoolConnection,
  kitchenId: string,
  { id, stationId, eventId }: Extract<StationEvent, { kind: 'undone' }>,
): Promise<void> {
  const [result] = await connection.execute<ResultSetHeader>(
    `UPDATE station_event SET undone_by = COALESCE(undone_by, ?)
      WHERE kitchen_id = ? AND station_id = ? AND id = ? AND kind <> 'undone'`,
    [id, kitchenId, stationId, eventId],
  )
  if (result.affectedRows === 0)
    throw new Problem('invalid', {
      detail: `nothing was said of "${stationId}" as ${eventId}: there is nothing to take back`,
    })
  await connection.execute(
    `UPDATE run JOIN station_event AS said ON said.kitchen_id = run.kitchen_id AND said.id = ? AND said.kind = 'washed'
        SET run.washed_at_ms = NULL, run.marks = JSON_ARRAY_APPEND(COALESCE(run.marks, '[]'), '$', ?)
      WHERE run.kitchen_id = ? AND run.station_id = ? AND run.fired_at_ms >= said.at_ms
        AND run.washed_at_ms = said.at_ms AND JSON_LENGTH(run.allergies) > 0`,
    [eventId, NOT_WASHED, kitchenId, stationId],
  )
}

const NOT_WASHED: AllergyMark = 'notWashed'
