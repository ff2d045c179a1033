import { z } from '@hono/zod-openapi'
import { LabelPrinted } from 'contract/devices'
import { Kitchen, PutInstrument } from 'contract/kitchen'
import { INSTRUMENTS, withInstrument, type Instrument } from 'core/house/instruments'
import type { PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { json, jsonBody, newRouter } from '../http/context'
import { onlyFor } from '../people/onlyFor'
import { kitchenDates } from '../print/kitchenDates'
import { lockKitchen, saveInstruments } from '../setup/kitchen.sql'
import { kitchenOf } from '../setup/kitchenOf'
import { findFeed, saveFeed } from './feed/feed.sql'
import { printLabel } from './printer/printLabel'
import { findProbe, saveProbe } from './probe/probe.sql'

const putInstrument = onlyFor('arrange', {
  method: 'put',
  path: '/kitchen/instruments/{instrument}',
  request: { params: z.object({ instrument: z.enum(INSTRUMENTS) }), body: jsonBody(PutInstrument) },
  responses: { 200: json(Kitchen, 'The kitchen has the instrument, or has none: what it was doing ends') },
})
const postTry = onlyFor('prepare', {
  method: 'post',
  path: '/printer/try',
  responses: { 200: json(LabelPrinted, 'A label that says that it is a trial') },
})

export const instrumentRoutes = newRouter()
  .openapi(putInstrument, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const { instrument } = c.req.valid('param')
    const { has } = c.req.valid('json')
    await inTransaction(pool, async (connection) => {
      await lockKitchen(connection, kitchenId)
      const { instruments } = await kitchenOf(connection, kitchenId)
      await saveInstruments(connection, kitchenId, withInstrument(instruments, instrument, has))
      if (!has) await stop(connection, kitchenId, instrument)
      await announce(connection, kitchenId, now(), [
        { topic: 'kitchen', key: '' },
        { topic: 'feed', key: '' },
        { topic: 'rice', key: '' },
      ])
    })
    changed()
    return c.json(await kitchenOf(pool, kitchenId), 200)
  })
  .openapi(postTry, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    const kitchen = await kitchenOf(pool, kitchenId)
    const { dayTime } = kitchenDates(kitchen)
    const text = {
      name: 'TRIAL',
      grain: kitchen.name,
      cooked: `printed ${dayTime(now())}`,
      useBy: 'no food: throw away',
      mass: '',
      url: new URL(c.req.url).origin,
    }
    return c.json(await printLabel(c.var.kitchen, text, 1), 200)
  })

/** A probe that is gone reads no tray, and a feed that is gone sends nothing. */
async function stop(connection: PoolConnection, kitchenId: string, instrument: Instrument): Promise<void> {
  if (instrument === 'probe')
    await saveProbe(connection, kitchenId, { ...(await findProbe(connection, kitchenId, true)), lotId: null })
  if (instrument === 'feed')
    await saveFeed(connection, kitchenId, { ...(await findFeed(connection, kitchenId, true)), isOn: false })
}
