import { readUnit, type MeasureSystem } from '../../measure/units'
import { headingOf, plainText, withoutBullet } from './lineText'
import { readAmount, type WrittenAmount } from './readAmount'
import { type Measure } from './readMeasure'
import { splitRest } from './splitRest'

/**
 * A line of a dish as it was understood. Nothing of the text is dropped: what is no amount is the ingredient or its prep.
 * `quantity` is null where nothing is measured ("salt to taste", "up to 1 tbsp": then only `quantityMax`).
 */
export type ParsedLine = {
  kind: 'ingredient' | 'heading' | 'blank'
  text: string
  quantity: number | null
  quantityMax: number | null
  unit: string | null
  size: string | null
  ingredient: string
  prep: string | null
  /** Other measures of the same amount that the line gives. */
  also: Measure[]
  each: Measure | null
  isApproximate: boolean
}

/** "optional: 1 tsp …": what is said of the whole line before it. */
const SAID_FIRST = /^(optional|garnish|to (?:serve|finish|garnish))\s*:\s*(?=\S)/i
const PART_OF = /^(juice|zest|rind|peel|leaves|seeds|whites?|yolks?)\s+(?:of|from)\s+/i
/** Where a number could begin inside a line. */
const NUMBER_START =
  /(?:^|\s[x×]|[\s,:–—(-])(?=[\d¼½¾⅓⅔⅛⅜⅝⅞~]|about |approx|an? (?:(?:small|large|good|generous) )?(?:pinch|handful|dash|splash|drizzle|glug|knob|sprig)\b)/gi

/** Reads one line as a kitchen writes it (grammar: docs/ingredient-lines.md). Takes about 10 µs. */
export function parseLine(text: string, system: MeasureSystem): ParsedLine {
  const plain = plainText(text)
  const bare = withoutBullet(plain)
  const line: ParsedLine = {
    kind: 'ingredient',
    text,
    quantity: null,
    quantityMax: null,
    unit: null,
    size: null,
    ingredient: '',
    prep: null,
    also: [],
    each: null,
    isApproximate: false,
  }
  if (bare === '') return { ...line, kind: 'blank' }
  const heading = headingOf(bare, bare !== plain)
  if (heading !== null) return { ...line, kind: 'heading', ingredient: heading }
  return readWhole(line, bare, system)
}

function readWhole(line: ParsedLine, bare: string, system: MeasureSystem): ParsedLine {
  const said = SAID_FIRST.exec(bare)
  if (said) {
    const inner = readWhole(line, bare.slice(said[0].length), system)
    return { ...inner, prep: [said[1]?.toLowerCase(), inner.prep].filter(Boolean).join(', ') }
  }
  const part = PART_OF.exec(bare)
  const from = part ? part[0].length : 0
  const lead = part?.[1] ? [part[1].toLowerCase()] : []
  const front = readAmount(bare, from, system)
  if (front && (isSeparated(bare, front.end) || front.unit !== null)) {
    const whole = filled(line, front, lead, bare.slice(front.end))
    const taken = TAKEN_OFF[lead[0] ?? '']
    return taken && whole.ingredient !== ''
      ? { ...whole, ingredient: `${singleOf(whole.ingredient)} ${taken}`, prep: withoutFirst(whole.prep) }
      : whole
  }
  const trailing = trailingAmount(bare, system)
  if (trailing) return filled(line, trailing.amount, lead, trailing.before)
  return filled(line, null, lead, bare)
}

/** "juice of 2 limes" is lime juice, as much as two limes give, and their zest is no lime either. */
const TAKEN_OFF: Readonly<Record<string, string>> = {
  juice: 'juice',
  zest: 'zest',
  rind: 'zest',
  peel: 'zest',
  white: 'white',
  whites: 'white',
  yolk: 'yolk',
  yolks: 'yolk',
}
const singleOf = (fruit: string) => fruit.replace(/s$/, '')
const withoutFirst = (prep: string | null) => prep?.replace(/^[a-z]+(?:, )?/, '') || null

/** A number that runs on into letters ("7up") is part of a name. */
const isSeparated = (text: string, end: number) =>
  !/[a-z0-9]/i.test(text[end] ?? '') || /[\s.]/.test(text[end - 1] ?? '')

/** The amount that ends a line: "soy sauce 2 tbsp", "Egg: 2 large". */
function trailingAmount(bare: string, system: MeasureSystem): { amount: WrittenAmount; before: string } | null {
  NUMBER_START.lastIndex = 0
  for (let found = NUMBER_START.exec(bare); found; found = NUMBER_START.exec(bare)) {
    const at = found.index + found[0].length
    if (at === 0) {
      NUMBER_START.lastIndex = Math.max(1, NUMBER_START.lastIndex)
      continue
    }
    const amount = readAmount(bare, at, system)
    const name = bare.slice(0, found.index)
    const isNamed = /\p{L}/u.test(name) && closesIn(name)
    const more = amount && isNamed ? afterAmount(bare, found[0].endsWith('('), at, amount) : null
    if (amount && more !== null) return { amount, before: `${name.replace(/(?:\s+[x×]|[\s.…:]+)\s*$/i, '')}${more}` }
    if (NUMBER_START.lastIndex <= found.index) NUMBER_START.lastIndex = found.index + 1
  }
  return null
}

/** Whether every bracket of a text that opens in it closes in it. */
const closesIn = (text: string) => text.split('(').length <= text.split(')').length

/**
 * What follows an amount that ends a line, or null where the number is no amount: nothing, a comma and more, brackets, or,
 * after a measure, words without another number ("rice 500 g cooked"). In brackets only a bare count is one: "eggs (2)".
 */
function afterAmount(bare: string, isInBracket: boolean, at: number, amount: WrittenAmount): string | null {
  if (isInBracket) {
    const counted = /^\d{1,3}(?:\s+(?:small|medium|large|extra[- ]large))?\)\s*(,.*)?$/i.exec(bare.slice(at))
    return counted ? (counted[1] ?? '') : null
  }
  const rest = bare.slice(amount.end).trim()
  if (/^(?:,.*|\(.*\))?$/.test(rest)) return rest
  if (rest === '.') return ''
  const isMeasured = amount.unit !== null && readUnit(amount.unit) !== null
  return isMeasured && /^[a-z][^\d]*$/i.test(rest) ? `, ${rest}` : null
}

function filled(line: ParsedLine, amount: WrittenAmount | null, lead: readonly string[], restText: string): ParsedLine {
  const rest = splitRest(restText)
  const prep = [...lead, ...(amount?.manner ?? []), ...rest.prep]
    .map((words) => words.replace(/^[,\s]+|[,\s]+$/g, ''))
    .filter((words) => words !== '')
  return {
    ...line,
    quantity: amount?.value ?? null,
    quantityMax: amount?.most ?? null,
    unit: amount?.unit ?? null,
    size: amount?.size ?? null,
    ingredient: rest.ingredient,
    prep: prep.length > 0 ? prep.join(', ') : null,
    also: [...(amount?.also ?? []), ...rest.also],
    each: amount?.each ?? rest.each,
    isApproximate: amount?.isApproximate ?? false,
  }
}
