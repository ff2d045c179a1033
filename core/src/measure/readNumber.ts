/** A number found at a place in a text, and where it ends. */
export type NumberRead = { value: number; end: number }

const VULGAR: Readonly<Record<string, number>> = {
  '¼': 1 / 4,
  '½': 1 / 2,
  '¾': 3 / 4,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅐': 1 / 7,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
  '⅑': 1 / 9,
  '⅒': 1 / 10,
}
const VULGAR_CLASS = `[${Object.keys(VULGAR).join('')}]`

const WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  dozen: 12,
  half: 1 / 2,
  halves: 1 / 2,
  third: 1 / 3,
  thirds: 1 / 3,
  quarter: 1 / 4,
  quarters: 1 / 4,
}

const AND_VULGAR = new RegExp(`(\\d+)\\s+and\\s+(?:an?\\s+)?(${VULGAR_CLASS})`, 'iy')
const FRACTION = /(\d+)\s*[/⁄∕]\s*(\d+)/y
const MIXED = /(\d+)(?:\s+|\s*-\s*)(\d+)\s*[/⁄∕]\s*(\d+)/y
const AND_FRACTION = /(\d+)\s+and\s+(?:an?\s+)?(\d+)\s*[/⁄∕]\s*(\d+)/iy
const WITH_VULGAR = new RegExp(`(\\d+)?\\s*-?\\s*(${VULGAR_CLASS})`, 'y')
const GROUPED = /[1-9]\d{0,2}(?:[,'’\u2009\u202f ]\d{3})+(?:\.\d+)?(?!\d)/y
const DECIMAL = /\d+(?:[.,]\d+)?|\.\d+/y
const WORD = /[a-z]+/iy

/**
 * The number that begins at `from`: digits, decimals with point or comma, thousands in groups of three, fractions of every
 * kind (1½, 1 1/2, 1-1/2, 1 and 1/2, ⅔), number words and "one and a half". Null where none begins there or the fraction divides by 0.
 */
export function readNumber(text: string, from: number): NumberRead | null {
  return (
    match(AND_FRACTION, text, from, ([, whole, top, bottom]) => fraction(top, bottom, Number(whole))) ??
    match(AND_VULGAR, text, from, ([, whole, sign]) => Number(whole) + (VULGAR[sign ?? ''] ?? Number.NaN)) ??
    match(MIXED, text, from, ([, whole, top, bottom]) => fraction(top, bottom, Number(whole))) ??
    match(WITH_VULGAR, text, from, ([, whole, sign]) => Number(whole ?? 0) + (VULGAR[sign ?? ''] ?? Number.NaN)) ??
    match(FRACTION, text, from, ([, top, bottom]) => fraction(top, bottom)) ??
    match(GROUPED, text, from, ([all]) => Number(all.replace(/[^\d.]/g, ''))) ??
    match(DECIMAL, text, from, ([all]) => Number(all.replace(',', '.'))) ??
    numberInWords(text, from)
  )
}

function numberInWords(text: string, from: number): NumberRead | null {
  const first = wordAt(text, from)
  if (!first) return null
  const andHalf = /\s+and\s+a\s+(half|quarter)\b/iy
  andHalf.lastIndex = first.end
  const more = andHalf.exec(text)
  if (more) return { value: first.value + (WORDS[more[1]?.toLowerCase() ?? ''] ?? 0), end: andHalf.lastIndex }
  const space = /(?:\s+|-)(?:an?\s+)?/y
  space.lastIndex = first.end
  if (!space.exec(text)) return first
  const second = wordAt(text, space.lastIndex)
  const isFactor = second && (second.value === 12 || second.value < 1)
  if (isFactor && /^(dozen|hal(?:f|ves)|thirds?|quarters?)\b/i.test(text.slice(space.lastIndex)))
    return { value: first.value * second.value, end: second.end }
  return first.value < 1 ? { value: first.value, end: space.lastIndex - trailing(text, space.lastIndex) } : first
}

/** Room before a word that is not part of the number. */
const trailing = (text: string, end: number) => (/\s/.test(text[end - 1] ?? '') ? 1 : 0)

function wordAt(text: string, from: number): NumberRead | null {
  return match(WORD, text, from, ([all]) => WORDS[all.toLowerCase()] ?? Number.NaN)
}

function match(
  pattern: RegExp,
  text: string,
  from: number,
  valueOf: (groups: RegExpExecArray) => number,
): NumberRead | null {
  pattern.lastIndex = from
  const groups = pattern.exec(text)
  if (!groups) return null
  const value = valueOf(groups)
  return Number.isFinite(value) ? { value, end: from + groups[0].length } : null
}

const fraction = (top = '', bottom = '', whole = 0) => whole + Number(top) / Number(bottom)
