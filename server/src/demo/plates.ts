import type { StationPlate, StationReadings, StationVersion } from 'contract/stationPlate'
import { calibrate, FIRST_SMOKE_C, PLATE_ERROR, waterS } from 'core/wok/heat/calibrate'
import { preheat } from 'core/wok/heat/preheat'
import { usualStation } from 'core/wok/heat/usualStations'
import { vesselOf } from 'core/wok/heat/vessel'
import type { PoolConnection } from 'mysql2/promise'
import { insertStationVersion, listStationVersions } from '../setup/station/plates.sql'
import { DEMO_STATIONS } from './kitchen'

const DAY_MS = 24 * 3_600_000
const LITRE = { litres: 1, fromC: 20, toC: 80 } as const

/** What the rings of the sample kitchen truly are, which their plates do not say; the griddle was never calibrated. */
const TRUTH = {
  'ring-a': { massKg: 1.9, diameterM: 0.38, efficiency: 0.24, zoneShare: 0.47, daysAgo: 40 },
  'ring-b': { massKg: 1.72, diameterM: 0.36, efficiency: 0.21, zoneShare: 0.52, daysAgo: 12 },
} as const

/** Plates and calibrations of the sample kitchen, where there are none. */
export async function setOutPlates(connection: PoolConnection, kitchenId: string, nowMs: number): Promise<void> {
  for (const station of DEMO_STATIONS) {
    if (station.id === 'griddle') continue
    if ((await listStationVersions(connection, kitchenId, station.id)).length > 0) continue
    for (const version of versionsOf(station, nowMs)) await insertStationVersion(connection, kitchenId, version)
  }
}

function versionsOf(
  { id, kind, powerW }: { id: 'ring-a' | 'ring-b'; kind: 'wok'; powerW: number },
  nowMs: number,
): StationVersion[] {
  const { massKg, diameterM, efficiency, zoneShare, daysAgo } = TRUTH[id]
  const plate: StationPlate = { ...usualStation(kind, powerW), massKg, diameterM, zoneShare: null, contact: null }
  const truth = { ...plate, efficiency, zoneShare }
  const readings: StationReadings = {
    water: { ...LITRE, seconds: Math.round(waterS(truth, LITRE) ?? 0) },
    dry: { toC: FIRST_SMOKE_C, seconds: Math.round(preheat(vesselOf(truth), FIRST_SMOKE_C).seconds ?? 0) },
    load: null,
  }
  const { station, result } = calibrate(plate, readings)
  const savedAtMs = Math.round(nowMs - daysAgo * DAY_MS)
  const of = { stationId: id, staffId: 'odalys' }
  return [
    {
      ...of,
      version: 1,
      savedAtMs: savedAtMs - 30 * DAY_MS,
      plate,
      efficiencyError: PLATE_ERROR,
      calibratedAtMs: null,
      readings: null,
    },
    {
      ...of,
      version: 2,
      savedAtMs,
      plate: { ...plate, efficiency: station.efficiency, zoneShare: station.zoneShare ?? null },
      efficiencyError: result.efficiencyError,
      calibratedAtMs: savedAtMs,
      readings,
    },
  ]
}
