import type { Allergen } from '../book/ingredient'

/** What is known of a station's metal: what it last cooked, until when, and when somebody said that it was washed. */
export type StationPast = { lastDishId: string | null; usedUntilMs: number | null; washedAtMs: number | null }
/** What a station needs before a batch. */
export type SetUp = 'none' | 'wipe' | 'wash'

/** Whether a station was washed since it was last used. What nobody said is not so. */
export function isWashed({ usedUntilMs, washedAtMs }: StationPast): boolean {
  return washedAtMs !== null && (usedUntilMs === null || washedAtMs >= usedUntilMs)
}

/** What a station needs before a batch: a full wash before an allergy, a wipe after another dish, nothing on clean metal. */
export function setUpFor(batch: { dishId: string; allergies: readonly Allergen[] }, past: StationPast): SetUp {
  if (isWashed(past)) return 'none'
  if (batch.allergies.length > 0) return 'wash'
  return past.lastDishId === null || past.lastDishId === batch.dishId ? 'none' : 'wipe'
}
