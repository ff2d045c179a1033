import { z } from '@hono/zod-openapi'
import { Slug } from 'contract/ids'
import { IngredientList, Price, PriceImported, PutIngredient } from 'contract/ingredient'
import type { Context } from 'hono'
import type { PoolConnection } from 'mysql2/promise'
import { csvAttachment } from '../../http/attachment'
import { editedMeanwhile } from '../../http/conflict'
import { json, jsonBody, newRouter, type KitchenContext, type RequestEnv } from '../../http/context'
import { Problem } from '../../http/problems'
import { currencyOf } from '../../setup/kitchen.sql'
import { changeShelf } from '../changeShelf'
import { listDishes } from '../dishes.sql'
import { readShelf, usesOf } from '../shelf'
import { ingredientsCsv, pricesCsv, readIngredientsCsv, readPricesCsv } from './ingredients.csv'
import { listIngredients, removeIngredient, saveIngredient, savePrices } from './ingredients.sql'
import { shippedIngredients } from './shipped'
import { noteChange } from '../../people/audit.sql'
import { byOf, onlyFor } from '../../people/onlyFor'

const params = z.object({ id: Slug })
const csvBody = (description: string) => ({
  required: true as const,
  description,
  content: { 'text/csv': { schema: z.string() } },
})
const csvFile = (description: string) => ({ 200: { content: { 'text/csv': { schema: z.string() } }, description } })

const getIngredients = onlyFor('read', {
  method: 'get',
  path: '/ingredients',
  responses: { 200: json(IngredientList, 'The table as this kitchen has it, sources and prices in every row') },
})
const putIngredient = onlyFor('writeBook', {
  method: 'put',
  path: '/ingredients/{id}',
  request: { params, body: jsonBody(PutIngredient) },
  responses: { 200: json(IngredientList, 'Saved; dishes that it changes have their next version') },
})
const deleteIngredient = onlyFor('writeBook', {
  method: 'delete',
  path: '/ingredients/{id}',
  request: { params },
  responses: { 200: json(IngredientList, 'The row of the kitchen is gone; what ships under that name holds again') },
})
const postPrice = onlyFor('price', {
  method: 'post',
  path: '/ingredients/{id}/prices',
  request: { params, body: jsonBody(Price) },
  responses: { 200: json(IngredientList, 'The price holds from its day on') },
})
const getCsv = onlyFor('read', {
  method: 'get',
  path: '/ingredients/table.csv',
  responses: csvFile('The ingredient table, a line a row, as it can be brought in again'),
})
const postCsv = onlyFor('writeBook', {
  method: 'post',
  path: '/ingredients/table.csv',
  request: { body: csvBody('The columns of the exported table; rows are the kitchen’s own from then on') },
  responses: { 200: json(PriceImported, 'Rows taken in') },
})
const getPricesCsv = onlyFor('read', {
  method: 'get',
  path: '/ingredients/prices.csv',
  responses: csvFile('Every price with its first day'),
})
const postPricesCsv = onlyFor('price', {
  method: 'post',
  path: '/ingredients/prices.csv',
  request: { body: csvBody('ingredient, fromDay, pack, packG, price (in the currency, with its own decimals)') },
  responses: { 200: json(PriceImported, 'Prices taken in') },
})

const change = async (context: KitchenContext, work: (connection: PoolConnection) => Promise<void>) => {
  const { pool, kitchenId } = context
  await changeShelf(context, work)
  return { ingredients: await listIngredients(pool, kitchenId) }
}

const known = async (context: KitchenContext, id: string) => {
  const { pool, kitchenId } = context
  const row = (await listIngredients(pool, kitchenId)).find((one) => one.id === id)
  if (!row)
    throw new Problem('unknown-ingredient', { detail: `no ingredient ${id}: add it first`, values: { name: id } })
  return row
}

export const ingredientRoutes = newRouter()
  .openapi(getIngredients, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json({ ingredients: await listIngredients(pool, kitchenId) }, 200)
  })
  .openapi(getCsv, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.body(ingredientsCsv(await listIngredients(pool, kitchenId)), 200, csvAttachment('ingredients.csv'))
  })
  .openapi(getPricesCsv, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.body(
      pricesCsv(await listIngredients(pool, kitchenId), await currencyOf(pool, kitchenId)),
      200,
      csvAttachment('prices.csv'),
    )
  })
  .openapi(postCsv, async (c) => {
    const { kitchenId } = c.var.kitchen
    const rows = await readIngredientsCsv(await c.req.arrayBuffer())
    await change(c.var.kitchen, async (connection) => {
      const versions = new Map((await listIngredients(connection, kitchenId)).map((one) => [one.id, one.version]))
      for (const row of rows) await saveIngredient(connection, kitchenId, versions.get(row.id) ?? 0, row)
    })
    return c.json({ rows: rows.length }, 200)
  })
  .openapi(postPricesCsv, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const ids = new Set((await listIngredients(pool, kitchenId)).map((one) => one.id))
    const rows = await readPricesCsv(await c.req.arrayBuffer(), ids, await currencyOf(pool, kitchenId))
    await change(c.var.kitchen, async (connection) => {
      await savePrices(connection, kitchenId, rows)
      await notePrices(c, connection, `${rows.length} by CSV`, null)
    })
    return c.json({ rows: rows.length }, 200)
  })
  .openapi(putIngredient, async (c) => {
    const { kitchenId } = c.var.kitchen
    const { version, ingredient } = c.req.valid('json')
    const { id } = c.req.valid('param')
    if (ingredient.id !== id)
      throw new Problem('invalid', { detail: `the address says ${id}, the ingredient ${ingredient.id}` })
    const list = await change(c.var.kitchen, async (connection) => {
      if (!(await saveIngredient(connection, kitchenId, version, ingredient))) throw editedMeanwhile()
    })
    return c.json(list, 200)
  })
  .openapi(deleteIngredient, async (c) => {
    const { kitchenId } = c.var.kitchen
    const row = await known(c.var.kitchen, c.req.valid('param').id)
    const isShipped = shippedIngredients().some((one) => one.id === row.id)
    const list = await change(c.var.kitchen, async (connection) => {
      const { list: recipes } = await readShelf(connection, kitchenId)
      const uses = usesOf(row.id, await listDishes(connection, kitchenId), recipes)
      if (!isShipped && uses.length > 0) {
        const names = uses.join(', ')
        throw new Problem('ingredient-used', {
          detail: `${row.name} is used in ${names}: take it out there first`,
          values: { name: row.name, list: names },
        })
      }
      await removeIngredient(connection, kitchenId, row.id)
    })
    return c.json(list, 200)
  })
  .openapi(postPrice, async (c) => {
    const { kitchenId } = c.var.kitchen
    const row = await known(c.var.kitchen, c.req.valid('param').id)
    const price = c.req.valid('json')
    return c.json(
      await change(c.var.kitchen, async (connection) => {
        await savePrices(connection, kitchenId, [{ ingredientId: row.id, price }])
        await notePrices(c, connection, row.name, JSON.stringify(price))
      }),
      200,
    )
  })

const notePrices = (c: Context<RequestEnv>, connection: PoolConnection, subject: string, became: string | null) =>
  noteChange(connection, c.var.kitchen.kitchenId, byOf(c), { what: 'price', subject, became }, c.var.kitchen.now())
