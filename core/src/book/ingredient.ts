import type { MeasuredIngredient } from '../measure/ingredient'

/**
 * An ingredient in a state, per 100 g edible. Sources and confidence stand in the row; allergens are codes of
 * `ALLERGENS`, conservative for usual recipes, and say nothing of traces.
 */
export type Ingredient = MeasuredIngredient & {
  id: string
  aliases: readonly string[]
  /** `role` or `role:group`, such as `protein:poultry`. */
  role: string
  state: string
  waterG: number
  fatG: number
  sugarsG: number
  sodiumMg: number
  freeLiquidFraction: number
  allergens: readonly Allergen[]
}

/** The 14 of Regulation (EU) 1169/2011, Annex II; they contain the nine that US law names. */
export const ALLERGENS = [
  'gluten',
  'crustacean',
  'egg',
  'fish',
  'peanut',
  'soy',
  'milk',
  'nut',
  'celery',
  'mustard',
  'sesame',
  'sulphite',
  'lupin',
  'mollusc',
] as const
export type Allergen = (typeof ALLERGENS)[number]
