import type { Component, Dish, Modifier, Role } from './dish'
import type { Allergen } from './ingredient'

export type VaryResult =
  | { kind: 'varied'; components: readonly Component[] }
  | { kind: 'unknown-modifier'; modifierId: string }
  | { kind: 'removes-rice'; modifierId: string }
  | { kind: 'allergen-stays'; allergen: Allergen; components: string[] }

/** Roles that come after the flame or beside the wok: a portion can still be split off without them. */
const LATE_ROLES: readonly Role[] = ['finish', 'garnish']

/**
 * A dish's components with modifiers and allergies applied. An allergy takes out every component that carries the
 * allergen, but only what one of the dish's written modifiers may take out: the chef decided there that the dish stands
 * without it. Anything else is answered with `allergen-stays`, so that nobody at the flame improvises.
 */
export function varyDish(dish: Dish, modifierIds: readonly string[], allergies: readonly Allergen[]): VaryResult {
  const removed = new Set<string>()
  const swapped = new Map<string, Component>()
  const added: Component[] = []
  const factors = new Map<string, number>()
  for (const modifierId of modifierIds) {
    const modifier = dish.modifiers.find((one) => one.id === modifierId)
    if (!modifier) return { kind: 'unknown-modifier', modifierId }
    if (removesRice(dish, modifier)) return { kind: 'removes-rice', modifierId }
    modifier.removes.forEach((id) => removed.add(id))
    modifier.swaps?.forEach((one) => swapped.set(one.id, one))
    added.push(...(modifier.adds ?? []))
    modifier.scales.forEach(({ componentId, factor }) =>
      factors.set(componentId, (factors.get(componentId) ?? 1) * factor),
    )
  }
  const removable = new Set(dish.modifiers.flatMap((modifier) => modifier.removes))
  const written = [...dish.components.map((one) => swapped.get(one.id) ?? one), ...added]
  for (const allergen of allergies) {
    const carriers = written.filter((one) => one.allergens.includes(allergen) && !removed.has(one.id))
    const fixed = carriers.filter((one) => !removable.has(one.id))
    if (fixed.length > 0) return { kind: 'allergen-stays', allergen, components: fixed.map((one) => one.name) }
    carriers.forEach((one) => removed.add(one.id))
  }
  const components = written
    .filter((one) => !removed.has(one.id))
    .map((one) => ({ ...one, ratioG: one.ratioG * (factors.get(one.id) ?? 1) }))
    .filter((one) => one.ratioG > 0)
  return { kind: 'varied', components }
}

export function removesRice(dish: Dish, modifier: Modifier): boolean {
  const riceIds = dish.components.filter((one) => one.role === 'rice').map((one) => one.id)
  return (
    modifier.removes.some((id) => riceIds.includes(id)) ||
    (modifier.swaps ?? []).some((one) => riceIds.includes(one.id) && one.role !== 'rice') ||
    modifier.scales.some(({ componentId, factor }) => factor === 0 && riceIds.includes(componentId))
  )
}

/** Whether a modifier can wait until the flame is off, so that its portions may share a batch with others. */
export function isLateModifier(dish: Dish, modifierId: string): boolean {
  const modifier = dish.modifiers.find((one) => one.id === modifierId)
  if (!modifier) return false
  const late = [...(modifier.swaps ?? []), ...(modifier.adds ?? [])].every((one) => LATE_ROLES.includes(one.role))
  const touched = [
    ...modifier.removes,
    ...modifier.scales.map((one) => one.componentId),
    ...(modifier.swaps ?? []).map((one) => one.id),
  ]
  return (
    late &&
    touched.every((id) => {
      const component = dish.components.find((one) => one.id === id)
      return component !== undefined && LATE_ROLES.includes(component.role)
    })
  )
}

/** Every allergen in the dish, sorted, each once. */
export function allergensOf(components: readonly Component[]): Allergen[] {
  return [...new Set(components.flatMap((one) => one.allergens))].sort()
}
