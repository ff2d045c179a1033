import type { Dish, DishDraft } from 'contract/dish'
import type { KitchenIngredient } from 'contract/ingredient'
import type { Recipe } from 'contract/recipe'
import { refreshComponent } from 'core/book/resolve'
import type { Component } from 'core/book/dish'
import { lookupIn } from 'core/book/balance/dishBalance'
import { explodeRecipe, shelveRecipes, type BookShelf } from 'core/book/recipe/explode'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { Problem } from '../http/problems'
import { listDishes, saveDish } from './dishes.sql'
import { listIngredients } from './ingredient/ingredients.sql'
import { listRecipes } from './recipe/recipes.sql'

export type Shelf = BookShelf & {
  rows: KitchenIngredient[]
  list: Recipe[]
  lookup: ReturnType<typeof lookupIn>
}

/** Ingredients and sub-recipes of a kitchen, ready to be looked up. */
export async function readShelf(db: Db, kitchenId: string): Promise<Shelf> {
  return shelfOf(await listIngredients(db, kitchenId), await listRecipes(db, kitchenId))
}

export function shelfOf(rows: KitchenIngredient[], list: Recipe[]): Shelf {
  const ingredients = new Map(rows.map((row) => [row.id, row]))
  const recipes = new Map(list.map((one) => [one.id, one]))
  const { asIngredients } = shelveRecipes({ ingredients, recipes })
  return { ingredients, recipes, rows, list, lookup: lookupIn(ingredients, asIngredients) }
}

/**
 * A dish whose components say what table and sub-recipes say today.
 * @throws {Problem} unknown-ingredient
 */
export function resolveDish<D extends DishDraft>(draft: D, shelf: Shelf): D {
  const resolve = (component: Component) => {
    if (component.ingredientId === undefined && component.recipeId === undefined) return component
    const row = shelf.lookup(component)
    if (row) return refreshComponent(component, row)
    throw new Problem('unknown-ingredient', {
      detail: `${component.name} points to ${component.recipeId ?? component.ingredientId}, which is not in the table: choose one or add it`,
      values: { name: component.name },
    })
  }
  return {
    ...draft,
    components: draft.components.map(resolve),
    modifiers: draft.modifiers.map(({ swaps, adds, ...rest }) => ({
      ...rest,
      ...(swaps && { swaps: swaps.map(resolve) }),
      ...(adds && { adds: adds.map(resolve) }),
    })),
  }
}

/** Dishes that a changed ingredient or sub-recipe changes get their next version; their ids. */
export async function refreshDishes(connection: PoolConnection, kitchenId: string, nowMs: number): Promise<string[]> {
  const shelf = await readShelf(connection, kitchenId)
  const changed: string[] = []
  for (const dish of await listDishes(connection, kitchenId)) {
    const { version: _version, ...draft } = dish
    const resolved = resolveDish(draft, shelf)
    if (JSON.stringify(sorted(resolved)) === JSON.stringify(sorted(draft))) continue
    await saveDish(connection, kitchenId, resolved, nowMs)
    changed.push(dish.id)
  }
  return changed
}

/** The same object with its keys in order, so that two are compared by what they say. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted)
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, one]) => one !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, one]) => [key, sorted(one)]),
  )
}

/** Names of dishes and sub-recipes that use an ingredient or a sub-recipe. */
export function usesOf(id: string, dishes: readonly Dish[], recipes: readonly Recipe[]): string[] {
  const has = (one: { ingredientId?: string; recipeId?: string }) => one.ingredientId === id || one.recipeId === id
  return [
    ...dishes
      .filter((dish) =>
        [...dish.components, ...dish.modifiers.flatMap((each) => [...(each.swaps ?? []), ...(each.adds ?? [])])].some(
          has,
        ),
      )
      .map((dish) => dish.name),
    ...recipes.filter((recipe) => recipe.lines.some(has)).map((recipe) => recipe.name),
  ]
}

/**
 * Refuses a sub-recipe that contains itself or something that is not there, with the path.
 * @throws {Problem} recipe-cycle, recipe-missing
 */
export function checkRecipe(recipe: Recipe, shelf: Shelf): void {
  const recipes = new Map(shelf.recipes).set(recipe.id, recipe)
  for (const one of recipes.values()) {
    const exploded = explodeRecipe(one, { ingredients: shelf.ingredients, recipes })
    if (exploded.kind === 'cycle') {
      const path = exploded.path.join(' → ')
      throw new Problem('recipe-cycle', { detail: `it would contain itself: ${path}`, values: { path } })
    }
    if (exploded.kind === 'missing' && one.id === recipe.id) {
      const path = exploded.path.join(' → ')
      throw new Problem('recipe-missing', {
        detail: `${path} uses ${exploded.name}, which is not there: choose another`,
        values: { path, name: exploded.name },
      })
    }
  }
}
