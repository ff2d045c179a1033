import type { Cursor } from './cursor'
import { APPROXIMATE, RANGE } from './readMeasure'
import { CONTAINER_WORDS, readUnitWord } from './unitWords'

/** How many are written: one number, a range (then `most`), or at most so many (then `value` is null). */
export type WrittenQuantity = { value: number | null; most: number | null; isApproximate: boolean }

const BEFORE = /(?:at least|min\.|minimum(?: of)?|(?:generous|good|big))\s+/iy
const A_GOOD = /an?\s+(?:generous|good|big|scant)\s+(?=[a-z])/iy
/** A small measure of which one is meant where no number stands: "pinch of salt", "large handful bean sprouts", "scant cup of rice". */
const ONE_OF = new RegExp(
  `(?:(?:generous|good|big)\\s+)?(?=(?:(?:small|large)\\s+)?(?:(?:pinch|handful|dash|splash|drizzle|glug|sprig)\\s+[a-z]|(?:drop|knob|bunch)\\s+of\\b)` +
    `|(?:scant|heaped|heaping|level|rounded)\\s+(?:cup|tsp|tbsp|teaspoon|tablespoon)\\b)`,
  'iy',
)
const DOZEN = /\s*\bdozen\b/iy
const COUPLE = /(?:a\s+)?couple(?:\s+of)?\s+(?=[a-z])/iy
const UP_TO = /(?:up to|max\.?|at most)\s+/iy
const A_FEW = /(?:a few|few|some|several)\s+/iy
const BETWEEN = /between\s+/iy
const BETWEEN_AND = /\s+and\s+/iy
/** "16/20 prawns" are so many to a pound, not so many. */
const COUNT_TO_THE_POUND = /\d{2}\/\d{2,3}(?=\s+[a-z])/iy
const OR_MORE = /\s+or (?:more|so)\b/iy
/** "½ an onion", "1/3 of a cup": the word after a part of one. */
const PART_OF_ONE = /\s+(?:of\s+)?an?(?=\s+[a-z])/iy
/** "2 400 g tins" are two tins, not 2400 g. */
const COUNT_BEFORE_SIZE = new RegExp(
  `(\\d{1,2})(?=\\s+\\d+(?:[.,]\\d+)?[ -]?(?:oz|ounces?|g|grams?|ml|kg|lb|l)\\.?[ -]+(?:${CONTAINER_WORDS})\\b)`,
  'iy',
)

/** "about 2", "2 to 3", "up to 3", "a few cloves", "a couple", or null where no number begins. */
export function readQuantity(cursor: Cursor): WrittenQuantity | null {
  if (cursor.take(UP_TO)) {
    const most = cursor.number()
    return most === null ? null : { value: null, most, isApproximate: false }
  }
  if (cursor.take(A_FEW))
    return readUnitWord(cursor.text, cursor.at) ? { value: null, most: null, isApproximate: true } : null
  if (cursor.take(COUPLE)) return { value: 2, most: null, isApproximate: true }
  let isApproximate = false
  while (cursor.take(APPROXIMATE)) isApproximate = true
  cursor.take(BEFORE)
  if (cursor.take(APPROXIMATE)) isApproximate = true
  if (cursor.take(A_GOOD) || cursor.take(ONE_OF)) return { value: 1, most: null, isApproximate }
  const counted = cursor.take(COUNT_BEFORE_SIZE)
  if (counted) return { value: Number(counted[1]), most: null, isApproximate }
  if (cursor.take(COUNT_TO_THE_POUND)) return null
  const range = readRange(cursor)
  return range && { ...range, isApproximate: isApproximate || cursor.take(OR_MORE) !== null }
}

function readRange(cursor: Cursor): { value: number; most: number | null } | null {
  const isBetween = cursor.take(BETWEEN) !== null
  const number = cursor.number()
  if (number === null) return null
  const value = cursor.take(DOZEN) ? 12 * number : number
  if (value < 1 && cursor.take(PART_OF_ONE)) return { value, most: null }
  const before = cursor.at
  if (!cursor.take(isBetween ? BETWEEN_AND : RANGE)) return { value, most: null }
  const most = cursor.number()
  if (most === null) cursor.at = before
  return { value, most }
}
