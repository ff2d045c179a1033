import type { CheckedFood } from '../safety/limits'

/** What to do after a check was answered with no: an order of common practice, from the least to the last. */
export const AFTER_NO = ['longer', 'lid', 'lidRice', 'smaller', 'away', 'awayRice'] as const
export type AfterNo = (typeof AFTER_NO)[number]

/**
 * What helps after so many noes to one check: first more time, spread thin; then what brings heat to the middle faster, a lid
 * or smaller pieces; then nothing on this flame does, and it is cooked through beside or thrown away.
 * @param noes at least 1
 */
export function afterNo(food: CheckedFood, noes: number): AfterNo {
  if (noes <= 1) return 'longer'
  switch (food) {
    case 'rice':
      return noes === 2 ? 'lidRice' : 'awayRice'
    case 'egg':
      return noes === 2 ? 'lid' : 'away'
    case 'poultry':
    case 'meat':
    case 'mince':
    case 'seafood':
      return noes === 2 ? 'lid' : noes === 3 ? 'smaller' : 'away'
  }
}
