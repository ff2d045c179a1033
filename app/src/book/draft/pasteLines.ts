import { parseLine } from 'core/book/ingredientLine/parseLine'
import { writeQuantity } from 'core/measure/writeNumber'
import type { MeasureSystem } from 'core/measure/units'
import { blankLine, type DraftLine } from './draft'

/** More lines than any dish has: the paste is something else. */
export const MAX_LINES = 60
export const MAX_CHARACTERS = 100_000

type Pasted =
  { kind: 'lines'; lines: DraftLine[]; headings: string[] } | { kind: 'too-much'; lines: number } | { kind: 'nothing' }

/**
 * A pasted list as lines of a draft, each with amount, name and the rest kept in its cut; headings are named, not kept.
 * Measures of another system are weighed by it and stand as grams.
 */
export function pastedLines(text: string, system: MeasureSystem, newKey: () => string): Pasted {
  if (text.length > MAX_CHARACTERS) {
    return { kind: 'too-much', lines: text.split('\n').length }
  }
  const parsed = text.split(/\r\n|[\r\n]/).map((line) => parseLine(line, system))
  const wanted = parsed.filter((line) => line.kind === 'ingredient')
  const headings = parsed.filter((line) => line.kind === 'heading').map((line) => line.ingredient)
  if (wanted.length > MAX_LINES) return { kind: 'too-much', lines: wanted.length }
  if (wanted.length === 0) return { kind: 'nothing' }
  return {
    kind: 'lines',
    headings,
    lines: wanted.map((line): DraftLine => ({
      ...blankLine(newKey()),
      written: amountText(line),
      name: line.ingredient,
      cut: line.prep ?? '',
    })),
  }
}

function amountText({ quantity, quantityMax, unit, size, also, each }: ReturnType<typeof parseLine>): string {
  const container = [size, unit].filter(Boolean).join(' ') || null
  const measure = (one: (typeof also)[number]) => writeQuantity(one.value, one.most, one.unit)
  const first =
    quantity === null
      ? ''
      : each
        ? `${quantity} x ${measure(each)} ${unit ?? ''}`.trim()
        : writeQuantity(quantity, quantityMax, container)
  const others = also.map((one) => `(${measure(one)})`)
  return [first, ...others].filter(Boolean).join(' ')
}
