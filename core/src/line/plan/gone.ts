import type { Component, Dish } from '../../book/dish'
import type { Allergen } from '../../book/ingredient'
import type { AllergenList } from '../../book/allergens'
import { varyDish } from '../../book/variation/vary'
import type { LineWishes } from './wishes'

/** What a component is made of, whichever dish it stands in: its row of the table, its sub-recipe, or itself. */
export const matterOf = (component: Pick<Component, 'id' | 'ingredientId' | 'recipeId'>): string =>
  component.ingredientId ?? component.recipeId ?? component.id

/** Why an order cannot be served: the dish is off, or a component that the order has. Null where nothing of it is. */
export type GoneBecause = { kind: 'dish' } | { kind: 'component'; name: string } | null

/** Whether what was ordered is 86: the dish itself, or something in it that no modifier of the order takes out. */
export function goneBecause(
  dish: Dish,
  { modifiers, allergies }: { modifiers: readonly string[]; allergies: readonly Allergen[] },
  { goneDishes, goneMatters }: Pick<LineWishes, 'goneDishes' | 'goneMatters'>,
  list: AllergenList,
): GoneBecause {
  if (goneDishes.includes(dish.id)) return { kind: 'dish' }
  if (goneMatters.length === 0) return null
  const varied = varyDish(dish, modifiers, allergies, list)
  const components = varied.kind === 'varied' ? varied.components : dish.components
  const gone = components.find((one) => goneMatters.includes(matterOf(one)))
  return gone ? { kind: 'component', name: gone.name } : null
}
