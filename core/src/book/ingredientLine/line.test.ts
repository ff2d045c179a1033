import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { numericQuantity } from 'numeric-quantity'
import { EGG, SALT, SOY, SUGAR, ingredient } from '../../test/ingredients'
import { writeQuantity } from '../../measure/writeNumber'
import { indexIngredients, likeNames, lookUp } from '../lookUp'
import { parseLine } from './parseLine'
import { weighLine } from './weighLine'

type Expected = { text: string; fields: string[] }
const LINES: Expected[] = readFileSync(`${__dirname}/../../../outside/ingredientLines.txt`, 'utf8')
  .split('\n')
  .filter((row) => row !== '' && !row.startsWith('# '))
  .map((row) => {
    const [text = '', expected = ''] = row.split(' => ')
    return { text, fields: expected.split(' | ') }
  })

const number = (value: number | null) => (value === null ? '-' : String(Number(value.toFixed(6))))

function fieldsOf(text: string): string[] {
  const line = parseLine(text, 'us')
  const name = `${line.kind === 'heading' ? 'heading: ' : ''}${line.ingredient || '-'}`
  return [number(line.quantity), number(line.quantityMax), line.unit ?? '-', name, line.prep ?? '-']
}

describe('lines written down before the reader was', () => {
  test('there are 150 and more, and at least 95 % of their fields are right', () => {
    expect(LINES.length).toBeGreaterThanOrEqual(150)
    const pairs = LINES.flatMap(({ text, fields }) => {
      const got = fieldsOf(text)
      return fields.map((wanted, i) => wanted.toLowerCase() === got[i]?.toLowerCase())
    })
    expect(pairs.filter(Boolean).length / pairs.length).toBeGreaterThanOrEqual(0.95)
  })

  test('nothing of a line is dropped: every word of it is somewhere in what was read', () => {
    for (const { text } of LINES) {
      const line = parseLine(text, 'us')
      const kept = `${line.ingredient} ${line.prep ?? ''}`.toLowerCase()
      const nouns = text.toLowerCase().match(/\b(rice|egg|garlic|soy|butter|shrimp|duck|noodles|kelp)\b/g) ?? []
      for (const noun of nouns) expect(kept).toContain(noun)
    }
  })
})

test.each<[string, (string | number | null)[]]>([
  ['1 dozen eggs', [12, null, 'eggs', null]],
  ['half a dozen eggs', [6, null, 'eggs', null]],
  ['3 dozen peeled prawns', [36, null, 'prawns', 'peeled']],
  ['zest of 1 lime', [1, null, 'lime zest', null]],
  ['rind of 2 lemons, grated', [2, null, 'lemon zest', 'grated']],
  ['juice of half a lemon', [0.5, null, 'lemon juice', null]],
  ['leaves of 2 lettuces', [2, null, 'lettuces', 'leaves']],
  ['freshly ground black pepper', [null, null, 'black pepper', 'freshly ground']],
  ['1 tsp freshly cracked white pepper', [1, 'tsp', 'white pepper', 'freshly cracked']],
  ['200 g freshly ground pork', [200, 'g', 'ground pork', 'freshly']],
  ['200 g finely minced chicken', [200, 'g', 'minced chicken', 'finely']],
  ['2 tsp finely minced garlic', [2, 'tsp', 'garlic', 'finely minced']],
  ['200 g ground pork', [200, 'g', 'ground pork', null]],
  ['handful of bean sprouts', [1, 'handful', 'bean sprouts', null]],
  ['pinch of salt', [1, 'pinch', 'salt', null]],
  ['Dash of fish sauce, to taste', [1, 'dash', 'fish sauce', 'to taste']],
  ['knob of butter', [1, 'knob', 'butter', null]],
  ['1 c. cooked rice', [1, 'cup', 'cooked rice', null]],
  ['scallions, 3, chopped', [3, null, 'scallions', 'chopped']],
  ['splash', [null, null, 'splash', null]],
])('"%s" is read whole', (text, [quantity, unit, name, prep]) => {
  expect(parseLine(text, 'us')).toMatchObject({ quantity, unit, ingredient: name, prep })
})

test('quantities read as an outside reader of numbers reads them (numeric-quantity)', () => {
  const written = ['1 1/2', '1½', '¾', '2⅔', '0.25', '.5', '1/3', '10', '2 3/4', '⅛', '1-1/2', '7/8', '3 ⅝']
  for (const text of written)
    expect(parseLine(`${text} cups water`, 'us').quantity).toBeCloseTo(numericQuantity(text.replace('-', ' ')), 3)
})

test('a quantity that is written and read again is the same quantity', () => {
  const unit = fc.constantFrom('g', 'kg', 'tbsp', 'tsp', 'cup', 'mL', 'clove', null)
  const value = fc.oneof(
    fc.integer({ min: 1, max: 96 }).map((n) => n / 8),
    fc.integer({ min: 1, max: 60 }).map((n) => n / 3),
    fc.integer({ min: 1, max: 9_999_999 }).map((n) => n / 1000),
  )
  fc.assert(
    fc.property(value, fc.option(fc.double({ min: 1, max: 3, noNaN: true })), unit, (least, factor, word) => {
      const most = factor === null ? null : Number((least * factor + 0.001).toFixed(3))
      const line = parseLine(`${writeQuantity(least, most, word)} soy`, 'us')
      expect(line.quantity).toBeCloseTo(least, 5)
      if (most === null) expect(line.quantityMax).toBeNull()
      else expect(line.quantityMax).toBeCloseTo(most, 5)
      expect(line.unit).toBe(word)
      expect(line.ingredient).toBe('soy')
    }),
  )
})

test('any text whatever is read without failing, and keeps its text', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 80 }), (text) => expect(parseLine(text, 'us').text).toBe(text)),
  )
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...' 0123456789½/.,-–()xgcup tbsp~:•#'), { maxLength: 40 }), (signs) => {
      const line = parseLine(signs.join(''), 'us')
      expect(Number.isNaN(line.quantity ?? 0) || Number.isNaN(line.quantityMax ?? 0)).toBe(false)
    }),
  )
})

describe('what a line weighs', () => {
  const weigh = (text: string, of = SOY, system: Parameters<typeof parseLine>[1] = 'us') =>
    weighLine(parseLine(text, system), of, system)

  test('by mass, by volume through the form, by count through the size', () => {
    const garlic = ingredient({
      id: 'garlic',
      densities: [
        { form: 'minced', gPerML: 0.61 },
        { form: 'sliced', gPerML: 0.57 },
      ],
      countSizes: [{ size: 'clove', massG: 3.5 }],
    })
    expect(weigh('40 g soy').massG).toBe(40)
    expect(weigh('1 lb 4 oz soy').massG).toBeCloseTo(566.99, 2)
    expect(weigh('2 tbsp soy').massG).toBeCloseTo(2 * 14.786765 * 1.2, 4)
    expect(weigh('2 tbsp soy', SOY, 'au').massG).toBeCloseTo(48, 6)
    expect(weigh('3 cloves garlic', garlic).massG).toBe(10.5)
    expect(weigh('1 cup garlic, sliced', garlic).massG).toBeCloseTo(236.588 * 0.57, 2)
    expect(weigh('2 large eggs', EGG).massG).toBe(100)
    expect(weigh('2 x 400 g tins soy').massG).toBe(800)
    expect(weigh('2–4 tbsp soy').massG).toBeCloseTo(3 * 14.786765 * 1.2, 4)
  })

  test('"1 tbsp sugar (60 g)" is asked about, with slipped digit, unit and system, each with what it gives', () => {
    const [flag] = weigh('1 tbsp sugar (60 g)', SUGAR).flags
    expect(flag).toMatchObject({ code: 'two-measures' })
    expect(flag?.repairs.map((repair) => repair.kind).sort()).toEqual([
      'by-mass',
      'by-volume',
      'digit',
      'system',
      'unit',
    ])
    expect(flag?.repairs.find((repair) => repair.kind === 'by-volume')?.massG).toBeCloseTo(12.49, 1)
    expect(flag?.repairs.find((repair) => repair.kind === 'digit')?.massG).toBeCloseTo(6, 9)
  })

  test('"12 eggs, 40 g" is asked about: twelve, forty grams, or forty each', () => {
    const { flags, isUnderstood } = weigh('12 eggs, 40 g', EGG)
    expect(isUnderstood).toBe(false)
    expect(flags[0]?.repairs.map((repair) => Math.round(repair.massG))).toEqual([600, 40, 480])
  })

  test('"½–2 cups" is a wide range, and says what may be meant', () => {
    const { flags, massG } = weigh('½–2 cups soy')
    expect(flags[0]).toMatchObject({ code: 'wide-range', message: expect.stringContaining('1½–2') })
    expect(massG).toBeCloseTo(1.25 * 236.588 * 1.2, 1)
  })

  test.each([
    ['two agreeing measures are not', '2 tbsp soy (35 g)', SOY, []],
    ['a range that runs down is', '3-2 tbsp soy', SOY, ['reversed-range']],
    ['nothing is', '0 g soy', SOY, ['nothing']],
    ['a thing that is not known is', '2 tbsp soy', null, ['unknown-ingredient', 'no-density']],
    ['a volume without a density is', '1 cup salt', SALT, ['no-density']],
    ['a count without a size is', '2 salt', SALT, ['no-size']],
    ['a unit of another system is', '1 gō soy', SOY, ['not-in-system']],
    ['no amount is', 'soy to taste', SOY, ['no-amount']],
  ])('doubt: %s', (_name, text, of, codes) => {
    expect(weighLine(parseLine(text, 'us'), of, 'us').flags.map((flag) => flag.code)).toEqual(codes)
  })
})

describe('names', () => {
  const table = [
    ingredient({ id: 'spring-onion', name: 'Spring onion', aliases: ['scallion', 'green onion'] }),
    ingredient({ id: 'rice-cooked', name: 'Rice (cooked)', state: 'cooked' }),
    ingredient({ id: 'rice-raw', name: 'Rice (raw)', state: 'raw' }),
    ingredient({ id: 'radish', name: 'Radish' }),
  ]
  const index = indexIngredients(table)

  test.each([
    ['scallions', 'spring-onion'],
    ['Large SPRING  ONIONS', 'spring-onion'],
    ['radishes', 'radish'],
    ['crème', undefined],
  ])('%s', (name, id) => expect(lookUp(index, name)?.id).toBe(id))

  test('of two rows by one name the one in the wanted state', () => {
    expect(lookUp(index, 'rice', 'raw')?.id).toBe('rice-raw')
  })

  test('a name that is not there finds its like', () => {
    expect(likeNames(table, 'sprouting onion').map((one) => one.id)).toEqual(['spring-onion'])
  })
})
