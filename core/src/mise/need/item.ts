import { slugOf } from '../../book/resolve'
import type { Component, Cut } from '../../book/dish'
import type { RecipeLine } from '../../book/recipe/recipe'

/**
 * A thing of the mise, by id: a sub-recipe that is made, an ingredient in a cut, or an ingredient as it is bought. The id
 * says all of it, so that two dishes that want garlic minced 2 mm want one thing.
 */
export type ItemRef =
  | { kind: 'recipe'; recipeId: string }
  | { kind: 'cut'; ingredientId: string; cut: Cut }
  | { kind: 'ingredient'; ingredientId: string }

/** One id for an item, whatever it is. */
export function itemIdOf(ref: ItemRef): string {
  switch (ref.kind) {
    case 'recipe':
      return `recipe:${ref.recipeId}`
    case 'cut':
      return `cut:${ref.ingredientId}:${ref.cut.shape}${ref.cut.sizeMm === null ? '' : `-${ref.cut.sizeMm}`}`
    case 'ingredient':
      return `ingredient:${ref.ingredientId}`
  }
}

/** What a component or a line of a sub-recipe asks of the mise. A name nobody knows stands for itself. */
export function itemOf(line: Pick<Component | RecipeLine, 'name' | 'cut' | 'ingredientId' | 'recipeId'>): ItemRef {
  if (line.recipeId !== undefined) return { kind: 'recipe', recipeId: line.recipeId }
  const ingredientId = line.ingredientId ?? slugOf(line.name)
  return line.cut && line.cut.shape !== 'whole'
    ? { kind: 'cut', ingredientId, cut: line.cut }
    : { kind: 'ingredient', ingredientId }
}
