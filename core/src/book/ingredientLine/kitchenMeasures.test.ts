import { ingredient } from '../../test/ingredients'
import { parseLine } from './parseLine'
import { weighLine } from './weighLine'

const WATERY = ingredient({ id: 'stock', role: 'liquid', densities: [{ form: 'liquid', gPerML: 1 }] })
const PRAWN = ingredient({
  id: 'prawns',
  role: 'protein:shellfish',
  countSizes: [
    { size: 'medium', massG: 10 },
    { size: 'jumbo', massG: 30 },
  ],
})
const gramsOf = (text: string, row = WATERY, system: Parameters<typeof weighLine>[2] = 'us') =>
  weighLine(parseLine(text, system), row, system)

/** Japan's Weights and Measures Act of 1891 (gō), Hong Kong's Ordinance (catty, tael): from memory; spoons common practice. */
test.each([
  ['大さじ2 stock', 30],
  ['stock 小さじ1', 5],
  ['2合 stock', 360.78],
  ['1 catty stock', 604.79],
  ['2 taels stock', 75.6],
  ['2 and 1/2 cups stock', 591.47],
  ['2 and ½ cups stock', 591.47],
])('"%s" is %d g', (text, massG) => expect(gramsOf(text).massG).toBeCloseTo(massG, 1))

test('a spoon of an Indian or Singaporean kitchen is 15 mL', () => {
  for (const system of ['in', 'sg', 'jp'] as const) expect(gramsOf('2 tbsp stock', WATERY, system).massG).toBe(30)
})

test('"egg x 3" is three, "juice of 2 limes" is lime juice', () => {
  expect(parseLine('egg x 3', 'us')).toMatchObject({ quantity: 3, ingredient: 'egg' })
  expect(parseLine('juice of 2 limes', 'us')).toMatchObject({ quantity: 2, ingredient: 'lime juice', prep: null })
})

test.each([
  ['1 heaped tbsp stock', WATERY, 'heaped'],
  ['1 scant tbsp stock', WATERY, 'heaped'],
  ['12 prawns', PRAWN, 'which-size'],
  ['1/4 cup (16 mL) stock', WATERY, 'two-volumes'],
] as const)('"%s" is not called understood', (text, row, code) => {
  const { isUnderstood, flags } = gramsOf(text, row)
  expect(flags.map((one) => one.code)).toContain(code)
  expect(isUnderstood).toBe(false)
})

test('nothing is understood without an ingredient', () => {
  for (const text of ['2 tbsp', '½ stick', 'moon dust, to taste'])
    expect(weighLine(parseLine(text, 'us'), null, 'us').isUnderstood).toBe(false)
})
