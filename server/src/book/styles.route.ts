import { StyleList, Tasting, TastingList } from 'contract/book'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { placeInTime } from '../http/clockAhead'
import { json, jsonBody, newRouter } from '../http/context'
import { editedMeanwhile } from '../http/conflict'
import { findStyles, saveStyles } from './styles.sql'
import { addTasting, listTastings } from './tastings.sql'
import { onlyFor, saidFor, spokenBy } from '../people/onlyFor'

const getStyles = onlyFor('read', {
  method: 'get',
  path: '/styles',
  responses: { 200: json(StyleList, 'Styles with the bands that a dish of them is judged by') },
})
const putStyles = onlyFor('writeBook', {
  method: 'put',
  path: '/styles',
  request: { body: jsonBody(StyleList) },
  responses: { 200: json(StyleList, 'Changed, if nobody else did meanwhile') },
})
const getTastings = onlyFor('read', {
  method: 'get',
  path: '/tastings',
  responses: { 200: json(TastingList, 'What was tasted, newest first') },
})
const postTasting = saidFor('taste', {
  method: 'post',
  path: '/tastings',
  request: { body: jsonBody(Tasting) },
  responses: { 200: json(TastingList, 'Kept once, however often it is sent') },
})

export const styleRoutes = newRouter()
  .openapi(getStyles, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json(await findStyles(pool, kitchenId), 200)
  })
  .openapi(putStyles, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const list = c.req.valid('json')
    await inTransaction(pool, async (connection) => {
      if (!(await saveStyles(connection, kitchenId, list))) throw editedMeanwhile()
      await announce(connection, kitchenId, now(), [{ topic: 'book', key: '' }])
    })
    changed()
    return c.json(await findStyles(pool, kitchenId), 200)
  })
  .openapi(getTastings, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json({ tastings: await listTastings(pool, kitchenId) }, 200)
  })
  .openapi(postTasting, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const said = c.req.valid('json')
    await spokenBy(c, 'taste', said.atMs)
    const tasting = { ...said, atMs: placeInTime(said.atMs, now()) }
    await inTransaction(pool, async (connection) => {
      await addTasting(connection, kitchenId, tasting, now())
      await announce(connection, kitchenId, now(), [{ topic: 'book', key: tasting.dishId }])
    })
    changed()
    return c.json({ tastings: await listTastings(pool, kitchenId) }, 200)
  })
