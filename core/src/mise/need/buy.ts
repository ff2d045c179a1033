import type { BookShelf } from '../../book/recipe/explode'
import type { ItemNeed } from './netNeeds'
import { wholeUp } from '../../math/wholeUp'

/** What the supplier sells: so many grams for so much. */
export type Pack = { packName: string; packG: number; priceMinor: number }
/** What to buy of one ingredient, in whole packs where a pack is known. */
export type BuyLine = {
  ingredientId: string
  name: string
  /** As bought [g]. */
  neededG: number
  packName: string | null
  packG: number | null
  packs: number | null
  buyG: number
  costMinor: number | null
}

/** What is to be bought: ingredients whose net need is above nothing, in whole packs of the supplier where one is known. */
export function buyList(
  items: readonly ItemNeed[],
  shelf: BookShelf,
  packOf: (ingredientId: string) => Pack | null,
): BuyLine[] {
  return items
    .flatMap((need): BuyLine[] => {
      if (need.ref.kind !== 'ingredient' || need.netG <= 0) return []
      const { ingredientId } = need.ref
      const pack = packOf(ingredientId)
      const packs = pack ? wholeUp(need.netG / pack.packG) : null
      return [
        {
          ingredientId,
          name: shelf.ingredients.get(ingredientId)?.name ?? need.name,
          neededG: need.netG,
          packName: pack?.packName ?? null,
          packG: pack?.packG ?? null,
          packs,
          buyG: pack && packs !== null ? packs * pack.packG : need.netG,
          costMinor: pack && packs !== null ? packs * pack.priceMinor : null,
        },
      ]
    })
    .sort((a, b) => (a.name < b.name ? -1 : 1))
}

/** What is odd about a delivery: a slipped digit, or far more than was ordered. */
export type DeliveryDoubt = { kind: 'ten-times'; likelyG: number } | { kind: 'far-more'; orderedG: number }

/** A delivery that cannot be meant: a slipped digit, or more than three times what was ordered. */
export function doubtDelivery(orderedG: number, cameG: number): DeliveryDoubt | null {
  if (!(orderedG > 0) || cameG <= 0) return null
  const times = cameG / orderedG
  for (const factor of [10, 100, 1000]) {
    if (Math.abs(times / factor - 1) < 0.05) return { kind: 'ten-times', likelyG: cameG / factor }
  }
  return times > 3 ? { kind: 'far-more', orderedG } : null
}
