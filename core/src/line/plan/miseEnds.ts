import type { AllergenList } from '../../book/allergens'
import { batchComponents, type BatchInput } from '../../book/batchComponents'
import type { Dish } from '../../book/dish'
import { itemIdOf, itemOf } from '../../mise/need/item'
import type { ItemStock } from '../../mise/stock/foldStock'

/** Where something of the mise ends: the first ticket that does not get all of it, and what all lack [g]. */
export type MiseEnd = { itemId: string; name: string; ticketNumber: number; atMs: number; shortG: number }

type DrawingBatch = Pick<BatchInput, 'modifiers' | 'allergies'> & {
  dish: Dish
  setUpStartMs: number
  parts: readonly (BatchInput['parts'][number] & { ticketNumber: number })[]
}
type StockedItem = Pick<ItemStock, 'itemId' | 'lots' | 'looseG' | 'lastCount'> & { name: string }

/** Less than this is a spoon more or less, not an end [g]. */
const NOTICED_G = 5

/**
 * What of the mise the batches of a stretch of time use up, if they draw on it in the order in which they are set up; the soonest
 * first. Something that nobody counted, made or took in is not known, and so does not end.
 */
export function miseEnds(
  stock: readonly StockedItem[],
  batches: readonly DrawingBatch[],
  list: AllergenList,
  untilMs: number,
): MiseEnd[] {
  const known = stock.filter(({ lastCount, lots }) => lastCount !== null || lots.length > 0)
  const left = new Map(
    known.map(({ itemId, looseG, lots }) => [itemId, looseG + lots.reduce((g, lot) => g + lot.leftG, 0)]),
  )
  const nameOf = new Map(known.map(({ itemId, name }) => [itemId, name]))
  const ends = new Map<string, MiseEnd>()
  const coming = batches.filter(({ setUpStartMs }) => setUpStartMs < untilMs)
  for (const batch of coming.sort((a, b) => a.setUpStartMs - b.setUpStartMs)) {
    const made = batchComponents(batch.dish, batch, list)
    if (made.kind !== 'batch') continue
    for (const { component, massG } of made.batch.components) {
      const itemId = itemIdOf(itemOf(component))
      const before = left.get(itemId)
      if (component.role === 'rice' || before === undefined) continue
      left.set(itemId, before - massG)
      const shortG = massG - Math.max(0, before)
      if (shortG <= NOTICED_G) continue
      const end = ends.get(itemId)
      ends.set(itemId, {
        itemId,
        name: nameOf.get(itemId) ?? component.name,
        ticketNumber: end?.ticketNumber ?? batch.parts.at(-1)?.ticketNumber ?? 0,
        atMs: end?.atMs ?? batch.setUpStartMs,
        shortG: (end?.shortG ?? 0) + shortG,
      })
    }
  }
  return [...ends.values()].sort((a, b) => a.atMs - b.atMs || b.shortG - a.shortG || (a.itemId < b.itemId ? -1 : 1))
}
