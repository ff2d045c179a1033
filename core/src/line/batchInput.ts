import type { BatchInput } from '../book/batchComponents'
import type { Dish } from '../book/dish'
import type { CookRules } from '../safety/limits'
import { orderedBatch, type OrderedBatch } from './orderedBatch'
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

/** So many batches of a dish are kept; when there are more, all are worked out anew. */
const MOST_KEPT = 400
const kept = new WeakMap<Dish, Map<string, OrderedBatch>>()

/**
 * What batches take of everything; those that are alike but for their tickets share one, and so does the line of the next second:
 * a dish that changed is another object.
 */
export function ordersOf(rules: CookRules) {
  const { ruleSet } = rules
  return (dish: Dish, batch: ProposedBatch): OrderedBatch => {
    const input = batchInputOf(batch)
    const key = `${ruleSet} ${JSON.stringify(input)}`
    let known = kept.get(dish)
    if (!known || known.size >= MOST_KEPT) kept.set(dish, (known = new Map<string, OrderedBatch>()))
    const result = known.get(key) ?? orderedBatch(dish, input, rules)
    known.set(key, result)
    return result
  }
}
