import fc from 'fast-check'
import { EGG, GREENS, HAM_OF_TOFU, PORK, RICE, SOY } from '../../test/ingredients'
import { component, DISH } from '../../test/kitchen'
import { dietDelta } from './diet'
import { deviationsFrom, standardOf } from './standard'
import { substitutesFor } from './substitutes'

describe('standing in', () => {
  const ham = component({
    id: 'ham',
    role: 'protein',
    food: 'meat',
    state: 'cured',
    ratioG: 10,
    cut: { shape: 'dice', sizeMm: 6 },
  })
  const table = [RICE, SOY, EGG, PORK, HAM_OF_TOFU, GREENS]

  test('a substitute keeps role, cut and amount, and brings its own allergens', () => {
    const [first] = substitutesFor(ham, PORK, table)
    expect(first?.component).toMatchObject({ role: 'protein', cut: ham.cut, ratioG: 10, allergens: ['soy'] })
    expect(first?.brings).toEqual(['soy'])
  })

  const rows = new Map([RICE, EGG, PORK].map((one) => [one.id, one]))
  const dish = {
    components: [
      component({ id: 'rice', role: 'rice', food: 'rice', ratioG: 100, ingredientId: 'rice' }),
      component({ id: 'egg', role: 'egg', food: 'egg', ratioG: 16, ingredientId: 'egg' }),
      { ...ham, ingredientId: 'pork' },
    ],
  }
  const lookup = (one: { ingredientId?: string }) => rows.get(one.ingredientId ?? '') ?? null

  test('vegan takes the egg out and puts the like of pork in', () => {
    const delta = dietDelta(dish, 'vegan', lookup, table)
    expect(delta).toMatchObject({ kind: 'modifier', modifier: { removes: ['egg'] } })
    expect(delta.kind === 'modifier' ? delta.modifier.swaps?.map((one) => one.ingredientId) : []).toEqual([
      'smoked-tofu',
    ])
  })

  test('a dish of unknown things is never called fit', () => {
    const unknown = {
      components: [...dish.components, component({ id: 'x', role: 'vegetable', food: 'leafy', ratioG: 1 })],
    }
    expect(dietDelta(unknown, 'vegan', lookup, table)).toEqual({ kind: 'unknown', names: ['x'] })
  })

  test('what is left after a diet delta never carries what it forbids', () => {
    const wanted = fc.constantFrom('vegan', 'vegetarian', 'no-pork', 'halal', 'no-egg', 'no-soy')
    fc.assert(
      fc.property(wanted, (diet) => {
        const delta = dietDelta(dish, diet, lookup, table)
        if (delta.kind !== 'modifier') return
        const swapped = new Map((delta.modifier.swaps ?? []).map((one) => [one.id, one]))
        const left = dish.components
          .filter((one) => !delta.modifier.removes.includes(one.id))
          .map((one) => swapped.get(one.id) ?? one)
        const all = new Map(table.map((one) => [one.id, one]))
        for (const one of left) {
          const row = all.get(one.ingredientId ?? '')!
          if (diet === 'vegan') expect(row.diets).toContain('vegan')
          if (diet === 'no-pork' || diet === 'halal') expect(row.diets).not.toContain('pork')
          if (diet === 'no-soy') expect(row.allergens).not.toContain('soy')
        }
      }),
    )
  })

  test('a standard holds its amounts within their tolerance', () => {
    const standard = standardOf('Everything rice', DISH.components, 0.1)
    expect(deviationsFrom(standard, DISH.components)).toEqual([])
    const changed = DISH.components
      .filter((one) => one.id !== 'egg')
      .map((one) => (one.id === 'shrimp' ? { ...one, ratioG: 6 } : one))
    expect(deviationsFrom(standard, changed)).toEqual([
      { kind: 'missing', name: 'egg', wantedG: 16 },
      { kind: 'amount', name: 'shrimp', wantedG: 12, foundG: 6, fraction: -0.5 },
    ])
  })
})
