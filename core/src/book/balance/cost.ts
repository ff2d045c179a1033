import { sumMinor } from '../../measure/money'

/** A price as it was from a day on: so much for a pack of so many grams as bought, in the smallest unit of the currency. */
export type Price = { fromDay: string; packName: string; packG: number; priceMinor: number }

/** A mass of something [g, edible], and the price it is bought at. */
export type Priced = { massG: number; ediblePortion: number; price: Price | null; name: string }

/** What a batch costs, exact until the last step; null with the names that have no price, so that nothing is guessed. */
export type Cost = { costMinor: number | null; unpriced: string[]; byPart: (number | null)[] }

/** The price in force on a day: the latest that began by then. */
export function priceOn(prices: readonly Price[], day: string): Price | null {
  return prices.reduce<Price | null>(
    (latest, price) => (price.fromDay <= day && (!latest || price.fromDay > latest.fromDay) ? price : latest),
    null,
  )
}

/** Cost of edible masses: what is bought for them, by its edible portion. */
export function costOf(parts: readonly Priced[]): Cost {
  const byPart = parts.map(({ massG, ediblePortion, price }) =>
    price === null ? null : (massG / ediblePortion / price.packG) * price.priceMinor,
  )
  const unpriced = parts.filter((part, i) => byPart[i] === null && part.massG > 0).map((part) => part.name)
  const costMinor = unpriced.length > 0 ? null : sumMinor(byPart.map((one) => one ?? 0))
  return { costMinor, unpriced, byPart }
}

/** Share of the selling price that is left after the cost of what is in it. */
export const marginFraction = (priceMinor: number, costMinor: number): number => 1 - costMinor / priceMinor
