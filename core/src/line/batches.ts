import { isLateModifier } from '../book/variation/vary'
import type { Dish } from '../book/dish'
import type { Allergen } from '../book/ingredient'
import { splitPortions } from './split'

/** Portions of one ticket line that nobody has fired yet. */
export type WaitingItem = {
  itemId: string
  ticketId: string
  ticketNumber: number
  dishId: string
  portions: number
  modifiers: readonly string[]
  allergies: readonly Allergen[]
  placedAtMs: number
  promisedAtMs: number
}

/** Portions of one ticket line within a batch. */
export type BatchPart = Pick<WaitingItem, 'itemId' | 'ticketId' | 'ticketNumber' | 'portions' | 'modifiers'>

/** Portions that are cooked together, before they have a station. */
export type ProposedBatch = {
  dishId: string
  /** Modifiers that change the cooking, shared by all parts; late ones stand with their part. */
  modifiers: readonly string[]
  allergies: readonly Allergen[]
  parts: readonly BatchPart[]
  portions: number
  promisedAtMs: number
  placedAtMs: number
}

/** How far apart promises may lie to be cooked in one batch [s]: a house figure, so that nothing waits on the pass. */
const MERGE_WINDOW_S = 480

/**
 * Waiting tickets as batches: one dish and one set of cooking modifiers together, an allergy always alone with its
 * ticket line, promises within the window, split evenly by the station's cap, oldest promise first.
 * Every portion stands in exactly one batch.
 * @param capPortions the most portions of a dish that one batch may hold, a whole number above 0
 */
export function proposeBatches(
  items: readonly WaitingItem[],
  dishes: ReadonlyMap<string, Dish>,
  capPortions: (dish: Dish) => number,
  mergeWindowS: number = MERGE_WINDOW_S,
): ProposedBatch[] {
  const byPromise = [...items].sort(compareItems)
  const families: WaitingItem[][] = []
  for (const item of byPromise) {
    const home =
      item.allergies.length > 0 ? undefined : families.find((family) => fits(family, item, dishes, mergeWindowS))
    if (home) home.push(item)
    else families.push([item])
  }
  const batches = families.flatMap((family) => {
    const dish = dishOf(dishes, family)
    return cut(family, dish, capPortions(dish))
  })
  return batches.sort(
    (a, b) => a.promisedAtMs - b.promisedAtMs || a.placedAtMs - b.placedAtMs || firstNumber(a) - firstNumber(b),
  )
}

function fits(
  family: readonly WaitingItem[],
  item: WaitingItem,
  dishes: ReadonlyMap<string, Dish>,
  windowS: number,
): boolean {
  const head = family[0]
  if (!head || head.allergies.length > 0 || head.dishId !== item.dishId) return false
  const dish = dishOf(dishes, family)
  const isSameCooking = cookingKey(dish, head.modifiers) === cookingKey(dish, item.modifiers)
  return isSameCooking && item.promisedAtMs - head.promisedAtMs <= windowS * 1000
}

function cookingModifiers(dish: Dish, modifiers: readonly string[]): string[] {
  return modifiers.filter((id) => !isLateModifier(dish, id)).sort()
}

function cookingKey(dish: Dish, modifiers: readonly string[]): string {
  return cookingModifiers(dish, modifiers).join(' ')
}

function cut(family: readonly WaitingItem[], dish: Dish, capPortions: number): ProposedBatch[] {
  const left = family.map((item) => ({ item, portions: item.portions }))
  const total = left.reduce((sum, { portions }) => sum + portions, 0)
  return splitPortions(total, capPortions).map((size) => {
    const parts: BatchPart[] = []
    const taken: WaitingItem[] = []
    for (let open = size; open > 0;) {
      const head = left[0]
      if (!head) break
      const portions = Math.min(open, head.portions)
      const { itemId, ticketId, ticketNumber, modifiers } = head.item
      parts.push({ itemId, ticketId, ticketNumber, portions, modifiers })
      taken.push(head.item)
      open -= portions
      head.portions -= portions
      if (head.portions === 0) left.shift()
    }
    return {
      dishId: dish.id,
      modifiers: cookingModifiers(dish, taken[0]?.modifiers ?? []),
      allergies: taken[0]?.allergies ?? [],
      parts,
      portions: size,
      promisedAtMs: Math.min(...taken.map((item) => item.promisedAtMs)),
      placedAtMs: Math.min(...taken.map((item) => item.placedAtMs)),
    }
  })
}

function dishOf(dishes: ReadonlyMap<string, Dish>, family: readonly WaitingItem[]): Dish {
  const id = family[0]?.dishId ?? ''
  const dish = dishes.get(id)
  if (!dish) throw new RangeError(`no dish ${id} in the book`)
  return dish
}

const firstNumber = (batch: ProposedBatch) => batch.parts[0]?.ticketNumber ?? 0

function compareItems(a: WaitingItem, b: WaitingItem): number {
  return (
    a.promisedAtMs - b.promisedAtMs ||
    a.placedAtMs - b.placedAtMs ||
    a.ticketNumber - b.ticketNumber ||
    (a.itemId < b.itemId ? -1 : 1)
  )
}
