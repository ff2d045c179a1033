import { batchComponents, type BatchComponent } from '../../book/batchComponents'
import { ROLES, STATES, type Cut, type Dish, type State } from '../../book/dish'
import type { Food } from '../../book/food'
import type { Ingredient } from '../../book/ingredient'
import type { Recipe } from '../../book/recipe/recipe'
import { foodOf } from '../../book/resolve'
import { recipeYieldG, type BookShelf } from '../../book/recipe/explode'
import { itemIdOf, itemOf, type ItemRef } from './item'

/** What is there of an item [g], and until when it is good. */
export type OnHand = { itemId: string; massG: number; useByMs: number | null }
/** Portions to be ready for, the book, pars, and what is on hand. */
export type NeedsInput = {
  dishes: readonly Dish[]
  shelf: BookShelf
  /** Portions to be ready for, by dish. */
  portions: ReadonlyMap<string, number>
  /** Portions that are usually tossed together: films and eggs count by the batch. */
  batchPortions: number
  /** At least so much is there when the service begins [g], by item. */
  pars: ReadonlyMap<string, number>
  onHand: readonly OnHand[]
  /** What must be used before it counts as nothing. */
  usedUntilMs: number
}

/** Where an item goes: a component of a dish, and how much a portion takes [g]. */
export type ItemUse = { dishId: string; componentId: string; gPerPortion: number; portions: number }
/** What is needed of an item, what is there, and what is to be made or bought [g]. */
export type ItemNeed = {
  itemId: string
  ref: ItemRef
  name: string
  food: Food
  state: State
  cut: Cut | null
  /** What dishes and other items take of it [g, edible, as they take it]. */
  grossG: number
  parG: number
  onHandG: number
  /** What is to be made or bought: gross or par, whichever is more, less what is on hand. */
  netG: number
  uses: ItemUse[]
  /** A dish takes it as it is; else it only goes into something else. */
  isServed: boolean
  /** What making the net amount takes of other items [g]. */
  takes: { itemId: string; massG: number }[]
}

/** Everything that a service needs, and what cannot be worked out. */
export type Needs = {
  /** What is made first stands before what takes it. */
  items: ItemNeed[]
  /** Sub-recipes that contain themselves or something that is not there. */
  faults: { itemId: string; why: 'cycle' | 'missing'; name: string }[]
}

/**
 * Forecast times dishes times sub-recipes to what must be made and bought, what is on hand taken off at every step: a sauce
 * that is there needs no soy to be made of. Rice has a plan of its own. Whole numbers of portions are the caller's.
 */
export function netNeeds(input: NeedsInput): Needs {
  const found = new Map<string, ItemNeed>()
  const faults: Needs['faults'] = []
  for (const dish of input.dishes) {
    const portions = input.portions.get(dish.id) ?? 0
    if (portions <= 0) continue
    for (const { component, massG } of wholeBatch(dish, input.batchPortions)) {
      if (component.role === 'rice') continue
      const gPerPortion = massG / input.batchPortions
      const need = needOf(found, itemOf(component), component, input)
      need.grossG += gPerPortion * portions
      need.isServed = true
      need.uses.push({ dishId: dish.id, componentId: component.id, gPerPortion, portions })
    }
  }
  for (const [itemId] of input.pars) addPar(found, itemId, input)
  const order = dependencyOrder(found, input, faults)
  for (const itemId of order) {
    const need = found.get(itemId)!
    need.netG = Math.max(0, Math.max(need.grossG, need.parG) - need.onHandG)
    need.takes = partsOf(need.ref, need.netG, input.shelf).map(({ line, massG }) => {
      const inner = needOf(found, itemOf(line), line, input)
      inner.grossG += massG
      for (const use of need.uses) {
        const share = need.grossG > 0 ? massG / need.netG : 0
        if (share > 0) inner.uses.push({ ...use, gPerPortion: use.gPerPortion * share })
      }
      return { itemId: inner.itemId, massG }
    })
  }
  return { items: order.map((itemId) => found.get(itemId)!).reverse(), faults }
}

/** What goes into a batch of a dish as it is written; nobody declines anything of a plan, so that either list will do. */
function wholeBatch(dish: Dish, portions: number): BatchComponent[] {
  const result = batchComponents(dish, { modifiers: [], allergies: [], parts: [{ portions, modifiers: [] }] }, 'eu')
  if (result.kind !== 'batch') throw new Error(`${dish.id} cannot be cooked as it is written`)
  return result.batch.components
}

/** What an ingredient is where no dish says it: by its role in the table. */
function foodOfRow(row: Ingredient): Food {
  const role = ROLES.find((one) => one === row.role.split(':')[0])
  return role ? foodOf(role, row) : 'seasoning'
}

type Like = { name: string; cut: Cut | null; food?: Food; state?: State }

function needOf(found: Map<string, ItemNeed>, ref: ItemRef, like: Like, input: NeedsInput): ItemNeed {
  const itemId = itemIdOf(ref)
  const known = found.get(itemId)
  if (known) return known
  const recipe = ref.kind === 'recipe' ? input.shelf.recipes.get(ref.recipeId) : undefined
  const row = ref.kind === 'recipe' ? undefined : input.shelf.ingredients.get(ref.ingredientId)
  const need: ItemNeed = {
    itemId,
    ref,
    name: recipe?.name ?? (ref.kind === 'ingredient' ? (row?.name ?? like.name) : like.name),
    food: like.food ?? recipe?.food ?? (row ? foodOfRow(row) : 'seasoning'),
    state: like.state ?? recipe?.state ?? STATES.find((one) => one === row?.state) ?? 'fresh',
    cut: ref.kind === 'ingredient' ? null : like.cut,
    grossG: 0,
    parG: input.pars.get(itemId) ?? 0,
    onHandG: input.onHand
      .filter((lot) => lot.itemId === itemId && (lot.useByMs === null || lot.useByMs >= input.usedUntilMs))
      .reduce((sum, lot) => sum + lot.massG, 0),
    netG: 0,
    uses: [],
    isServed: false,
    takes: [],
  }
  found.set(itemId, need)
  return need
}

/** A par of something that no dish asks for today still stands. */
function addPar(found: Map<string, ItemNeed>, itemId: string, input: NeedsInput): void {
  if (found.has(itemId)) return
  const [kind, id = ''] = itemId.split(':')
  if (kind === 'recipe' && input.shelf.recipes.has(id))
    needOf(found, { kind, recipeId: id }, { name: id, cut: null }, input)
  else if (kind === 'ingredient' && input.shelf.ingredients.has(id))
    needOf(found, { kind, ingredientId: id }, { name: id, cut: null }, input)
}

type PartLine = Like & { ingredientId?: string; recipeId?: string }

/** What making a mass of an item takes [g]: a sub-recipe by its yield, a cut by what is left after trimming. */
function partsOf(ref: ItemRef, massG: number, shelf: BookShelf): { line: PartLine; massG: number }[] {
  if (massG <= 0 || ref.kind === 'ingredient') return []
  if (ref.kind === 'cut') {
    const row = shelf.ingredients.get(ref.ingredientId)
    const line = { name: row?.name ?? ref.ingredientId, cut: null, ingredientId: ref.ingredientId }
    return [{ line, massG: massG / (row?.ediblePortion ?? 1) }]
  }
  const recipe = shelf.recipes.get(ref.recipeId)
  if (!recipe) return []
  const share = massG / recipeYieldG(recipe)
  return recipe.lines.map((line) => ({ line, massG: line.massG * share * boughtPerG(line, shelf) }))
}

/** What is taken as it is bought is trimmed on the way: so much of it for a gram that goes in. */
function boughtPerG(line: Recipe['lines'][number], shelf: BookShelf): number {
  if (line.recipeId !== undefined || line.ingredientId === undefined || itemOf(line).kind === 'cut') return 1
  return 1 / (shelf.ingredients.get(line.ingredientId)?.ediblePortion ?? 1)
}

/** Items so that whatever takes another stands before it; what goes round is left out and named. */
function dependencyOrder(found: Map<string, ItemNeed>, input: NeedsInput, faults: Needs['faults']): string[] {
  const done = new Set<string>()
  const open = new Set<string>()
  const order: string[] = []
  const visit = (ref: ItemRef, like: Like): boolean => {
    const itemId = itemIdOf(ref)
    if (done.has(itemId)) return true
    if (open.has(itemId)) return false
    open.add(itemId)
    const recipe = ref.kind === 'recipe' ? input.shelf.recipes.get(ref.recipeId) : undefined
    if (ref.kind === 'recipe' && !recipe) faults.push({ itemId, why: 'missing', name: like.name })
    for (const { line } of partsOf(ref, 1, input.shelf)) {
      if (!visit(itemOf(line), line)) faults.push({ itemId, why: 'cycle', name: line.name })
    }
    open.delete(itemId)
    done.add(itemId)
    needOf(found, ref, like, input)
    order.push(itemId)
    return true
  }
  for (const need of [...found.values()]) visit(need.ref, need)
  return order.reverse()
}
