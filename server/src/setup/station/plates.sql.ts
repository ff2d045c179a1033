import { StationVersion, type StationPlateState } from 'contract/stationPlate'
import { PLATE_ERROR } from 'core/wok/heat/calibrate'
import { usualStation } from 'core/wok/heat/usualStations'
import type { Kitchen } from 'contract/kitchen'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../../db/pool'

const COLUMNS = `station_id AS stationId, version, saved_at_ms AS savedAtMs, staff_id AS staffId, plate,
  efficiency_error AS efficiencyError, calibrated_at_ms AS calibratedAtMs, readings`
/** So many versions are shown. */
const SHOWN = 50

/** The versions of a station, newest first. */
export async function listStationVersions(db: Db, kitchenId: string, stationId: string): Promise<StationVersion[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM station_version WHERE kitchen_id = ? AND station_id = ? ORDER BY version DESC LIMIT ${SHOWN}`,
    [kitchenId, stationId],
  )
  return rows.map((row) => StationVersion.parse(row))
}

/** A station as it is known: its newest version, or what is usual for its kind and power. */
export async function findPlate(
  db: Db,
  kitchenId: string,
  { id, kind, powerW }: Pick<Kitchen['stations'][number], 'id' | 'kind' | 'powerW'>,
): Promise<StationPlateState & { readings: StationVersion['readings'] }> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM station_version WHERE kitchen_id = ? AND station_id = ? ORDER BY version DESC LIMIT 1`,
    [kitchenId, id],
  )
  if (rows[0]) return StationVersion.parse(rows[0])
  const { zoneShare = null, contact = null, ...plate } = usualStation(kind, powerW)
  return {
    stationId: id,
    version: 0,
    plate: { ...plate, zoneShare, contact },
    efficiencyError: PLATE_ERROR,
    calibratedAtMs: null,
    readings: null,
  }
}

/** Locks a station, so that two who save at once are told of each other. */
export async function lockStation(connection: PoolConnection, kitchenId: string, stationId: string): Promise<void> {
  await connection.execute('SELECT id FROM station WHERE kitchen_id = ? AND id = ? FOR UPDATE', [kitchenId, stationId])
}

export async function insertStationVersion(
  connection: PoolConnection,
  kitchenId: string,
  one: StationVersion,
): Promise<void> {
  await connection.execute(
    `INSERT INTO station_version
       (kitchen_id, station_id, version, saved_at_ms, staff_id, plate, efficiency_error, calibrated_at_ms, readings)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      kitchenId,
      one.stationId,
      one.version,
      one.savedAtMs,
      one.staffId,
      JSON.stringify(one.plate),
      one.efficiencyError,
      one.calibratedAtMs,
      one.readings === null ? null : JSON.stringify(one.readings),
    ],
  )
}
