import { z } from '@hono/zod-openapi'
import { Slug } from 'contract/ids'
import {
  PostCalibration,
  PutStationPlate,
  StationPlateState,
  StationVersions,
  type StationPlate,
  type StationVersion,
} from 'contract/stationPlate'
import { calibrate, calibrationHolds, PLATE_ERROR, type Implausible } from 'core/wok/heat/calibrate'
import type { Context } from 'hono'
import type { PoolConnection } from 'mysql2/promise'
import { isDeepStrictEqual } from 'node:util'
import { announce } from '../../db/outbox'
import { inTransaction } from '../../db/pool'
import { editedMeanwhile } from '../../http/conflict'
import { json, jsonBody, newRouter, type RequestEnv } from '../../http/context'
import { Problem } from '../../http/problems'
import { stationOf } from './stationOf'
import { findPlate, insertStationVersion, listStationVersions, lockStation } from './plates.sql'
import { byOf, onlyFor } from '../../people/onlyFor'

const params = z.object({ id: Slug })

const getPlate = onlyFor('read', {
  method: 'get',
  path: '/stations/{id}/plate',
  request: { params },
  responses: { 200: json(StationPlateState, 'What is known of a station: metal, flame, and how sure that is') },
})
const getVersions = onlyFor('read', {
  method: 'get',
  path: '/stations/{id}/plate/versions',
  request: { params },
  responses: { 200: json(StationVersions, 'Each version of a station, newest first, with what was read') },
})
const putPlate = onlyFor('measure', {
  method: 'put',
  path: '/stations/{id}/plate',
  request: { params, body: jsonBody(PutStationPlate) },
  responses: { 200: json(StationPlateState, 'The station has a new version, unless nothing was changed') },
})
const postCalibration = onlyFor('measure', {
  method: 'post',
  path: '/stations/{id}/calibrations',
  request: { params, body: jsonBody(PostCalibration) },
  responses: { 200: json(StationPlateState, 'The station as its readings say it is') },
})

const FIELD = { water: 'readings.water.seconds', dry: 'readings.dry.seconds', load: 'readings.load.metalC' } as const
const SAYS: Readonly<Record<Implausible['why'], string>> = {
  tooFast: 'faster than any station of this power: look at the watch, the amount and the power on the plate',
  tooSlow: 'slower than any station of this power: was the flame fully open, and the vessel the one on the plate?',
  tooHot: 'hotter than food on it leaves any metal: measure the bared, oiled spot',
  tooCold: 'colder than food on it leaves any metal: measure the bared, oiled spot',
}

const stateOf = ({ stationId, version, plate, efficiencyError, calibratedAtMs }: StationPlateState) => ({
  stationId,
  version,
  plate,
  efficiencyError,
  calibratedAtMs,
})

export const plateRoutes = newRouter()
  .openapi(getPlate, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const { station } = await stationOf(pool, kitchenId, c.req.valid('param').id)
    return c.json(stateOf(await findPlate(pool, kitchenId, station)), 200)
  })
  .openapi(getVersions, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const { station } = await stationOf(pool, kitchenId, c.req.valid('param').id)
    return c.json({ versions: await listStationVersions(pool, kitchenId, station.id) }, 200)
  })
  .openapi(putPlate, async (c) => {
    const { version, plate } = c.req.valid('json')
    const saved = await save(c, c.req.valid('param').id, (now) => {
      if (isDeepStrictEqual(now.plate, plate)) return null
      if (now.version !== version) throw editedMeanwhile()
      const holds = calibrationHolds(now.plate, plate)
      return {
        plate,
        efficiencyError: holds ? now.efficiencyError : PLATE_ERROR,
        calibratedAtMs: holds ? now.calibratedAtMs : null,
        readings: null,
      }
    })
    return c.json(saved, 200)
  })
  .openapi(postCalibration, async (c) => {
    const { version, readings } = c.req.valid('json')
    const { now: clock } = c.var.kitchen
    const saved = await save(c, c.req.valid('param').id, (now) => {
      if (now.version === version + 1 && isDeepStrictEqual(now.readings, readings)) return null
      if (now.version !== version) throw editedMeanwhile()
      const { station, result } = calibrate(now.plate, readings)
      if (result.implausible.length > 0) throw implausible(result.implausible)
      const plate: StationPlate = {
        ...now.plate,
        efficiency: station.efficiency,
        zoneShare: station.zoneShare ?? null,
        contact: station.contact ?? null,
      }
      const efficiencyError = readings.water ? result.efficiencyError : now.efficiencyError
      return { plate, efficiencyError, calibratedAtMs: Math.round(clock()), readings }
    })
    return c.json(saved, 200)
  })

type Change = Pick<StationVersion, 'plate' | 'efficiencyError' | 'calibratedAtMs' | 'readings'>

/** Saves what `change` makes of the newest version, as the next one; null changes nothing. */
async function save(
  c: Context<RequestEnv>,
  id: string,
  change: (newest: Awaited<ReturnType<typeof findPlate>>) => Change | null,
): Promise<StationPlateState> {
  const { pool, kitchenId, now, changed } = c.var.kitchen
  const { staffId } = byOf(c)
  const { station } = await stationOf(pool, kitchenId, id)
  const saved = await inTransaction(pool, async (connection: PoolConnection) => {
    await lockStation(connection, kitchenId, id)
    const newest = await findPlate(connection, kitchenId, station)
    const next = change(newest)
    if (next === null) return stateOf(newest)
    const one = { ...next, stationId: id, version: newest.version + 1, savedAtMs: Math.round(now()), staffId }
    await insertStationVersion(connection, kitchenId, one)
    await announce(connection, kitchenId, now(), [{ topic: 'kitchen', key: id }])
    return stateOf(one)
  })
  changed()
  return saved
}

function implausible(all: readonly Implausible[]): Problem {
  const faults = all.map(({ reading, why }) => ({ field: FIELD[reading], message: SAYS[why] }))
  return new Problem('invalid', { detail: `${faults[0]?.field}: ${faults[0]?.message}`, faults })
}
