import { DishImported, DishList } from 'contract/dish'
import type { ProblemDetails } from 'contract/problem'
import { balanceOf } from 'core/book/balance/balance'
import { costOf, priceOn } from 'core/book/balance/cost'
import { findingsOf } from 'core/book/balance/findings'
import { STYLES } from 'core/book/balance/style'
import { lookupIn, partsOf } from 'core/book/balance/dishBalance'
import { explodeRecipe, shelveRecipes } from 'core/book/recipe/explode'
import { demoDishes } from '../demo/demoDishes'
import { DEMO_PRICES } from '../demo/prices'
import { DEMO_RECIPES } from '../demo/recipes'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { readIngredients } from './ingredient/table.csv'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const HEAD = 'name,role,state,cut,g per 100 g rice'
const bring = (csv: string | Uint8Array, name = 'Test rice') =>
  send(kitchen.app, 'POST', `/dishes/import?name=${encodeURIComponent(name)}`, csv, 'text/csv')
const book = async () => DishList.parse((await send(kitchen.app, 'GET', '/dishes')).json).dishes

const SHRIMP = `\uFEFF${HEAD}
"rice, chilled",rice,cooked,,100
prawns,protein,raw,13 mm whole,22
egg,egg,raw,beaten,14
garlic,aromatic,fresh,mince 2 mm,1.5
oil,fat,fresh,,"4,5"
soy sauce,liquidSeasoning,fresh,,3
spring onion,finish,fresh,slice 2 mm,4
grandmother's pickle,vegetable,cured,,5
`

test('a dish from CSV gets food, allergens, density and its first modifiers from the ingredient table', async () => {
  const answer = await bring(SHRIMP, 'Shrimp & egg')
  expect(answer.status).toBe(201)
  const { dish, unknownNames } = DishImported.parse(answer.json)
  expect(dish).toMatchObject({ id: 'shrimp-egg', version: 1, schools: {} })
  expect(dish.components.find((one) => one.name === 'prawns')).toMatchObject({
    food: 'seafood',
    cut: { shape: 'whole', sizeMm: 13 },
    allergens: ['crustacean', 'sulphite'],
  })
  expect(dish.components.find((one) => one.name === 'oil')?.ratioG).toBe(4.5)
  expect(dish.modifiers.map((one) => one.id)).toEqual(['no-egg', 'no-spring-onion'])
  expect(unknownNames).toEqual(expect.arrayContaining(["grandmother's pickle"]))
  expect((await book()).map((one) => one.id)).toContain('shrimp-egg')
})

test('the same name again is the next version', async () => {
  await bring(SHRIMP, 'Twice')
  expect(DishImported.parse((await bring(SHRIMP, 'Twice')).json).dish.version).toBe(2)
  expect((await book()).filter((one) => one.id === 'twice')).toHaveLength(1)
})

test.each<[string, string | Uint8Array, string, RegExp]>([
  ['UTF-16', new Uint8Array(Buffer.from(SHRIMP, 'utf16le')), 'csv-encoding', /CSV UTF-8/],
  ['Latin-1', new Uint8Array(Buffer.from(`${HEAD}\ncr\u00eape,egg,raw,,10`, 'latin1')), 'csv-encoding', /UTF-8/],
  ['a missing column', 'name,role,state,cut\nrice,rice,cooked,\n', 'csv-columns', /"g per 100 g rice" is missing/],
  ['an empty file', '', 'csv-columns', /is missing/],
  ['10,000 lines', `${HEAD}\n${'rice,rice,cooked,,100\n'.repeat(10_000)}`, 'csv-too-long', /this has 10000/],
  ['a role that is none', `${HEAD}\nrice,hero,cooked,,100`, 'csv-line', /line 2, role: role must be one of rice/],
  ['a ratio in words', `${HEAD}\nrice,rice,cooked,,lots`, 'csv-line', /line 2, ratioG/],
  ['a negative ratio', `${HEAD}\nrice,rice,cooked,,-5`, 'csv-line', /above 0/],
  ['a ratio of kilograms', `${HEAD}\nrice,rice,cooked,,100000`, 'csv-line', /check the unit/],
  ['an open quote', `${HEAD}\n"rice,rice,cooked,,100`, 'csv-line', /quotes/],
  ['no rice', `${HEAD}\negg,egg,raw,,100`, 'csv-line', /role rice/],
])('%s is answered with what to change', async (_name, csv, code, detail) => {
  const before = await book()
  const answer = await bring(csv)
  expect(answer.status).toBe(422)
  expect(answer.json).toMatchObject({ code, detail: expect.stringMatching(detail) })
  expect(await book()).toEqual(before)
})

test('a dish without a name is asked for one', async () => {
  expect((await bring(SHRIMP, '')).json as ProblemDetails).toMatchObject({
    code: 'invalid',
    faults: [{ field: 'name' }],
  })
})

describe('the sample dishes are balanced by the product’s own checks', () => {
  const table = readIngredients()
  const recipes = new Map(DEMO_RECIPES.map((draft) => [draft.id, { ...draft, version: 1 }]))
  const ingredients = new Map(table.map((row) => [row.id, row]))
  const lookup = lookupIn(ingredients, shelveRecipes({ ingredients, recipes }).asIngredients)

  test.each(demoDishes(table).map((dish) => [dish.id, dish] as const))('%s', (_id, dish) => {
    const { parts, unknown } = partsOf(dish.components, dish.portionRiceG, dish.portionRiceG, lookup)
    const style = STYLES.find((one) => one.id === dish.style)!
    expect(unknown).toEqual([])
    expect(findingsOf(balanceOf(parts), parts, style, dish.schools.oil)).toEqual([])
    const exploded = parts.flatMap((part) => {
      const recipe = recipes.get(part.ingredient.id)
      const opened = recipe && explodeRecipe(recipe, { ingredients, recipes })
      if (opened?.kind !== 'exploded') return [part]
      return opened.parts.map((one) => ({ ...one, massG: (one.massG * part.massG) / opened.yieldG }))
    })
    const { costMinor, unpriced } = costOf(
      exploded.map(({ ingredient, massG }) => ({
        massG,
        ediblePortion: ingredient.ediblePortion,
        name: ingredient.name,
        price: priceOn(DEMO_PRICES[ingredient.id] ?? [], '2026-11-25'),
      })),
    )
    expect(unpriced).toEqual([])
    expect(costMinor).toBeLessThan(dish.costCeilingMinor ?? 0)
    expect(costMinor).toBeGreaterThan(0.05 * (dish.priceMinor ?? 0))
  })

  test('they show at least seven ways with egg, and a raw protein', () => {
    const dishes = demoDishes(table)
    const ways = dishes.flatMap(({ schools }) => [schools.egg, schools.eggBreak, schools.eggReturn].filter(Boolean))
    expect(new Set(ways).size).toBeGreaterThanOrEqual(7)
    expect(
      dishes.some((dish) => dish.components.some((one) => one.food === 'poultry' && one.state === 'marinated')),
    ).toBe(true)
  })
})

test('the ingredient table reads whole: every density is positive and every row has a source', () => {
  const table = readIngredients()
  expect(table.length).toBeGreaterThan(190)
  for (const row of table) {
    expect(row.source).not.toBe('')
    for (const density of row.densities) expect(density.gPerML).toBeGreaterThan(0)
  }
})
