import type { Component, Dish } from 'core/book/dish'
import type { Ingredient } from 'core/book/ingredient'
import { resolveLines, type DishLine } from 'core/book/resolve'
import { shelveRecipes } from 'core/book/recipe/explode'
import { standardOf } from 'core/book/variation/standard'
import { DISHES } from './dishes'
import { DEMO_RECIPES } from './recipes'

/** The sample dishes with what the ingredient table and the sub-recipes know of each component. */
export function demoDishes(ingredients: readonly Ingredient[]): Omit<Dish, 'version'>[] {
  const recipes = new Map(DEMO_RECIPES.map((draft) => [draft.id, { ...draft, version: 1 }]))
  const { asIngredients } = shelveRecipes({ ingredients: new Map(ingredients.map((row) => [row.id, row])), recipes })
  const rows = [...ingredients, ...asIngredients.values()]
  return DISHES.map(({ lines, egg, stationKind = 'wok', schools, bound = [], stages = {}, ...head }) => {
    const written = lines.map(([name, from, role, state, cut, ratioG]): DishLine => ({
      name,
      ingredientId: from.replace('recipe:', ''),
      role,
      state,
      cut,
      ratioG,
    }))
    const resolved = resolveLines(written, rows)
    const unknown = resolved.find((one) => !one.isKnown)
    if (unknown) throw new RangeError(`${head.id}: ${unknown.component.name} is not in the ingredient table`)
    const components = resolved.map(({ component: known }, i): Component => {
      const shares = stages[known.id]
      const component = shares ? { ...known, stages: shares } : known
      if (!lines[i]?.[1].startsWith('recipe:')) return component
      const { ingredientId: recipeId = '', ...rest } = component
      return { ...rest, recipeId, food: recipes.get(recipeId)?.food ?? rest.food }
    })
    const standard = standardOf(
      head.name,
      components.filter((one) => bound.includes(one.id)),
      0.15,
    )
    return {
      ...head,
      stationKind,
      schools: { ...(egg && { egg }), heat: 'full', ...schools },
      components,
      ...(bound.length > 0 && { standard }),
    }
  })
}
