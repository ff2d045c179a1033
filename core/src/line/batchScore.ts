import type { Component, Dish } from '../book/dish'
import type { Allergen } from '../book/ingredient'
import { isLateModifier, varyDish } from '../book/vary'
import type { MeasureTools } from '../measure/practical'
import type { RuleSet } from '../safety/limits'
import type { Score } from '../wok/score'
import { sequence } from '../wok/sequence'
import type { BatchPart } from './batches'

export type BatchToCook = {
  dishId: string
  modifiers: readonly string[]
  allergies: readonly Allergen[]
  parts: readonly Pick<BatchPart, 'portions' | 'modifiers'>[]
}

export type BatchScore =
  { kind: 'score'; score: Score } | { kind: 'refused'; reason: 'modifier' | 'allergen' | 'rice'; names: string[] }

/**
 * The score of a batch. A late modifier of some portions (no peanut at the finish) takes that share out of the amount
 * and leaves the cooking alone.
 */
export function batchScore(dish: Dish, batch: BatchToCook, tools: MeasureTools, ruleSet: RuleSet): BatchScore {
  const varied = varyDish(dish, batch.modifiers, batch.allergies)
  switch (varied.kind) {
    case 'unknown-modifier':
    case 'removes-rice':
      return { kind: 'refused', reason: 'modifier', names: [varied.modifierId] }
    case 'allergen-stays':
      return { kind: 'refused', reason: 'allergen', names: [varied.allergen, ...varied.components] }
    case 'varied':
  }
  const portions = batch.parts.reduce((sum, part) => sum + part.portions, 0)
  const components = varied.components
    .map((component) => ({
      ...component,
      ratioG: component.ratioG * lateShare(dish, component, batch.parts, portions),
    }))
    .filter((component) => component.ratioG > 0)
  const result = sequence({ dish, components, riceMassG: portions * dish.portionRiceG, tools, ruleSet })
  return result.kind === 'score' ? result : { kind: 'refused', reason: 'rice', names: [] }
}

/** Mean factor of a component over the portions, from the late modifiers of each part. */
function lateShare(dish: Dish, component: Component, parts: BatchToCook['parts'], portions: number): number {
  const taken = parts.reduce((sum, part) => {
    const factor = part.modifiers
      .filter((id) => isLateModifier(dish, id))
      .reduce((product, id) => product * modifierFactor(dish, id, component.id), 1)
    return sum + part.portions * factor
  }, 0)
  return portions > 0 ? taken / portions : 0
}

function modifierFactor(dish: Dish, modifierId: string, componentId: string): number {
  const modifier = dish.modifiers.find((one) => one.id === modifierId)
  if (!modifier) return 1
  if (modifier.removes.includes(componentId)) return 0
  return modifier.scales
    .filter((one) => one.componentId === componentId)
    .reduce((product, one) => product * one.factor, 1)
}
