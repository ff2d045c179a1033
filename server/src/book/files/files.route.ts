import { z } from '@hono/zod-openapi'
import { JsonLdQuery, JsonLdReviewed, KitchenBrought, KitchenFile } from 'contract/book'
import { Slug } from 'contract/ids'
import { announce } from '../../db/outbox'
import { inTransaction } from '../../db/pool'
import { attachment, csvAttachment } from '../../http/attachment'
import { file, json, jsonBody, type KitchenContext, newRouter } from '../../http/context'
import { Problem } from '../../http/problems'
import { findKitchen } from '../../setup/kitchen.sql'
import { findScore } from '../../wok/deriveScore'
import { listDishes } from '../dishes.sql'
import { deviationsFrom } from 'core/book/variation/standard'
import { readShelf } from '../shelf'
import { dishesCsv } from './dishes.csv'
import { dishJsonLd } from './jsonld'
import { bringKitchenFile, kitchenFile } from './kitchenFile'
import { readJsonLd } from './readJsonLd'
import { onlyFor } from '../../people/onlyFor'

const params = z.object({ id: Slug })
/** A body that its reader takes apart itself: described by a plain schema, which is not validated before. */
const textBody = (types: readonly string[], description: string) => ({
  required: true as const,
  description,
  content: Object.fromEntries(types.map((type) => [type, { schema: { type: 'string' as const } }])),
})

const getJsonLd = onlyFor('read', {
  method: 'get',
  path: '/dishes/{id}/recipe.jsonld',
  request: { params },
  responses: file('application/ld+json', 'The dish as schema.org Recipe, one portion'),
})
const postJsonLd = onlyFor('writeBook', {
  method: 'post',
  path: '/book/recipe.jsonld',
  request: {
    query: JsonLdQuery,
    body: textBody(['application/ld+json', 'text/html'], 'JSON-LD, or a page that holds it'),
  },
  responses: { 200: json(JsonLdReviewed, 'Every line with what was understood; nothing is saved') },
})
const getCard = onlyFor('read', {
  method: 'get',
  path: '/dishes/{id}/card.pdf',
  request: { params, query: z.object({ portions: z.coerce.number().int().min(1).max(20).default(1) }) },
  responses: file('application/pdf', 'The station card: amounts of a batch and its score'),
})
const getLabel = onlyFor('read', {
  method: 'get',
  path: '/recipes/{id}/label.pdf',
  request: { params, query: z.object({ batches: z.coerce.number().positive().max(100).default(1) }) },
  responses: file('application/pdf', 'A label for what was made now: made, use by, allergens'),
})
const getDishesCsv = onlyFor('read', {
  method: 'get',
  path: '/dishes/dishes.csv',
  responses: file('text/csv', 'Every dish, a line a component'),
})
const getFile = onlyFor('read', {
  method: 'get',
  path: '/book/kitchen.json',
  responses: { 200: json(KitchenFile, 'The whole book of this kitchen') },
})
const putFile = onlyFor('price', {
  method: 'put',
  path: '/book/kitchen.json',
  request: { body: jsonBody(KitchenFile) },
  responses: { 200: json(KitchenBrought, 'How many were brought in') },
})

const scored = async (context: KitchenContext, id: string, portions: number) => {
  const { pool, kitchenId } = context
  const kitchen = await findKitchen(pool, kitchenId)
  const dish = (await listDishes(pool, kitchenId)).find((one) => one.id === id)
  if (!dish || !kitchen) throw new Problem('unknown-dish', { detail: `no dish ${id} in the book` })
  const station = kitchen.stations.find((one) => one.kind === dish.stationKind)
  const batch = { modifiers: [], allergies: [], parts: [{ portions, modifiers: [] }] }
  return { dish, kitchen, score: station ? findScore(kitchen, { dish, batch, station }) : null }
}

export const fileRoutes = newRouter()
  .openapi(getDishesCsv, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.body(dishesCsv(await listDishes(pool, kitchenId)), 200, csvAttachment('dishes.csv'))
  })
  .openapi(getJsonLd, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const { dish, kitchen, score } = await scored(c.var.kitchen, c.req.valid('param').id, 1)
    const { lookup } = await readShelf(pool, kitchenId)
    const text = JSON.stringify(dishJsonLd(dish, lookup, kitchen.tools, score), null, 2)
    return c.body(text, 200, attachment('application/ld+json', `${dish.id}.jsonld`))
  })
  .openapi(postJsonLd, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const kitchen = await findKitchen(pool, kitchenId)
    const { rows } = await readShelf(pool, kitchenId)
    const system = c.req.valid('query').system ?? kitchen?.tools.system ?? 'us'
    return c.json({ recipes: readJsonLd(await c.req.text(), rows, system) }, 200)
  })
  .openapi(getCard, async (c) => {
    const { portions } = c.req.valid('query')
    const { dish, kitchen, score } = await scored(c.var.kitchen, c.req.valid('param').id, portions)
    if (!score) throw new Problem('unknown-dish', { detail: `${dish.name} has no score: it needs rice` })
    const broken = dish.standard ? deviationsFrom(dish.standard, dish.components).map((one) => one.name) : []
    const pdf = await c.var.kitchen.draw('stationCard', dish, portions, score, kitchen, broken)
    return c.body(pdf, 200, attachment('application/pdf', `${dish.id}.pdf`))
  })
  .openapi(getLabel, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    const shelf = await readShelf(pool, kitchenId)
    const recipe = shelf.list.find((one) => one.id === c.req.valid('param').id)
    const kitchen = await findKitchen(pool, kitchenId)
    if (!recipe || !kitchen) throw new Problem('not-found', { detail: 'no such sub-recipe: look in the book' })
    const pdf = await c.var.kitchen.draw(
      'recipeLabel',
      recipe,
      shelf.lookup({ recipeId: recipe.id }),
      c.req.valid('query').batches,
      kitchen,
      now(),
    )
    return c.body(pdf, 200, attachment('application/pdf', `${recipe.id}-label.pdf`))
  })
  .openapi(getFile, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json(await kitchenFile(pool, kitchenId), 200)
  })
  .openapi(putFile, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const book = c.req.valid('json')
    const brought = await inTransaction(pool, async (connection) => {
      const done = await bringKitchenFile(connection, c.var.kitchen, book)
      await announce(connection, kitchenId, now(), [{ topic: 'book', key: '' }])
      return done
    })
    changed()
    return c.json(brought, 200)
  })
