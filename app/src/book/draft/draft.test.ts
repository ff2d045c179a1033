import type { KitchenIngredient } from 'contract/ingredient'
import { Dish } from 'contract/dish'
import { shelfOf } from '../useShelf'
import { blankDraft, blankLine, dishId, dishOfDraft, draftOfDish, type EditedDish } from './draft'
import { edited, historyOf, type Edit, type History } from './history'
import { pastedLines } from './pasteLines'
import { componentsOf, lineReader } from './readLines'

let n = 0
const key = () => `k${(n += 1)}`

const row = (id: string, more: Partial<KitchenIngredient> = {}): KitchenIngredient => ({
  id,
  name: id,
  aliases: [],
  role: 'vegetable',
  state: 'fresh',
  waterG: 90,
  proteinG: 1,
  fatG: 0,
  carbohydrateG: 5,
  sugarsG: 2,
  fibreG: 1,
  alcoholG: 0,
  sodiumMg: 10,
  energyKJ: 100,
  acid: 0,
  chilliHeat: 0,
  colourLoad: 0,
  freeLiquidFraction: 0,
  ediblePortion: 0.5,
  densities: [],
  countSizes: [],
  allergens: [],
  allergensUs: [],
  mayContain: [],
  areAllergensKnown: true,
  isReadyToEat: null,
  food: null,
  diets: [],
  source: 'test',
  confidence: 'high',
  version: 0,
  isOwn: false,
  prices: [{ fromDay: '2026-01-01', packName: 'sack', packG: 1000, priceMinor: 400 }],
  ...more,
})
const SHELF = shelfOf(
  [
    row('rice-long-chilled-dry', { role: 'rice', state: 'cooked' }),
    row('soy', { role: 'liquid-seasoning:soy', densities: [{ form: 'liquid', gPerML: 1.2 }], allergens: ['soy'] }),
    row('duck', { role: 'protein:poultry', state: 'cooked' }),
  ],
  [
    {
      id: 'glaze',
      version: 1,
      name: 'glaze',
      kind: 'sauce',
      role: 'liquidSeasoning',
      state: 'fresh',
      food: 'seasoning',
      lines: [{ id: 'soy', name: 'soy', massG: 100, cut: null, ingredientId: 'soy' }],
      yieldFraction: 0.8,
      shelfLifeH: 24,
      keep: 'fridge',
    },
  ],
)
const read = lineReader(SHELF, 'us')
const components = (draft: EditedDish) => componentsOf(draft.lines, read, (id) => SHELF.recipes.get(id)?.food)
const typed = (...lines: [string, string, string?][]): EditedDish => {
  const draft = blankDraft(key())
  const more = lines.map(([written, name, cut = '']) => ({ ...blankLine(key()), written, name, cut }))
  return { head: { ...draft.head, name: 'Test rice' }, lines: [...draft.lines, ...more] }
}

describe('what is typed becomes a dish', () => {
  test('amounts in any measure are ratios to the rice; role, cut and allergens follow', () => {
    const [rice, soy, duck] = components(typed(['1 tbsp', 'soy'], ['44 g', 'duck', 'dice 8 mm']))
    expect(rice).toMatchObject({ role: 'rice', ratioG: 100 })
    expect(soy).toMatchObject({ role: 'liquidSeasoning', allergens: ['soy'], written: '1 tbsp' })
    expect(soy?.ratioG).toBeCloseTo((14.786765 * 1.2) / 2.2, 4)
    expect(duck).toMatchObject({ role: 'protein', ratioG: 20, cut: { shape: 'dice', sizeMm: 8 } })
    expect(duck).not.toHaveProperty('written')
  })

  test('a sub-recipe is found by its name', () => {
    expect(components(typed(['10 g', 'glaze']))[1]).toMatchObject({ recipeId: 'glaze', allergens: ['soy'] })
  })

  test('a dish opened and saved without typing is the same dish, to the last digit', () => {
    const made = dishOfDraft(typed().head, components(typed(['1 tbsp', 'soy'], ['33.33 g', 'duck'])), 'USD', null)
    const dish = Dish.parse({ ...made, version: 3 })
    const odd = { ...dish, components: dish.components.map((one) => ({ ...one, ratioG: one.ratioG / 3.7 })) }
    const exact = {
      ...odd,
      components: odd.components.map((one) => (one.role === 'rice' ? { ...one, ratioG: 100 } : one)),
    }
    const draft = draftOfDish(exact, 'USD', key)
    const again = dishOfDraft(draft.head, components(draft), 'USD', exact.id)
    expect(again.components.map((one) => one.ratioG)).toEqual(exact.components.map((one) => one.ratioG))
  })

  test('a name that is an address of the book gets another id', () => {
    expect([dishId('Ingredients'), dishId('Duck & egg')]).toEqual(['ingredients-dish', 'duck-egg'])
  })

  test('cost counts what is trimmed away, through sub-recipes too', () => {
    expect(SHELF.costOf({ ingredientId: 'duck' }, 50, '2026-06-01')).toBeCloseTo(40, 9)
    expect(SHELF.costOf({ recipeId: 'glaze' }, 80, '2026-06-01')).toBeCloseTo(80, 9)
    expect(SHELF.costOf({ ingredientId: 'duck' }, 50, '2025-01-01')).toBeNull()
  })
})

describe('a step back', () => {
  const run = (edits: [Edit, number][], start = typed(['1 g', 'soy'], ['2 g', 'duck'])) =>
    edits.reduce<History>((history, [edit, atMs]) => edited(history, edit, atMs), historyOf(start))
  const start = typed(['1 g', 'soy'], ['2 g', 'duck'])
  const line = start.lines[1]!
  const type = (amount: string): Edit => ({ kind: 'line', key: line.key, changes: { written: amount } })

  test('typing on within a second is one step; after it another', () => {
    const history = run(
      [
        [type('1'), 0],
        [type('12'), 300],
        [type('120'), 600],
        [type('120 g'), 5000],
      ],
      start,
    )
    expect(history.past).toHaveLength(2)
    const back = edited(history, { kind: 'undo' }, 6000)
    expect(back.present.lines[1]?.written).toBe('120')
    expect(edited(back, { kind: 'redo' }, 6100).present.lines[1]?.written).toBe('120 g')
  })

  test('lines move within the list and never out of it', () => {
    const keys = (history: History) => history.present.lines.map((one) => one.key)
    const before = start.lines.map((one) => one.key)
    expect(keys(run([[{ kind: 'move', key: before[0]!, to: 9 }, 0]], start))).toEqual([before[1], before[2], before[0]])
    expect(run([[{ kind: 'move', key: before[0]!, to: -4 }, 0]], start).past).toHaveLength(0)
  })

  test('whatever was done is undone to the beginning', () => {
    let history = run(
      [
        [type('5'), 0],
        [{ kind: 'remove', key: line.key }, 1],
        [{ kind: 'insert', afterKey: null, lines: [blankLine(key())] }, 2],
      ],
      start,
    )
    while (history.past.length > 0) history = edited(history, { kind: 'undo' }, 9)
    expect(history.present).toEqual(start)
  })
})

describe('a pasted list', () => {
  test('amount, name and cut part; headings are named, blank lines are nothing', () => {
    const pasted = pastedLines('SAUCE\n\n• 2 tbsp soy\n1 (14 oz) can duck, drained\n1 tbsp soy (60 g)', 'us', key)
    if (pasted.kind !== 'lines') throw new Error(pasted.kind)
    expect(pasted.headings).toEqual(['SAUCE'])
    expect(pasted.lines.map((one) => [one.written, one.name, one.cut])).toEqual([
      ['2 tbsp', 'soy', ''],
      ['1 x 14 oz can', 'duck', 'drained'],
      ['1 tbsp (60 g)', 'soy', ''],
    ])
  })

  test('megabytes and hundreds of lines are refused before anything is changed', () => {
    expect(pastedLines('x'.repeat(5_000_000), 'us', key)).toMatchObject({ kind: 'too-much' })
    expect(pastedLines('1 g soy\n'.repeat(200), 'us', key)).toEqual({ kind: 'too-much', lines: 200 })
    expect(pastedLines('\n \n', 'us', key)).toEqual({ kind: 'nothing' })
  })
})
