import { Cursor } from './cursor'
import { readUnitWord } from './unitWords'

/** So much of a unit; `most` where a range was given. */
export type Measure = { value: number; most: number | null; unit: string | null }

/** Words that say an amount is about right. */
export const APPROXIMATE = /(?:about|around|approximately|approx\.?|roughly|circa|ca\.?|~|≈)\s*/iy
/** What stands between the ends of a range. */
export const RANGE = /\s*(?:-|–|—|\bto\b|\bor\b)\s*(?=[\d.¼½¾⅓⅔⅛⅜⅝⅞]|[a-z]+\s)/iy

/** Whether a unit's letters go on into a word that is none. */
export const isPartOfWord = (text: string, end: number) => /[a-zA-Z]/.test(text[end] ?? '') && text[end - 1] !== '.'

/** A number and its unit at the cursor, or null with the cursor where it was. */
export function readMeasure(cursor: Cursor): Measure | null {
  const before = cursor.at
  cursor.take(APPROXIMATE)
  const value = cursor.number()
  if (value === null) {
    cursor.at = before
    return null
  }
  let most: number | null = null
  const afterFirst = cursor.at
  if (cursor.take(RANGE)) {
    most = cursor.number()
    if (most === null) cursor.at = afterFirst
  }
  cursor.take(/[ -]*/y)
  const unit = readUnitWord(cursor.text, cursor.at)
  if (!unit?.isMeasure || isPartOfWord(cursor.text, unit.end)) {
    cursor.at = before
    return null
  }
  cursor.at = unit.end
  return { value, most, unit: unit.unit }
}

/** A text that is a measure and nothing else, or null. */
export function wholeMeasure(text: string): Measure | null {
  const trimmed = text.trim()
  const cursor = new Cursor(trimmed, 0)
  const measure = readMeasure(cursor)
  return measure && cursor.at === trimmed.length ? measure : null
}
