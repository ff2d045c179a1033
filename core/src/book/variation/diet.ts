import type { Component, Dish, Modifier } from '../dish'
import { ALLERGENS, type Allergen, type Ingredient, type Trait } from '../ingredient'
import { substitutesFor } from './substitutes'

/** Diets that a variation can be made for. */
export const DIETS = ['vegan', 'vegetarian', 'no-pork', 'halal'] as const
export type Diet = (typeof DIETS)[number]
/** A diet, or the absence of an allergen. */
export type DietOrAllergen = Diet | `no-${Allergen}`

/** Asked of every component. Halal here means without pork or alcohol: a certificate is another matter. */
const ASKS: Readonly<Record<Diet, { keeps: Trait[]; avoids: Trait[] }>> = {
  vegan: { keeps: ['vegan'], avoids: [] },
  vegetarian: { keeps: ['vegetarian'], avoids: [] },
  'no-pork': { keeps: [], avoids: ['pork'] },
  halal: { keeps: [], avoids: ['pork', 'alcohol'] },
}

/** What must change in a dish for a diet, or what stands in the way. */
export type DietDelta =
  | { kind: 'fits' }
  | { kind: 'modifier'; modifier: Modifier }
  /** Components about which the table knows nothing: nobody may promise the diet. */
  | { kind: 'unknown'; names: string[] }
  | { kind: 'impossible'; names: string[] }

/** Roles without which the dish still stands: left out rather than replaced. */
const MAY_GO: readonly Component['role'][] = ['egg', 'finish', 'garnish', 'drySeasoning']

/**
 * The variation that fits a dish to a diet or keeps an allergen out: each component that breaks it is replaced by what
 * keeps its role, cut and step, or left out where the dish stands without it. Nothing is promised of traces.
 */
export function dietDelta(
  dish: Pick<Dish, 'components'>,
  wanted: DietOrAllergen,
  ingredientOf: (component: Component) => Ingredient | null,
  table: readonly Ingredient[],
): DietDelta {
  const { keeps, avoids, allergen, animals } = asksOf(wanted)
  const isUnknown = (one: Ingredient | null) => one === null || !one.areAllergensKnown
  const unknown = dish.components.filter((one) => isUnknown(ingredientOf(one)))
  if (unknown.length > 0) return { kind: 'unknown', names: unknown.map((one) => one.name) }
  const breaks = (one: Ingredient) =>
    keeps.some((trait) => !one.diets.includes(trait)) ||
    avoids.some((trait) => one.diets.includes(trait)) ||
    (allergen !== null && [...one.allergens, ...one.allergensUs, ...one.mayContain].includes(allergen)) ||
    animals.some((animal) => one.mayContain.includes(animal))
  const broken = dish.components.filter((component) => breaks(ingredientOf(component)!))
  if (broken.length === 0) return { kind: 'fits' }
  const swaps: Component[] = []
  const removes: string[] = []
  const stuck: string[] = []
  for (const component of broken) {
    const stands = substitutesFor(component, ingredientOf(component)!, table, keeps, avoids).find(
      ({ ingredient }) => !isUnknown(ingredient) && !breaks(ingredient),
    )
    if (stands && !MAY_GO.includes(component.role)) swaps.push(stands.component)
    else if (MAY_GO.includes(component.role) || isOneOfMany(component, dish)) removes.push(component.id)
    else if (component.role === 'protein') removes.push(component.id)
    else stuck.push(component.name)
  }
  if (stuck.length > 0) return { kind: 'impossible', names: stuck }
  const id = wanted.startsWith('no-') ? `diet-${wanted}` : wanted
  const name = wanted.replace('-', ' ')
  return { kind: 'modifier', modifier: { id, name, removes, scales: [], ...(swaps.length > 0 && { swaps }) } }
}

const isOneOfMany = (component: Component, dish: Pick<Dish, 'components'>) =>
  dish.components.filter((one) => one.role === component.role).length > 1

/** What a diet forbids and common kinds of a plant-like thing hold: never promised. */
const ANIMALS: Readonly<Partial<Record<Diet, readonly Allergen[]>>> = {
  vegan: ['egg', 'milk', 'fish', 'crustacean', 'mollusc'],
  vegetarian: ['fish', 'crustacean', 'mollusc'],
}

type Asks = { keeps: Trait[]; avoids: Trait[]; allergen: Allergen | null; animals: readonly Allergen[] }

function asksOf(wanted: DietOrAllergen): Asks {
  const diet = DIETS.find((one) => one === wanted)
  if (diet) return { ...ASKS[diet], allergen: null, animals: ANIMALS[diet] ?? [] }
  const allergen = ALLERGENS.find((one) => wanted === `no-${one}`)
  if (!allergen) throw new RangeError(`"${wanted}" is neither a diet nor an allergen to leave out`)
  return { keeps: [], avoids: [], allergen, animals: [] }
}
