import type { Cut, Role, State } from '../dish'
import type { Food } from '../food'

/** What can be made ahead. */
export const RECIPE_KINDS = ['sauce', 'marinade', 'paste', 'butter', 'toasted', 'stock', 'other'] as const
export type RecipeKind = (typeof RECIPE_KINDS)[number]
/** Where something made ahead is kept. */
export const KEEPS = ['fridge', 'room', 'freezer'] as const

/** One thing in a sub-recipe: a row of the ingredient table or another sub-recipe, in grams a batch. */
export type RecipeLine = {
  id: string
  name: string
  massG: number
  cut: Cut | null
  ingredientId?: string
  recipeId?: string
  written?: string
}

/** What is made ahead and goes into dishes by mass: a sauce, a marinade on its meat, a paste, a compound butter. */
export type Recipe = {
  id: string
  version: number
  name: string
  kind: RecipeKind
  /** What it is in a dish, and at the wok. */
  role: Role
  state: State
  food: Food
  lines: readonly RecipeLine[]
  /** What is left of the sum after cooking or draining [g/g]. */
  yieldFraction: number
  shelfLifeH: number
  keep: (typeof KEEPS)[number]
  /** Weighed once; absent where it follows from its parts. */
  gPerML?: number
  /** The line that the others are a share of: the meat of a marinade. */
  baseLineId?: string
}
