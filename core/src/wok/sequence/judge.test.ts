import { aBatch, DUCK, PEAS, SHRIMP } from '../../test/wokDishes'
import { HOB } from '../../test/stations'
import { vesselOf } from '../heat/vessel'
import { derive, startDeriving, type Derived } from './derive'
import { faultsBefore, faultsOf, fillM3, isTooMuch, FAULTS } from './judge'
import type { Ended, Run } from './run'
import type { DishInput } from './vocabulary'

const input = aBatch([SHRIMP, DUCK, PEAS], { egg: 'firstOut' })
const derived = derive(input) as Derived
const { best, components } = derived
const codes = (run: Run, dish: DishInput = input.dish, some = components) =>
  faultsOf(run, some, dish).map(({ code, componentIds }) => [code, ...componentIds])

/** The run as it was, but for how one component ended. */
const ended = (id: string, change: Partial<Ended>): Run => ({
  ...best.run,
  ended: best.run.ended.map((one) => (one.one.id === id ? { ...one, ...change } : one)),
})

test('the way that was chosen breaks nothing', () => {
  expect(derived.kind).toBe('derived')
  expect(codes(best.run)).toEqual([])
})

test.each<[string, Run, string[]]>([
  ['raw food short of its core', ended('shrimp', { peakC: 62.9 }), ['rawCold', 'shrimp']],
  ['raw food that was hot and not for long enough', ended('shrimp', { logKill: 3.9 }), ['rawCold', 'shrimp']],
  ['an egg that is not safe', ended('egg', { logKill: 4 }), ['eggRaw', 'egg']],
  ['rice that is not hot', ended('rice', { peakC: 73.9 }), ['riceCold', 'rice']],
  ['cooked food that is not hot', ended('duck', { peakC: 70 }), ['readyCold', 'duck']],
  ['what is burnt', ended('garlic', { burn: 1 }), ['burnt', 'garlic']],
  ['rice that never fried dry', { ...best.run, rice: { ...best.run.rice, doneS: null } }, ['steams', 'rice']],
  ['a flame that never heats the metal', { ...best.run, preheatS: null }, ['neverHot']],
])('%s is a fault, and no other is', (_, run, fault) => expect(codes(run)).toEqual([fault]))

test('a core within a twentieth of a degree has reached it: the simulation moves by whole steps', () => {
  expect(codes(ended('shrimp', { peakC: 62.96 }))).toEqual([])
})

test('what never came to an end is as raw and as cold as it was', () => {
  const without = { ...best.run, ended: best.run.ended.filter(({ one }) => !['shrimp', 'rice'].includes(one.id)) }
  expect(codes(without)).toEqual([
    ['rawCold', 'shrimp'],
    ['riceCold', 'rice'],
  ])
})

test('what a check found raw is a fault though it was done at the end, and is named once', () => {
  const found = {
    ...best.run,
    moves: best.run.moves.map((done, i) => (i === 3 ? { ...done, unproven: ['shrimp'] } : done)),
  }
  expect(codes(found)).toEqual([['rawCold', 'shrimp']])
  const both = { ...found, ended: ended('shrimp', { peakC: 20 }).ended }
  expect(codes(both)).toEqual([['rawCold', 'shrimp']])
})

test('an egg on top is checked on the plate, not in the vessel', () => {
  const top = { ...ended('egg', { logKill: 0 }), choice: { ...best.choice, egg: 'onTop' as const } }
  expect(codes(top)).toEqual([])
})

test('what does not go in is missing; fat is, where nothing is poured', () => {
  const without = (test: (move: Run['moves'][number]['move']) => boolean): Run => ({
    ...best.run,
    moves: best.run.moves.filter(({ move }) => !test(move)),
  })
  expect(codes(without(({ ids, kind }) => kind === 'in' && ids.includes('peas')))).toContainEqual(['missing', 'peas'])
  expect(codes(without(({ kind }) => kind === 'oil'))).toContainEqual(['missing', 'oil'])
})

test('what some guests must not have, and what is tender, are faults on the flame', () => {
  const peas = components.map((one) => (one.id === 'peas' ? { ...one, allergens: ['soy'] } : one))
  expect(codes(best.run, { ...input.dish, splitAllergens: ['soy'] }, peas)).toEqual([['splitAllergen', 'peas']])
  expect(codes(best.run, { ...input.dish, splitAllergens: ['milk'] }, peas)).toEqual([])
  const tender = components.map((one) => (one.id === 'peas' ? { ...one, tags: new Set(['tender'] as const) } : one))
  expect(codes(best.run, input.dish, tender)).toEqual([['tenderOnFlame', 'peas']])
})

describe('before anything is cooked', () => {
  const before = (riceG: number, splitAllergens?: string[]) => {
    const asked = aBatch([SHRIMP], {}, { batchMassG: riceG, dish: { ...(splitAllergens && { splitAllergens }) } })
    const some = startDeriving(asked).components.map((one) =>
      one.id === 'shrimp' ? { ...one, allergens: ['crustacean'] } : one,
    )
    return faultsBefore(some, asked.dish, vesselOf(HOB)).map(({ code }) => code)
  }

  test('more than can be worked in the vessel is too much, and hurts nobody', () => {
    expect(before(300)).toEqual([])
    expect(before(6000)).toEqual(['tooFull'])
    expect(FAULTS.filter(isTooMuch)).toEqual(['tooFull', 'steams'])
  })

  test('an allergen that has to be fried cannot wait until some portions are out', () => {
    expect(before(300, ['crustacean'])).toEqual(['splitAllergen'])
    expect(before(300, ['milk'])).toEqual([])
  })

  test('leaves fill half of what they are, since they wilt', () => {
    const fill = (food: 'leafy' | 'crispVeg') => {
      const asked = aBatch([{ id: 'it', role: 'vegetable', food, ratioG: 100 }])
      return fillM3(startDeriving(asked).components) - fillM3(startDeriving(aBatch()).components)
    }
    const { components: both } = startDeriving(aBatch([{ id: 'it', role: 'vegetable', food: 'leafy', ratioG: 100 }]))
    const leaf = both.find(({ id }) => id === 'it')!
    expect(leaf.place).toBe('leaf')
    expect(fill('leafy')).toBeCloseTo(leaf.portion!.volumeM3 / 2, 9)
    expect(fill('crispVeg')).toBeGreaterThan(0)
  })
})
