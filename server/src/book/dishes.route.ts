import { z } from '@hono/zod-openapi'
import { Dish, DishDraft, DishImported, DishImportQuery, DishList, DishVersions, PutDish } from 'contract/dish'
import { Slug } from 'contract/ids'
import type { PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { editedMeanwhile, nameTaken } from '../http/conflict'
import { json, jsonBody, newRouter, type KitchenContext } from '../http/context'
import { Problem } from '../http/problems'
import { dishFromLines, readDishLines } from './files/dish.csv'
import { listDishes, listDishVersions, lockDish, saveDish } from './dishes.sql'
import { readShelf, resolveDish } from './shelf'
import { onlyFor } from '../people/onlyFor'

const params = z.object({ id: Slug })

const getDishes = onlyFor('read', {
  method: 'get',
  path: '/dishes',
  responses: { 200: json(DishList, 'The newest version of every dish') },
})
const getVersions = onlyFor('read', {
  method: 'get',
  path: '/dishes/{id}/versions',
  request: { params },
  responses: { 200: json(DishVersions, 'Every version of a dish, newest first') },
})
const putDish = onlyFor('writeBook', {
  method: 'put',
  path: '/dishes/{id}',
  request: { params, body: jsonBody(PutDish) },
  responses: { 200: json(Dish, 'The dish as its next version, if nobody else saved one meanwhile') },
})
const deleteDish = onlyFor('writeBook', {
  method: 'delete',
  path: '/dishes/{id}',
  request: { params, query: z.object({ version: z.coerce.number().int().positive() }) },
  responses: { 200: json(DishList, 'The book without it; runs keep the version they cooked') },
})
const importDish = onlyFor('writeBook', {
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

const save = async (context: KitchenContext, work: (connection: PoolConnection) => Promise<Dish>): Promise<Dish> => {
  const { pool, kitchenId, now, changed } = context
  const saved = await inTransaction(pool, async (connection) => {
    const dish = await work(connection)
    await announce(connection, kitchenId, now(), [{ topic: 'book', key: dish.id }])
    return dish
  })
  changed()
  return saved
}

export const dishRoutes = newRouter()
  .openapi(getDishes, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json({ dishes: await listDishes(pool, kitchenId) }, 200)
  })
  .openapi(getVersions, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json({ versions: await listDishVersions(pool, kitchenId, c.req.valid('param').id) }, 200)
  })
  .openapi(putDish, async (c) => {
    const { kitchenId, now } = c.var.kitchen
    const { version, dish } = c.req.valid('json')
    if (dish.id !== c.req.valid('param').id)
      throw new Problem('invalid', { detail: `the address says ${c.req.valid('param').id}, the dish ${dish.id}` })
    const saved = await save(c.var.kitchen, async (connection) => {
      const draft = resolveDish(dish, await readShelf(connection, kitchenId))
      const known = await lockDish(connection, kitchenId, dish.id)
      if (version === 0 && known.version > 0) throw nameTaken(dish.name)
      if (known.version !== version) throw editedMeanwhile()
      return saveDish(connection, kitchenId, draft, now())
    })
    return c.json(saved, 200)
  })
  .openapi(deleteDish, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    const { id } = c.req.valid('param')
    const { version } = c.req.valid('query')
    await save(c.var.kitchen, async (connection) => {
      const dish = (await listDishes(connection, kitchenId)).find((one) => one.id === id)
      if (!dish) throw new Problem('unknown-dish', { detail: `no dish ${id} in the book` })
      if ((await lockDish(connection, kitchenId, id)).version !== version) throw editedMeanwhile()
      const { version: _version, ...draft } = dish
      return saveDish(connection, kitchenId, draft, now(), true)
    })
    return c.json({ dishes: await listDishes(pool, kitchenId) }, 200)
  })
  .openapi(importDish, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    const lines = await readDishLines(await c.req.arrayBuffer())
    const { rows } = await readShelf(pool, kitchenId)
    const { dish, unknownNames, rawNames } = dishFromLines(c.req.valid('query'), lines, rows)
    const draft = DishDraft.parse(dish)
    const saved = await save(c.var.kitchen, (connection) => saveDish(connection, kitchenId, draft, now()))
    return c.json({ dish: saved, unknownNames, rawNames }, 201)
  })
