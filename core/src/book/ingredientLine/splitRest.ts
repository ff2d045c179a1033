import { closingBracket } from './lineText'
import { wholeMeasure, type Measure } from './readMeasure'

/** What is left of a line once its amount is read: the thing, what is done to it, and measures found on the way. */
export type Rest = { ingredient: string; prep: string[]; also: Measure[] }

const CUTS =
  'minced|chopped|diced|sliced|grated|shredded|crushed|peeled|julienned|beaten|torn|packed|halved|quartered|trimmed|picked|softened|melted|rinsed|drained|sifted|deseeded|seeded'
const LEADING_CUT = new RegExp(
  `^((?:(?:very |freshly |finely |roughly |coarsely |thinly |thickly |lightly |loosely |firmly )?(?:${CUTS})(?:,? and |, | ))+)(?=\\S)`,
  'i',
)
const MEATS = 'beef|pork|chicken|lamb|meat|turkey|duck|veal|fish'
/** Minced meat is a thing of its own, minced garlic is garlic that was minced. */
const MINCED_MEAT = new RegExp(`^(?:minced|chopped)\\s+(?:${MEATS})\\b`, 'i')
/** How it was minced is no part of its name. */
const LEADING_HOW = new RegExp(
  `^(?:very |freshly |finely |roughly |coarsely |lean )+(?=(?:minced|ground|chopped)\\s+(?:${MEATS})\\b)`,
  'i',
)
const LEADING_EACH = /^each\s+/i
const LEADING_GROUND = /^freshly (?:ground|cracked|milled)\s+/i
const LEADING_SHAPE = /^(thumb-sized|bite-sized)\s+/i
const TRAILING =
  /\s+((?:or )?to taste|or as needed|as needed|to serve|to garnish|for (?:frying|garnish|serving|dusting|the pan)|optional|divided|cut (?:into|in|on)\b.*|mixed with\b.*|plus (?:more|extra)\b.*)$/i
const PURE_PREP = /^(?:\(?optional\)?)$/i

/** Splits what follows an amount into the ingredient and how it is prepared. */
export function splitRest(text: string): Rest {
  const rest: Rest = { ingredient: '', prep: [], also: [] }
  const outside = takeBrackets(text, rest)
  const [head = '', ...segments] = splitCommas(outside)
  rest.ingredient = head
    .replace(/[\s:–—-]+$/, '')
    .replace(/^[\s:–—,-]+/, '')
    .trim()
  for (const segment of segments) {
    const measure = wholeMeasure(segment)
    if (measure) rest.also.push(measure)
    else if (segment !== '') rest.prep.push(segment.replace(/\s*[–—-]$/, ''))
  }
  takeTrailing(rest)
  takeLeading(rest)
  rest.ingredient = rest.ingredient.replace(/^of\s+/i, '')
  return rest
}

/** Bracketed words become prep, bracketed measures other measures; what stands outside is given back. */
function takeBrackets(text: string, rest: Rest): string {
  let outside = ''
  for (let i = 0; i < text.length; i += 1) {
    if (text[i] !== '(' && text[i] !== '[') {
      outside += text[i]
      continue
    }
    const close = closingBracket(text, i)
    const inside = text.slice(i + 1, close).trim()
    const measure = wholeMeasure(inside)
    if (measure) rest.also.push(measure)
    else if (inside !== '') rest.prep.push(inside)
    i = close
  }
  return outside.replace(/ {2,}/g, ' ').replace(/ ,/g, ',').trim()
}

/** Commas part the thing from its prep; the prep itself keeps its commas. */
function splitCommas(text: string): string[] {
  const at = text.search(/,(?!\d)/)
  if (at < 0) return [text]
  const head = text.slice(0, at)
  const tail = text.slice(at + 1).trim()
  const parts = tail.split(/,(?!\d)\s*/)
  const hasMeasure = parts.some((part) => wholeMeasure(part))
  return hasMeasure ? [head, ...parts.map((part) => part.trim())] : [head, tail]
}

function takeTrailing(rest: Rest): void {
  for (let found = TRAILING.exec(rest.ingredient); found; found = TRAILING.exec(rest.ingredient)) {
    rest.ingredient = rest.ingredient.slice(0, found.index).trim()
    rest.prep.unshift(found[1] ?? '')
  }
  if (PURE_PREP.test(rest.ingredient)) rest.ingredient = ''
}

function takeLeading(rest: Rest): void {
  const early: string[] = []
  for (const pattern of [LEADING_EACH, LEADING_SHAPE, LEADING_HOW, LEADING_GROUND]) {
    const found = pattern.exec(rest.ingredient)
    if (!found) continue
    early.push(found[0].trim())
    rest.ingredient = rest.ingredient.slice(found[0].length)
  }
  const cut = LEADING_CUT.exec(rest.ingredient)
  if (cut && !MINCED_MEAT.test(rest.ingredient)) {
    early.push((cut[1] ?? '').replace(/(?:,| and)?\s*$/, ''))
    rest.ingredient = rest.ingredient.slice(cut[0].length)
  }
  rest.prep.unshift(...early)
}
