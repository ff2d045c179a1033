import type { AllergenList } from './allergens'
import type { Component, Dish } from './dish'
import type { Allergen } from './ingredient'
import { eggWishOf, type EggWish } from './eggWish'
import { componentMassG } from './scale'
import { isLateModifier, varyDish, type AllergenFound, type VaryResult } from './variation/vary'

/** What is cooked together: shared modifiers, allergies, and the parts with their own. */
export type BatchInput = {
  /** Modifiers that change the cooking, shared by all parts. */
  modifiers: readonly string[]
  allergies: readonly Allergen[]
  parts: readonly { portions: number; modifiers: readonly string[] }[]
}

/** A component in a batch: its ratio is the mean over all portions, its mass what goes in [g]. */
export type BatchComponent = { component: Component; massG: number; portions: number }
/** Portions that are finished alike, and what only they get; what others get and they declined. */
export type BatchGroup = { portions: number; without: string[]; components: BatchComponent[] }
/** The components of a batch: what all portions share, and what groups of them get of their own. */
export type Batch = {
  portions: number
  riceMassG: number
  /** Everything that goes into it, whichever portions get it. */
  components: BatchComponent[]
  /** What every portion gets alike. */
  shared: BatchComponent[]
  /** Where portions are finished differently: the largest group first, which stays in the vessel. Empty where all are alike. */
  groups: BatchGroup[]
  /** How the guests want the egg, all of them; null leaves it to the dish. */
  eggWish: EggWish | null
  /** Allergens that something in it may contain: the lead took that on. */
  perhaps: AllergenFound[]
}
/** A batch, or why it cannot be. */
export type BatchResult = { kind: 'batch'; batch: Batch } | Exclude<VaryResult, { kind: 'varied' }>

const SAME_WITHIN = 1e-9
const keyOf = (one: Component) => `${one.id} ${one.ingredientId ?? one.recipeId ?? one.name}`

/**
 * Every component's mass in a batch, with what each part leaves out, adds, swaps or takes more or less of at the end. The
 * one place that says so: score, stock, shopping, record and label read it from here.
 */
export function batchComponents(dish: Dish, input: BatchInput, list: AllergenList): BatchResult {
  const portions = input.parts.reduce((sum, part) => sum + part.portions, 0)
  const riceMassG = portions * dish.portionRiceG
  const parts: { portions: number; ratios: Map<string, number> }[] = []
  const known = new Map<string, Component>()
  let perhaps: AllergenFound[] = []
  for (const part of input.parts) {
    const late = part.modifiers.filter((id) => isLateModifier(dish, id) && !input.modifiers.includes(id))
    const varied = varyDish(dish, [...input.modifiers, ...late], input.allergies, list)
    if (varied.kind !== 'varied') return varied
    perhaps = varied.perhaps
    const ratios = new Map<string, number>()
    for (const component of varied.components) {
      const key = keyOf(component)
      known.set(key, known.get(key) ?? component)
      ratios.set(key, (ratios.get(key) ?? 0) + component.ratioG)
    }
    parts.push({ portions: part.portions, ratios })
  }
  const components: (BatchComponent & { key: string; isShared: boolean })[] = []
  for (const [key, one] of known) {
    const ratioOf = (part: (typeof parts)[number]) => part.ratios.get(key) ?? 0
    const first = parts[0] ? ratioOf(parts[0]) : 0
    const isShared = parts.every((part) => Math.abs(ratioOf(part) - first) < SAME_WITHIN)
    const sum = parts.reduce((all, part) => all + part.portions * ratioOf(part), 0)
    const component = { ...one, ratioG: isShared ? first : sum / portions }
    if (!(component.ratioG > 0)) continue
    components.push({
      key,
      isShared,
      component,
      massG: componentMassG(component, riceMassG, dish.portionRiceG),
      portions: parts.reduce((all, part) => all + (ratioOf(part) > 0 ? part.portions : 0), 0),
    })
  }
  const strip = ({ component, massG, portions: own }: BatchComponent): BatchComponent => ({
    component,
    massG,
    portions: own,
  })
  return {
    kind: 'batch',
    batch: {
      portions,
      riceMassG,
      components: components.map(strip),
      shared: components.filter((one) => one.isShared).map(strip),
      groups: groupsOf(
        parts,
        components.filter((one) => !one.isShared),
      ),
      eggWish: eggWishOf(dish.modifiers.filter(({ id }) => input.modifiers.includes(id))),
      perhaps,
    },
  }
}

/** Portions by what they get at the end; each group's share of a component is by its portions and its ratio. */
function groupsOf(
  parts: readonly { portions: number; ratios: ReadonlyMap<string, number> }[],
  own: readonly (BatchComponent & { key: string })[],
): BatchGroup[] {
  if (own.length === 0) return []
  const bySignature = new Map<string, { portions: number; ratios: ReadonlyMap<string, number> }>()
  for (const part of parts) {
    const signature = own.map(({ key }) => (part.ratios.get(key) ?? 0).toPrecision(9)).join(' ')
    const group = bySignature.get(signature)
    bySignature.set(signature, { portions: part.portions + (group?.portions ?? 0), ratios: part.ratios })
  }
  const groups = [...bySignature.values()]
  return groups
    .map(({ portions, ratios }): BatchGroup => ({
      portions,
      without: own.filter(({ key }) => !(ratios.get(key) ?? 0)).map(({ component }) => component.name),
      components: own.flatMap(({ key, component, massG }) => {
        const share = (group: (typeof groups)[number]) => group.portions * (group.ratios.get(key) ?? 0)
        const all = groups.reduce((sum, group) => sum + share(group), 0)
        const mine = portions * (ratios.get(key) ?? 0)
        return mine > 0 ? [{ component, massG: (massG * mine) / all, portions }] : []
      }),
    }))
    .sort((a, b) => b.portions - a.portions || b.components.length - a.components.length)
}

/** Parts whose own cooking differs from what the batch is cooked with: their indices. */
export function mixedParts(dish: Dish, { modifiers, parts }: BatchInput): number[] {
  const key = (ids: readonly string[]) =>
    ids
      .filter((id) => !isLateModifier(dish, id))
      .sort()
      .join(' ')
  const wanted = key(modifiers)
  return parts.flatMap((part, i) => (key(part.modifiers) === wanted ? [] : [i]))
}
