import type { LineDish, LineInstance, LineItem, LineTicket } from './instance'

/** What is fried in one go of an item: all of it, or a part where no station takes all. */
export type Piece = {
  id: string
  ticket: LineTicket
  item: LineItem
  dish: LineDish
  /** In portions. */
  n: number
  contents: readonly string[]
}

/** Rounding of loads: a thousandth of a portion is nothing. */
const NEAR = 1e-6

/** The largest batch of a dish on any station; 0 where none takes it. */
export const largestCapOf = (dish: LineDish, { stations }: Pick<LineInstance, 'stations'>): number =>
  Math.max(0, ...stations.map(({ kind }) => dish.on[kind]?.cap ?? 0))

/** Allergens of a dish as it was ordered. */
export function contentsOf(dish: LineDish, mods: readonly string[]): string[] {
  const removed = new Set(mods.flatMap((mod) => dish.mods[mod]?.removes ?? []))
  return dish.allergens.filter((allergen) => !removed.has(allergen))
}

/** Items that the stock does not give: what was fired is granted first, then tickets in their order, an item whole or not at all. */
export function itemsGone(instance: LineInstance): Set<string> {
  const dishes = new Map(instance.dishes.map((dish) => [dish.id, dish]))
  const left = { ...instance.stock }
  const fired = new Set(instance.frozen.flatMap(({ parts }) => parts.map((part) => part.split('/')[0] ?? part)))
  const inOrder = [...instance.tickets].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1))
  const items = inOrder.flatMap((ticket) => [...ticket.items].sort((a, b) => (a.id < b.id ? -1 : 1)))
  const gone = new Set<string>()
  for (const item of [...items.filter(({ id }) => fired.has(id)), ...items.filter(({ id }) => !fired.has(id))]) {
    const uses = Object.entries(dishes.get(item.dish)?.uses ?? {}).filter(([name]) => left[name] !== undefined)
    const isThere = uses.every(([name, each]) => each * item.n <= (left[name] ?? 0) + NEAR)
    if (!isThere && !fired.has(item.id)) {
      gone.add(item.id)
      continue
    }
    for (const [name, each] of uses) left[name] = (left[name] ?? 0) - each * item.n
  }
  return gone
}

/** Parts of an item that no station takes whole: even, the larger first; of fractions of a portion, equal. Where nothing takes it, it stays whole. */
export function cutLoads(n: number, cap: number): number[] {
  if (cap <= 0) return [n]
  const count = Math.max(1, Math.ceil(n / cap - NEAR))
  if (!Number.isInteger(n)) return Array.from({ length: count }, () => n / count)
  const least = Math.floor(n / count)
  return Array.from({ length: count }, (_, i) => least + (i < n - least * count ? 1 : 0))
}

/** All pieces of the items that are granted, ticket by ticket. */
export function piecesOf(instance: LineInstance, gone: ReadonlySet<string>): Piece[] {
  const dishes = new Map(instance.dishes.map((dish) => [dish.id, dish]))
  return instance.tickets.flatMap((ticket) =>
    ticket.items
      .filter(({ id }) => !gone.has(id))
      .flatMap((item) => {
        const dish = dishes.get(item.dish)
        if (!dish) throw new RangeError(`item ${item.id}: no dish ${item.dish}`)
        const loads = cutLoads(item.n, largestCapOf(dish, instance))
        const contents = contentsOf(dish, item.mods)
        return loads.map((n, i) => ({
          id: loads.length === 1 ? item.id : `${item.id}/${i + 1}`,
          ticket,
          item,
          dish,
          n,
          contents,
        }))
      }),
  )
}
