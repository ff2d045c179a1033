import { allergenListOf } from '../book/allergens'
import { batchComponents, type Batch, type BatchInput } from '../book/batchComponents'
import type { Dish } from '../book/dish'
import type { CookRules } from '../safety/limits'

/** Why a batch cannot be cooked as ordered, whatever the station. */
export type BatchRefused = {
  kind: 'refused'
  reason: 'modifier' | 'allergen' | 'allergenUnknown' | 'rice'
  names: string[]
}
/** A batch that may be cooked, or why not. */
export type OrderedBatch = { kind: 'batch'; batch: Batch } | BatchRefused
/** The most rice [g] that any station of this trade holds: above it, a slipped digit is likelier than an order. */
const MAX_RICE_G = 20_000

/** What a batch takes of everything, or why it cannot be cooked as ordered. */
export function orderedBatch(dish: Dish, input: BatchInput, rules: CookRules): OrderedBatch {
  const result = batchComponents(dish, input, allergenListOf(rules.ruleSet))
  switch (result.kind) {
    case 'unknown-modifier':
    case 'removes-rice':
      return { kind: 'refused', reason: 'modifier', names: [result.modifierId] }
    case 'allergen-stays':
      return { kind: 'refused', reason: 'allergen', names: [result.allergen, ...result.components] }
    case 'allergen-unknown':
      return { kind: 'refused', reason: 'allergenUnknown', names: [result.allergen, ...result.components] }
    case 'batch':
  }
  const { shared, riceMassG } = result.batch
  const hasRice = shared.some(({ component }) => component.role === 'rice')
  if (!hasRice || !(riceMassG > 0) || riceMassG > MAX_RICE_G) return { kind: 'refused', reason: 'rice', names: [] }
  return result
}
