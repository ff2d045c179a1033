import type { BatchInput } from '../book/batchComponents'
import type { Dish } from '../book/dish'
import type { CookRules } from '../safety/limits'
import { orderedBatch, type OrderedBatch } from './batchScore'
import type { ProposedBatch } from './waiting'

/** What a batch is cooked by, whoever it is for. */
export const batchInputOf = ({
  modifiers,
  allergies,
  parts,
}: Pick<ProposedBatch, 'modifiers' | 'allergies'> & {
  parts: readonly { portions: number; modifiers: readonly string[] }[]
}): BatchInput => ({
  modifiers,
  allergies,
  parts: parts.map(({ portions, modifiers: own }) => ({ portions, modifiers: own })),
})

/** What batches take of everything; those that are alike but for their tickets share one. */
export function ordersOf(rules: CookRules) {
  const known = new Map<string, OrderedBatch>()
  return (dish: Dish, batch: ProposedBatch): OrderedBatch => {
    const input = batchInputOf(batch)
    const key = JSON.stringify([dish.id, input])
    const result = known.get(key) ?? orderedBatch(dish, input, rules)
    known.set(key, result)
    return result
  }
}
