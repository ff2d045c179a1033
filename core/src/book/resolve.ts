import { heatCompositionOf } from './heatComposition'
import { densityFor } from '../measure/ingredient'
import { CUT_SHAPES, type Component, type Cut, type Role, type State } from './dish'
import type { Food } from './food'
import type { Ingredient } from './ingredient'
import { indexIngredients, lookUp, type IngredientIndex } from './lookUp'

/** A line of a dish as a kitchen writes it, before the ingredient table has been asked. */
export type DishLine = {
  name: string
  role: Role
  state: State
  cut: string
  ratioG: number
  /** A row of the ingredient table; where absent, the name is looked up. */
  ingredientId?: string
}

/** A line as a component; unknown where the table has no such ingredient. */
export type ResolvedLine = { component: Component; isKnown: boolean }

/** Lines as components, each with an id of its own and what the ingredient table knows of it. */
export function resolveLines(lines: readonly DishLine[], ingredients: readonly Ingredient[]): ResolvedLine[] {
  const taken = new Set<string>()
  const index = indexIngredients(ingredients)
  return lines.map((line) => {
    const ingredient =
      findIngredient(line, ingredients, index) ?? (line.role === 'rice' ? fryingRice(ingredients) : null)
    const component = componentOf(line, ingredient, freeId(slugOf(line.name), taken))
    taken.add(component.id)
    return { component, isKnown: ingredient !== null }
  })
}

/** The row a line means: by id, else by name, one in a like state first. */
export function findIngredient(
  line: Pick<DishLine, 'name' | 'ingredientId' | 'state'>,
  ingredients: readonly Ingredient[],
  index: IngredientIndex = indexIngredients(ingredients),
): Ingredient | null {
  if (line.ingredientId !== undefined) return ingredients.find((one) => one.id === line.ingredientId) ?? null
  return lookUp(index, line.name, line.state)
}

/** Rice that is called just rice is rice for frying. */
const fryingRice = (ingredients: readonly Ingredient[]) =>
  ingredients.find((one) => one.id === 'rice-long-chilled-dry') ?? null

function componentOf(line: DishLine, ingredient: Ingredient | null, id: string): Component {
  const component: Component = {
    id,
    name: line.name,
    role: line.role,
    state: line.state,
    food: foodOf(line.role, ingredient),
    cut: readCut(line.cut),
    ratioG: line.ratioG,
    scaling: 'linear',
    allergens: [],
  }
  return ingredient ? refreshComponent({ ...component, ingredientId: ingredient.id }, ingredient) : component
}

/**
 * A component with what its ingredient or sub-recipe says today: allergens, the density of its cut, the size it is counted
 * by. Name, amount and cut stay as the chef wrote them.
 */
export function refreshComponent(component: Component, ingredient: Ingredient): Component {
  const {
    gPerML: _gPerML,
    count: _count,
    unknownParts: _unknownParts,
    isRaw: _isRaw,
    fatFraction: _fat,
    composition: _composition,
    ...kept
  } = component
  const composition = heatCompositionOf(ingredient, component.role)
  const density = densityFor(ingredient, component.cut?.shape)
  const size =
    ingredient.countSizes.find((one) => one.size === 'us-large') ??
    ingredient.countSizes.find((one) => one.size.endsWith('large')) ??
    ingredient.countSizes[0]
  return {
    ...kept,
    allergens: ingredient.allergens,
    allergensUs: ingredient.allergensUs,
    mayContain: ingredient.mayContain,
    ...(!ingredient.areAllergensKnown && { unknownParts: [ingredient.name] }),
    isRaw: isRawRow(ingredient),
    ...(composition && { composition }),
    ...(density && { gPerML: density.gPerML }),
    ...(size && component.role === 'egg' && { count: { size: 'egg', massG: size.massG } }),
  }
}

/** States of rows that were cooked through before they came here. */
const COOKED_STATES: readonly string[] = ['cooked', 'fried', 'canned', 'toasted']

/** Whether a row must still be cooked: what is neither cooked nor ready to eat, and what nobody knows. */
export const isRawRow = ({ state, isReadyToEat }: Ingredient): boolean =>
  isReadyToEat !== true && !COOKED_STATES.includes(state)

const FOOD_BY_GROUP: Readonly<Record<string, Food>> = {
  'aromatic:allium': 'allium',
  'aromatic:herb': 'herb',
  'aromatic:chilli': 'herb',
  'protein:poultry': 'poultry',
  'protein:red-meat': 'meat',
  'protein:shellfish': 'seafood',
  'protein:fish': 'seafood',
  'protein:plant': 'tofu',
  'protein:offal': 'meat',
  'garnish:fish': 'seafood',
  egg: 'egg',
  'vegetable:leafy': 'leafy',
  'vegetable:hard': 'hardVeg',
  'vegetable:mushroom': 'mushroom',
  'vegetable:frozen': 'readyVeg',
  'vegetable:pickle': 'readyVeg',
  'finish:oil': 'sesameOil',
  'finish:nut': 'nut',
  'finish:seed': 'nut',
}
/** Where the table is silent: the class with the strictest check, or the one that stands up to the fire best. */
const FOOD_BY_ROLE: Readonly<Record<Role, Food>> = {
  rice: 'rice',
  egg: 'egg',
  aromatic: 'allium',
  paste: 'paste',
  protein: 'poultry',
  vegetable: 'crispVeg',
  drySeasoning: 'seasoning',
  liquidSeasoning: 'seasoning',
  fat: 'oil',
  finish: 'herb',
  garnish: 'herb',
}

/** The class at the wok that a role and a row of the table give a component. */
export function foodOf(role: Role, ingredient: Ingredient | null): Food {
  if (!ingredient || role === 'rice' || role === 'egg') return FOOD_BY_ROLE[role]
  return ingredient.food ?? FOOD_BY_GROUP[ingredient.role] ?? FOOD_BY_ROLE[role]
}

/** A cut as kitchens write it, "dice 5 mm", "13 mm slice", "mince"; null where nothing is said. */
export function readCut(text: string): Cut | null {
  const words = text.toLowerCase()
  const shape = CUT_SHAPES.find((one) => words.includes(one))
  const size = /(\d+(?:\.\d+)?)\s*(mm)?/.exec(words)?.[1]
  if (!shape && size === undefined) return null
  return { shape: shape ?? 'dice', sizeMm: size === undefined ? null : Number(size) }
}

const MAX_SLUG = 48

/** A name as an id: lower case, hyphens, ASCII. */
export function slugOf(name: string): string {
  const ascii = name.normalize('NFKD').replace(/[\u0300-\u036f]/g, '')
  return (
    ascii
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+/, '')
      .slice(0, MAX_SLUG)
      .replace(/-+$/, '') || 'item'
  )
}

function freeId(wanted: string, taken: ReadonlySet<string>): string {
  let id = wanted
  for (let n = 2; taken.has(id); n += 1) id = `${wanted}-${n}`
  return id
}
