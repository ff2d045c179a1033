import { closingBracket } from './lineText'
import { wholeMeasure, type Measure } from './readMeasure'
import { CUT_SHAPES } from './unitWords'

/** What is left of a line once its amount is read: the thing, what is done to it, and measures found on the way. */
export type Rest = { ingredient: string; prep: string[]; also: Measure[]; each: Measure | null }

const CUTS =
  'minced|chopped|diced|sliced|grated|shredded|crushed|peeled|julienned|beaten|torn|packed|halved|quartered|trimmed|picked|softened|melted|rinsed|drained|sifted|deseeded|seeded|deveined|shelled|pitted'
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
/** "5 mm dice carrot", "1/2-inch cubed tofu": the size of the cut before the thing. */
const LEADING_SIZE = new RegExp(
  `^(?:\\d+(?:[.,/]\\d+)?|[¼½¾])\\s*-?\\s*(?:mm|cm|inch|in)\\b[- ]+(?:thick )?(?:${CUT_SHAPES})\\s+(?:of\\s+)?(?=[a-z])`,
  'i',
)
const TRAILING =
  /\s+((?:or )?to taste|or as needed|as needed|to serve|to garnish|to (?:finish|top|sprinkle)|for (?:frying|garnish|serving|dusting|sprinkling|topping|finishing|brushing|drizzling|the (?:pan|wok))|in [\d¼½¾].*|optional|divided|cut (?:into|in|on)\b.*|mixed with\b.*|plus (?:more|extra)\b.*)$/i
const PURE_PREP = /^(?:\(?optional\)?)$/i

/** Splits what follows an amount into the ingredient and how it is prepared. */
export function splitRest(text: string): Rest {
  const rest: Rest = { ingredient: '', prep: [], also: [], each: null }
  const outside = takeBrackets(text, rest)
  const [head = '', ...segments] = splitCommas(outside)
  rest.ingredient = head
    .replace(/[\s:–—-]+$/, '')
    .replace(/^[\s:–—,-]+/, '')
    .trim()
  for (const segment of segments) {
    if (takeMeasure(segment, rest)) continue
    if (segment !== '') rest.prep.push(segment.replace(/\s*[–—-]$/, ''))
  }
  const slashed = /^(.*[^\s])\s*\/\s*(\d[^/]*)$/.exec(rest.ingredient)
  if (slashed && takeMeasure(slashed[2] ?? '', rest)) rest.ingredient = slashed[1] ?? ''
  takeTrailing(rest)
  takeLeading(rest)
  rest.ingredient = rest.ingredient.replace(/^of\s+/i, '')
  return rest
}

/** Takes "300 g", "300 g in all" as another measure of the line, "150 g each" as that of one; whether it was one. */
function takeMeasure(text: string, rest: Rest): boolean {
  const [, bare = '', manner = ''] =
    /^(.*?)(?:\s+((?:in )?total|in all|altogether|each|apiece))?$/i.exec(text.trim()) ?? []
  const measure = wholeMeasure(bare)
  if (measure && /^(?:each|apiece)$/i.test(manner)) rest.each = measure
  else if (measure) rest.also.push(measure)
  return measure !== null
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
    if (!takeMeasure(inside, rest) && inside !== '') rest.prep.push(inside)
    i = close
  }
  return outside.replace(/ {2,}/g, ' ').replace(/ ,/g, ',').trim()
}

/** Words that only say what a thing is like: "boneless, skinless chicken thighs" has its name after the comma. */
const LIKE_WORDS =
  'boneless|skinless|bone-in|skin-on|fresh|dried|raw|cooked|cold|chilled|frozen|ripe|firm|lean|large|small|medium|thick|thin|unsalted|salted|peeled|deveined|shelled|day-old|leftover|cleaned|trimmed|packed'
const LIKE = new RegExp(`^(?:(?:${LIKE_WORDS})(?:\\s+and)?\\s*)+$`, 'i')
const STARTS_LIKE = new RegExp(`^(?:${LIKE_WORDS}),?\\s+[a-z]`, 'i')

/** Commas part the thing from its prep; the prep itself keeps its commas. */
function splitCommas(text: string): string[] {
  const at = text.search(/,(?!\d)/)
  if (at < 0) return [text]
  const tail = text.slice(at + 1).trim()
  const isOnlyLike = at === 0 ? STARTS_LIKE.test(tail) : LIKE.test(text.slice(0, at)) && /[a-z]/i.test(tail)
  if (isOnlyLike) return splitCommas(`${text.slice(0, at)} ${tail}`.trim())
  const head = text.slice(0, at)
  const parts = tail.split(/,(?!\d)\s*/)
  const hasMeasure = parts.some((part) =>
    wholeMeasure(part.replace(/\s+(?:(?:in )?total|in all|altogether|each|apiece)$/i, '')),
  )
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
  for (const pattern of [LEADING_EACH, LEADING_SIZE, LEADING_SHAPE, LEADING_HOW, LEADING_GROUND]) {
    const found = pattern.exec(rest.ingredient)
    if (!found) continue
    early.push(found[0].replace(/\s+(?:of\s+)?$/i, ''))
    rest.ingredient = rest.ingredient.slice(found[0].length)
  }
  const cut = LEADING_CUT.exec(rest.ingredient)
  if (cut && !MINCED_MEAT.test(rest.ingredient)) {
    early.push((cut[1] ?? '').replace(/(?:,| and)?\s*$/, ''))
    rest.ingredient = rest.ingredient.slice(cut[0].length)
  }
  rest.prep.unshift(...early)
}
