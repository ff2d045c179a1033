import { z } from '@hono/zod-openapi'
import { Day } from 'contract/ids'
import { PutRicePlan, PutRicePolicy, RiceHouse, RicePlanDay, Tonight, type RicePolicy } from 'contract/riceHouse'
import { listDishes } from '../../book/dishes.sql'
import { announce } from '../../db/outbox'
import { inTransaction } from '../../db/pool'
import { editedMeanwhile } from '../../http/conflict'
import { json, jsonBody, newRouter, type KitchenContext } from '../../http/context'
import { Problem } from '../../http/problems'
import { readDemandCsv } from './demand.csv'
import { findRiceHouse, saveRicePolicy } from '../house.sql'
import { planOfDay, riceKitchen, tonightOf } from '../riceKitchen'
import { findPlan, saveDemand, savePlan } from './plan.sql'
import { onlyFor } from '../../people/onlyFor'

const params = z.object({ day: Day })

const getHouse = onlyFor('read', {
  method: 'get',
  path: '/rice/house',
  responses: { 200: json(RiceHouse, 'Vessels, places and how the house does its rice') },
})
const putPolicy = onlyFor('arrange', {
  method: 'put',
  path: '/rice/house',
  request: { body: jsonBody(PutRicePolicy) },
  responses: { 200: json(RiceHouse, 'Changed, if nobody else did meanwhile') },
})
const getPlan = onlyFor('read', {
  method: 'get',
  path: '/rice/plan/{day}',
  request: { params },
  responses: { 200: json(RicePlanDay, 'What the record expects of a day, and what a person knows better') },
})
const putPlan = onlyFor('plan', {
  method: 'put',
  path: '/rice/plan/{day}',
  request: { params, body: jsonBody(PutRicePlan) },
  responses: { 200: json(RicePlanDay, 'Changed, if nobody else did meanwhile') },
})
const getTonight = onlyFor('read', {
  method: 'get',
  path: '/rice/tonight',
  responses: { 200: json(Tonight, 'Rice still to be asked for tonight') },
})
const postDemand = onlyFor('plan', {
  method: 'post',
  path: '/rice/demand',
  request: { body: { required: true, content: { 'text/csv': { schema: z.string() } } } },
  responses: { 200: json(z.strictObject({ rows: z.int() }), 'Past portions taken into the record') },
})

const planDay = async (context: KitchenContext, day: string) => {
  const { pool, kitchenId, now } = context
  const { kitchen, house } = await riceKitchen(pool, kitchenId)
  return planOfDay(pool, kitchen, house, day, now())
}

const say = (context: KitchenContext, connection: Parameters<typeof announce>[0]) => {
  const { kitchenId, now } = context
  return announce(connection, kitchenId, now(), [{ topic: 'rice', key: '' }])
}

export const planRoutes = newRouter()
  .openapi(getHouse, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json(await findRiceHouse(pool, kitchenId), 200)
  })
  .openapi(putPolicy, async (c) => {
    const { pool, kitchenId, changed } = c.var.kitchen
    const { version, policy } = c.req.valid('json')
    checkVessel(policy, await findRiceHouse(pool, kitchenId))
    await inTransaction(pool, async (connection) => {
      if (!(await saveRicePolicy(connection, kitchenId, version, policy))) throw editedMeanwhile()
      await say(c.var.kitchen, connection)
    })
    changed()
    return c.json(await findRiceHouse(pool, kitchenId), 200)
  })
  .openapi(getPlan, async (c) => c.json(await planDay(c.var.kitchen, c.req.valid('param').day), 200))
  .openapi(putPlan, async (c) => {
    const { pool, kitchenId, changed } = c.var.kitchen
    const { day } = c.req.valid('param')
    const { version, edits } = c.req.valid('json')
    await inTransaction(pool, async (connection) => {
      const before = await findPlan(connection, kitchenId, day, true)
      if (before.version !== version) throw editedMeanwhile()
      await savePlan(connection, kitchenId, day, version + 1, edits)
      await say(c.var.kitchen, connection)
    })
    changed()
    return c.json(await planDay(c.var.kitchen, day), 200)
  })
  .openapi(getTonight, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    const { kitchen, house } = await riceKitchen(pool, kitchenId)
    return c.json(await tonightOf(pool, kitchen, house, now()), 200)
  })
  .openapi(postDemand, async (c) => {
    const { pool, kitchenId, changed } = c.var.kitchen
    const dishes = await listDishes(pool, kitchenId)
    const rows = await readDemandCsv(
      await c.req.arrayBuffer(),
      dishes.map((dish) => dish.id),
    )
    await inTransaction(pool, async (connection) => {
      await saveDemand(connection, kitchenId, rows, 'file')
      await say(c.var.kitchen, connection)
    })
    changed()
    return c.json({ rows: rows.length }, 200)
  })

function checkVessel(policy: RicePolicy, { vessels }: RiceHouse): void {
  if (vessels.length === 0 || vessels.some((vessel) => vessel.id === policy.vesselId)) return
  throw new Problem('unknown-place', {
    detail: `no vessel "${policy.vesselId}": use one of ${vessels.map((vessel) => vessel.id).join(', ')}`,
  })
}
