import fc from 'fast-check'
import { ingredient } from '../test/ingredients'
import type { Role } from './dish'
import type { Food } from './food'
import {
  findIngredient,
  foodOf,
  isRawRow,
  readCut,
  refreshComponent,
  resolveLines,
  slugOf,
  type DishLine,
} from './resolve'

const line = (name: string, change: Partial<DishLine> = {}): DishLine => ({
  name,
  role: 'vegetable',
  state: 'raw',
  cut: '',
  ratioG: 10,
  ...change,
})
const CARROT = ingredient({ id: 'carrot', name: 'carrot', role: 'vegetable:hard', state: 'raw' })
const CARROT_COOKED = ingredient({ id: 'carrot-cooked', name: 'carrot', role: 'vegetable:hard', state: 'cooked' })
const RICE = ingredient({ id: 'rice-long-chilled-dry', name: 'rice, long', role: 'rice', state: 'cooked' })
const EGG = ingredient({
  id: 'egg',
  name: 'egg',
  role: 'egg',
  state: 'raw',
  allergens: ['egg'],
  countSizes: [
    { size: 'uk-medium', massG: 52 },
    { size: 'us-large', massG: 50 },
  ],
})
const TABLE = [CARROT, CARROT_COOKED, RICE, EGG]

describe('lines against the table', () => {
  test('a row in the state that was written comes first, and an id is meant as it stands', () => {
    expect(findIngredient(line('carrot', { state: 'cooked' }), TABLE)?.id).toBe('carrot-cooked')
    expect(findIngredient(line('carrot'), TABLE)?.id).toBe('carrot')
    expect(findIngredient(line('carrot', { ingredientId: 'egg' }), TABLE)?.id).toBe('egg')
    expect(findIngredient(line('carrot', { ingredientId: 'gone' }), TABLE)).toBeNull()
  })

  test('what is not in the table is kept and says so; rice that is only called rice is rice for frying', () => {
    const [unknown, rice] = resolveLines([line('dragon beard'), line('our rice', { role: 'rice' })], TABLE)
    expect(unknown).toMatchObject({ isKnown: false, component: { name: 'dragon beard', ratioG: 10 } })
    expect(unknown!.component.ingredientId).toBeUndefined()
    expect(rice).toMatchObject({
      isKnown: true,
      component: { ingredientId: 'rice-long-chilled-dry', name: 'our rice' },
    })
  })

  test('two lines of one name are two components', () => {
    const ids = resolveLines([line('Carrot'), line('carrot'), line('CARROT!')], TABLE).map(
      ({ component }) => component.id,
    )
    expect(ids).toEqual(['carrot', 'carrot-2', 'carrot-3'])
  })

  test('an egg is counted in the size of the trade, and is raw until somebody says otherwise', () => {
    const [egg] = resolveLines([line('egg', { role: 'egg' })], TABLE)
    expect(egg!.component).toMatchObject({ count: { size: 'egg', massG: 50 }, allergens: ['egg'], isRaw: true })
  })

  test('what its row no longer says leaves the component; what the chef wrote stays', () => {
    const [{ component } = { component: null }] = resolveLines([line('carrot', { cut: 'dice 5 mm' })], TABLE)
    const known = { ...CARROT, areAllergensKnown: true, densities: [] }
    const fresh = refreshComponent({ ...component!, gPerML: 0.9, unknownParts: ['old'] }, known)
    expect(fresh).toMatchObject({ name: 'carrot', ratioG: 10, cut: { shape: 'dice', sizeMm: 5 } })
    expect([fresh.gPerML, fresh.unknownParts, fresh.count]).toEqual([undefined, undefined, undefined])
    expect(refreshComponent(component!, { ...CARROT, areAllergensKnown: false }).unknownParts).toEqual(['carrot'])
  })
})

test.each<[string, boolean | null, boolean]>([
  ['raw', null, true],
  ['raw', false, true],
  ['raw', true, false],
  ['cooked', null, false],
  ['canned', null, false],
  ['toasted', null, false],
  ['frozen', null, true],
  ['liquid', null, true],
])('a row that is %s and ready to eat: %s must be cooked: %s', (state, isReadyToEat, expected) => {
  expect(isRawRow({ ...CARROT, state: state, isReadyToEat })).toBe(expected)
})

test.each<[Role, string | null, Food]>([
  ['rice', 'rice', 'rice'],
  ['egg', 'egg', 'egg'],
  ['protein', null, 'poultry'],
  ['protein', 'protein:fish', 'seafood'],
  ['protein', 'protein:something-new', 'poultry'],
  ['vegetable', 'vegetable:leafy', 'leafy'],
  ['vegetable', null, 'crispVeg'],
  ['finish', 'finish:oil', 'sesameOil'],
])('%s of the group %s is %s at the wok: what the table does not say is checked most strictly', (role, group, food) => {
  expect(foodOf(role, group === null ? null : ingredient({ id: 'x', role: group, food: null }))).toBe(food)
})

test('what a row says of itself comes before its group', () => {
  expect(foodOf('protein', ingredient({ id: 'x', role: 'protein:red-meat', food: 'mince' }))).toBe('mince')
})

test.each<[string, object | null]>([
  ['dice 5 mm', { shape: 'dice', sizeMm: 5 }],
  ['13 mm slice', { shape: 'slice', sizeMm: 13 }],
  ['Mince', { shape: 'mince', sizeMm: null }],
  ['2.5', { shape: 'dice', sizeMm: 2.5 }],
  ['', null],
  ['as it comes', null],
])('the cut "%s"', (text, expected) => {
  expect(readCut(text)).toEqual(expected)
})

test('law: a name gives an id that may stand in an address, whatever is typed', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 80 }), (name) => {
      expect(slugOf(name)).toMatch(/^[a-z0-9]+(?:-[a-z0-9]+)*$/)
      expect(slugOf(name).length).toBeLessThanOrEqual(48)
    }),
  )
  expect(slugOf(`${'a'.repeat(47)} b`)).toBe('a'.repeat(47))
  expect([slugOf('Crème fraîche & rösti'), slugOf('酱'), slugOf('  ')]).toEqual(['creme-fraiche-rosti', 'item', 'item'])
})
