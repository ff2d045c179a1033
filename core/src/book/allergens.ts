import type { RuleSet } from '../safety/limits'
import type { Component } from './dish'
import { ALLERGENS, type Allergen } from './ingredient'

/** Whose list of allergens a kitchen goes by: the 14 of the EU and the UK, or the nine of US law. */
export type AllergenList = 'eu' | 'us'
/** Which list of allergens a rule set goes by. */
export const allergenListOf = (ruleSet: RuleSet): AllergenList => (ruleSet === 'us' ? 'us' : 'eu')

/** The nine of US law (FALCPA 2004, FASTER Act 2021) in the codes used here; wheat stands under gluten. */
const US_NINE: readonly Allergen[] = ['milk', 'egg', 'fish', 'crustacean', 'nut', 'peanut', 'gluten', 'soy', 'sesame']
/** The allergens that a list names, in our order. */
export const allergensOnList = (list: AllergenList): readonly Allergen[] => (list === 'us' ? US_NINE : ALLERGENS)

/** From worst to best: only the last is a yes. */
export const ALLERGEN_VERDICTS = ['contains', 'mayContain', 'unknown', 'free'] as const
export type AllergenVerdict = (typeof ALLERGEN_VERDICTS)[number]

/** What of a component nobody has said what is in it: itself, or parts of its sub-recipe; none where all is known. */
export function unknownPartsOf(component: Component): readonly string[] {
  const hasSource = component.ingredientId !== undefined || component.recipeId !== undefined
  if (!hasSource || component.mayContain === undefined) return [component.name]
  return component.unknownParts ?? []
}

/**
 * What a component says of an allergen. Without a row of the table, its list of allergens or a sub-recipe whose every part
 * has one, it is not known for all of them; what common kinds hold is never free. Nothing is said of traces.
 */
export function componentVerdict(component: Component, allergen: Allergen, list: AllergenList): AllergenVerdict {
  const isOnUsList = list === 'us' && (component.allergensUs ?? []).includes(allergen)
  if (component.allergens.includes(allergen) || isOnUsList) return 'contains'
  if ((component.mayContain ?? []).includes(allergen)) return 'mayContain'
  return unknownPartsOf(component).length > 0 ? 'unknown' : 'free'
}

/** What a dish is for one allergen, and the components that decide it. */
export type DishVerdict = { verdict: AllergenVerdict; because: Component[] }

/** The worst verdict of several components on an allergen, and those that decide it; none where all are free. */
export function dishVerdict(components: readonly Component[], allergen: Allergen, list: AllergenList): DishVerdict {
  const each = components.map((component) => ({ component, verdict: componentVerdict(component, allergen, list) }))
  const verdict = ALLERGEN_VERDICTS.find((one) => each.some((entry) => entry.verdict === one)) ?? 'free'
  return {
    verdict,
    because: verdict === 'free' ? [] : each.filter((one) => one.verdict === verdict).map((one) => one.component),
  }
}

/** The allergens of a dish by verdict, free ones left out. */
export type AllergenSheet = Record<Exclude<AllergenVerdict, 'free'>, Allergen[]> & {
  /** Names of which nobody said what is in them. */
  unknownNames: string[]
}

/** What a label or a dish page says of its components: contains, may contain, and what is not known. */
export function allergenSheet(components: readonly Component[], list: AllergenList): AllergenSheet {
  const of = (wanted: AllergenVerdict) =>
    ALLERGENS.filter((allergen) => dishVerdict(components, allergen, list).verdict === wanted)
  return {
    contains: of('contains'),
    mayContain: of('mayContain'),
    unknown: of('unknown'),
    unknownNames: [...new Set(components.flatMap(unknownPartsOf))],
  }
}
