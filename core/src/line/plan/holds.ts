import type { Dish } from '../../book/dish'

/** How long a dish holds on the pass [s]: as if it were just up, and at all. House figures until the kitchen says otherwise. */
export const USUAL_HOLD = { freeS: 150, mostS: 300 } as const

/** What the dish says of how long it holds; the longest is never shorter than the free hold. */
export function holdOf({
  holdFreeS = USUAL_HOLD.freeS,
  holdMostS = USUAL_HOLD.mostS,
}: Pick<Dish, 'holdFreeS' | 'holdMostS'>): {
  freeS: number
  mostS: number
} {
  return { freeS: holdFreeS, mostS: Math.max(holdFreeS, holdMostS) }
}
