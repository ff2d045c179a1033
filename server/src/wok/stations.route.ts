import { z } from '@hono/zod-openapi'
import { Slug } from 'contract/ids'
import { StationEvents, StationPasts } from 'contract/station'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { placeInTime } from '../http/clockAhead'
import { json, jsonBody, newRouter } from '../http/context'
import { Problem } from '../http/problems'
import { insertStationEvent, listStationPasts } from './stations.sql'
import { onlyFor, saidFor, spokenAll } from '../people/onlyFor'

const getStations = onlyFor('read', {
  method: 'get',
  path: '/stations',
  responses: { 200: json(StationPasts, 'What each station last cooked, and when it was last washed') },
})
const postEvents = saidFor('cook', {
  method: 'post',
  path: '/stations/{id}/events',
  request: { params: z.object({ id: Slug }), body: jsonBody(StationEvents) },
  responses: { 200: json(StationPasts, 'The stations afterwards; each id is taken once') },
})

export const stationRoutes = newRouter()
  .openapi(getStations, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json({ stations: await listStationPasts(pool, kitchenId) }, 200)
  })
  .openapi(postEvents, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const { id } = c.req.valid('param')
    const said = c.req.valid('json').events.map((one) => ({ ...one, atMs: placeInTime(one.atMs, now()) }))
    const events = await spokenAll(c, said, () => 'cook')
    if (events.some((event) => event.stationId !== id))
      throw new Problem('invalid', { detail: 'an event names another station: send it to that station' })
    const known = await listStationPasts(pool, kitchenId)
    if (!known.some((station) => station.stationId === id))
      throw new Problem('unknown-station', {
        detail: `no station "${id}": use one of ${known.map((station) => station.stationId).join(', ')}`,
      })
    await inTransaction(pool, async (connection) => {
      for (const event of events) await insertStationEvent(connection, kitchenId, event, now())
      await announce(connection, kitchenId, now(), [{ topic: 'runs', key: '' }])
    })
    changed()
    return c.json({ stations: await listStationPasts(pool, kitchenId) }, 200)
  })
