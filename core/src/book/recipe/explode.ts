import { TRAITS, type Allergen, type Composition, type Ingredient, type Trait } from '../ingredient'
import type { Recipe } from './recipe'
import { densityFor, type Confidence } from '../../measure/ingredient'

/** Where sub-recipes and ingredients are looked up. */
export type BookShelf = {
  ingredients: ReadonlyMap<string, Ingredient>
  recipes: ReadonlyMap<string, Recipe>
}

/** An ingredient within a sub-recipe [g]. */
export type Part = { ingredient: Ingredient; massG: number }

/** A sub-recipe down to its ingredients, or why it cannot be opened. */
export type Explosion =
  | { kind: 'exploded'; parts: Part[]; yieldG: number }
  /** Names from the first sub-recipe round to itself. */
  | { kind: 'cycle'; path: string[] }
  | { kind: 'missing'; path: string[]; name: string }

/**
 * What one batch of a sub-recipe takes of every ingredient [g], sub-recipes of sub-recipes opened up by what they yield,
 * each ingredient once. A recipe that contains itself is refused with the path round.
 */
export function explodeRecipe(recipe: Recipe, shelf: BookShelf): Explosion {
  const totals = new Map<string, Part>()
  const fault = add(recipe, 1, [recipe], shelf, totals)
  if (fault) return fault
  return { kind: 'exploded', parts: [...totals.values()], yieldG: recipeYieldG(recipe) }
}

/** What one batch weighs when it is done [g]. */
export const recipeYieldG = (recipe: Recipe): number =>
  recipe.lines.reduce((sum, line) => sum + line.massG, 0) * recipe.yieldFraction

function add(
  recipe: Recipe,
  share: number,
  path: readonly Recipe[],
  shelf: BookShelf,
  totals: Map<string, Part>,
): Exclude<Explosion, { kind: 'exploded' }> | null {
  for (const line of recipe.lines) {
    const massG = line.massG * share
    if (line.recipeId !== undefined) {
      const inner = shelf.recipes.get(line.recipeId)
      const names = path.map((one) => one.name)
      if (!inner) return { kind: 'missing', path: names, name: line.name }
      const met = path.findIndex((one) => one.id === inner.id)
      if (met >= 0) return { kind: 'cycle', path: [...names.slice(met), inner.name] }
      const fault = add(inner, massG / recipeYieldG(inner), [...path, inner], shelf, totals)
      if (fault) return fault
      continue
    }
    const ingredient = line.ingredientId === undefined ? undefined : shelf.ingredients.get(line.ingredientId)
    if (!ingredient) return { kind: 'missing', path: path.map((one) => one.name), name: line.name }
    const known = totals.get(ingredient.id)
    totals.set(ingredient.id, { ingredient, massG: massG + (known?.massG ?? 0) })
  }
  return null
}

const MIXED: readonly (keyof Composition)[] = [
  'waterG',
  'proteinG',
  'fatG',
  'carbohydrateG',
  'sugarsG',
  'fibreG',
  'alcoholG',
  'sodiumMg',
  'energyKJ',
  'acid',
  'chilliHeat',
  'colourLoad',
  'freeLiquidFraction',
]
const CONFIDENCES: readonly Confidence[] = ['high', 'medium', 'low']

/**
 * A sub-recipe as an ingredient: mixed by mass, what it lost taken out of its water, allergens and pork or alcohol from any
 * part, vegan only if every part is. Its density is the one weighed, else that of volumes that add (brines shrink a little).
 */
export function recipeAsIngredient(recipe: Recipe, parts: readonly Part[]): Ingredient {
  const sumG = parts.reduce((sum, part) => sum + part.massG, 0)
  const mean = (of: (one: Ingredient) => number) =>
    parts.reduce((sum, part) => sum + of(part.ingredient) * part.massG, 0) / sumG
  const { yieldFraction } = recipe
  const mixed = Object.fromEntries(MIXED.map((field) => [field, mean((one) => one[field]) / yieldFraction])) as Record<
    keyof Composition,
    number
  >
  const lost = 100 * (1 - yieldFraction)
  mixed.waterG = Math.max(0, (mean((one) => one.waterG) - lost) / yieldFraction)
  mixed.freeLiquidFraction = Math.min(
    mixed.waterG / 100,
    Math.max(0, (mean((one) => one.freeLiquidFraction) - lost / 100) / yieldFraction),
  )
  const gPerML = recipe.gPerML ?? additiveDensity(parts, sumG)
  return {
    ...mixed,
    id: recipe.id,
    name: recipe.name,
    aliases: [],
    role: recipe.role,
    state: recipe.state,
    food: recipe.food,
    ediblePortion: 1,
    densities: gPerML === null ? [] : [{ form: recipe.gPerML === undefined ? 'as mixed' : 'weighed', gPerML }],
    countSizes: [],
    ...mixedAllergens(parts),
    isReadyToEat: parts.every((part) => part.ingredient.isReadyToEat === true)
      ? true
      : parts.some((part) => part.ingredient.isReadyToEat === false)
        ? false
        : null,
    diets: TRAITS.filter((trait) => hasTrait(trait, parts)),
    source: `house recipe ${recipe.name}, version ${recipe.version}`,
    confidence: CONFIDENCES[Math.max(...parts.map((part) => CONFIDENCES.indexOf(part.ingredient.confidence)))] ?? 'low',
  }
}

/** Allergens of any part; what one part contains, the mix does not merely perhaps contain. */
function mixedAllergens(
  parts: readonly Part[],
): Pick<Ingredient, 'allergens' | 'allergensUs' | 'mayContain' | 'areAllergensKnown'> {
  const any = (of: (one: Ingredient) => readonly Allergen[]) =>
    [...new Set(parts.flatMap((part) => of(part.ingredient)))].sort()
  const allergens = any((one) => one.allergens)
  return {
    allergens,
    allergensUs: any((one) => one.allergensUs),
    mayContain: any((one) => one.mayContain).filter((one) => !allergens.includes(one)),
    areAllergensKnown: parts.every((part) => part.ingredient.areAllergensKnown),
  }
}

function hasTrait(trait: Trait, parts: readonly Part[]): boolean {
  const has = (part: Part) => part.ingredient.diets.includes(trait)
  return trait === 'vegan' || trait === 'vegetarian' ? parts.every(has) : parts.some(has)
}

function additiveDensity(parts: readonly Part[], sumG: number): number | null {
  let volumeML = 0
  for (const { ingredient, massG } of parts) {
    const density = densityFor(ingredient)
    if (!density) return null
    volumeML += massG / density.gPerML
  }
  return volumeML > 0 ? sumG / volumeML : null
}

/** Every sub-recipe that can be opened up as an ingredient, by id; what cannot, with its fault. */
export function shelveRecipes(shelf: BookShelf): {
  asIngredients: Map<string, Ingredient>
  faults: Map<string, Exclude<Explosion, { kind: 'exploded' }>>
} {
  const asIngredients = new Map<string, Ingredient>()
  const faults = new Map<string, Exclude<Explosion, { kind: 'exploded' }>>()
  for (const recipe of shelf.recipes.values()) {
    const exploded = explodeRecipe(recipe, shelf)
    if (exploded.kind === 'exploded') asIngredients.set(recipe.id, recipeAsIngredient(recipe, exploded.parts))
    else faults.set(recipe.id, exploded)
  }
  return { asIngredients, faults }
}
