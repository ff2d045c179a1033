import { foodSaidById } from './food'
import fc from 'fast-check'
import { DISH, EVERYTHING, TOOLS } from '../test/kitchen'
import { ingredient } from '../test/ingredients'
import { findIngredient, foodOf, readCut, resolveLines, slugOf } from './resolve'
import { batchAmounts, componentMassG, totalMassG } from './scale'
import { allergensOnList, dishVerdict } from './allergens'
import { isLateModifier, varyDish } from './variation/vary'

describe('scaling', () => {
  test('scaled up and back down is the same amount', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...EVERYTHING),
        fc.double({ min: 50, max: 5000, noNaN: true }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (one, riceG, k) => {
          const scaled = componentMassG(one, riceG * k, DISH.portionRiceG)
          expect(scaled / k).toBeCloseTo(componentMassG(one, riceG, DISH.portionRiceG), 8)
        },
      ),
    )
  })

  test('batches of any split add up to the whole', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 6 }), (parts) => {
        const massOf = (portions: number) => totalMassG(batchAmounts(EVERYTHING, portions * 220, 220, TOOLS))
        const whole = massOf(parts.reduce((sum, n) => sum + n, 0))
        expect(parts.reduce((sum, n) => sum + massOf(n), 0)).toBeCloseTo(whole, 6)
      }),
    )
  })

  test('what scales per batch does not grow with the rice', () => {
    const film = { ...EVERYTHING[0]!, role: 'fat' as const, ratioG: 5, scaling: 'perBatch' as const }
    expect(componentMassG(film, 880, 220)).toBe(componentMassG(film, 220, 220))
  })
})

describe('variations', () => {
  const ids = (modifiers: string[], allergies: Parameters<typeof varyDish>[2] = []) => {
    const varied = varyDish(DISH, modifiers, allergies, 'eu')
    return varied.kind === 'varied' ? varied.components.map((one) => one.id) : varied
  }

  test('a modifier takes out and multiplies', () => {
    expect(ids(['no-egg'])).not.toContain('egg')
    const varied = varyDish(DISH, ['less-salt'], [], 'eu')
    expect(varied.kind === 'varied' && varied.components.find((one) => one.id === 'soy')?.ratioG).toBe(1.5)
  })

  test('an allergy takes out what a written modifier may take out', () => {
    expect(ids([], ['egg'])).not.toContain('egg')
  })

  test('an allergen that no modifier removes is answered, never improvised', () => {
    expect(ids([], ['soy'])).toEqual({ kind: 'allergen-stays', allergen: 'soy', components: ['bean-paste', 'soy'] })
  })

  test('the rice stays, and unknown modifiers are named', () => {
    expect(ids(['no-rice'])).toEqual({ kind: 'removes-rice', modifierId: 'no-rice' })
    expect(ids(['no-such'])).toEqual({ kind: 'unknown-modifier', modifierId: 'no-such' })
  })

  test('only finish and garnish may wait until the flame is off', () => {
    expect([isLateModifier(DISH, 'no-nori'), isLateModifier(DISH, 'no-egg')]).toEqual([true, false])
  })

  test('no component carrying an allergen is ever left in a dish varied for it', () => {
    const allergen = fc.constantFrom(...allergensOnList('eu'))
    fc.assert(
      fc.property(fc.array(allergen), fc.subarray(['no-egg', 'no-nori', 'less-salt']), (allergies, modifiers) => {
        const varied = varyDish(DISH, modifiers, allergies, 'eu')
        if (varied.kind !== 'varied') return
        for (const one of allergies) expect(dishVerdict(varied.components, one, 'eu').verdict).toBe('free')
      }),
    )
  })
})

describe('variations that put something in or in place', () => {
  const shrimp = EVERYTHING.find((one) => one.id === 'shrimp')!
  const dish = {
    ...DISH,
    modifiers: [
      ...DISH.modifiers,
      {
        id: 'tofu',
        name: 'tofu for shrimp',
        removes: [],
        scales: [],
        swaps: [{ ...shrimp, name: 'tofu', allergens: ['soy' as const] }],
      },
      {
        id: 'on-top',
        name: 'crisp',
        removes: [],
        scales: [],
        adds: [{ ...shrimp, id: 'crisp', role: 'garnish' as const, isRaw: false }],
      },
      {
        id: 'raw-on-top',
        name: 'raw shrimp on top',
        removes: [],
        scales: [],
        adds: [{ ...shrimp, id: 'raw', role: 'garnish' as const }],
      },
    ],
  }
  const vary = (...ids: string[]) => varyDish(dish, ids, [], 'eu')

  test('what stands in has its place and its own allergens; what is added comes last', () => {
    const varied = vary('tofu', 'on-top')
    const components = varied.kind === 'varied' ? varied.components : []
    expect(components.find((one) => one.id === 'shrimp')).toMatchObject({ name: 'tofu', allergens: ['soy'] })
    expect(components.at(-1)?.id).toBe('crisp')
  })

  test('an allergy looks at what stands in, not at what it replaced', () => {
    expect(varyDish(dish, ['tofu'], ['crustacean'], 'eu').kind).toBe('varied')
    expect(varyDish(dish, [], ['crustacean'], 'eu').kind).toBe('allergen-stays')
  })

  test('a protein that stands in is no late change, a garnish on top is, unless it is raw: it is cooked with the rest', () => {
    expect(['tofu', 'on-top', 'raw-on-top'].map((id) => isLateModifier(dish, id))).toEqual([false, true, false])
  })
})

describe('lines as a kitchen writes them', () => {
  const row = (id: string, name: string, state: string, aliases: string[] = []) =>
    ingredient({ id, name, state, aliases, role: 'protein:shellfish', allergens: ['crustacean'] })
  const table = [
    row('shrimp-raw', 'Shrimp (raw; peeled)', 'raw', ['prawns']),
    row('shrimp-cooked', 'Shrimp (cooked)', 'cooked', ['prawns']),
  ]

  test('a name finds its row by alias, in the state that is meant', () => {
    expect(findIngredient({ name: 'Prawns', state: 'cooked' }, table)?.id).toBe('shrimp-cooked')
    expect(findIngredient({ name: 'shrimp', state: 'raw' }, table)?.id).toBe('shrimp-raw')
    expect(findIngredient({ name: 'mystery', state: 'raw' }, table)).toBeNull()
  })

  test('an unknown raw protein is treated as poultry, the strictest to cook', () => {
    const [line] = resolveLines([{ name: 'mystery', role: 'protein', state: 'raw', cut: '', ratioG: 10 }], table)
    expect(line).toMatchObject({ isKnown: false, component: { food: 'poultry', allergens: [] } })
  })

  test('two lines of one name get ids of their own', () => {
    const oil = { name: 'oil', role: 'fat' as const, state: 'fresh' as const, cut: '', ratioG: 1 }
    expect(resolveLines([oil, oil], []).map(({ component }) => component.id)).toEqual(['oil', 'oil-2'])
  })

  test.each([
    ['dice 5 mm', { shape: 'dice', sizeMm: 5 }],
    ['13 mm slice', { shape: 'slice', sizeMm: 13 }],
    ['mince', { shape: 'mince', sizeMm: null }],
    ['', null],
  ])('cut "%s"', (text, cut) => expect(readCut(text)).toEqual(cut))

  test('any name gives an id that the contract takes', () => {
    fc.assert(fc.property(fc.string(), (name) => expect(slugOf(name)).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/)))
  })
})

test.each([
  ['protein', 'protein:poultry', 'mince', 'mince'],
  ['protein', 'protein:poultry', null, 'poultry'],
  ['protein', 'protein:plant', null, 'tofu'],
  ['protein', 'protein:unheard-of', null, 'poultry'],
  ['aromatic', 'aromatic:allium', 'garlic', 'garlic'],
  ['aromatic', 'aromatic:allium', null, 'allium'],
  ['rice', 'rice', 'mince', 'rice'],
] as const)('%s (%s, row says %s) is %s at the wok', (role, rowRole, rowFood, food) => {
  expect(foodOf(role, ingredient({ id: 'x', role: rowRole, food: rowFood }))).toBe(food)
})

test.each([
  ['chicken-mince-raw', 'protein:poultry', 'mince'],
  ['fish-mince-raw', 'protein:fish', 'mince'],
  ['garlic-minced', 'aromatic:allium', null],
  ['soya-mince-soaked', 'protein:plant', null],
  ['mincemeat-chicken', 'protein:poultry', null],
])('a row from before the field: %s (%s) is %s', (id, role, food) => {
  expect(foodSaidById({ id, role })).toBe(food)
})
