import type { Station } from '../station'
import { cookingModifiers, type WaitingItem } from '../waiting'
import type { AllergenList } from '../../book/allergens'
import type { Dish } from '../../book/dish'
import { goneBecause } from './gone'
import type { LineOrder, OrderedParts } from './order'
import type { LineWishes } from './wishes'

/** What the kitchen knows of the dishes, its stations, and what was decided of the line. */
type Known = {
  dishes: ReadonlyMap<string, Dish>
  stations: readonly Station[]
  wishes: LineWishes
  list: AllergenList
}

/** What is wrong with an order that a device sends: where, and what to do. */
export type OrderFault = { field: string; message: string }

/**
 * What of an order the kitchen must not be told, by what it knows itself: portions that do not wait or are 86, a station of
 * another kind, one that is down or takes less, an allergy with others, or portions that are cooked differently. Shares
 * nothing with the planner.
 */
export function orderFaults(order: LineOrder, waiting: readonly WaitingItem[], known: Known): OrderFault[] {
  const items = new Map(waiting.map((item) => [item.itemId, item]))
  const left = new Map(waiting.map(({ itemId, portions }) => [itemId, portions]))
  return order.batches.flatMap((batch, i) => {
    const field = `batches.${i}`
    const strange = batch.parts.find(({ itemId }) => !items.has(itemId))
    if (strange) return [{ field, message: `no portion of ${strange.itemId} waits: read the tickets again` }]
    for (const { itemId, portions } of batch.parts) left.set(itemId, (left.get(itemId) ?? 0) - portions)
    const over = batch.parts.find(({ itemId }) => (left.get(itemId) ?? 0) < 0)
    if (over) return [{ field, message: `${over.itemId} has fewer portions than that: read the tickets again` }]
    const message = batchFault(
      batch,
      batch.parts.map(({ itemId }) => items.get(itemId)!),
      known,
    )
    return message === null ? [] : [{ field, message }]
  })
}

function batchFault(
  { stationId, parts }: OrderedParts,
  own: readonly WaitingItem[],
  { dishes, stations, wishes, list }: Known,
): string | null {
  const station = stations.find(({ id }) => id === stationId)
  const dish = dishes.get(own[0]?.dishId ?? '')
  if (!station) return `no station "${stationId}": use one of ${stations.map(({ id }) => id).join(', ')}`
  if (wishes.downStations.includes(stationId)) return `${stationId} is down: choose another station`
  if (!dish) return 'a dish of it is not in the book: read the dishes again'
  if (own.some(({ dishId }) => dishId !== dish.id)) return 'two dishes in one batch: fry each by itself'
  if (station.kind !== dish.stationKind)
    return `${dish.name} is cooked on a ${dish.stationKind}: choose another station`
  const gone = own.map((item) => goneBecause(dish, item, wishes, list)).find((because) => because !== null)
  if (gone) return `${gone.kind === 'dish' ? dish.name : gone.name} is 86: leave it out, or bring it back first`
  const portions = parts.reduce((sum, part) => sum + part.portions, 0)
  const cap = station.capPortions
  if (portions > cap) return `${portions} portions, and ${stationId} takes ${cap}: split it`
  const lines = new Set(own.map(({ itemId }) => itemId))
  if (lines.size > 1 && own.some(({ allergies }) => allergies.length > 0))
    return 'a ticket line with an allergy is cooked alone: fry it by itself'
  const ways = new Set(own.map(({ modifiers }) => cookingModifiers(dish, modifiers).join(' ')))
  return ways.size > 1 ? 'portions that are cooked differently: fry each way by itself' : null
}
