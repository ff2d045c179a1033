import type { AllergenList } from '../../book/allergens'
import { batchComponents, type BatchInput } from '../../book/batchComponents'
import type { Dish } from '../../book/dish'
import { itemIdOf, itemOf } from '../need/item'
import type { Usage } from './expected'

/** A run as far as stock is concerned: what was fired, of which dish, when. */
export type DrawnRun = Pick<BatchInput, 'modifiers' | 'parts'> & { firedAtMs: number }

/** What the wok drew, as it was ordered: what was left out, taken instead, added or taken more of, part by part [g]. */
export function usageOf<R extends DrawnRun>(
  runs: readonly R[],
  dishOf: (run: R) => Dish | undefined,
  list: AllergenList,
): Usage[] {
  return runs.flatMap((run) => {
    const dish = dishOf(run)
    if (!dish) return []
    const result = batchComponents(dish, { modifiers: run.modifiers, allergies: [], parts: run.parts }, list)
    if (result.kind !== 'batch') return []
    return result.batch.components.flatMap(({ component, massG }): Usage[] =>
      component.role === 'rice' ? [] : [{ itemId: itemIdOf(itemOf(component)), atMs: run.firedAtMs, massG }],
    )
  })
}
