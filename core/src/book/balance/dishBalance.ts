import type { Component } from '../dish'
import type { Ingredient } from '../ingredient'
import { componentMassG } from '../scale'
import type { BalancePart } from './balance'

/** Where a component's composition comes from: a row of the table or a sub-recipe opened up. */
export type Lookup = (component: Pick<Component, 'ingredientId' | 'recipeId'>) => Ingredient | null

/** Finds the ingredient behind a component, or the sub-recipe as an ingredient. */
export const lookupIn =
  (ingredients: ReadonlyMap<string, Ingredient>, recipes: ReadonlyMap<string, Ingredient>): Lookup =>
  ({ ingredientId, recipeId }) => {
    if (recipeId !== undefined) return recipes.get(recipeId) ?? null
    return ingredientId === undefined ? null : (ingredients.get(ingredientId) ?? null)
  }

/** A batch of a dish as parts of a balance [g], and the names that the table does not know. */
export function partsOf(
  components: readonly Component[],
  riceMassG: number,
  portionRiceG: number,
  lookup: Lookup,
): { parts: BalancePart[]; unknown: string[] } {
  const unknown: string[] = []
  const parts = components.flatMap((component): BalancePart[] => {
    const ingredient = lookup(component)
    const { id, name, role } = component
    if (!ingredient) unknown.push(name)
    return ingredient ? [{ id, name, role, ingredient, massG: componentMassG(component, riceMassG, portionRiceG) }] : []
  })
  return { parts, unknown }
}
