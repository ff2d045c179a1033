import fc from 'fast-check'
import { component, DISH, EVERYTHING } from '../test/kitchen'
import { allergenSheet, allergensOnList, componentVerdict, dishVerdict, unknownPartsOf } from './allergens'
import type { Component } from './dish'
import { staysIn, varyDish } from './variation/vary'

const plain = component({ id: 'rice', role: 'rice', food: 'rice', ratioG: 100 })
const { ingredientId: _row, ...mayonnaise } = component({
  id: 'mayonnaise',
  role: 'finish',
  food: 'seasoning',
  ratioG: 4,
})
const confirmedNone = component({ id: 'salt', role: 'drySeasoning', food: 'seasoning', ratioG: 1 })
const noList: Component = { ...confirmedNone, id: 'powder', name: 'chicken powder', unknownParts: ['chicken powder'] }
const kimchi = component({ id: 'kimchi', role: 'vegetable', food: 'readyVeg', ratioG: 9, mayContain: ['crustacean'] })
const pineNut = component({ id: 'pine-nut', role: 'garnish', food: 'nut', ratioG: 2, allergensUs: ['nut'] })

test.each<[string, Component, Parameters<typeof componentVerdict>[1], 'eu' | 'us', string]>([
  ['a row with an empty list is free', confirmedNone, 'peanut', 'eu', 'free'],
  ['without a row nothing is known, of no allergen', mayonnaise, 'peanut', 'eu', 'unknown'],
  ['a row without a list is not known', noList, 'celery', 'eu', 'unknown'],
  ['what common kinds hold may be in it', kimchi, 'crustacean', 'eu', 'mayContain'],
  ['and is free of the rest', kimchi, 'peanut', 'eu', 'free'],
  ['a pine nut is a tree nut in a US kitchen', pineNut, 'nut', 'us', 'contains'],
  ['and not on the list of the EU', pineNut, 'nut', 'eu', 'free'],
])('%s', (_what, one, allergen, list, verdict) => expect(componentVerdict(one, allergen, list)).toBe(verdict))

test('the nine of US law (FALCPA 2004, FASTER Act 2021, from memory), the 14 of Regulation (EU) 1169/2011, Annex II', () => {
  expect([allergensOnList('us').length, allergensOnList('eu').length]).toEqual([9, 14])
})

test('a dish says the worst of its components, with those that decide it', () => {
  const of = (...parts: Component[]) => {
    const { verdict, because } = dishVerdict([plain, ...parts], 'crustacean', 'eu')
    return [verdict, because.map((one) => one.id)]
  }
  const shrimp = EVERYTHING.find((one) => one.id === 'shrimp')!
  expect(of(confirmedNone)).toEqual(['free', []])
  expect(of(mayonnaise)).toEqual(['unknown', ['mayonnaise']])
  expect(of(mayonnaise, kimchi)).toEqual(['mayContain', ['kimchi']])
  expect(of(mayonnaise, kimchi, shrimp)).toEqual(['contains', ['shrimp']])
})

test('a component more never makes a dish freer', () => {
  const order = ['contains', 'mayContain', 'unknown', 'free']
  const pool = [...EVERYTHING, mayonnaise, noList, kimchi, pineNut]
  fc.assert(
    fc.property(
      fc.subarray(pool),
      fc.constantFrom(...pool),
      fc.constantFrom(...allergensOnList('eu')),
      fc.constantFrom('eu' as const, 'us' as const),
      (parts, one, allergen, list) => {
        const rank = (components: Component[]) => order.indexOf(dishVerdict(components, allergen, list).verdict)
        expect(rank([...parts, one])).toBeLessThanOrEqual(rank(parts))
      },
    ),
  )
})

test('a ticket is refused by the name of what nobody knows; what may be in it asks the lead', () => {
  const dish = { ...DISH, modifiers: [], components: [plain, mayonnaise] }
  expect(varyDish(dish, [], ['peanut'], 'eu')).toEqual({
    kind: 'allergen-unknown',
    allergen: 'peanut',
    components: ['mayonnaise'],
  })
  const perhaps = varyDish({ ...dish, components: [plain, kimchi] }, [], ['crustacean'], 'eu')
  expect(perhaps).toMatchObject({ kind: 'varied', perhaps: [{ allergen: 'crustacean', components: ['kimchi'] }] })
})

test('"no egg" says that egg stays in the chicken powder', () => {
  const powder = component({ id: 'powder', role: 'drySeasoning', food: 'seasoning', ratioG: 1, allergens: ['egg'] })
  const dish = { ...DISH, components: [...EVERYTHING, powder] }
  const noEgg = DISH.modifiers.find((one) => one.id === 'no-egg')!
  expect(staysIn(dish, noEgg, 'eu')).toEqual([{ allergen: 'egg', components: [powder] }])
  expect(staysIn(DISH, noEgg, 'eu')).toEqual([])
})

test('a sheet lists nothing as free of what is not known', () => {
  const sheet = allergenSheet([plain, mayonnaise, kimchi], 'eu')
  expect(sheet).toMatchObject({ contains: [], mayContain: ['crustacean'], unknownNames: ['mayonnaise'] })
  expect(sheet.unknown).toHaveLength(13)
  expect(unknownPartsOf(mayonnaise)).toEqual(['mayonnaise'])
})
