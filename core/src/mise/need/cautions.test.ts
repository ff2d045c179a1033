import fc from 'fast-check'
import { cautionsOf } from './cautions'
import { itemIdOf, itemOf } from './item'

type Task = Parameters<typeof cautionsOf>[0]
const task = (part: Partial<Task>): Task => ({
  kind: 'mix',
  food: 'seasoning',
  isRaw: false,
  hasChilli: false,
  cutSizeMm: null,
  massG: 500,
  ...part,
})

test.each<[string, Partial<Task>, string[]]>([
  ['a mix of sauce', {}, []],
  ['raw chicken that is cut', { kind: 'cut', food: 'poultry', isRaw: true, cutSizeMm: 10 }, ['raw']],
  ['raw chicken that cools is watched as a lot, not here', { kind: 'cool', food: 'poultry', isRaw: true }, []],
  ['cooked duck', { kind: 'cut', food: 'poultry', cutSizeMm: 10 }, []],
  ['garlic at 2 mm', { kind: 'cut', food: 'garlic', cutSizeMm: 2 }, ['slicer']],
  ['at 3 mm still, at 4 no more', { kind: 'cut', food: 'allium', cutSizeMm: 3 }, ['slicer']],
  ['4 mm', { kind: 'cut', food: 'allium', cutSizeMm: 4 }, []],
  ['crab that is picked', { kind: 'pick', food: 'seafood' }, ['shellfish']],
  ['peanuts that are toasted', { kind: 'toast', food: 'nut' }, ['hotOil', 'nuts']],
  ['chilli in hot oil', { kind: 'toast', food: 'herb', hasChilli: true }, ['hotOil', 'chilli']],
  ['chilli that is soaked splashes nobody', { kind: 'soak', hasChilli: true }, []],
  ['a pot that simmers', { kind: 'simmer' }, ['steam']],
  ['a thaw', { kind: 'thaw', food: 'seafood' }, ['thaw']],
  ['more than twelve kilos', { massG: 12_001 }, ['lift']],
  ['twelve kilos', { massG: 12_000 }, []],
])('%s', (_, part, cautions) => {
  expect(cautionsOf(task(part))).toEqual(cautions)
})

test('law: heavier or raw takes no caution away', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('cut', 'mix', 'simmer', 'thaw', 'pick'),
      fc.constantFrom('poultry', 'garlic', 'nut', 'seafood'),
      (kind, food) => {
        const light = cautionsOf(task({ kind, food }))
        const heavy = cautionsOf(task({ kind, food, isRaw: true, massG: 20_000 }))
        for (const caution of light) expect(heavy).toContain(caution)
      },
    ),
  )
})

test.each([
  [{ name: 'Garlic', cut: { shape: 'mince', sizeMm: 2 }, ingredientId: 'garlic' }, 'cut:garlic:mince-2'],
  [{ name: 'Garlic', cut: { shape: 'slice', sizeMm: null }, ingredientId: 'garlic' }, 'cut:garlic:slice'],
  [{ name: 'Garlic', cut: { shape: 'whole', sizeMm: null }, ingredientId: 'garlic' }, 'ingredient:garlic'],
  [{ name: 'House soy', cut: null, recipeId: 'house-soy' }, 'recipe:house-soy'],
  [{ name: 'Séa kelp!', cut: null }, 'ingredient:sea-kelp'],
] as const)('%j is %s', (line, id) => {
  expect(itemIdOf(itemOf(line))).toBe(id)
})
