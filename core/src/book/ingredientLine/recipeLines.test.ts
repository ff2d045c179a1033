import fc from 'fast-check'
import { ingredient } from '../../test/ingredients'
import { parseLine } from './parseLine'
import { weighLine } from './weighLine'

type Fields = [quantity: number | null, unit: string | null, name: string, prep: string | null]
const fields = (text: string): Fields => {
  const { quantity, unit, ingredient: name, prep } = parseLine(text, 'us')
  return [quantity === null ? null : Number(quantity.toFixed(4)), unit, name, prep]
}

/** Lines as recipes and kitchens write them: common practice. */
describe('where the amount stands', () => {
  test.each<[string, Fields]>([
    ['eggs (2)', [2, null, 'eggs', null]],
    ['spring onions (3), cut into rings', [3, null, 'spring onions', 'cut into rings']],
    ['Eggs x2', [2, null, 'Eggs', null]],
    ['2x eggs', [2, null, 'eggs', null]],
    ['2 x eggs', [2, null, 'eggs', null]],
    ['rice 500g cooked', [500, 'g', 'rice', 'cooked']],
    ['Rice, cooked, 500 g', [500, 'g', 'Rice', 'cooked']],
    ['soy sauce ... 1 tbsp', [1, 'tbsp', 'soy sauce', null]],
    ['Salt: a pinch', [1, 'pinch', 'Salt', null]],
    ['peas, a handful', [1, 'handful', 'peas', null]],
    ['optional: 1 tsp chili crisp', [1, 'tsp', 'chili crisp', 'optional']],
    ['To serve: lime wedges', [null, null, 'lime wedges', 'to serve']],
    ['ご飯 200g', [200, 'g', 'ご飯', null]],
    ['醤油 大さじ1', [15, 'mL', '醤油', null]],
  ])('%s', (text, expected) => expect(fields(text)).toEqual(expected))

  test('an amount means the same before a name and after it', () => {
    const amount = fc.constantFrom(
      '2 tbsp',
      '500 g',
      '1 1/2 cups',
      '½ tsp',
      '1.5 kg',
      '30-40 mL',
      '3 cloves',
      '2 x 400 g',
    )
    const name = fc.constantFrom('soy sauce', 'cooked rice', 'roast duck', 'crab paste')
    fc.assert(
      fc.property(amount, name, fc.constantFrom(' ', ', ', ': ', ' - '), (written, thing, between) => {
        const [before, after] = [
          parseLine(`${written} ${thing}`, 'us'),
          parseLine(`${thing}${between}${written}`, 'us'),
        ]
        expect({ ...after, text: '' }).toEqual({ ...before, text: '' })
      }),
      { endOnFailure: true },
    )
  })
})

describe('how many', () => {
  test.each<[string, Fields]>([
    ['1/2 a medium onion, diced', [0.5, null, 'onion', 'diced']],
    ['½ of an onion', [0.5, null, 'onion', null]],
    ['a third of a cup of peas', [0.3333, 'cup', 'peas', null]],
    ['three-quarters cup peas', [0.75, 'cup', 'peas', null]],
    ['two thirds cup peas', [0.6667, 'cup', 'peas', null]],
    ['one-half cup peas', [0.5, 'cup', 'peas', null]],
    ["1'000 g rice", [1000, 'g', 'rice', null]],
    ['pinch MSG', [1, 'pinch', 'MSG', null]],
    ['large handful bean sprouts', [1, 'handful', 'bean sprouts', 'large']],
    ['a good glug of oil', [1, 'splash', 'oil', null]],
    ['scant cup of rice', [1, 'cup', 'rice', 'scant']],
    ['min. 200g rice', [200, 'g', 'rice', null]],
    ['200g+ rice', [200, 'g', 'rice', null]],
    ['1 Tbsp or more soy sauce', [1, 'tbsp', 'soy sauce', null]],
    ['1 table spoon oil', [1, 'tbsp', 'oil', null]],
    ['2 portions rice', [2, 'portion', 'rice', null]],
    ['whites of 2 eggs', [2, null, 'egg white', null]],
    ['yolk of 1 egg, beaten', [1, null, 'egg yolk', 'beaten']],
  ])('%s', (text, expected) => expect(fields(text)).toEqual(expected))

  test('a couple is about two', () => {
    expect(parseLine('a couple of scallions', 'us')).toMatchObject({
      quantity: 2,
      isApproximate: true,
      ingredient: 'scallions',
    })
    expect(parseLine('couple scallions', 'us')).toMatchObject({ quantity: 2, isApproximate: true })
  })

  test.each([
    ['2% milk 100 ml', 100, '2% milk'],
    ['80% lean beef 300g', 300, '80% lean beef'],
    ['16/20 prawns 200 g', 200, '16/20 prawns'],
    ['prawns (16/20), 200 g', 200, 'prawns'],
    ['5 mm dice carrot 100 g', 100, 'carrot'],
    ['No. 1 flour 50 g', 50, 'No. 1 flour'],
  ])('a number that is none of them is no amount: %s', (text, quantity, name) => {
    expect(parseLine(text, 'us')).toMatchObject({ quantity, ingredient: name })
  })
})

describe('what one of them holds', () => {
  test.each<[string, number, string | null, string, number, string]>([
    ['1 14-oz block firm tofu, pressed', 1, 'block', 'firm tofu', 14, 'oz'],
    ['2 400 g tins tomatoes', 2, 'can', 'tomatoes', 400, 'g'],
    ['1 (400g/14oz) tin tomatoes', 1, 'can', 'tomatoes', 400, 'g'],
    ['half a 400g tin of beans', 0.5, 'can', 'beans', 400, 'g'],
    ['1 12-oz bag frozen peas', 1, 'bag', 'frozen peas', 12, 'oz'],
    ['two 6-oz chicken breasts', 2, null, 'chicken breasts', 6, 'oz'],
    ['2 chicken breasts (150g each)', 2, null, 'chicken breasts', 150, 'g'],
    ['2 chicken breasts, 150 g each, sliced', 2, null, 'chicken breasts', 150, 'g'],
  ])('%s', (text, quantity, unit, name, value, of) => {
    const line = parseLine(text, 'us')
    expect(line).toMatchObject({ quantity, unit, ingredient: name })
    expect(line.each).toMatchObject({ value, unit: of })
  })

  test('each weighs as said, however many there are; all of them together weigh what they weigh together', () => {
    const chicken = ingredient({ id: 'chicken', countSizes: [{ size: 'breast', massG: 200 }] })
    const gramsOf = (text: string) => weighLine(parseLine(text, 'us'), chicken, 'us').massG
    expect(gramsOf('2 chicken (150 g each)')).toBe(300)
    expect(gramsOf('2 chicken (330 g in total)')).toBe(330)
    expect(gramsOf('2 chicken (330 g)')).toBe(330)
    expect(gramsOf('2 chicken/330 g')).toBe(330)
  })

  test('a length of ginger weighs by the inch, in centimetres too', () => {
    const ginger = ingredient({ id: 'ginger', countSizes: [{ size: 'inch', massG: 12 }] })
    const gramsOf = (text: string) => weighLine(parseLine(text, 'us'), ginger, 'us').massG
    expect(gramsOf('2 inches ginger')).toBe(24)
    expect(gramsOf('1 in. ginger')).toBe(12)
    expect(gramsOf('2 cm ginger')).toBeCloseTo((2 / 2.54) * 12, 6)
  })
})

describe('what it is and what is done to it', () => {
  test.each<[string, Fields]>([
    ['1 lb. boneless, skinless chicken thighs, diced', [1, 'lb', 'boneless skinless chicken thighs', 'diced']],
    ['500g cold, cooked rice', [500, 'g', 'cold cooked rice', null]],
    ['3 large, ripe tomatoes', [3, null, 'ripe tomatoes', null]],
    ['1 cup, packed, basil', [1, 'cup', 'basil', 'packed']],
    ['300 g peeled, deveined shrimp', [300, 'g', 'shrimp', 'peeled deveined']],
    ['2 tbsp, divided', [2, 'tbsp', '', 'divided']],
    ['one 2-inch piece ginger, grated', [1, 'piece', 'ginger', '2-inch, grated']],
    ['a 2cm piece of ginger', [1, 'piece', 'ginger', '2-cm']],
    ['100 g 5 mm diced carrot', [100, 'g', 'carrot', '5 mm diced']],
    ['100 g carrot in 5 mm dice', [100, 'g', 'carrot', 'in 5 mm dice']],
    ['sesame seeds for sprinkling', [null, null, 'sesame seeds', 'for sprinkling']],
    ['fried shallots to finish', [null, null, 'fried shallots', 'to finish']],
  ])('%s', (text, expected) => expect(fields(text)).toEqual(expected))

  test.each(['1 tbsp light + 1 tsp dark soy sauce', '4 egg yolks + 1 whole egg', '1 tbsp each: soy sauce, sugar'])(
    'two things on one line are not taken for one: %s',
    (text) => expect(parseLine(text, 'us').ingredient).toMatch(/\+|each/),
  )
})
