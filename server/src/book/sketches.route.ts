import { DishDraft, DishList } from 'contract/dish'
import { Sketch, SketchList } from 'contract/house'
import { demoDishes } from '../demo/demoDishes'
import { DEMO_RECIPES } from '../demo/recipes'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { json, jsonBody, newRouter } from '../http/context'
import { Problem } from '../http/problems'
import { onlyFor } from '../people/onlyFor'
import { freeId } from '../setup/freeId'
import { listDishes, saveDish } from './dishes.sql'
import { shippedIngredients } from './ingredient/shipped'
import { listRecipes, saveRecipe } from './recipe/recipes.sql'

const getSketches = onlyFor('read', {
  method: 'get',
  path: '/sketches',
  responses: { 200: json(SketchList, 'Sample dishes that a book may begin with, as sketches to change') },
})
const postSketch = onlyFor('writeBook', {
  method: 'post',
  path: '/sketches',
  request: { body: jsonBody(Sketch) },
  responses: { 201: json(DishList, 'The book with the sketch as a dish of its own, and what is made ahead for it') },
})

/** Sample dishes as sketches: what is taken is the kitchen's own from then on. */
export const sketchRoutes = newRouter()
  .openapi(getSketches, (c) =>
    c.json(
      {
        sketches: demoDishes(shippedIngredients()).map(({ id, name, stationKind }) => ({
          dishId: id,
          name,
          stationKind,
        })),
      },
      200,
    ),
  )
  .openapi(postSketch, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const { dishId } = c.req.valid('json')
    const sketch = demoDishes(shippedIngredients()).find(({ id }) => id === dishId)
    if (!sketch) throw new Problem('unknown-dish', { detail: `no sketch "${dishId}"`, values: { dish: dishId } })
    await inTransaction(pool, async (connection) => {
      const known = new Set((await listRecipes(connection, kitchenId)).map(({ id }) => id))
      for (const recipe of recipesOf(sketch))
        if (!known.has(recipe.id)) await saveRecipe(connection, kitchenId, recipe, now())
      const taken = new Set((await listDishes(connection, kitchenId)).map(({ id }) => id))
      const id = await freeId(sketch.id, 'dish', (one) => Promise.resolve(taken.has(one)))
      await saveDish(connection, kitchenId, DishDraft.parse({ ...sketch, id }), now())
      await announce(connection, kitchenId, now(), [{ topic: 'book', key: id }])
    })
    changed()
    return c.json({ dishes: await listDishes(pool, kitchenId) }, 201)
  })

/** What is made ahead for a dish, and for that in turn; parts stand before what they are in. */
function recipesOf({ components }: ReturnType<typeof demoDishes>[number]) {
  const wanted = new Set(components.flatMap(({ recipeId }) => recipeId ?? []))
  const found = DEMO_RECIPES.filter(({ id }) => wanted.has(id))
  return DEMO_RECIPES.filter(
    ({ id }) => wanted.has(id) || found.some((recipe) => JSON.stringify(recipe).includes(`"recipeId":"${id}"`)),
  )
}
