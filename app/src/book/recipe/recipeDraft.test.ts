import { Recipe } from 'contract/recipe'
import { KitchenIngredient } from 'contract/ingredient'
import { SOY, SUGAR } from 'core/test/ingredients'
import fc from 'fast-check'
import { blankLine, type DraftLine } from '../draft/draft'
import { lineReader } from '../draft/readLines'
import { shelfOf } from '../useShelf'
import { blankRecipeHead, recipeHeadForm, recipeHeadOf, recipeLines, recipeOf, type RecipeHead } from './recipeDraft'

let n = 0
const newKey = () => `k${(n += 1)}`
const inKitchen = (row: typeof SOY) => KitchenIngredient.parse({ ...row, version: 0, isOwn: false, prices: [] })
const GLAZE = Recipe.parse({
  id: 'glaze',
  version: 4,
  name: 'Duck glaze',
  kind: 'sauce',
  role: 'liquidSeasoning',
  state: 'fresh',
  food: 'seasoning',
  lines: [
    { id: 'soy', name: 'soy', massG: 120.5, cut: null, ingredientId: 'soy' },
    { id: 'sugar', name: 'sugar', massG: 33.3, cut: { shape: 'dice', sizeMm: 2 }, ingredientId: 'sugar' },
  ],
  yieldFraction: 0.82,
  shelfLifeH: 72,
  keep: 'fridge',
  gPerML: 1.18,
  baseLineId: 'soy',
})
const shelf = shelfOf([inKitchen(SOY), inKitchen(SUGAR)], [GLAZE])
const read = lineReader(shelf, 'us')
const opened = (recipe = GLAZE) => {
  const lines = recipeLines(recipe, newKey)
  return { head: recipeHeadOf(recipe, lines), lines }
}
const withoutVersion = ({ version: _, ...draft }: Recipe) => draft

describe('a sub-recipe is opened and saved', () => {
  test('without a change it is the same recipe', () => {
    const { head, lines } = opened()
    expect(recipeOf(head, lines, read, 'glaze')).toEqual(withoutVersion(GLAZE))
  })

  test('law: whatever its masses, yield and shelf life, nothing moves by being looked at', () => {
    const massG = fc.integer({ min: 1, max: 999_999 }).map((tenths) => tenths / 10)
    const recipe = fc
      .record({
        massG,
        sugarG: massG,
        yieldPercent: fc.integer({ min: 2, max: 2000 }),
        shelfLifeH: fc.integer({ min: 1, max: 24 * 366 }),
        baseLineId: fc.constantFrom('soy', 'sugar', undefined),
      })
      .map(({ sugarG, yieldPercent, baseLineId, shelfLifeH, ...one }) => {
        const { baseLineId: _, ...rest } = GLAZE
        const [soy, sugar] = rest.lines
        return Recipe.parse({
          ...rest,
          lines: [
            { ...soy, massG: one.massG },
            { ...sugar, massG: sugarG },
          ],
          yieldFraction: yieldPercent / 100,
          shelfLifeH,
          ...(baseLineId !== undefined && { baseLineId }),
        })
      })
    fc.assert(
      fc.property(recipe, (one) => {
        const { head, lines } = opened(one)
        const saved = recipeOf(head, lines, read, one.id)
        expect(saved.yieldFraction).toBeCloseTo(one.yieldFraction, 12)
        expect({ ...saved, yieldFraction: 0 }).toEqual({ ...withoutVersion(one), yieldFraction: 0 })
      }),
      { numRuns: 100 },
    )
  })

  test('each amount stands as it is weighed, so that the cook sees grams and not an empty field', () => {
    expect(opened().lines.map((line) => [line.written, line.name, line.cut])).toEqual([
      ['120.5 g', 'soy', ''],
      ['33.3 g', 'sugar', 'dice 2 mm'],
    ])
  })
})

describe('a sub-recipe is written anew', () => {
  const typed = (written: string, name: string, more: Partial<DraftLine> = {}): DraftLine => ({
    ...blankLine(newKey()),
    written,
    name,
    ...more,
  })

  test('measures become grams; a line nothing stands behind is left out, and the base is the line that was chosen', () => {
    const lines = [typed('2 tbsp', 'soy'), typed('10 g', 'moon dust'), typed('', 'sugar'), typed('1 tbsp', 'sugar')]
    const made = recipeOf({ ...blankRecipeHead, name: ' Dip ', baseLineKey: lines[3]!.key }, lines, read, null)
    expect(made.lines.map((line) => line.id)).toEqual(['soy', 'sugar'])
    expect(made.lines[0]!.massG).toBeCloseTo(2 * 14.786765 * 1.2, 3)
    expect(made).toMatchObject({ id: 'dip', name: 'Dip', baseLineId: 'sugar', yieldFraction: 1, shelfLifeH: 72 })
    expect(made).not.toHaveProperty('gPerML')
  })

  test('two lines of one name have ids of their own', () => {
    const lines = [typed('10 g', 'soy'), typed('20 g', 'soy'), typed('30 g', 'soy')]
    expect(recipeOf(blankRecipeHead, lines, read, null).lines.map((line) => line.id)).toEqual(['soy', 'soy-2', 'soy-3'])
  })

  test('a sauce may hold a sauce', () => {
    const [line] = recipeOf(blankRecipeHead, [typed('50 g', 'Duck glaze')], read, null).lines
    expect(line).toMatchObject({ recipeId: 'glaze', massG: 50 })
    expect(line).not.toHaveProperty('ingredientId')
  })

  test.each([
    ['paste', 'paste'],
    ['fat', 'oil'],
    ['aromatic', 'allium'],
    ['drySeasoning', 'seasoning'],
    ['finish', 'nut'],
  ] as const)('a new %s is taken as %s when it is cooked', (role, food) => {
    expect(recipeOf({ ...blankRecipeHead, role }, [typed('1 g', 'soy')], read, null).food).toBe(food)
  })
})

describe('what the head may say', () => {
  const form = recipeHeadForm((field) => `bad ${field}`)
  const faults = (more: Partial<RecipeHead>) =>
    form.safeParse({ ...blankRecipeHead, name: 'Dip', ...more }).error?.issues.map((one) => one.message) ?? []

  test.each<[string, Partial<RecipeHead>, string[]]>([
    ['as it begins', {}, []],
    ['no name', { name: '  ' }, ['bad name']],
    ['a comma for the decimal point', { gPerML: '1,18', yieldPercent: '82,5' }, []],
    ['no density', { gPerML: '' }, []],
    ['a density like lead', { gPerML: '11' }, ['bad gPerML']],
    ['nothing left over', { yieldPercent: '0' }, ['bad yieldPercent']],
    ['a yield in words', { yieldPercent: 'most' }, ['bad yieldPercent']],
    ['kept for ever', { shelfLifeH: '100000' }, ['bad shelfLifeH']],
    ['kept for no time', { shelfLifeH: '0' }, ['bad shelfLifeH']],
    ['nothing typed', { shelfLifeH: ' ' }, ['bad shelfLifeH']],
  ])('%s', (_case, head, expected) => expect(faults(head)).toEqual(expected))
})
