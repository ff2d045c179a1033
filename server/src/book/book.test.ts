import { DishList, DishVersions, type Dish } from 'contract/dish'
import { IngredientList, type KitchenIngredient } from 'contract/ingredient'
import { RecipeList } from 'contract/recipe'
import { StyleList, TastingList } from 'contract/book'
import { Run } from 'contract/run'
import { TicketList } from 'contract/ticket'
import { v7 as newId } from 'uuid'
import { fireOf, newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const book = async () => DishList.parse((await send(kitchen.app, 'GET', '/dishes')).json).dishes
const dishOf = async (id: string) => (await book()).find((dish) => dish.id === id)!
const draftOf = ({ version: _version, ...draft }: Dish) => draft
const table = async () => IngredientList.parse((await send(kitchen.app, 'GET', '/ingredients')).json).ingredients
const rowOf = async (id: string) => (await table()).find((row) => row.id === id)!
const bodyOf = ({ version: _version, isOwn: _isOwn, prices: _prices, ...row }: KitchenIngredient) => row
const putRow = (row: KitchenIngredient, version = row.version) =>
  send(kitchen.app, 'PUT', `/ingredients/${row.id}`, { version, ingredient: bodyOf(row) })

describe('editing a dish', () => {
  test('a saved dish is its next version; the old one stays', async () => {
    const plain = await dishOf('plain')
    const dish = { ...draftOf(plain), shortName: 'house' }
    const answer = await send(kitchen.app, 'PUT', '/dishes/plain', { version: plain.version, dish })
    expect(answer).toMatchObject({ status: 200, json: { version: plain.version + 1, shortName: 'house' } })
    const { versions } = DishVersions.parse((await send(kitchen.app, 'GET', '/dishes/plain/versions')).json)
    expect(versions.map((one) => [one.dish.version, one.dish.shortName])).toEqual([
      [plain.version + 1, 'house'],
      [plain.version, 'plain'],
    ])
  })

  test('of two editors the second is told, and nothing of the first is lost', async () => {
    const crab = await dishOf('crab')
    const save = (shortName: string) =>
      send(kitchen.app, 'PUT', '/dishes/crab', { version: crab.version, dish: { ...draftOf(crab), shortName } })
    const answers = await Promise.all([save('first'), save('second')])
    expect(answers.map((one) => one.status).sort()).toEqual([200, 409])
    const refused = answers.find((one) => one.status === 409)
    expect(refused?.json).toMatchObject({ code: 'edited-meanwhile' })
    expect((await dishOf('crab')).version).toBe(crab.version + 1)
  })

  test('allergens and densities come from the table, whatever the sender says', async () => {
    const plain = await dishOf('plain')
    const components = plain.components.map((one) => ({ ...one, allergens: [] }))
    await send(kitchen.app, 'PUT', '/dishes/plain', { version: plain.version, dish: { ...draftOf(plain), components } })
    expect((await dishOf('plain')).components.find((one) => one.id === 'egg')?.allergens).toEqual(['egg'])
  })

  test.each<[string, (dish: Dish) => object, number, string]>([
    ['without rice', (dish) => ({ components: dish.components.filter((one) => one.role !== 'rice') }), 422, 'invalid'],
    ['with a negative price', () => ({ priceMinor: -5 }), 422, 'invalid'],
    [
      'with an ingredient that is not there',
      (dish) => ({ components: [...dish.components, { ...dish.components[1], id: 'x', ingredientId: 'no-such' }] }),
      422,
      'unknown-ingredient',
    ],
    ['with one id twice', (dish) => ({ components: [...dish.components, dish.components[1]] }), 422, 'invalid'],
  ])('%s it is refused', async (_name, change, status, code) => {
    const duck = await dishOf('duck')
    const dish = { ...draftOf(duck), ...change(duck) }
    const answer = await send(kitchen.app, 'PUT', '/dishes/duck', { version: duck.version, dish })
    expect(answer).toMatchObject({ status, json: { code } })
    expect((await dishOf('duck')).version).toBe(duck.version)
  })

  test('a new dish by a taken name is refused; one taken out may come again', async () => {
    const plain = await dishOf('plain')
    const taken = await send(kitchen.app, 'PUT', '/dishes/plain', { version: 0, dish: draftOf(plain) })
    expect(taken).toMatchObject({ status: 409, json: { code: 'name-taken' } })
    const dish = { ...draftOf(plain), id: 'short-lived', name: 'Short-lived' }
    await send(kitchen.app, 'PUT', '/dishes/short-lived', { version: 0, dish })
    await send(kitchen.app, 'DELETE', '/dishes/short-lived?version=1')
    expect((await book()).map((one) => one.id)).not.toContain('short-lived')
    const again = await send(kitchen.app, 'PUT', '/dishes/short-lived', { version: 0, dish })
    expect(again).toMatchObject({ status: 200, json: { version: 3 } })
  })
})

describe('ingredients', () => {
  test('an allergen found on a label reaches every dish that uses it, as a new version', async () => {
    const before = await dishOf('duck')
    const row = await rowOf('pepper-white')
    const answer = await putRow({ ...row, allergens: ['celery'], source: 'label of the tub' })
    expect(answer.status).toBe(200)
    const after = await dishOf('duck')
    expect(after.version).toBe(before.version + 1)
    expect(after.components.find((one) => one.id === 'white-pepper')?.allergens).toEqual(['celery'])
    expect(await rowOf('pepper-white')).toMatchObject({ isOwn: true, version: 1, source: 'label of the tub' })
  })

  test('and through a sub-recipe of a sub-recipe', async () => {
    const row = await rowOf('sugar-white')
    await putRow({ ...row, allergens: ['sulphite'] })
    expect((await dishOf('duck')).components.find((one) => one.id === 'duck-sauce')?.allergens).toContain('sulphite')
  })

  test('two editors: the second is told', async () => {
    const row = await rowOf('carrot')
    expect((await putRow(row)).status).toBe(200)
    expect(await putRow(row)).toMatchObject({ status: 409, json: { code: 'edited-meanwhile' } })
  })

  test.each<[string, Partial<KitchenIngredient>, RegExp]>([
    ['more than 100 g in 100 g', { waterG: 90, fatG: 40 }, /check the label/],
    ['sugars above carbohydrate', { sugarsG: 50, carbohydrateG: 5 }, /more sugars/],
    ['a density of lead', { densities: [{ form: 'level', gPerML: 11 }] }, /weigh it again/],
    ['no source', { source: ' ' }, /where the figures come from/],
  ])('%s is refused', async (_name, change, message) => {
    const row = await rowOf('onion')
    const answer = await putRow({ ...row, ...change })
    expect(answer.status).toBe(422)
    expect(JSON.stringify(answer.json)).toMatch(message)
  })

  test('weighed once, a density is there for every dish', async () => {
    const row = await rowOf('pork-belly-raw')
    await putRow({ ...row, densities: [...row.densities, { form: 'sliced', gPerML: 0.55 }] })
    expect((await dishOf('kimchi')).components.find((one) => one.id === 'pork-belly')?.gPerML).toBe(0.55)
  })

  test('an own ingredient in use cannot be taken away; unused it can', async () => {
    const seed = { ...bodyOf(await rowOf('sesame-toasted')), id: 'nigella', name: 'Nigella', aliases: [] }
    await send(kitchen.app, 'PUT', '/ingredients/nigella', { version: 0, ingredient: seed })
    const plain = await dishOf('plain')
    const component = {
      ...plain.components.at(-1)!,
      id: 'nigella',
      name: 'nigella',
      ingredientId: 'nigella',
      ratioG: 1,
    }
    const dish = { ...draftOf(plain), components: [...plain.components, component] }
    await send(kitchen.app, 'PUT', '/dishes/plain', { version: plain.version, dish })
    expect(await send(kitchen.app, 'DELETE', '/ingredients/nigella')).toMatchObject({
      status: 409,
      json: { code: 'ingredient-used', values: { list: plain.name } },
    })
    await send(kitchen.app, 'PUT', '/dishes/plain', { version: plain.version + 1, dish: draftOf(plain) })
    expect((await send(kitchen.app, 'DELETE', '/ingredients/nigella')).status).toBe(200)
    expect((await table()).map((row) => row.id)).not.toContain('nigella')
  })

  test('prices keep their history; a negative one is refused', async () => {
    const price = { fromDay: '2026-11-25', packName: 'sack 5 kg', packG: 5000, priceMinor: 512 }
    expect((await send(kitchen.app, 'POST', '/ingredients/onion/prices', price)).status).toBe(200)
    expect((await rowOf('onion')).prices.map((one) => one.fromDay)).toEqual(['2026-11-25', '2026-09-01', '2026-01-05'])
    const negative = await send(kitchen.app, 'POST', '/ingredients/onion/prices', { ...price, priceMinor: -1 })
    expect(negative).toMatchObject({ status: 422, json: { faults: [{ field: 'priceMinor' }] } })
  })
})

describe('sub-recipes', () => {
  const recipes = async () => RecipeList.parse((await send(kitchen.app, 'GET', '/recipes')).json).recipes
  const recipeOf = async (id: string) => (await recipes()).find((one) => one.id === id)!

  test('a recipe that would contain itself is refused with the path', async () => {
    const { version, ...soy } = await recipeOf('house-soy')
    const lines = [...soy.lines, { id: 'duck-sauce', name: 'duck sauce', massG: 10, cut: null, recipeId: 'duck-sauce' }]
    const answer = await send(kitchen.app, 'PUT', '/recipes/house-soy', { version, recipe: { ...soy, lines } })
    expect(answer).toMatchObject({
      status: 422,
      json: {
        code: 'recipe-cycle',
        values: {
          path: expect.stringMatching(/house soy → duck sauce → house soy|duck sauce → house soy → duck sauce/),
        },
      },
    })
  })

  test('one that a dish uses stays', async () => {
    const { version } = await recipeOf('duck-sauce')
    const answer = await send(kitchen.app, 'DELETE', `/recipes/duck-sauce?version=${version}`)
    expect(answer).toMatchObject({ status: 409, json: { code: 'recipe-used' } })
  })

  test('a saltier sauce does not change the dish as written, only what it holds', async () => {
    const { version, ...sauce } = await recipeOf('duck-sauce')
    const before = await dishOf('duck')
    const lines = sauce.lines.map((line) => ({ ...line, massG: line.massG * (line.id === 'house-soy' ? 2 : 1) }))
    expect(
      (await send(kitchen.app, 'PUT', '/recipes/duck-sauce', { version, recipe: { ...sauce, lines } })).status,
    ).toBe(200)
    const ratio = (dish: Dish) => dish.components.find((one) => one.id === 'duck-sauce')?.ratioG
    expect(ratio(await dishOf('duck'))).toBe(ratio(before))
  })
})

test('styles: bands are edited once at a time', async () => {
  const list = StyleList.parse((await send(kitchen.app, 'GET', '/styles')).json)
  const styles = list.styles.map((style) =>
    style.id === 'pale' ? { ...style, bands: { ...style.bands, saltFraction: { least: 0.006, most: 0.01 } } } : style,
  )
  expect((await send(kitchen.app, 'PUT', '/styles', { ...list, styles })).status).toBe(200)
  expect(await send(kitchen.app, 'PUT', '/styles', { ...list, styles })).toMatchObject({ status: 409 })
  const after = StyleList.parse((await send(kitchen.app, 'GET', '/styles')).json)
  expect(after.styles.find((one) => one.id === 'pale')?.bands.saltFraction).toEqual({ least: 0.006, most: 0.01 })
})

test('a tasting is kept once, however often it is sent', async () => {
  const tasting = {
    id: newId(),
    dishId: 'duck',
    dishVersion: 1,
    verdict: 'bland',
    strength: 'weak',
    atMs: kitchen.clock.now(),
    added: [{ id: 'salt-fine', name: 'salt', massG: 2 }],
  }
  await send(kitchen.app, 'POST', '/tastings', tasting)
  const again = await send(kitchen.app, 'POST', '/tastings', tasting)
  expect(TastingList.parse(again.json).tastings).toEqual([{ ...tasting, runId: null }])
})

test('a tasting may be of a run, which must be a run of that dish', async () => {
  const { json } = await send(kitchen.app, 'POST', '/tickets', newTicket('plain', 1, kitchen.clock.now() + 600_000, {}))
  const [ticket] = TicketList.parse(json).tickets
  const run = Run.parse(
    (await send(kitchen.app, 'POST', '/runs', fireOf([ticket!], 'ring-a', kitchen.clock.now()))).json,
  )
  const tasting = {
    id: newId(),
    dishId: 'plain',
    dishVersion: run.dishVersion,
    runId: run.id,
    verdict: 'salty',
    strength: 'strong',
    atMs: kitchen.clock.now(),
    added: [],
  }
  const kept = TastingList.parse((await send(kitchen.app, 'POST', '/tastings', tasting)).json).tastings
  expect(kept).toContainEqual(tasting)
  const strange = await send(kitchen.app, 'POST', '/tastings', { ...tasting, id: newId(), dishId: 'duck' })
  expect(strange).toMatchObject({ status: 404, json: { code: 'unknown-run' } })
})
