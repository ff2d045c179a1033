import { isMassUnit, type MeasureSystem } from '../../measure/units'
import { Cursor } from './cursor'
import { closingBracket } from './lineText'
import { isPartOfWord, readMeasure, wholeMeasure, type Measure } from './readMeasure'
import { readQuantity } from './readQuantity'
import { unitRatio } from './unitRatio'
import { CUT_SHAPES, CONTAINERS, readUnitWord, type UnitRead } from './unitWords'

/** The amount at the beginning of a line: quantity, unit, size, and what is left. */
export type WrittenAmount = {
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

/** What makes a number before it a share or the size of a cut: "2% milk", "5 mm dice carrot". */
const NO_QUANTITY = new RegExp(`\\s*%|\\s*-?\\s*(?:mm|cm|inch|in)\\b[- ]+(?:${CUT_SHAPES})\\b`, 'iy')
const TIMES = /\s*[x×]\s*(?=\d)/iy
const TIMES_OF = /\s*[x×]\s+(?=[a-z])/iy
const AT_LEAST = /\+(?=\s)|\s+or (?:more|so)\b/iy
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
export function readAmount(text: string, from: number, system: MeasureSystem): WrittenAmount | null {
  const cursor = new Cursor(text, from)
  const number = readQuantity(cursor)
  if (!number || cursor.take(NO_QUANTITY)) return null
  const part = readUnitPart(cursor, number.value)
  let { value } = part
  for (let more = readMore(cursor, value, part.unit, system); more !== null;) {
    value = more
    more = readMore(cursor, value, part.unit, system)
  }
  const others = readOthers(cursor, value, part.unit, system)
  cursor.take(OF)
  return {
    ...number,
    ...part,
    value: others.value,
    manner: [...part.manner, ...others.manner],
    also: others.also,
    end: cursor.at,
  }
}

type UnitPart = Pick<WrittenAmount, 'value' | 'unit' | 'size' | 'manner' | 'each'>

/** What follows the number: "x 400 g tins", "(14 oz)", "large", "heaped tbsp", "2-inch piece". */
function readUnitPart(cursor: Cursor, value: number | null): UnitPart {
  const before = cursor.at
  if (cursor.take(TIMES)) {
    const each = readMeasure(cursor)
    if (each) return { value, size: null, manner: [], each, unit: takePiece(cursor, (unit) => !unit.isMeasure) }
    cursor.at = before
  }
  const held = eachInBracket(cursor) ?? eachBefore(cursor)
  const dashed = /-(?=inch|in\b|cm|mm)/iy
  if (cursor.take(dashed)) cursor.at = before
  cursor.take(SPACE)
  const length = lengthBeforePiece(cursor, value, before)
  if (length === null && !cursor.take(TIMES_OF)) cursor.take(/-/y)
  const { size, manner } = readSizeAndManner(cursor)
  const said = [...(held?.manner ?? []), ...(length === null ? [] : [length]), ...manner]
  const part = { value: length === null ? value : 1, each: held?.each ?? null }
  const unit = readUnitWord(cursor.text, cursor.at)
  if (!unit || isPartOfWord(cursor.text, unit.end)) return { ...part, unit: null, size, manner: said }
  cursor.at = unit.end
  if (unit.isMeasure && isMassUnit(unit.unit as 'g'))
    takePiece(cursor, ({ unit: piece }) => CONTAINERS.includes(piece ?? ''))
  cursor.take(AT_LEAST)
  const isUnitSized = size !== null && !COUNTED_BY_SIZE.includes(unit.unit ?? '')
  return isUnitSized
    ? { ...part, unit: unit.unit, size: null, manner: [...said, size] }
    : { ...part, unit: unit.unit, size, manner: said }
}

/** Sizes and manners in any order before the unit; of sizes the last stands. */
function readSizeAndManner(cursor: Cursor): { size: string | null; manner: string[] } {
  let size: string | null = null
  const manner: string[] = []
  for (;;) {
    const sized = cursor.take(SIZE)?.[1]
    const how = sized === undefined ? (cursor.take(MANNER) ?? cursor.take(SHAPED))?.[1] : undefined
    if (sized !== undefined)
      size = sized
        .toLowerCase()
        .replace(/[- ]?sized$/, '')
        .replace(' ', '-')
    else if (how !== undefined) manner.push(how.toLowerCase())
    else return { size, manner }
  }
}

/** The tins of "2 x 400 g tins", the bag of "1 kg bag", which adds nothing to the kilogram; null where no such word stands there. */
function takePiece(cursor: Cursor, isWanted: (unit: UnitRead) => boolean): string | null {
  const before = cursor.at
  cursor.take(SPACE)
  const piece = readUnitWord(cursor.text, cursor.at)
  if (piece && isWanted(piece)) {
    cursor.at = piece.end
    return piece.unit
  }
  cursor.at = before
  return null
}

/** "2-inch piece": the number is a length, said as a manner; one piece is meant. Null where it is no length. */
function lengthBeforePiece(cursor: Cursor, value: number | null, numberEnd: number): string | null {
  const match = /^\s*-?\s*(inch|in|cm|mm)\b[- ]*(?=pieces?\b|knobs?\b|lengths?\b)/i.exec(cursor.text.slice(numberEnd))
  if (!match) return null
  cursor.at = numberEnd + match[0].length
  return `${value}-${match[1]?.toLowerCase() ?? ''}`
}

/** "14-oz" and "2-inch" of "1 14-oz block" and "one 2-inch piece": what one of them holds, or how long it is. */
function eachBefore(cursor: Cursor): { each: Measure | null; manner: string[] } | null {
  const before = cursor.at
  if (!cursor.take(/\s+(?=\d)/y)) return null
  const length = cursor.take(/(\d+(?:[.,]\d+)?)\s*-?\s*(inch|in|cm|mm)\b[- ]*(?=pieces?\b|knobs?\b|lengths?\b)/iy)
  if (length) return { each: null, manner: [`${length[1]}-${length[2]?.toLowerCase()}`] }
  const isJoined = /\d-[a-z]/i.test(cursor.text.slice(cursor.at, cursor.at + 8))
  const each = readMeasure(cursor)
  const after = cursor.at
  if (each && isJoined && /^\s+[a-z]/i.test(cursor.text.slice(after))) return { each, manner: [] }
  if (each && cursor.take(/[- ]+/y) && takePiece(cursor, ({ unit }) => CONTAINERS.includes(unit ?? ''))) {
    cursor.at = after
    return { each, manner: [] }
  }
  cursor.at = before
  return null
}

/** "(14 oz)" or "(5 cm)" right after the number, before a container. */
function eachInBracket(cursor: Cursor): { each: Measure | null; manner: string[] } | null {
  const match = /\s*\(/y
  match.lastIndex = cursor.at
  if (!match.test(cursor.text)) return null
  const open = match.lastIndex - 1
  const close = closingBracket(cursor.text, open)
  const inside = cursor.text.slice(open + 1, close)
  const [each = null] = inside.split('/').map(wholeMeasure)
  const after = /\s*([a-z]+)/iy
  after.lastIndex = close + 1
  const word = after.exec(cursor.text)?.[1] ?? ''
  const unit = word ? readUnitWord(word, 0) : null
  if (!unit || unit.isMeasure) return null
  const isLength = /^\d+(?:[.,]\d+)?\s*(?:cm|mm|inch|in)$/i.test(inside.trim())
  if (!each && !isLength) return null
  cursor.at = close + 1
  return { each, manner: isLength ? [inside.trim()] : [] }
}

/** "plus 1 tsp", "less 1 tbsp", "1 lb 4 oz": the sum in the first unit, where both are masses or both volumes; null where nothing is added. */
function readMore(cursor: Cursor, value: number | null, unit: string | null, system: MeasureSystem): number | null {
  if (value === null || unit === null) return null
  const before = cursor.at
  const sign = cursor.take(PLUS) ? 1 : cursor.take(LESS) ? -1 : cursor.take(/\s+(?=[\d])/y) ? 1 : 0
  if (sign === 0) return null
  const more = readMeasure(cursor)
  const ratio = more?.unit ? unitRatio(more.unit, unit, system) : null
  if (!more || ratio === null) {
    cursor.at = before
    return null
  }
  return value + sign * more.value * ratio
}

type Others = Pick<WrittenAmount, 'value' | 'also' | 'manner'>

/** The same amount in other measures, "(240 ml)", "/ 1 lb", what is added after them, and how it is packed in brackets. */
function readOthers(cursor: Cursor, value: number | null, unit: string | null, system: MeasureSystem): Others {
  const others: Others = { value, also: [], manner: [] }
  for (;;) {
    const found = otherMeasures(cursor) ?? packedInBracket(cursor)
    if (found) {
      others.also.push(...found.also)
      others.manner.push(...found.manner)
      continue
    }
    const sum = others.also.length > 0 ? readMore(cursor, others.value, unit, system) : null
    if (sum === null) return others
    others.value = sum
  }
}

function otherMeasures(cursor: Cursor): { also: Measure[]; manner: string[] } | null {
  const before = cursor.at
  if (cursor.take(SLASH)) {
    const measure = readMeasure(cursor)
    if (measure) return { also: [measure], manner: [] }
    cursor.at = before
  }
  const inside = takeBracket(cursor)
  if (inside === null) return null
  const measures = inside.split(/\s*[/;,]\s*/).flatMap((one) => wholeMeasure(one) ?? [null])
  const known = measures.filter((one) => one !== null)
  if (known.length > 0 && known.length === measures.length) return { also: known, manner: [] }
  cursor.at = before
  return null
}

function packedInBracket(cursor: Cursor): { also: Measure[]; manner: string[] } | null {
  const before = cursor.at
  const inside = takeBracket(cursor)?.trim()
  if (inside !== undefined && /^(?:loosely |lightly |firmly |well )?(?:packed|heaped|level)$/i.test(inside))
    return { also: [], manner: [inside.toLowerCase()] }
  cursor.at = before
  return null
}

/** What stands in the bracket at the cursor, which then stands behind it; null where no bracket opens. */
function takeBracket(cursor: Cursor): string | null {
  if (!cursor.take(/\s*(?=\()/y)) return null
  const close = closingBracket(cursor.text, cursor.at)
  const inside = cursor.text.slice(cursor.at + 1, close)
  cursor.at = close + 1
  return inside
}
