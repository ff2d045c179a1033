import type { Ingredient } from 'contract/ingredient'
import { readIngredients } from './table.csv'

export type ShippedIngredient = ReturnType<typeof readIngredients>[number]
let shipped: ShippedIngredient[] | null = null

/** The table that ships, read once. */
export const shippedIngredients = () => (shipped ??= readIngredients())

/** What rows from before these columns say of them: what ships under their id, else that nobody knows. */
export function notSaidThen(
  allergens: Ingredient['allergens'],
  row: ShippedIngredient | undefined,
): Pick<Ingredient, 'allergensUs' | 'mayContain' | 'areAllergensKnown' | 'isReadyToEat'> {
  return {
    allergensUs: [...new Set([...allergens, ...(row?.allergensUs ?? [])])],
    mayContain: (row?.mayContain ?? []).filter((one) => !allergens.includes(one)),
    areAllergensKnown: row !== undefined,
    isReadyToEat: row?.isReadyToEat ?? null,
  }
}
