import type { Component } from '../dish'
import type { Allergen, Ingredient, Trait } from '../ingredient'
import { foodOf, isRawRow, refreshComponent } from '../resolve'
import { SALT_PER_SODIUM, usualRole } from '../balance/balance'

/** Something that can stand in at the same step: same role and class at the wok, cut the same. */
export type Substitute = {
  ingredient: Ingredient
  component: Component
  /** What it does to the dish per 100 g of rice. */
  saltG: number
  energyKJ: number
  /** Allergens that it contains and what it replaces does not. */
  brings: readonly Allergen[]
  /** Allergens that some kinds of it hold. */
  mayBring: readonly Allergen[]
  /** Nobody said what is in it. */
  isUnknown: boolean
  closeness: number
}

const MOST = 6

/**
 * What of the table keeps a component's role, cut and class at the wok; what is ready may stand in for what is raw, never
 * the other way round. The closest first: same group, then least difference in water, fat and salt. What breaks a wanted diet is left out.
 */
export function substitutesFor(
  component: Component,
  of: Ingredient,
  ingredients: readonly Ingredient[],
  keeps: readonly Trait[] = [],
  avoids: readonly Trait[] = [],
): Substitute[] {
  return ingredients
    .filter((one) => one.id !== of.id && fits(component, of, one))
    .filter((one) => keeps.every((trait) => one.diets.includes(trait)))
    .filter((one) => !avoids.some((trait) => one.diets.includes(trait)))
    .map((one) => substituteOf(component, of, one))
    .sort((a, b) => b.closeness - a.closeness || a.ingredient.id.localeCompare(b.ingredient.id))
    .slice(0, MOST)
}

function fits(component: Component, of: Ingredient, one: Ingredient): boolean {
  if (usualRole(one) !== usualRole(of)) return false
  return keepsItsCheck(component, of, one)
}

/** Whether what goes in instead has the check that it needs: ready for anything, raw only for raw of the same class at the wok. */
export const keepsItsCheck = (component: Component, of: Ingredient, one: Ingredient): boolean =>
  !isRawRow(one) ||
  (isRawRow(of) && (foodOf(component.role, one) === foodOf(component.role, of) || sameTiming(component, one)))

/** Seafood for seafood, any tender vegetable for another: the wok's class decides the seconds. */
const sameTiming = (component: Component, one: Ingredient) => foodOf(component.role, one) === component.food

function substituteOf(component: Component, of: Ingredient, one: Ingredient): Substitute {
  const group = one.role === of.role ? 1 : 0
  const farness =
    Math.abs(one.waterG - of.waterG) / 40 +
    Math.abs(one.fatG - of.fatG) / 20 +
    Math.abs(one.sodiumMg - of.sodiumMg) / 1500
  const difference = component.ratioG / 100
  const { recipeId: _recipe, written: _written, ...kept } = component
  return {
    ingredient: one,
    component: refreshComponent(
      { ...kept, name: one.aliases[0] ?? one.name, ingredientId: one.id, food: foodOf(component.role, one) },
      one,
    ),
    saltG: ((one.sodiumMg - of.sodiumMg) * SALT_PER_SODIUM * difference) / 1000,
    energyKJ: (one.energyKJ - of.energyKJ) * difference,
    brings: all(one).filter((allergen) => !all(of).includes(allergen)),
    mayBring: one.mayContain.filter((allergen) => !all(of).includes(allergen)),
    isUnknown: !one.areAllergensKnown,
    closeness: group - farness,
  }
}

/** By either list, so that a pine nut is said of in every kitchen. */
const all = (one: Ingredient): readonly Allergen[] => [...new Set([...one.allergens, ...one.allergensUs])]
