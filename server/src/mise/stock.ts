import { Dish } from 'contract/dish'
import type { Cut } from 'core/book/dish'
import type { MiseStock, StockRow } from 'contract/mise/stock'
import { localDay } from 'core/time/localTime'
import { allergenListOf } from 'core/book/allergens'
import { densityOf } from 'core/measure/ingredient'
import { priceOn } from 'core/book/balance/cost'
import { itemOf } from 'core/mise/need/item'
import { netNeeds, type ItemNeed } from 'core/mise/need/netNeeds'
import { expectedStock, walkingOrder } from 'core/mise/stock/expected'
import { usageOf } from 'core/mise/stock/usage'
import { foldStock, type ItemStock } from 'core/mise/stock/foldStock'
import type { Pool } from 'mysql2/promise'
import { listStockEvents } from './events.sql'
import type { MiseKitchen } from './miseKitchen'
import { listDishVersionsOf, listFired, type FiredPortions } from './usage.sql'

const DAY_MS = 86_400_000
/** What nobody counted or made for three weeks counts as nothing: it is to be counted. */
const STOCK_DAYS = 21
const USAGE_DAYS = 4

/** What should be there now of every item: made, delivered and counted, less what the wok drew since. */
export async function stockOf(pool: Pool, { kitchen, dishes }: MiseKitchen, nowMs: number): Promise<ItemStock[]> {
  const events = await listStockEvents(pool, kitchen.id, nowMs - STOCK_DAYS * DAY_MS)
  const fired = await listFired(pool, kitchen.id, nowMs - USAGE_DAYS * DAY_MS)
  const versions = await listDishVersionsOf(pool, kitchen.id, fired)
  const dishOf = ({ dishId, dishVersion }: FiredPortions) => {
    const now = dishes.find((dish) => dish.id === dishId)
    if (now?.version === dishVersion) return now
    const body = versions.get(`${dishId}@${dishVersion}`)
    return body ? Dish.parse(body) : now
  }
  const known = dishes.flatMap(({ components }) => components.map(itemOf))
  return expectedStock(foldStock(events), usageOf(fired, dishOf, allergenListOf(kitchen.ruleSet), known))
}

/** Every item that a dish may ask for, whether there is any or not, in walking order. */
export function stockRows(from: MiseKitchen, stock: readonly ItemStock[], nowMs: number): MiseStock {
  const { house, kitchen, shelf } = from
  const byId = new Map(stock.map((one) => [one.itemId, one]))
  const day = localDay(nowMs, kitchen.timeZone)
  const rows = knownItems(from).map((item): StockRow => {
    const ingredientId = item.ref.kind === 'recipe' ? null : item.ref.ingredientId
    const row = shelf.rows.find((one) => one.id === ingredientId)
    const price = item.ref.kind === 'ingredient' ? priceOn(row?.prices ?? [], day) : null
    const recipe = item.ref.kind === 'recipe' ? shelf.recipes.get(item.ref.recipeId) : undefined
    const cut = item.ref.kind === 'cut' ? item.ref.cut : null
    return {
      ...(byId.get(item.itemId) ?? emptyOf(item.itemId)),
      name: item.name,
      form: formOf(cut),
      placeId:
        house.policy.homes[item.itemId] ??
        usualPlace(
          item,
          house.policy.places.map(({ id }) => id),
        ),
      packG: price?.packG ?? null,
      packName: price?.packName ?? null,
      gPerML: recipe?.gPerML ?? (row ? (densityOf(row)?.gPerML ?? null) : null),
    }
  })
  const named = walkingOrder(
    rows,
    house.policy.places.map(({ id }) => id),
  )
  return { rows: named }
}

/** A cut in a few words: "dice 5 mm". */
export const formOf = (cut: Cut | null): string =>
  cut ? [cut.shape, cut.sizeMm === null ? '' : `${cut.sizeMm} mm`].join(' ').trim() : ''

/** Items of the whole book, one portion of everything. */
export function knownItems({ dishes, shelf, house }: MiseKitchen): ItemNeed[] {
  return netNeeds({
    dishes,
    shelf,
    portions: new Map(dishes.map((dish) => [dish.id, 1])),
    batchPortions: house.policy.batchPortions,
    pars: new Map(house.policy.pars.map((par) => [par.itemId, par.massG])),
    onHand: [],
    usedUntilMs: 0,
  }).items
}

const emptyOf = (itemId: string): ItemStock => ({
  itemId,
  lots: [],
  looseG: 0,
  lastCount: null,
  otherCount: null,
  wastedG: 0,
})

const DRY = ['seasoning', 'oil', 'sesameOil', 'nut']

/** Where an item stands where nobody said: what is made or cut in the cold, dry goods in the store. */
function usualPlace(item: ItemNeed, places: readonly string[]): string | null {
  const wanted =
    item.ref.kind === 'ingredient' && DRY.includes(item.food)
      ? 'dry-store'
      : item.state === 'frozen'
        ? 'freezer'
        : 'walk-in'
  return places.includes(wanted) ? wanted : (places[0] ?? null)
}
