import { componentVerdict, unknownPartsOf, type AllergenList, type AllergenVerdict } from '../allergens'
import type { Component, Dish, Modifier, Role } from '../dish'
import { rawFoodOf } from '../rawFood'
import { ALLERGENS, type Allergen } from '../ingredient'

/** The components after modifiers, or the one that cannot be applied. */
export type VaryResult =
  /** `perhaps`: allergens that common kinds of what stays may hold; only the lead may take that on. */
  | { kind: 'varied'; components: readonly Component[]; perhaps: AllergenFound[] }
  | { kind: 'unknown-modifier'; modifierId: string }
  | { kind: 'removes-rice'; modifierId: string }
  | ({ kind: 'allergen-stays' } & AllergenFound)
  | ({ kind: 'allergen-unknown' } & AllergenFound)
/** An allergen and the components that hold it. */
export type AllergenFound = { allergen: Allergen; components: string[] }

/** Roles that come after the flame or beside the wok: a portion can still be split off without them. */
const LATE_ROLES: readonly Role[] = ['finish', 'garnish']

/**
 * A dish's components with modifiers and allergies applied. An allergy takes out every component that is not free of the
 * allergen, but only what one of the dish's written modifiers may take out: the chef decided there that the dish stands
 * without it. Anything else that contains it is answered with `allergen-stays`, what nobody knows with `allergen-unknown`,
 * so that nobody at the flame improvises.
 */
export function varyDish(
  dish: Dish,
  modifierIds: readonly string[],
  allergies: readonly Allergen[],
  list: AllergenList,
): VaryResult {
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
  const perhaps: AllergenFound[] = []
  for (const allergen of allergies) {
    const carriers = written
      .filter((one) => !removed.has(one.id))
      .map((one) => ({ one, verdict: componentVerdict(one, allergen, list) }))
      .filter(({ verdict }) => verdict !== 'free')
    const fixed = (wanted: AllergenVerdict, namesOf: (one: Component) => readonly string[]) =>
      carriers
        .filter(({ one, verdict }) => verdict === wanted && !removable.has(one.id))
        .flatMap(({ one }) => namesOf(one))
    const contain = fixed('contains', (one) => [one.name])
    if (contain.length > 0) return { kind: 'allergen-stays', allergen, components: contain }
    const unknown = fixed('unknown', unknownPartsOf)
    if (unknown.length > 0) return { kind: 'allergen-unknown', allergen, components: [...new Set(unknown)] }
    const may = fixed('mayContain', (one) => [one.name])
    if (may.length > 0) perhaps.push({ allergen, components: may })
    for (const { one } of carriers) if (removable.has(one.id)) removed.add(one.id)
  }
  const components = written
    .filter((one) => !removed.has(one.id))
    .map((one) => ({ ...one, ratioG: one.ratioG * (factors.get(one.id) ?? 1) }))
    .filter((one) => one.ratioG > 0)
  return { kind: 'varied', components, perhaps }
}

function removesRice(dish: Dish, modifier: Modifier): boolean {
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
  if (!modifier || modifier.egg) return false
  const isLate = (one: Component) => LATE_ROLES.includes(one.role) && rawFoodOf(one) === null
  const late = [...(modifier.swaps ?? []), ...(modifier.adds ?? [])].every(isLate)
  const touched = [
    ...modifier.removes,
    ...modifier.scales.map((one) => one.componentId),
    ...(modifier.swaps ?? []).map((one) => one.id),
  ]
  return (
    late &&
    touched.every((id) => {
      const component = dish.components.find((one) => one.id === id)
      return component !== undefined && isLate(component)
    })
  )
}

/** Components that a written variation leaves in, though its name may sound as if their allergen went: "no egg". */
export type Stays = { allergen: Allergen; components: Component[] }

/**
 * What still brings an allergen that a modifier takes one source of: "no egg: egg stays in chicken powder". Empty where all
 * of it goes.
 */
export function staysIn(dish: Pick<Dish, 'components'>, modifier: Modifier, list: AllergenList): Stays[] {
  const gone = dish.components.filter((one) => modifier.removes.includes(one.id))
  const swapped = new Map((modifier.swaps ?? []).map((one) => [one.id, one]))
  const after = [
    ...dish.components.filter((one) => !modifier.removes.includes(one.id)).map((one) => swapped.get(one.id) ?? one),
    ...(modifier.adds ?? []),
  ]
  const taken = [...gone, ...dish.components.filter((one) => swapped.has(one.id))]
  return ALLERGENS.filter((allergen) => taken.some((one) => componentVerdict(one, allergen, list) === 'contains'))
    .map((allergen) => ({
      allergen,
      components: after.filter((one) => ['contains', 'mayContain'].includes(componentVerdict(one, allergen, list))),
    }))
    .filter(({ components }) => components.length > 0)
}
