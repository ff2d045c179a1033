import { oldestFirst, takeOldest, type ItemStock } from './foldStock'

/** What runs drew of an item since its last count [g], by instant. */
export type Usage = { itemId: string; atMs: number; massG: number }

/** Stock less what the wok drew since it was counted, from the oldest lots: what a count should find. */
export function expectedStock(stock: ReadonlyMap<string, ItemStock>, usage: readonly Usage[]): ItemStock[] {
  const used = new Map<string, number>()
  for (const { itemId, atMs, massG } of usage) {
    const item = stock.get(itemId)
    const since = item?.lastCount?.atMs ?? item?.lots[0]?.atMs ?? Infinity
    if (atMs > since) used.set(itemId, (used.get(itemId) ?? 0) + massG)
  }
  return [...stock.values()].map((item) => {
    const left = { ...item, lots: item.lots.map((lot) => ({ ...lot })).sort(oldestFirst) }
    takeOldest(left, used.get(item.itemId) ?? 0)
    return { ...left, lots: left.lots.filter((lot) => lot.leftG > 0.5) }
  })
}

/** What was found against what was expected [g], and whether that is much. */
export type CountGap = { expectedG: number; foundG: number; gapG: number; isLarge: boolean }
const LARGE_FRACTION = 0.1
const LARGE_G = 50

/** What was found against what was expected; large from a tenth and fifty grams on. */
export function countGap(expectedG: number, foundG: number): CountGap {
  const gapG = foundG - expectedG
  const isLarge = Math.abs(gapG) > LARGE_G && Math.abs(gapG) > LARGE_FRACTION * Math.max(expectedG, 1)
  return { expectedG, foundG, gapG, isLarge }
}

/** A line of the count: an item at a place. */
export type CountRow = { itemId: string; placeId: string | null; name: string }
/** Items in walking order: by place as the kitchen lists them, then by name; those with no place last. */
export function walkingOrder<T extends CountRow>(rows: readonly T[], placeIds: readonly string[]): T[] {
  const at = (row: T) => {
    const no = row.placeId === null ? -1 : placeIds.indexOf(row.placeId)
    return no < 0 ? placeIds.length : no
  }
  return [...rows].sort((a, b) => at(a) - at(b) || a.name.localeCompare(b.name, 'en') || (a.itemId < b.itemId ? -1 : 1))
}
