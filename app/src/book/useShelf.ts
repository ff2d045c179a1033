import { useQuery } from '@tanstack/react-query'
import { StyleList, TastingList } from 'contract/book'
import { IngredientList, type KitchenIngredient } from 'contract/ingredient'
import { RecipeList, type Recipe } from 'contract/recipe'
import type { Ingredient } from 'core/book/ingredient'
import { lookupIn, type Lookup } from 'core/book/balance/dishBalance'
import { explodeRecipe, shelveRecipes } from 'core/book/recipe/explode'
import { costOf, priceOn } from 'core/book/balance/cost'
import { indexIngredients, type IngredientIndex } from 'core/book/lookUp'
import { useMemo } from 'react'
import { getJson } from '../device/http'
import { useIsFresh } from './useIsFresh'

export const useIngredients = () =>
  useQuery({
    queryKey: ['book', 'ingredients'],
    queryFn: ({ signal }) => getJson('/ingredients', IngredientList, signal),
  })
export const useRecipes = () =>
  useQuery({ queryKey: ['book', 'recipes'], queryFn: ({ signal }) => getJson('/recipes', RecipeList, signal) })
export const useStyles = () =>
  useQuery({ queryKey: ['book', 'styles'], queryFn: ({ signal }) => getJson('/styles', StyleList, signal) })
export const useTastings = () =>
  useQuery({ queryKey: ['book', 'tastings'], queryFn: ({ signal }) => getJson('/tastings', TastingList, signal) })

/** Everything a dish is made of, ready to be looked up by id or by name. */
export type Shelf = {
  rows: readonly KitchenIngredient[]
  recipes: ReadonlyMap<string, Recipe>
  asIngredients: ReadonlyMap<string, Ingredient>
  lookup: Lookup
  index: IngredientIndex
  /** Cost of a mass of an ingredient or sub-recipe on a day; null where something in it has no price. */
  costOf: (id: { ingredientId?: string; recipeId?: string }, massG: number, day: string) => number | null
}

export function shelfOf(rows: readonly KitchenIngredient[], list: readonly Recipe[]): Shelf {
  const ingredients = new Map(rows.map((row) => [row.id, row]))
  const recipes = new Map(list.map((recipe) => [recipe.id, recipe]))
  const { asIngredients } = shelveRecipes({ ingredients, recipes })
  const cost: Shelf['costOf'] = ({ ingredientId, recipeId }, massG, day) => {
    const recipe = recipeId === undefined ? undefined : recipes.get(recipeId)
    const opened = recipe && explodeRecipe(recipe, { ingredients, recipes })
    const row = ingredientId === undefined ? undefined : ingredients.get(ingredientId)
    const parts =
      opened?.kind === 'exploded'
        ? opened.parts.map((part) => ({ ...part, massG: (part.massG * massG) / opened.yieldG }))
        : row
          ? [{ ingredient: row, massG }]
          : []
    if (parts.length === 0) return null
    return costOf(
      parts.map(({ ingredient, massG: partG }) => ({
        massG: partG,
        ediblePortion: ingredient.ediblePortion,
        name: ingredient.name,
        price: priceOn(ingredients.get(ingredient.id)?.prices ?? [], day),
      })),
    ).costMinor
  }
  return {
    rows,
    recipes,
    asIngredients,
    lookup: lookupIn(ingredients, asIngredients),
    index: indexIngredients([...asIngredients.values(), ...rows]),
    costOf: cost,
  }
}

/** The shelf once both lists are here. */
export function useShelf() {
  const ingredients = useIngredients()
  const recipes = useRecipes()
  const rows = ingredients.data?.ingredients
  const list = recipes.data?.recipes
  const shelf = useMemo(() => (rows && list ? shelfOf(rows, list) : null), [rows, list])
  const refetch = () => void Promise.all([ingredients.refetch(), recipes.refetch()])
  const isFresh = useIsFresh(ingredients, recipes)
  return { shelf, error: ingredients.error ?? recipes.error, refetch, isFresh }
}
