import { z } from '@hono/zod-openapi'
import { PlaceEdit, VesselEdit } from 'contract/house'
import { Slug } from 'contract/ids'
import { RiceHouse } from 'contract/riceHouse'
import type { Context } from 'hono'
import type { PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { json, jsonBody, newRouter, type RequestEnv } from '../http/context'
import { checkWas } from '../http/conflict'
import { Problem } from '../http/problems'
import { onlyFor } from '../people/onlyFor'
import { lockKitchen } from '../setup/kitchen.sql'
import { findRiceHouse, removeThing, savePlace, saveVessel } from './house.sql'

const params = z.object({ id: Slug })
const houseAnswer = (description: string) => ({ 200: json(RiceHouse, description) })

const putVessel = onlyFor('arrange', {
  method: 'put',
  path: '/rice/vessels/{id}',
  request: { params, body: jsonBody(VesselEdit) },
  responses: houseAnswer('The rice house with this vessel'),
})
const deleteVessel = onlyFor('arrange', {
  method: 'delete',
  path: '/rice/vessels/{id}',
  request: { params },
  responses: houseAnswer('The rice house without it; lots cooked in it stay as they were'),
})
const putPlace = onlyFor('arrange', {
  method: 'put',
  path: '/rice/places/{id}',
  request: { params, body: jsonBody(PlaceEdit) },
  responses: houseAnswer('The rice house with this place'),
})
const deletePlace = onlyFor('arrange', {
  method: 'delete',
  path: '/rice/places/{id}',
  request: { params },
  responses: houseAnswer('The rice house without it; lots that stood there keep its name'),
})

/** What rice is cooked in and where its trays stand, entered by the people of the kitchen. */
export const riceHouseRoutes = newRouter()
  .openapi(putVessel, async (c) => {
    const { id } = c.req.valid('param')
    const { was, ...draft } = c.req.valid('json')
    await change(c, async (connection, kitchenId) => {
      await lockKitchen(connection, kitchenId)
      const { vessels } = await findRiceHouse(connection, kitchenId)
      checkWas(
        was,
        vessels.find((one) => one.id === id),
      )
      await saveVessel(connection, kitchenId, id, draft)
    })
    return c.json(await house(c), 200)
  })
  .openapi(deleteVessel, async (c) => {
    const { id } = c.req.valid('param')
    await change(c, async (connection, kitchenId) => {
      if (!(await removeThing(connection, 'rice_vessel', kitchenId, id))) throw unknown('vessel', id)
    })
    return c.json(await house(c), 200)
  })
  .openapi(putPlace, async (c) => {
    const { id } = c.req.valid('param')
    const { was, ...draft } = c.req.valid('json')
    await change(c, async (connection, kitchenId) => {
      await lockKitchen(connection, kitchenId)
      const { places } = await findRiceHouse(connection, kitchenId)
      checkWas(
        was,
        places.find((one) => one.id === id),
      )
      await savePlace(connection, kitchenId, id, draft)
    })
    return c.json(await house(c), 200)
  })
  .openapi(deletePlace, async (c) => {
    const { id } = c.req.valid('param')
    await change(c, async (connection, kitchenId) => {
      if (!(await removeThing(connection, 'rice_place', kitchenId, id))) throw unknown('place', id)
    })
    return c.json(await house(c), 200)
  })

const house = (c: Context<RequestEnv>) => findRiceHouse(c.var.kitchen.pool, c.var.kitchen.kitchenId)

const unknown = (what: string, id: string) =>
  new Problem('not-found', { detail: `there is no ${what} "${id}": read the house again` })

async function change(
  c: Context<RequestEnv>,
  work: (connection: PoolConnection, kitchenId: string) => Promise<void>,
): Promise<void> {
  const { pool, kitchenId, now, changed } = c.var.kitchen
  await inTransaction(pool, async (connection) => {
    await work(connection, kitchenId)
    await announce(connection, kitchenId, now(), [{ topic: 'rice', key: '' }])
  })
  changed()
}
