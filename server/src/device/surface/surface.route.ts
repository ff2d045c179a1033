import { z } from '@hono/zod-openapi'
import { SurfaceReading } from 'contract/devices'
import { Slug } from 'contract/ids'
import type { StationPlate } from 'contract/stationPlate'
import { HANDLINGS } from 'core/wok/heat/parameters'
import { json, newRouter, type KitchenContext } from '../../http/context'
import { findPlate } from '../../setup/station/plates.sql'
import { stationOf } from '../../setup/station/stationOf'
import { needInstrument, NO_INSTRUMENT } from '../needInstrument'
import { simulatedSurface } from './simulatedSurface'
import { onlyFor } from '../../people/onlyFor'

const getDry = onlyFor('read', {
  method: 'get',
  path: '/surface-thermometer/dry',
  request: { query: z.object({ stationId: Slug, seconds: z.coerce.number().min(0).max(1800) }) },
  responses: {
    200: json(SurfaceReading, 'What the thermometer shows on the dry vessel, so long after the flame was opened'),
    ...NO_INSTRUMENT,
  },
})
const getLoad = onlyFor('read', {
  method: 'get',
  path: '/surface-thermometer/load',
  request: {
    query: z.object({
      stationId: Slug,
      massG: z.coerce.number().min(50).max(5000),
      riceTempC: z.coerce.number().min(0).max(40),
      startMetalC: z.coerce.number().min(100).max(350),
      atS: z.coerce.number().min(10).max(300),
      handling: z.enum(HANDLINGS),
    }),
  },
  responses: {
    200: json(SurfaceReading, 'What the thermometer shows on the bared metal, so long after a load'),
    ...NO_INSTRUMENT,
  },
})

async function plateOf({ pool, kitchenId }: KitchenContext, stationId: string): Promise<StationPlate> {
  await needInstrument(pool, kitchenId, 'surface')
  const { station } = await stationOf(pool, kitchenId, stationId)
  return (await findPlate(pool, kitchenId, station)).plate
}

/** A seed that is the same for a station whenever it is asked. */
const seedOf = (stationId: string) => [...stationId].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) | 0, 7)

export const surfaceRoutes = newRouter()
  .openapi(getDry, async (c) => {
    const { stationId, seconds } = c.req.valid('query')
    const plate = await plateOf(c.var.kitchen, stationId)
    const surface = simulatedSurface(plate, seedOf(stationId), { kind: 'dry', seconds }, c.var.kitchen.now())
    return c.json({ tempC: await surface.read() }, 200)
  })
  .openapi(getLoad, async (c) => {
    const { stationId, ...load } = c.req.valid('query')
    const plate = await plateOf(c.var.kitchen, stationId)
    const surface = simulatedSurface(plate, seedOf(stationId), { kind: 'load', ...load }, c.var.kitchen.now())
    return c.json({ tempC: await surface.read() }, 200)
  })
