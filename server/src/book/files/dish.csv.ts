import { ROLES, STATES, type Dish, type Modifier } from 'core/book/dish'
import type { Ingredient } from 'core/book/ingredient'
import { resolveLines, slugOf, type DishLine } from 'core/book/resolve'
import { isRawEgg, isRawProtein } from 'core/book/rawFood'
import { z } from 'zod'
import { csvLineProblem, readCsvCells } from '../../http/csv'
import { Problem } from '../../http/problems'

const MAX_LINES = 60
const COLUMNS = { name: 'name', role: 'role', state: 'state', cut: 'cut', ratioG: 'g per 100 g rice' } as const
const HEADINGS: Readonly<Record<string, keyof typeof COLUMNS>> = {
  name: 'name',
  role: 'role',
  state: 'state',
  cut: 'cut',
  'g per 100 g rice': 'ratioG',
  'g per 100 g': 'ratioG',
  ratio: 'ratioG',
}

const Line = z.object({
  name: z.string().trim().min(1, 'give the component a name').max(120, 'a name has at most 120 characters'),
  role: z.enum(ROLES, { error: `role must be one of ${ROLES.join(', ')}` }),
  state: z.enum(STATES, { error: `state must be one of ${STATES.join(', ')}` }),
  cut: z.string().max(60),
  ratioG: z
    .string()
    .transform((text) => Number(text.trim().replace(',', '.')))
    .pipe(
      z
        .number('give grams per 100 g of rice as a number')
        .positive('must be above 0')
        .max(1000, 'more than 1,000 g per 100 g of rice: check the unit'),
    ),
})

/**
 * A dish from CSV (RFC 4180, UTF-8), a line a component: name, role, state, cut, g per 100 g rice.
 * @throws {Problem} csv-encoding, csv-columns, csv-too-long or csv-line, each saying what to change
 */
export async function readDishLines(bytes: ArrayBuffer): Promise<DishLine[]> {
  const rows = await readCsvCells(bytes, MAX_LINES)
  const [header = [], ...lines] = rows
  const columns = header.map((heading) => HEADINGS[heading.trim().toLowerCase()])
  const missing = Object.entries(COLUMNS).filter(([key]) => !columns.includes(key as keyof typeof COLUMNS))
  if (missing.length > 0) {
    const names = missing.map(([, name]) => `"${name}"`).join(', ')
    throw new Problem('csv-columns', {
      detail: `the first line must name the columns ${Object.values(COLUMNS).join(', ')}: ${names} is missing`,
      values: { columns: names },
    })
  }
  return lines.map((cells, index) => readLine(cells, columns, index + 2))
}

function readLine(cells: string[], columns: (keyof typeof COLUMNS | undefined)[], lineNo: number): DishLine {
  const raw = Object.fromEntries(columns.flatMap((column, i) => (column ? [[column, cells[i] ?? '']] : [])))
  const line = Line.safeParse(raw)
  if (line.success) return line.data
  throw csvLineProblem(lineNo, line.error)
}

export type DishHead = { name: string; shortName?: string | undefined; portionRiceG?: number | undefined }

const DEFAULT_PORTION_RICE_G = 220

/** Lines as a dish for the wok, with what a kitchen leaves out most often as its first modifiers. */
export function dishFromLines(head: DishHead, lines: readonly DishLine[], ingredients: readonly Ingredient[]) {
  const resolved = resolveLines(lines, ingredients)
  const components = resolved.map((one) => one.component)
  const riceIndex = components.findIndex((one) => one.role === 'rice')
  if (riceIndex < 0) {
    throw new Problem('csv-line', { detail: 'no line has the role rice: add one with 100 g per 100 g rice' })
  }
  const removable = components.filter((one) => ['egg', 'finish', 'garnish'].includes(one.role))
  const modifiers = removable.map((one): Modifier => ({
    id: `no-${one.id}`,
    name: `no ${one.name}`,
    removes: [one.id],
    scales: [],
  }))
  const dish: Omit<Dish, 'version'> = {
    id: slugOf(head.name),
    name: head.name,
    shortName: head.shortName ?? head.name.split(/[ ,]/)[0] ?? head.name,
    stationKind: 'wok',
    schools: {},
    portionRiceG: head.portionRiceG ?? DEFAULT_PORTION_RICE_G,
    components,
    modifiers,
  }
  return {
    dish,
    unknownNames: resolved.filter((one) => !one.isKnown).map((one) => one.component.name),
    rawNames: components
      .filter((one) => one.state !== 'raw' && (isRawProtein(one) || isRawEgg(one)))
      .map((one) => one.name),
  }
}
