import { Feed } from 'contract/kitchen'
import { announce } from '../../db/outbox'
import { inTransaction } from '../../db/pool'
import { json, jsonBody, newRouter } from '../../http/context'
import { needInstrument } from '../needInstrument'
import { findFeed, saveFeed } from './feed.sql'
import { onlyFor } from '../../people/onlyFor'

const getFeed = onlyFor('read', {
  method: 'get',
  path: '/feed',
  responses: { 200: json(Feed, 'The simulated ticket feed') },
})

const putFeed = onlyFor('arrange', {
  method: 'put',
  path: '/feed',
  request: { body: jsonBody(Feed) },
  responses: { 200: json(Feed, 'Switched; the first boat lands when it is switched on') },
})

export const feedRoutes = newRouter()
  .openapi(getFeed, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const { isOn, seed } = await findFeed(pool, kitchenId)
    return c.json({ isOn, seed }, 200)
  })
  .openapi(putFeed, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const wanted = c.req.valid('json')
    if (wanted.isOn) await needInstrument(pool, kitchenId, 'feed')
    await inTransaction(pool, async (connection) => {
      const feed = await findFeed(connection, kitchenId, true)
      const isSame = feed.isOn && wanted.isOn && feed.seed === wanted.seed
      const startedAtMs = isSame ? feed.startedAtMs : now()
      const fedUntilMs = isSame ? feed.fedUntilMs : now()
      await saveFeed(connection, kitchenId, { ...wanted, startedAtMs, fedUntilMs })
      await announce(connection, kitchenId, now(), [{ topic: 'feed', key: '' }])
    })
    changed()
    return c.json(wanted, 200)
  })
