import type { Ingredient } from 'contract/ingredient'
import { foodSaidById } from 'core/book/food'
import { readIngredients } from './table.csv'

export type ShippedIngredient = ReturnType<typeof readIngredients>[number]
let shipped: ShippedIngredient[] | null = null

/** The table that ships, read once. */
export const shippedIngredients = () => (shipped ??= readIngredients())

/** What a row from before the class was a field of it is at the wok: as it ships under its id; meat that is minced by its id. */
export const foodNotSaidThen = (row: { id: string; role: string }): Ingredient['food'] =>
  shippedIngredients().find(({ id }) => id === row.id)?.food ?? foodSaidById(row)

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
