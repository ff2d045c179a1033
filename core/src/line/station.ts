import type { Component, Dish, StationKind } from '../book/dish'
import type { StationPast } from './stationPast'
import { cleanedSinceUse, isWashed } from './stationPast'

/** A station and the most portions it takes at once. */
export type Station = { id: string; kind: StationKind; capPortions: number }

/** What a station needs before a batch. */
export const SET_UPS = ['none', 'wipe', 'brush', 'wash'] as const
export type SetUp = (typeof SET_UPS)[number]

/** Set-up between batches [s]: house figures, common practice; a wash is full, with detergent, rinse and dry. */
export const SET_UP_S: Readonly<Record<SetUp, number>> = { none: 0, wipe: 15, brush: 25, wash: 60 }

const bases = new WeakMap<object, string>()

/** What of a dish stays on the metal: its paste, else what it is seasoned with most. Dishes that share it ask for a wipe only. */
export function metalBase(dish: Pick<Dish, 'components'>): string {
  const known = bases.get(dish)
  if (known !== undefined) return known
  const heaviest = (role: Component['role']) =>
    dish.components.filter((one) => one.role === role).sort((a, b) => b.ratioG - a.ratioG)[0]
  const base = heaviest('paste') ?? heaviest('liquidSeasoning')
  const name = base ? (base.ingredientId ?? base.recipeId ?? base.id) : 'plain'
  bases.set(dish, name)
  return name
}

/** The dish that a station fried last, or null where nobody knows. */
export type Fried = Pick<Dish, 'id' | 'components'> | null

/**
 * What a station needs before a batch: a full wash before an allergy, nothing on washed metal or after the same dish, a wipe
 * after a dish with the same base, a brush after any other and where nobody knows what was in it; none of either where it
 * was done since. Only a wash is enough for an allergy.
 */
export function setUpFor(
  batch: { dish: Pick<Dish, 'id' | 'components'>; allergies: readonly string[] },
  past: StationPast,
  fried: Fried,
): SetUp {
  if (isWashed(past)) return 'none'
  if (batch.allergies.length > 0) return 'wash'
  if (past.lastDishId === null && past.usedUntilMs === null) return 'none'
  const needed = setUpAfter(batch.dish, fried)
  const cleaned = cleanedSinceUse(past)
  return cleaned === 'brushed' || (cleaned === 'wiped' && needed === 'wipe') ? 'none' : needed
}

/** What metal that is not washed needs between two dishes. */
export function setUpAfter(dish: Pick<Dish, 'id' | 'components'>, fried: Fried): SetUp {
  if (fried?.id === dish.id) return 'none'
  return fried && metalBase(fried) === metalBase(dish) ? 'wipe' : 'brush'
}

/** The most portions of one batch over the stations of a kind; 0 where no station takes the dish. */
export function largestCap(stations: readonly Station[], kind: StationKind): number {
  return Math.max(0, ...stations.filter((station) => station.kind === kind).map((station) => station.capPortions))
}
