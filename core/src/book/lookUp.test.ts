import { ingredient } from '../test/ingredients'
import { indexIngredients, likeNames, lookUp } from './lookUp'

const row = (id: string, aliases: string[] = [], state = 'fresh') => ingredient({ id, name: id, aliases, state })
const table = [
  row('peas-frozen', ['peas', 'green peas', 'garden peas']),
  row('mangetout', ['snow peas', 'sugar peas']),
  row('soy-sauce-light', ['light soy', 'light soy sauce']),
  row('oil-vegetable', ['oil', 'cooking oil']),
  row('rice-long-cooked', ['cooked white rice', 'cooked rice']),
  row('shrimp-raw', ['prawns', 'raw prawns'], 'raw'),
  row('shrimp-cooked', ['cooked prawns'], 'cooked'),
  row('coriander', ['cilantro']),
  row('cumin-ground', ['ground cumin']),
  row('pepper-white', ['white pepper']),
  row('lime', ['limes']),
  row('lemon', ['lemons']),
]
const index = indexIngredients(table)

test.each([
  ['peas', 'peas-frozen'],
  ['Green Peas', 'peas-frozen'],
  ['snow peas', 'mangetout'],
  ['light soy', 'soy-sauce-light'],
  ['soy sauce, light', 'soy-sauce-light'],
  ['oil', 'oil-vegetable'],
  ['cooked white rice', 'rice-long-cooked'],
  ['cumin, ground', 'cumin-ground'],
  ['white peper', 'pepper-white'],
  ['corainder', 'coriander'],
  ['cilantros', 'coriander'],
])('"%s" is %s', (name, id) => expect(lookUp(index, name)?.id).toBe(id))

test.each(['pea shoots', 'soy milk', 'lim', 'limo', 'shoots', 'moon dust', 'pep', ''])(
  '"%s" is nothing of this table: by whole words, and no slip makes another food',
  (name) => expect(lookUp(index, name)).toBeNull(),
)

test('the state of a line finds the row in that state', () => {
  expect(lookUp(index, 'prawns', 'cooked')?.id).toBe('shrimp-cooked')
  expect(lookUp(index, 'prawns', 'raw')?.id).toBe('shrimp-raw')
})

test('"did you mean" offers whole words only', () => {
  expect(likeNames(table, 'pea').map((one) => one.id)).toEqual(expect.arrayContaining(['peas-frozen', 'mangetout']))
  expect(likeNames(table, 'pep')).toEqual([])
})
