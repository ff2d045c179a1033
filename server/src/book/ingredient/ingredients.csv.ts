import { Ingredient, Price, type KitchenIngredient } from 'contract/ingredient'
import { moneyText, readMoney } from 'core/measure/money'
import { stringify } from 'csv-stringify/sync'
import { z } from 'zod'
import { csvLineProblem, csvText, fromCsvText, readCsvTable } from '../../http/csv'
import { foodNotSaidThen, notSaidThen, shippedIngredients } from './shipped'

const MAX_ROWS = 5000
const NUMBERS = [
  'waterG',
  'proteinG',
  'fatG',
  'carbohydrateG',
  'sugarsG',
  'fibreG',
  'alcoholG',
  'sodiumMg',
  'energyKJ',
  'acid',
  'chilliHeat',
  'colourLoad',
  'freeLiquidFraction',
  'ediblePortion',
] as const
const WORDS = ['id', 'name', 'role', 'state', 'source', 'confidence'] as const
const LISTS = ['aliases', 'allergens', 'diets'] as const
/** Columns that files from before do not have: what they leave out, nobody said. */
const LATER_LISTS = ['allergensUs', 'mayContain'] as const
const LATER = [...LATER_LISTS, 'areAllergensKnown', 'isReadyToEat'] as const
const FOOD = 'food'
const yesNo = (value: boolean | null) => (value === null ? '' : value ? 'yes' : 'no')
const COLUMNS = [...WORDS, ...LISTS, ...NUMBERS, 'densities', 'countSizes'] as const
const PRICE_COLUMNS = ['ingredient', 'fromDay', 'pack', 'packG', 'price'] as const

/** The ingredient table as CSV (RFC 4180, UTF-8): lists joined by semicolons, densities and sizes as name=value. */
export function ingredientsCsv(rows: readonly KitchenIngredient[]): string {
  return stringify(
    rows.map((row) => [
      ...WORDS.map((name) => csvText(row[name])),
      ...LISTS.map((name) => csvText(row[name].join(';'))),
      ...NUMBERS.map((name) => row[name]),
      row.densities.map(({ form, gPerML }) => `${form}=${gPerML}`).join(';'),
      row.countSizes.map(({ size, massG }) => `${size}=${massG}`).join(';'),
      ...LATER_LISTS.map((name) => csvText(row[name].join(';'))),
      yesNo(row.areAllergensKnown),
      yesNo(row.isReadyToEat),
      row.food ?? '',
    ]),
    { header: true, columns: [...COLUMNS, ...LATER, FOOD], record_delimiter: 'windows' },
  )
}

const parts = (text: string) => (text === '' ? [] : text.split(';').map((part) => part.trim()))
const pair = (part: string) => {
  const at = part.lastIndexOf('=')
  return { name: part.slice(0, at), value: Number(part.slice(at + 1)) }
}

/** Rows of an ingredient table from CSV, each checked as on the screen. @throws {Problem} csv-… */
export function readIngredientsCsv(bytes: ArrayBuffer): Promise<Ingredient[]> {
  return readCsvTable(bytes, COLUMNS, MAX_ROWS, (record, lineNo) => {
    const row = Ingredient.safeParse({
      ...Object.fromEntries(WORDS.map((name) => [name, fromCsvText(record[name] ?? '')])),
      ...Object.fromEntries(LISTS.map((name) => [name, parts(fromCsvText(record[name] ?? ''))])),
      ...Object.fromEntries(NUMBERS.map((name) => [name, record[name] === '' ? Number.NaN : Number(record[name])])),
      densities: parts(record['densities'] ?? '')
        .map(pair)
        .map(({ name, value }) => ({ form: name, gPerML: value })),
      countSizes: parts(record['countSizes'] ?? '')
        .map(pair)
        .map(({ name, value }) => ({ size: name, massG: value })),
      ...laterColumns(record),
      food: foodColumn(record),
    })
    if (!row.success) throw csvLineProblem(lineNo, row.error)
    return row.data
  })
}

/** What it is at the wok; a file from before this column takes it from what ships, or from the id of minced meat. */
function foodColumn(record: Record<string, string>): string | null {
  const said = record[FOOD]
  if (said !== undefined) return said === '' ? null : said
  return foodNotSaidThen({ id: fromCsvText(record['id'] ?? ''), role: fromCsvText(record['role'] ?? '') })
}

/** A file from before these columns takes them from what ships under its id; else nobody has said. */
function laterColumns(record: Record<string, string>) {
  const id = fromCsvText(record['id'] ?? '')
  if (LATER.every((name) => record[name] === undefined))
    return notSaidThen(
      parts(fromCsvText(record['allergens'] ?? '')) as Ingredient['allergens'],
      shippedIngredients().find((row) => row.id === id),
    )
  const of = (name: (typeof LATER)[number]) => record[name]
  const said = (name: (typeof LATER)[number]) => (of(name) === 'yes' ? true : of(name) === 'no' ? false : null)
  return {
    allergensUs: parts(fromCsvText(of('allergensUs') ?? record['allergens'] ?? '')),
    mayContain: parts(fromCsvText(of('mayContain') ?? '')),
    areAllergensKnown: said('areAllergensKnown') ?? false,
    isReadyToEat: said('isReadyToEat'),
  }
}

/** Prices as CSV, in the currency with its own number of decimals. */
export function pricesCsv(rows: readonly KitchenIngredient[], currency: string): string {
  return stringify(
    rows.flatMap((row) =>
      row.prices.map((price) => [
        row.id,
        price.fromDay,
        csvText(price.packName),
        price.packG,
        moneyText(price.priceMinor, currency),
      ]),
    ),
    { header: true, columns: [...PRICE_COLUMNS], record_delimiter: 'windows' },
  )
}

const PRICE_FAULTS = {
  negative: 'a price is not negative: enter what the pack costs',
  'not-a-price': 'a price such as 12.50',
  'too-fine': 'finer than the smallest coin of the currency',
} as const

const priceText = (currency: string) =>
  z
    .string()
    .transform((text, context) => {
      const read = readMoney(text, currency)
      if ('minor' in read && read.minor !== null) return read.minor
      context.addIssue({ code: 'custom', message: PRICE_FAULTS['fault' in read ? read.fault : 'not-a-price'] })
      return z.NEVER
    })
    .pipe(Price.shape.priceMinor)

/** Prices from CSV. @throws {Problem} csv-… with every fault of the first bad line */
export function readPricesCsv(bytes: ArrayBuffer, known: ReadonlySet<string>, currency: string) {
  const Row = z.object({
    ingredient: z.string().refine((id) => known.has(id), 'not in the ingredient table: add it first'),
    fromDay: Price.shape.fromDay,
    pack: z.string().transform(fromCsvText).pipe(Price.shape.packName),
    packG: z.coerce.number().pipe(Price.shape.packG),
    price: priceText(currency),
  })
  return readCsvTable(bytes, PRICE_COLUMNS, MAX_ROWS, (record, lineNo) => {
    const row = Row.safeParse(record)
    if (!row.success) throw csvLineProblem(lineNo, row.error)
    const { ingredient, fromDay, pack, packG, price } = row.data
    return { ingredientId: ingredient, price: { fromDay, packName: pack, packG, priceMinor: price } }
  })
}
