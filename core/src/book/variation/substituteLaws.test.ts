import fc from 'fast-check'
import { EGG, GREENS, HAM_OF_TOFU, ingredient, OIL, PORK, RICE, SOY } from '../../test/ingredients'
import { component, DISH } from '../../test/kitchen'
import type { Component } from '../dish'
import type { Ingredient } from '../ingredient'
import { isRawRow } from '../resolve'
import { usualRole } from '../balance/balance'
import { DIETS, dietDelta } from './diet'
import { deviationsFrom, standardOf } from './standard'
import { substitutesFor } from './substitutes'

const CHICKEN = ingredient({ id: 'chicken', role: 'protein:poultry', state: 'raw', isReadyToEat: false, proteinG: 22 })
const COOKED_CHICKEN = { ...CHICKEN, id: 'chicken-cooked', state: 'cooked', isReadyToEat: true }
const SHRIMP = ingredient({
  id: 'shrimp',
  role: 'protein:shellfish',
  state: 'raw',
  isReadyToEat: false,
  allergens: ['crustacean'],
  diets: [],
})
const PEAS = ingredient({ id: 'peas', role: 'vegetable:legume', proteinG: 5 })
const MYSTERY = ingredient({ id: 'mystery', role: 'protein:plant', isReadyToEat: true, areAllergensKnown: false })
const TABLE: Ingredient[] = [
  RICE,
  SOY,
  EGG,
  PORK,
  HAM_OF_TOFU,
  GREENS,
  OIL,
  CHICKEN,
  COOKED_CHICKEN,
  SHRIMP,
  PEAS,
  MYSTERY,
]
const rowOf = (one: Pick<Component, 'ingredientId'>) => TABLE.find((row) => row.id === one.ingredientId) ?? null
const partOf = (row: Ingredient): Component =>
  component({ id: row.id, role: usualRole(row), food: 'meat', ratioG: 10, ingredientId: row.id, state: 'fresh' })

test('law: what stands in keeps the role and the amount, and raw never stands in for what is ready', () => {
  fc.assert(
    fc.property(fc.constantFrom(...TABLE), (row) => {
      for (const one of substitutesFor(partOf(row), row, TABLE)) {
        expect(one.ingredient.id).not.toBe(row.id)
        expect(usualRole(one.ingredient)).toBe(usualRole(row))
        expect(one.component.ratioG).toBe(10)
        if (!isRawRow(row)) expect(isRawRow(one.ingredient)).toBe(false)
      }
    }),
  )
})

test('law: the closest comes first, and what it brings is said', () => {
  fc.assert(
    fc.property(fc.constantFrom(...TABLE), (row) => {
      const found = substitutesFor(partOf(row), row, TABLE)
      const closeness = found.map((one) => one.closeness)
      expect(closeness).toEqual([...closeness].sort((a, b) => b - a))
      for (const one of found)
        for (const allergen of one.ingredient.allergens)
          expect(one.brings.includes(allergen) || row.allergens.includes(allergen)).toBe(true)
    }),
  )
})

test('what nobody knows is named unknown, so that nobody promises it', () => {
  const found = substitutesFor(partOf(HAM_OF_TOFU), HAM_OF_TOFU, TABLE)
  expect(found.find((one) => one.ingredient.id === 'mystery')).toMatchObject({ isUnknown: true })
  expect(found.filter((one) => one.ingredient.id !== 'mystery').every((one) => !one.isUnknown)).toBe(true)
})

describe('a diet', () => {
  const anyDish = fc
    .subarray(TABLE.filter((row) => row.areAllergensKnown && row !== RICE))
    .map((rows) => ({ components: [RICE, ...rows].map(partOf) }))
  const wanted = fc.constantFrom(...DIETS, 'no-egg' as const, 'no-soy' as const, 'no-crustacean' as const)

  test('law: what is served after it keeps it, whatever the dish', () => {
    fc.assert(
      fc.property(anyDish, wanted, (dish, diet) => {
        const delta = dietDelta(dish, diet, rowOf, TABLE)
        if (delta.kind === 'impossible' || delta.kind === 'unknown') return
        const { removes = [], swaps = [] } = delta.kind === 'modifier' ? delta.modifier : {}
        const left = dish.components
          .filter((one) => !removes.includes(one.id))
          .map((one) => swaps.find((swap) => swap.id === one.id) ?? one)
        for (const one of left) {
          const row = rowOf(one)!
          if (diet === 'vegan' || diet === 'vegetarian') expect(row.diets).toContain(diet)
          else if (diet === 'no-pork') expect(row.diets).not.toContain('pork')
          else if (diet === 'halal') expect(row.diets).not.toEqual(expect.arrayContaining(['pork', 'alcohol']))
          else expect(row.allergens).not.toContain(diet.slice(3))
        }
      }),
    )
  })

  test('law: a dish that keeps it is left as it is', () => {
    fc.assert(
      fc.property(wanted, (diet) => {
        const plain = { components: [RICE, GREENS, OIL, PEAS].map(partOf) }
        expect(dietDelta(plain, diet, rowOf, TABLE).kind).toBe('fits')
      }),
    )
  })

  test('law: one thing nobody knows, and nothing is promised', () => {
    fc.assert(
      fc.property(anyDish, wanted, (dish, diet) => {
        const unknown = { components: [...dish.components, partOf(MYSTERY)] }
        expect(dietDelta(unknown, diet, rowOf, TABLE)).toEqual({ kind: 'unknown', names: ['mystery'] })
      }),
    )
  })

  test('a diet that is none is refused by name', () => {
    expect(() => dietDelta({ components: [] }, 'no-dust' as never, rowOf, TABLE)).toThrow(/no-dust/)
  })
})

test('law: a dish keeps the standard drawn from it, and breaks it beyond the tolerance', () => {
  const tolerance = fc.integer({ min: 1, max: 50 }).map((percent) => percent / 100)
  fc.assert(
    fc.property(tolerance, fc.double({ min: -0.9, max: 2, noNaN: true }), (fraction, off) => {
      const standard = standardOf('Everything rice', DISH.components, fraction)
      expect(deviationsFrom(standard, DISH.components)).toEqual([])
      const changed = DISH.components.map((one) =>
        one.id === 'shrimp' ? { ...one, ratioG: one.ratioG * (1 + off) } : one,
      )
      const found = deviationsFrom(standard, changed)
      expect(found.length).toBe(Math.abs(off) > fraction + 1e-9 ? 1 : 0)
      // Twice as much of everything is the same dish.
      expect(
        deviationsFrom(
          standard,
          changed.map((one) => ({ ...one, ratioG: one.ratioG * 2 })),
        ),
      ).toHaveLength(found.length)
    }),
  )
})
