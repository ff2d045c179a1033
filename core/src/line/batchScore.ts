import { allergenListOf } from '../book/allergens'
import { batchComponents, type Batch, type BatchInput } from '../book/batchComponents'
import type { Dish } from '../book/dish'
import type { MeasureTools } from '../measure/practical'
import type { CookRules } from '../safety/limits'
import type { Score } from '../wok/score'
import { sequence } from '../wok/sequence'

/** The score of a batch, or why it cannot be cooked as ordered. */
export type BatchScore =
  | { kind: 'score'; score: Score; batch: Batch }
  | {
      kind: 'refused'
      reason: 'modifier' | 'allergen' | 'allergenUnknown' | 'rice' | 'eggSchool'
      names: string[]
    }

/** The score of a batch: what all portions get alike, and at the end what only some of them get. */
export function batchScore(dish: Dish, input: BatchInput, tools: MeasureTools, rules: CookRules): BatchScore {
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
  const { batch } = result
  const sequenced = sequence({
    dish,
    components: batch.shared.map(({ component }) => component),
    groups: batch.groups,
    riceMassG: batch.riceMassG,
    tools,
    rules,
  })
  switch (sequenced.kind) {
    case 'score':
      return { kind: 'score', score: sequenced.score, batch }
    case 'no-rice':
    case 'too-much':
      return { kind: 'refused', reason: 'rice', names: [] }
    case 'no-egg-school':
      return { kind: 'refused', reason: 'eggSchool', names: sequenced.names }
  }
}
