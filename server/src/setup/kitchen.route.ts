import { createRoute } from '@hono/zod-openapi'
import { Kitchen } from 'contract/kitchen'
import { json, newRouter, type Services } from '../http/context'
import { Problem } from '../http/problems'
import { findKitchen } from './kitchen.sql'

const getKitchen = createRoute({
  method: 'get',
  path: '/kitchen',
  responses: { 200: json(Kitchen, 'Stations, staff, measures and rice of the kitchen') },
})

export const kitchenRoutes = ({ pool, kitchenId }: Services) =>
  newRouter().openapi(getKitchen, async (c) => {
    const kitchen = await findKitchen(pool, kitchenId)
    if (!kitchen) throw new Problem('not-found', { detail: `no kitchen ${kitchenId}: start with npm start -- --fresh` })
    return c.json(kitchen, 200)
  })
