import { componentVerdict, type AllergenList } from '../book/allergens'
import type { Component, Dish } from '../book/dish'
import type { Allergen, Ingredient } from '../book/ingredient'
import { substitutesFor, type Substitute } from '../book/variation/substitutes'
import type { PracticalMeasure } from '../measure/practical'
import type { Step } from './score'

/** So many are offered at the flame. */
const MOST_OFFERED = 3

/**
 * What may stand in for a component in a batch, the closest first: of what the kitchen's dishes are made of and is not 86,
 * the same role and check, and free of every allergy of the batch by the table. None for what the table does not know.
 * @param isHere whether an ingredient is in the kitchen tonight
 */
export function standInsFor(
  component: Component,
  table: readonly Ingredient[],
  { allergies, list, isHere }: { allergies: readonly Allergen[]; list: AllergenList; isHere: (id: string) => boolean },
): Substitute[] {
  const row = table.find(({ id }) => id === component.ingredientId)
  if (!row) return []
  const here = table.filter(({ id }) => id === row.id || isHere(id))
  return substitutesFor(component, row, here)
    .filter((one) => staysFree(one.component, allergies, list))
    .slice(0, MOST_OFFERED)
}

/** Whether a component keeps a batch free of its allergies: known, and in none of them. */
export const staysFree = (component: Component, allergies: readonly Allergen[], list: AllergenList): boolean =>
  allergies.every((allergen) => componentVerdict(component, allergen, list) === 'free')

/** Ingredients that dishes are made of: what stands in a kitchen that cooks them. */
export const ingredientsOf = (dishes: readonly Pick<Dish, 'components'>[]): Set<string> =>
  new Set(dishes.flatMap(({ components }) => components.flatMap(({ ingredientId }) => ingredientId ?? [])))

/**
 * The steps with a stand-in where a component goes in or onto the plate from a step on: the same mass by the scale, since
 * spoons and counts were of the other; its check stays. What went in already keeps its name.
 */
export function standingIn(steps: readonly Step[], stepIndex: number, componentId: string, name: string): Step[] {
  return steps.map((step, index) => {
    if (index < stepIndex || !step.entries.some((one) => one.componentId === componentId)) return step
    const entries = step.entries.map((one) => {
      if (one.componentId !== componentId || (one.motion !== 'in' && one.motion !== 'plate')) return one
      return { ...one, name, measure: weighed(one.massG) }
    })
    return { ...step, entries }
  })
}

/** A mass by the scale: whole grams, tenths below ten. */
function weighed(massG: number): PracticalMeasure {
  const roundedG = massG >= 10 ? Math.round(massG) : Math.max(0.1, Math.round(massG * 10) / 10)
  return { tool: 'scale', name: '', count: roundedG, massG: roundedG, errorFraction: roundedG / massG - 1 }
}
