import type { Dish } from '../book/dish'
import type { Recipe } from '../book/recipe/recipe'
import type { BookShelf } from '../book/recipe/explode'
import { netNeeds, type NeedsInput } from '../mise/need/netNeeds'
import { prepTasks } from '../mise/need/prepTasks'
import type { DrawnDay } from '../mise/doing/foldDay'
import { ingredient } from './ingredients'
import { component } from './kitchen'

/** A service at noon, an hour long. */
export const SERVICE_MS = Date.UTC(2026, 10, 26, 12)
export const HOUR_MS = 3_600_000
export const MIN_MS = 60_000

const recipe = (part: Partial<Recipe> & Pick<Recipe, 'id' | 'lines'>): Recipe => ({
  version: 1,
  name: part.id,
  kind: 'sauce',
  role: 'liquidSeasoning',
  state: 'fresh',
  food: 'seasoning',
  yieldFraction: 1,
  shelfLifeH: 48,
  keep: 'fridge',
  ...part,
})
const line = (id: string, massG: number, from: 'ingredientId' | 'recipeId' = 'ingredientId') => ({
  id,
  name: id,
  massG,
  cut: null,
  [from]: id,
})

export const SHELF: BookShelf = {
  ingredients: new Map(
    [
      ingredient({ id: 'soy', role: 'liquid-seasoning:soy' }),
      ingredient({ id: 'sugar', role: 'sweet' }),
      ingredient({ id: 'wine', role: 'liquid' }),
      ingredient({ id: 'garlic', role: 'aromatic:allium', ediblePortion: 0.8 }),
      ingredient({ id: 'crab', role: 'protein:shellfish', state: 'frozen', ediblePortion: 0.5 }),
      ingredient({ id: 'oil', role: 'fat' }),
    ].map((row) => [row.id, row]),
  ),
  recipes: new Map(
    [
      recipe({ id: 'house-soy', lines: [line('soy', 900), line('sugar', 100)] }),
      recipe({
        id: 'glaze',
        yieldFraction: 0.8,
        lines: [line('house-soy', 500, 'recipeId'), line('wine', 500)],
      }),
    ].map((one) => [one.id, one]),
  ),
}

const dish = (id: string, components: Dish['components']): Dish => ({
  id,
  version: 1,
  name: id,
  shortName: id,
  stationKind: 'wok',
  schools: { heat: 'full' },
  portionRiceG: 200,
  components: [component({ id: 'rice', role: 'rice', food: 'rice', ratioG: 100 }), ...components],
  modifiers: [],
})
const garlic = (ratioG: number) =>
  component({
    id: 'garlic',
    role: 'aromatic',
    food: 'garlic',
    ratioG,
    ingredientId: 'garlic',
    cut: { shape: 'mince', sizeMm: 2 },
  })

export const DISHES: Dish[] = [
  dish('glazed', [
    component({ id: 'glaze', role: 'liquidSeasoning', food: 'seasoning', ratioG: 8, recipeId: 'glaze' }),
    garlic(2),
    component({ id: 'oil', role: 'fat', food: 'oil', ratioG: 2, scaling: 'film', filmG: 6, ingredientId: 'oil' }),
  ]),
  dish('crabby', [
    component({
      id: 'crab',
      role: 'protein',
      food: 'seafood',
      state: 'thawed',
      ratioG: 20,
      ingredientId: 'crab',
      cut: { shape: 'shred', sizeMm: 6 },
    }),
    garlic(1),
  ]),
]

export const input = (part: Partial<NeedsInput> = {}): NeedsInput => ({
  dishes: DISHES,
  shelf: SHELF,
  portions: new Map([
    ['glazed', 20],
    ['crabby', 10],
  ]),
  batchPortions: 2,
  pars: new Map(),
  onHand: [],
  usedUntilMs: SERVICE_MS + HOUR_MS,
  ...part,
})

/** The day as it would be drawn for these needs. */
export function drawn(part: Partial<NeedsInput> = {}): DrawnDay {
  const needs = netNeeds(input(part))
  const { tasks } = prepTasks({
    needs,
    shelf: SHELF,
    cards: [],
    serviceFromMs: SERVICE_MS,
    serviceToMs: SERVICE_MS + HOUR_MS,
    railsS: 900,
    railHands: 2,
  })
  return { tasks: tasks.map((task) => ({ ...task, dueMs: SERVICE_MS })), items: needs.items }
}
