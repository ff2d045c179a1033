import { allergenListOf } from '../../book/allergens'
import type { Dish } from '../../book/dish'
import type { CookRules } from '../../safety/limits'
import type { OrderedBatch } from '../orderedBatch'
import type { Station } from '../station'
import type { StationTimes } from '../stationTimes'
import { batchOf, type ProposedBatch, type WaitingItem } from '../waiting'
import { goneBecause, type GoneBecause } from './gone'
import type { LineWishes } from './wishes'

type Sorting = {
  dishOf: (item: WaitingItem) => Dish
  order: (dish: Dish, batch: ProposedBatch) => OrderedBatch
  takes: (dish: Dish) => readonly TakenAt[]
  wishes: LineWishes
  rules: CookRules
}

/** What waits by what can be said of it: planned, its times not known yet, 86, or without a station. */
export function sortWaiting(waiting: readonly WaitingItem[], { dishOf, order, takes, wishes, rules }: Sorting) {
  const sorted = {
    plan: [] as WaitingItem[],
    pending: [] as WaitingItem[],
    homeless: [] as WaitingItem[],
    gone: [] as { item: WaitingItem; because: NonNullable<GoneBecause> }[],
  }
  for (const item of waiting) {
    const dish = dishOf(item)
    const because = goneBecause(dish, item, wishes, allergenListOf(rules.ruleSet))
    if (because) sorted.gone.push({ item, because })
    else if (order(dish, wholeItem(dish, item)).kind !== 'batch') sorted.homeless.push(item)
    else if (takes(dish).some(({ mostPortions }) => mostPortions > 0)) sorted.plan.push(item)
    else if (takes(dish).some(({ isKnown }) => !isKnown)) sorted.pending.push(item)
    else sorted.homeless.push(item)
  }
  return sorted
}

/** A ticket line as one batch, before it is cut. */
export const wholeItem = (dish: Dish, item: WaitingItem): ProposedBatch =>
  batchOf(dish, [{ item, portions: item.portions }])

/** By promise, then by when they were placed. */
export function compareItems(a: WaitingItem, b: WaitingItem): number {
  return (
    a.promisedAtMs - b.promisedAtMs ||
    a.placedAtMs - b.placedAtMs ||
    a.ticketNumber - b.ticketNumber ||
    (a.itemId < b.itemId ? -1 : 1)
  )
}

export type TakenAt = { id: string; isKnown: boolean; mostPortions: number }

/** How many portions of a dish each station that is not down takes: what its heat can fry under the wish of the house; 0 until that is known. */
export function takenAt<S extends Station>(
  stations: readonly S[],
  { timesOf }: { timesOf: (dish: never, station: S) => StationTimes | null },
  { downStations }: LineWishes,
) {
  const byDish = new Map<Dish, TakenAt[]>()
  return (dish: Dish): readonly TakenAt[] => {
    const before = byDish.get(dish)
    if (before) return before
    const taken = stations
      .filter(({ id, kind }) => kind === dish.stationKind && !downStations.includes(id))
      .map((station) => {
        const times = timesOf(dish as never, station)
        return { id: station.id, isKnown: times !== null, mostPortions: times?.seconds.length ?? 0 }
      })
    byDish.set(dish, taken)
    return taken
  }
}
