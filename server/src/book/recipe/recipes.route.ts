import { z } from '@hono/zod-openapi'
import { Slug } from 'contract/ids'
import { PutRecipe, RecipeList } from 'contract/recipe'
import type { PoolConnection } from 'mysql2/promise'
import { editedMeanwhile, nameTaken } from '../../http/conflict'
import { json, jsonBody, newRouter, type KitchenContext } from '../../http/context'
import { Problem } from '../../http/problems'
import { changeShelf } from '../changeShelf'
import { listDishes } from '../dishes.sql'
import { checkRecipe, readShelf, usesOf } from '../shelf'
import { listRecipes, lockRecipe, saveRecipe } from './recipes.sql'
import { onlyFor } from '../../people/onlyFor'

const params = z.object({ id: Slug })

const getRecipes = onlyFor('read', {
  method: 'get',
  path: '/recipes',
  responses: { 200: json(RecipeList, 'The newest version of every sub-recipe') },
})
const putRecipe = onlyFor('writeBook', {
  method: 'put',
  path: '/recipes/{id}',
  request: { params, body: jsonBody(PutRecipe) },
  responses: { 200: json(RecipeList, 'Saved as its next version; dishes that it changes have theirs') },
})
const deleteRecipe = onlyFor('writeBook', {
  method: 'delete',
  path: '/recipes/{id}',
  request: { params, query: z.object({ version: z.coerce.number().int().positive() }) },
  responses: { 200: json(RecipeList, 'The sub-recipes without it') },
})

const change = async (context: KitchenContext, work: (connection: PoolConnection) => Promise<unknown>) => {
  const { pool, kitchenId } = context
  await changeShelf(context, work)
  return { recipes: await listRecipes(pool, kitchenId) }
}

export const recipeRoutes = newRouter()
  .openapi(getRecipes, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json({ recipes: await listRecipes(pool, kitchenId) }, 200)
  })
  .openapi(putRecipe, async (c) => {
    const { kitchenId, now } = c.var.kitchen
    const { version, recipe } = c.req.valid('json')
    const list = await change(c.var.kitchen, async (connection) => {
      checkRecipe({ ...recipe, version: version + 1 }, await readShelf(connection, kitchenId))
      const known = await lockRecipe(connection, kitchenId, recipe.id)
      if (version === 0 && known.version > 0) throw nameTaken(recipe.name)
      if (known.version !== version) throw editedMeanwhile()
      await saveRecipe(connection, kitchenId, recipe, now())
    })
    return c.json(list, 200)
  })
  .openapi(deleteRecipe, async (c) => {
    const { kitchenId, now } = c.var.kitchen
    const { id } = c.req.valid('param')
    const list = await change(c.var.kitchen, async (connection) => {
      const { list: recipes } = await readShelf(connection, kitchenId)
      const recipe = recipes.find((one) => one.id === id)
      if (!recipe) throw new Problem('not-found', { detail: `no sub-recipe ${id}` })
      const uses = usesOf(id, await listDishes(connection, kitchenId), recipes)
      if (uses.length > 0) {
        const names = uses.join(', ')
        throw new Problem('recipe-used', {
          detail: `${recipe.name} is used in ${names}: take it out there first`,
          values: { name: recipe.name, list: names },
        })
      }
      if ((await lockRecipe(connection, kitchenId, id)).version !== c.req.valid('query').version)
        throw editedMeanwhile()
      const { version: _version, ...draft } = recipe
      await saveRecipe(connection, kitchenId, draft, now(), true)
    })
    return c.json(list, 200)
  })
