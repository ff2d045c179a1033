import { createRoute, z } from '@hono/zod-openapi'
import { DishImported, DishImportQuery, DishList } from 'contract/dish'
import type { Dish as CoreDish } from 'core/book/dish'
import { Dish } from 'contract/dish'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { json, newRouter, type Services } from '../http/context'
import { dishFromLines, readDishLines } from './dish.csv'
import { listDishes, saveDish } from './dishes.sql'
import { readIngredients } from './ingredients.csv'

const getDishes = createRoute({
  method: 'get',
  path: '/dishes',
  responses: { 200: json(DishList, 'The newest version of every dish') },
})

const importDish = createRoute({
  method: 'post',
  path: '/dishes/import',
  request: {
    query: DishImportQuery,
    body: {
      required: true,
      description: 'CSV (RFC 4180, UTF-8), a line a component: name, role, state, cut, g per 100 g rice',
      content: { 'text/csv': { schema: z.string() } },
    },
  },
  responses: { 201: json(DishImported, 'The dish as saved; names that the ingredient table does not know') },
})

export const dishRoutes = ({ pool, kitchenId, now, changed }: Services) =>
  newRouter()
    .openapi(getDishes, async (c) => c.json({ dishes: await listDishes(pool, kitchenId) }, 200))
    .openapi(importDish, async (c) => {
      const lines = readDishLines(await c.req.arrayBuffer())
      const { dish, unknownNames } = dishFromLines(c.req.valid('query'), lines, readIngredients())
      const draft = Dish.omit({ version: true }).parse(dish satisfies Omit<CoreDish, 'version'>)
      const saved = await inTransaction(pool, async (connection) => {
        const version = await saveDish(connection, kitchenId, draft, now())
        await announce(connection, kitchenId, now(), [{ topic: 'book', key: version.id }])
        return version
      })
      changed()
      return c.json({ dish: saved, unknownNames }, 201)
    })
