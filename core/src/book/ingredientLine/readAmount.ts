import { isMassUnit, type MeasureSystem } from '../../measure/units'
import { Cursor } from './cursor'
import { closingBracket } from './lineText'
import { unitRatio } from './unitRatio'
import { CONTAINERS, readUnitWord } from './unitWords'

/** So much of a unit; `most` where a range was given. */
export type Measure = { value: number; most: number | null; unit: string | null }

export type Amount = {
  value: number | null
  most: number | null
  unit: string | null
  size: string | null
  /** Words about how the measure is taken: packed, heaped. */
  manner: string[]
  /** Other measures of the same amount, in brackets or after a slash. */
  also: Measure[]
  /** What one of them holds: the 400 g of "2 x 400 g tins". */
  each: Measure | null
  isApproximate: boolean
  end: number
}

const APPROXIMATE = /(?:about|around|approximately|approx\.?|roughly|circa|ca\.?|~|≈)\s*/iy
const BEFORE = /(?:at least|(?:generous|good|big))\s+/iy
const A_GOOD = /an?\s+(?:generous|good|big|scant)\s+(?=[a-z])/iy
const UP_TO = /(?:up to|max\.?|at most)\s+/iy
const A_FEW = /(?:a few|few|some|several)\s+/iy
const RANGE = /\s*(?:-|–|—|\bto\b|\bor\b)\s*(?=[\d.¼½¾⅓⅔⅛⅜⅝⅞]|[a-z]+\s)/iy
const BETWEEN = /between\s+/iy
const BETWEEN_AND = /\s+and\s+/iy
const TIMES = /\s*[x×]\s*(?=\d)/iy
const PLUS = /\s*(?:\+|\bplus\b|\band\b)\s+(?=[\d¼½¾⅓⅔⅛⅜⅝⅞])/iy
const LESS = /\s*(?:\bminus\b|\bless\b)\s+(?=[\d¼½¾⅓⅔⅛⅜⅝⅞])/iy
const SLASH = /\s*\/\s*(?=[\d¼½¾⅓⅔⅛⅜⅝⅞])/y
const OF = /\s+of\b/iy
const MANNER =
  /(?:\(\s*)?(heaped|heaping|level|rounded|scant|loosely packed|lightly packed|firmly packed|well packed|packed|generous)\b\s*\)?\s*/iy
const SIZE =
  /(extra[- ]large|extra[- ]small|medium[- ]sized|large[- ]sized|small[- ]sized|small|medium|large|jumbo|xl)\b\s*/iy
const SPACE = /[ ]*/y

/** Pieces of a thing that come in sizes; any other unit is itself small or large. */
const COUNTED_BY_SIZE: readonly string[] = ['clove', 'head', 'bunch']
const SHAPED = /(thumb-sized|bite-sized)\s+/iy

/** The amount that begins at `from`, or null where there is none: number or range, size, manner, unit, other measures. */
export function readAmount(text: string, from: number, system: MeasureSystem): Amount | null {
  const cursor = new Cursor(text, from)
  const amount: Amount = {
    value: null,
    most: null,
    unit: null,
    size: null,
    manner: [],
    also: [],
    each: null,
    isApproximate: false,
    end: from,
  }
  if (cursor.take(UP_TO)) {
    amount.most = cursor.number()
    if (amount.most === null) return null
  } else if (cursor.take(A_FEW)) {
    const unit = readUnitWord(text, cursor.at)
    if (!unit) return null
    amount.isApproximate = true
  } else {
    while (cursor.take(APPROXIMATE)) amount.isApproximate = true
    cursor.take(BEFORE)
    if (cursor.take(APPROXIMATE)) amount.isApproximate = true
    if (cursor.take(A_GOOD)) amount.value = 1
    else if (!readRange(cursor, amount)) return null
  }
  readUnitPart(cursor, amount)
  while (readMore(cursor, amount, system));
  readOthers(cursor, amount, system)
  cursor.take(OF)
  amount.end = cursor.at
  return amount
}

function readRange(cursor: Cursor, amount: Amount): boolean {
  const isBetween = cursor.take(BETWEEN) !== null
  amount.value = cursor.number()
  if (amount.value === null) return false
  const before = cursor.at
  if (cursor.take(isBetween ? BETWEEN_AND : RANGE)) {
    amount.most = cursor.number()
    if (amount.most === null) cursor.at = before
  }
  return true
}

function readUnitPart(cursor: Cursor, amount: Amount): void {
  const { text } = cursor
  const before = cursor.at
  if (cursor.take(TIMES)) {
    const each = readMeasure(cursor)
    if (each) {
      amount.each = each
      cursor.take(SPACE)
      const container = readUnitWord(text, cursor.at)
      if (container && !container.isMeasure) {
        amount.unit = container.unit
        cursor.at = container.end
      }
      return
    }
    cursor.at = before
  }
  const held = eachInBracket(cursor, amount)
  if (held) amount.each = held
  const dashed = /-(?=inch|in\b|cm|mm)/iy
  if (cursor.take(dashed)) cursor.at = before
  cursor.take(SPACE)
  const length = lengthBeforePiece(cursor, amount, before)
  if (!length) cursor.take(/-/y)
  for (let found = true; found;) {
    const size = cursor.take(SIZE)
    const manner = size ? null : (cursor.take(MANNER) ?? cursor.take(SHAPED))
    if (size?.[1])
      amount.size = size[1]
        .toLowerCase()
        .replace(/[- ]?sized$/, '')
        .replace(' ', '-')
    if (manner?.[1]) amount.manner.push(manner[1].toLowerCase())
    found = Boolean(size ?? manner)
  }
  const unit = readUnitWord(text, cursor.at)
  if (!unit || isPartOfWord(text, unit.end)) return
  amount.unit = unit.unit
  cursor.at = unit.end
  if (amount.size !== null && !COUNTED_BY_SIZE.includes(unit.unit ?? '')) {
    amount.manner.push(amount.size)
    amount.size = null
  }
  if (held === null && !unit.isMeasure) return
  const isHeldMass = unit.isMeasure && isMassUnit(unit.unit as 'g')
  if (isHeldMass) takeContainer(cursor)
}

/** "1 kg bag": the bag adds nothing to the kilogram. */
function takeContainer(cursor: Cursor): void {
  const before = cursor.at
  cursor.take(SPACE)
  const container = readUnitWord(cursor.text, cursor.at)
  if (container && CONTAINERS.includes(container.unit ?? '')) cursor.at = container.end
  else cursor.at = before
}

/** "2-inch piece": the number is a length; one piece is meant. */
function lengthBeforePiece(cursor: Cursor, amount: Amount, numberEnd: number): boolean {
  const match = /^\s*-?\s*(inch|in|cm|mm)\b[- ]*(?=pieces?\b|knobs?\b|lengths?\b)/i.exec(cursor.text.slice(numberEnd))
  if (!match) return false
  amount.manner.push(`${amount.value}-${match[1]?.toLowerCase() ?? ''}`)
  amount.value = 1
  cursor.at = numberEnd + match[0].length
  return true
}

/** "(14 oz)" or "(5 cm)" right after the number. */
function eachInBracket(cursor: Cursor, amount: Amount): Measure | null {
  const match = /\s*\(/y
  match.lastIndex = cursor.at
  if (!match.test(cursor.text)) return null
  const open = match.lastIndex - 1
  const close = closingBracket(cursor.text, open)
  const inside = cursor.text.slice(open + 1, close)
  const measure = wholeMeasure(inside)
  const after = /\s*([a-z]+)/iy
  after.lastIndex = close + 1
  const word = after.exec(cursor.text)?.[1] ?? ''
  const unit = word ? readUnitWord(word, 0) : null
  if (!unit || unit.isMeasure) return null
  const isLength = /^\d+(?:[.,]\d+)?\s*(?:cm|mm|inch|in)$/i.test(inside.trim())
  if (isLength) amount.manner.push(inside.trim())
  if (!measure && !isLength) return null
  cursor.at = close + 1
  return measure
}

const isPartOfWord = (text: string, end: number) => /[a-zA-Z]/.test(text[end] ?? '') && text[end - 1] !== '.'

function readMeasure(cursor: Cursor): Measure | null {
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

/** "plus 1 tsp", "less 1 tbsp", "1 lb 4 oz": added in the first unit, where both are masses or both volumes. */
function readMore(cursor: Cursor, amount: Amount, system: MeasureSystem): boolean {
  if (amount.value === null || amount.unit === null) return false
  const before = cursor.at
  const sign = cursor.take(PLUS) ? 1 : cursor.take(LESS) ? -1 : cursor.take(/\s+(?=[\d])/y) ? 1 : 0
  if (sign === 0) return false
  const more = readMeasure(cursor)
  const ratio = more?.unit ? unitRatio(more.unit, amount.unit, system) : null
  if (!more || ratio === null) {
    cursor.at = before
    return false
  }
  amount.value += sign * more.value * ratio
  return true
}

/** The same amount in other measures: "(240 ml)", "/ 1 lb", and how it is packed in brackets. */
function readOthers(cursor: Cursor, amount: Amount, system: MeasureSystem): void {
  for (let goesOn = true; goesOn;) {
    goesOn = false
    const before = cursor.at
    if (cursor.take(SLASH)) {
      const measure = readMeasure(cursor)
      if (measure) {
        amount.also.push(measure)
        goesOn = true
        continue
      }
      cursor.at = before
    }
    const bracket = /\s*(?=\()/y
    if (cursor.take(bracket)) {
      const close = closingBracket(cursor.text, cursor.at)
      const inside = cursor.text.slice(cursor.at + 1, close)
      const measures = inside.split(/\s*[/;,]\s*/).map(wholeMeasure)
      const manner = /^(?:loosely |lightly |firmly |well )?(?:packed|heaped|level)$/i.test(inside.trim())
      if (measures.length > 0 && measures.every((one) => one !== null)) {
        amount.also.push(...measures)
        cursor.at = close + 1
        goesOn = true
        continue
      }
      if (manner) {
        amount.manner.push(inside.trim().toLowerCase())
        cursor.at = close + 1
        goesOn = true
        continue
      }
    }
    cursor.at = before
    if (amount.also.length > 0) goesOn = readMore(cursor, amount, system)
  }
}
