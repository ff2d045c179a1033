import type { AllergenList } from '../../book/allergens'
import { batchComponents, type BatchInput } from '../../book/batchComponents'
import type { Component, Dish } from '../../book/dish'
import { itemIdOf, itemOf, type ItemRef } from '../need/item'
import type { Usage } from './expected'

/** A run as far as stock is concerned: what was fired, of which dish, when, and what ran out at the wok. */
export type DrawnRun = Pick<BatchInput, 'modifiers' | 'parts'> & { firedAtMs: number; ranOut?: readonly RanOut[] }
/** A component that ran out in mid-run; null where nothing stood in for it. */
export type RanOut = { componentId: string; ingredientId: string | null }

/**
 * What the wok drew, as it was ordered: what was left out, taken instead, added or taken more of, part by part [g]. What ran
 * out was not drawn; what stood in for it was, by the same mass.
 * @param known the things of the mise, so that a stand-in is drawn in a form that the kitchen has
 */
export function usageOf<R extends DrawnRun>(
  runs: readonly R[],
  dishOf: (run: R) => Dish | undefined,
  list: AllergenList,
  known: readonly ItemRef[] = [],
): Usage[] {
  return runs.flatMap((run) => {
    const ranOut = new Map(run.ranOut?.map(({ componentId, ingredientId }) => [componentId, ingredientId]))
    const dish = dishOf(run)
    if (!dish) return []
    const result = batchComponents(dish, { modifiers: run.modifiers, allergies: [], parts: run.parts }, list)
    if (result.kind !== 'batch') return []
    return result.batch.components.flatMap(({ component, massG }): Usage[] => {
      const standIn = ranOut.get(component.id)
      if (component.role === 'rice' || standIn === null) return []
      const item = standIn === undefined ? itemOf(component) : inAForm(standIn, component, known)
      return [{ itemId: itemIdOf(item), atMs: run.firedAtMs, massG }]
    })
  })
}

/** An ingredient as the mise has it: in this cut if it is there so, else in the first form it has, else as it is bought. */
function inAForm(ingredientId: string, { name, cut }: Component, known: readonly ItemRef[]): ItemRef {
  const forms = known.filter((one) => one.kind !== 'recipe' && one.ingredientId === ingredientId)
  const asked = itemIdOf(itemOf({ name, cut, ingredientId }))
  return forms.find((one) => itemIdOf(one) === asked) ?? forms[0] ?? { kind: 'ingredient', ingredientId }
}
