import { JsonLdReviewed, KitchenFile } from 'contract/book'
import { parse } from 'csv-parse/sync'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { expand } from 'jsonld'
import { readCsvCells } from '../../http/csv'
import { openTestKitchen, send, type TestKitchen } from '../../db/test/testKitchen'

let kitchen: TestKitchen
let other: TestKitchen
beforeAll(async () => {
  kitchen = await openTestKitchen()
  other = await openTestKitchen()
})
afterAll(async () => {
  await kitchen.close()
  await other.close()
})

const SCHEMA = 'http://schema.org/'
const DISHES = ['duck', 'crab', 'mushroom', 'kimchi', 'cauliflower', 'chicken', 'plain']

describe('JSON-LD out', () => {
  /** The vocabulary's own file (package @vocabulary/schema): which property belongs to which type. */
  const quads = readFileSync(require.resolve('@vocabulary/schema/schema.nq'), 'utf8').split('\n')
  const properties = new Map<string, Set<string>>()
  const subjects = new Set<string>()
  for (const quad of quads) {
    const [subject = '', predicate = '', object = ''] = [...quad.matchAll(/<([^>]*)>/g)].map((match) => match[1])
    subjects.add(subject)
    if (!predicate.endsWith('domainIncludes')) continue
    properties.set(subject, (properties.get(subject) ?? new Set()).add(object))
  }
  const https = (iri: string) => iri.replace('http://schema.org', 'https://schema.org')
  const both = (iri: string) => [iri, https(iri)]
  const CLASSES: Record<string, string[]> = {
    Recipe: ['Recipe', 'HowTo', 'CreativeWork', 'Thing'],
    NutritionInformation: ['NutritionInformation', 'StructuredValue', 'Intangible', 'Thing'],
    HowToStep: ['HowToStep', 'ListItem', 'ItemList', 'CreativeWork', 'Intangible', 'Thing'],
  }

  test.each(DISHES)('%s: every term is one of the vocabulary, of its type', async (id) => {
    const { text } = await send(kitchen.app, 'GET', `/dishes/${id}/recipe.jsonld`)
    const documentLoader = (url: string) =>
      Promise.resolve({ contextUrl: null, documentUrl: url, document: { '@context': { '@vocab': SCHEMA } } })
    const [recipe] = await expand(JSON.parse(text) as object, { documentLoader })
    const check = (node: Record<string, unknown>) => {
      const type = (node['@type'] as string[])[0]!
      expect(both(type).some((one) => subjects.has(one))).toBe(true)
      const allowed = CLASSES[type.replace(SCHEMA, '')]!.flatMap((one) => both(SCHEMA + one))
      for (const [property, values] of Object.entries(node)) {
        if (property.startsWith('@')) continue
        const domains = both(property).flatMap((one) => [...(properties.get(one) ?? [])])
        expect([property, domains.some((domain) => allowed.includes(domain))]).toEqual([property, true])
        for (const value of values as Record<string, unknown>[]) if (value['@type'] && !value['@value']) check(value)
      }
    }
    check(recipe as Record<string, unknown>)
  })

  test('it says what the portion holds and whom it suits', async () => {
    const { text } = await send(kitchen.app, 'GET', '/dishes/mushroom/recipe.jsonld')
    const recipe = JSON.parse(text) as {
      nutrition: { calories: string }
      suitableForDiet: string[]
      recipeIngredient: string[]
    }
    expect(recipe.suitableForDiet).toEqual(['https://schema.org/VeganDiet', 'https://schema.org/VegetarianDiet'])
    expect(Number.parseInt(recipe.nutrition.calories)).toBeGreaterThan(300)
    expect(recipe.recipeIngredient[0]).toMatch(/^220 g rice/)
  })

  test('what it wrote reads back line by line to the same grams', async () => {
    const { text } = await send(kitchen.app, 'GET', '/dishes/crab/recipe.jsonld')
    const { recipes } = JsonLdReviewed.parse((await review(text)).json)
    const written = (JSON.parse(text) as { recipeIngredient: string[] }).recipeIngredient
    expect(recipes[0]?.lines.map((line) => line.massG)).toEqual(written.map((line) => Number.parseFloat(line)))
  })
})

const review = (text: string) => send(kitchen.app, 'POST', '/book/recipe.jsonld', text, 'application/ld+json')

describe('JSON-LD in', () => {
  test('a page, @graph, arrays where one is expected, HTML inside text: every line is there, nothing is dropped', async () => {
    const page = `<html><script type="application/ld+json">${JSON.stringify({
      '@context': 'https://schema.org',
      '@graph': [
        { '@type': 'WebSite', name: 'x' },
        {
          '@type': ['Thing', 'Recipe'],
          name: ['Harbour rice', 'second name'],
          recipeYield: ['2', '2 portions'],
          recipeIngredient: [
            '<b>1½&nbsp;cups</b> cooked rice',
            '1 tbsp sugar (60 g)',
            'salt &amp; pepper',
            '',
            'SAUCE',
          ],
          recipeInstructions: [
            {
              '@type': 'HowToSection',
              name: 'First',
              itemListElement: [{ '@type': 'HowToStep', text: '<p>Heat.</p>' }],
            },
            'Fry.',
          ],
          cookTime: 'PT5M',
          author: { '@type': 'Person', name: 'nobody' },
        },
      ],
    })}</script></html>`
    const { recipes } = JsonLdReviewed.parse((await review(page)).json)
    expect(recipes).toHaveLength(1)
    expect(recipes[0]).toMatchObject({ name: 'Harbour rice', portions: 2, steps: ['First', 'Heat.', 'Fry.'] })
    expect(recipes[0]?.lines.map((line) => line.text)).toEqual([
      '1½ cups cooked rice',
      '1 tbsp sugar (60 g)',
      'salt & pepper',
      '',
      'SAUCE',
    ])
    expect(recipes[0]?.lines[1]?.flags[0]?.code).toBe('two-measures')
    expect(recipes[0]?.leftOver.map((one) => one.property)).toEqual(['cookTime', 'author'])
  })

  test.each([
    ['{', 400, 'bad-json'],
    ['{"@type":"Person"}', 422, 'not-a-recipe'],
    ['[]', 422, 'not-a-recipe'],
  ])('%s is answered with what to send', async (text, status, code) => {
    expect(await review(text)).toMatchObject({ status, json: { code } })
  })

  test('5 MB is refused before it is read', async () => {
    expect(await review('x'.repeat(5_000_000))).toMatchObject({ status: 413, json: { code: 'too-large' } })
  })
})

describe('the whole kitchen', () => {
  const read = async (from: TestKitchen) => KitchenFile.parse((await send(from.app, 'GET', '/book/kitchen.json')).json)

  test('goes out and comes in to the same, exactly', async () => {
    const table = (await send(kitchen.app, 'GET', '/ingredients/table.csv')).text.split('\r\n')
    const own = [table[0], table.find((line) => line.startsWith('carrot,'))?.replace('Carrot', 'Carrot of ours')].join(
      '\r\n',
    )
    expect(await send(kitchen.app, 'POST', '/ingredients/table.csv', own, 'text/csv')).toMatchObject({
      json: { rows: 1 },
    })
    const file = await read(kitchen)
    expect(file.dishes.map((dish) => dish.id)).toEqual(DISHES)
    const answer = await send(other.app, 'PUT', '/book/kitchen.json', JSON.stringify(file))
    expect(answer).toMatchObject({ status: 200, json: { dishes: 7, recipes: 7, ingredients: 1 } })
    expect(await read(other)).toEqual(file)
  })

  test('a file from before the schools had one vocabulary is read in today’s words', async () => {
    const file = await read(kitchen)
    const dishes = file.dishes.map((dish) => ({ ...dish, schools: { egg: 'none', heat: 'full', sauce: 'onMetal' } }))
    const answer = await send(other.app, 'PUT', '/book/kitchen.json', JSON.stringify({ ...file, dishes }))
    expect(answer.status).toBe(200)
    for (const { schools } of (await read(other)).dishes) expect(schools).toEqual({ heat: 'full', sauce: 'wall' })
  })

  test.each([
    ['another format', { format: 'other/1' }, /must begin with/],
    ['a dish without rice', null, /role rice/],
  ])('%s is refused whole, with the place', async (_name, change, message) => {
    const file = await read(kitchen)
    const bad = change ?? { dishes: [{ ...file.dishes[0]!, components: file.dishes[0]!.components.slice(1) }] }
    const answer = await send(other.app, 'PUT', '/book/kitchen.json', JSON.stringify({ ...file, ...bad }))
    expect(answer.status).toBe(422)
    expect(JSON.stringify(answer.json)).toMatch(message)
  })
})

describe('CSV', () => {
  test('prices go out and come in; a negative one is refused by its line', async () => {
    const { text } = await send(kitchen.app, 'GET', '/ingredients/prices.csv')
    const rows = parse<Record<string, string>>(text, { columns: true })
    expect(rows.find((row) => row['ingredient'] === 'onion')).toMatchObject({ packG: '10000', price: '8.90' })
    const post = (csv: string) => send(kitchen.app, 'POST', '/ingredients/prices.csv', csv, 'text/csv')
    expect(await post(text)).toMatchObject({ status: 200, json: { rows: rows.length } })
    expect(await post(text.replace(/8\.90/, '-8.90'))).toMatchObject({ status: 422, json: { code: 'csv-line' } })
    expect(await post('ingredient,fromDay,pack,packG,price\r\nno-such,2026-01-01,x,1,1')).toMatchObject({
      status: 422,
      json: { detail: expect.stringMatching(/line 2, ingredient: not in the ingredient table/) },
    })
  })

  test('the dishes are read by another reader to the same ratios', async () => {
    const { text } = await send(kitchen.app, 'GET', '/dishes/dishes.csv')
    const rows = parse<Record<string, string>>(text, { columns: true })
    expect(rows.filter((row) => row['dish']?.startsWith('Duck'))).toHaveLength(9)
    expect(rows.find((row) => row['name'] === 'duck sauce')).toMatchObject({
      subRecipe: 'duck-sauce',
      'g per 100 g rice': '6.2',
    })
  })

  /** The torture files of csv-spectrum; `location_coordinates` is not UTF-8 and expects a value that is not in it. */
  const folder = dirname(require.resolve('csv-spectrum/package.json'))
  const names = readdirSync(join(folder, 'csvs')).map((name) => name.replace('.csv', ''))
  test.each(names.filter((name) => name !== 'location_coordinates'))('csv-spectrum: %s', async (name) => {
    const bytes = readFileSync(join(folder, 'csvs', `${name}.csv`))
    const [header = [], ...rows] = await readCsvCells(new Uint8Array(bytes).buffer, 1000)
    const expected = JSON.parse(readFileSync(join(folder, 'json', `${name}.json`), 'utf8')) as Record<string, string>[]
    expect(rows.map((row) => Object.fromEntries(header.map((key, i) => [key, row[i]])))).toEqual(expected)
  })
})

describe('on paper, read back as text by poppler', () => {
  const textOf = async (path: string) => {
    const response = await kitchen.app.request(`/api${path}`)
    const at = join(mkdtempSync(join(tmpdir(), 'okazu-card-')), 'card.pdf')
    writeFileSync(at, new Uint8Array(await response.arrayBuffer()))
    return execFileSync('pdftotext', ['-layout', at, '-'], { encoding: 'utf8' })
  }

  test.each(DISHES)('the station card of %s says what goes in, when, and its allergens', async (id) => {
    const text = await textOf(`/dishes/${id}/card.pdf?portions=2`)
    expect(text).toMatch(/2 portions/)
    expect(text).toMatch(/Contains: /)
    expect(text).toMatch(/0:00/)
    expect(text).toMatch(/Pick up/)
    expect(text).toMatch(/\d g rice/)
  })

  test('a label says what it is, until when, and what is in it', async () => {
    const text = await textOf('/recipes/duck-sauce/label.pdf?batches=2')
    expect(text).toMatch(/duck sauce/)
    expect(text).toMatch(/2\.16 kg/)
    expect(text).toMatch(/use by \w{3}/)
    expect(text).toMatch(/contains gluten, soy/)
  })
})
