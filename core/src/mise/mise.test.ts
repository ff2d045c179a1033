import fc from 'fast-check'
import { runPython } from '../../outside/runPython'
import { EGG, GREENS, HAM_OF_TOFU, OIL, PORK, RICE, SOY, SUGAR } from '../test/ingredients'
import { component, DISH } from '../test/kitchen'
import { componentMassG } from '../book/scale'
import type { Recipe } from '../book/recipe'
import { boundedLeastSquares, type BoundedProblem } from './boundedLeastSquares'
import { dietDelta } from './diet'
import { explodeRecipe, recipeAsIngredient, recipeYieldG, shelveRecipes, type BookShelf } from './explode'
import { deviationsFrom, standardOf } from './standard'
import { substitutesFor } from './substitutes'

describe('bounded least squares', () => {
  const problem = (n: number, m: number) =>
    fc
      .record({
        rows: fc.array(fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: n, maxLength: n }), {
          minLength: m,
          maxLength: m,
        }),
        target: fc.array(fc.double({ min: -10, max: 10, noNaN: true }), { minLength: m, maxLength: m }),
        lower: fc.array(fc.double({ min: -3, max: 0, noNaN: true }), { minLength: n, maxLength: n }),
        room: fc.array(fc.double({ min: 0.1, max: 4, noNaN: true }), { minLength: n, maxLength: n }),
      })
      .map(({ room, ...rest }): BoundedProblem => ({ ...rest, upper: rest.lower.map((least, i) => least + room[i]!) }))

  test("comes as low as SciPy's lsq_linear on random problems", () => {
    const shapes = [
      [2, 3],
      [3, 3],
      [4, 7],
      [6, 5],
    ] as const
    const problems = shapes.flatMap(([n, m]) => fc.sample(problem(n, m), { numRuns: 60, seed: 20_261_125 }))
    const theirs = runPython<number[]>('lsqLinear.py', problems)
    problems.forEach((one, i) => {
      const { x, residual } = boundedLeastSquares(one)
      expect(residual ** 2).toBeLessThanOrEqual(theirs[i]! * (1 + 1e-7) + 1e-9)
      x.forEach((value, j) => {
        expect(value).toBeGreaterThanOrEqual(one.lower[j]! - 1e-12)
        expect(value).toBeLessThanOrEqual(one.upper[j]! + 1e-12)
      })
    })
  })

  test('shapes that do not fit are refused', () => {
    expect(() => boundedLeastSquares({ rows: [[1]], target: [], lower: [0], upper: [1] })).toThrow(RangeError)
    expect(() => boundedLeastSquares({ rows: [[1]], target: [1], lower: [2], upper: [1] })).toThrow(RangeError)
  })
})

describe('sub-recipes', () => {
  const recipe = (id: string, lines: Recipe['lines'], more: Partial<Recipe> = {}): Recipe => ({
    id,
    version: 1,
    name: id,
    kind: 'sauce',
    role: 'liquidSeasoning',
    state: 'fresh',
    food: 'seasoning',
    lines,
    yieldFraction: 1,
    shelfLifeH: 72,
    keep: 'fridge',
    ...more,
  })
  const line = (id: string, massG: number, isRecipe = false) => ({
    id,
    name: id,
    massG,
    cut: null,
    ...(isRecipe ? { recipeId: id } : { ingredientId: id }),
  })
  const shelf = (...recipes: Recipe[]): BookShelf => ({
    ingredients: new Map([SOY, SUGAR, OIL, EGG].map((one) => [one.id, one])),
    recipes: new Map(recipes.map((one) => [one.id, one])),
  })

  test('a sauce within a sauce is opened up by what it yields', () => {
    const base = recipe('base', [line('soy', 300), line('sugar', 100)], { yieldFraction: 0.8 })
    const glaze = recipe('glaze', [line('base', 160, true), line('oil', 40)])
    const exploded = explodeRecipe(glaze, shelf(base, glaze))
    expect(exploded).toMatchObject({ kind: 'exploded', yieldG: 200 })
    const masses = exploded.kind === 'exploded' ? exploded.parts.map((part) => [part.ingredient.id, part.massG]) : []
    expect(masses).toEqual([
      ['soy', 150],
      ['sugar', 50],
      ['oil', 40],
    ])
  })

  test('a recipe that contains itself is refused with the path round', () => {
    const a = recipe('a', [line('b', 10, true)])
    const b = recipe('b', [line('c', 10, true), line('soy', 5)])
    const c = recipe('c', [line('b', 10, true)])
    expect(explodeRecipe(a, shelf(a, b, c))).toEqual({ kind: 'cycle', path: ['b', 'c', 'b'] })
    expect(shelveRecipes(shelf(a, b, c)).asIngredients.size).toBe(0)
  })

  test('an ingredient that is gone is named with the way to it', () => {
    const a = recipe('a', [line('b', 10, true)])
    const b = recipe('b', [line('gone', 10)])
    expect(explodeRecipe(a, shelf(a, b))).toEqual({ kind: 'missing', path: ['a', 'b'], name: 'gone' })
  })

  test('boiling down keeps salt and sugar and loses water only', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.7, max: 1, noNaN: true }), (yieldFraction) => {
        const one = recipe('one', [line('soy', 400), line('sugar', 100)], { yieldFraction })
        const exploded = explodeRecipe(one, shelf(one))
        if (exploded.kind !== 'exploded') throw new Error('not exploded')
        const mixed = recipeAsIngredient(one, exploded.parts)
        const yieldG = recipeYieldG(one)
        expect((mixed.sodiumMg * yieldG) / 100).toBeCloseTo(400 * 60, 6)
        expect((mixed.sugarsG * yieldG) / 100).toBeCloseTo(100, 6)
        expect((mixed.waterG * yieldG) / 100).toBeCloseTo(400 - 500 * (1 - yieldFraction), 6)
      }),
    )
  })

  test('allergens come from any part, vegan only from all', () => {
    const one = recipe('one', [line('soy', 10), line('egg', 10)])
    const exploded = explodeRecipe(one, shelf(one))
    const mixed = exploded.kind === 'exploded' ? recipeAsIngredient(one, exploded.parts) : null
    expect(mixed).toMatchObject({ allergens: ['egg', 'gluten', 'soy'], diets: ['vegetarian'] })
  })
})

describe('laws of scaling', () => {
  const one = (scaling: 'linear' | 'film' | 'capped' | 'stepwise', extra = {}) =>
    component({ id: 'x', role: 'fat', food: 'oil', ratioG: 4, scaling, ...extra })
  test('a film stays, the share grows; a cap holds; eggs are whole and at least one', () => {
    expect(componentMassG(one('film', { filmG: 8 }), 440, 220)).toBeCloseTo(8 + 17.6, 9)
    expect(componentMassG(one('capped', { capG: 10 }), 1000, 220)).toBe(10)
    const eggs = one('stepwise', { count: { size: 'egg', massG: 50 }, ratioG: 16 })
    expect([100, 440, 660].map((riceG) => componentMassG(eggs, riceG, 220))).toEqual([50, 50, 100])
  })

  test('scaled by k and then by 1/k it is the same', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 20, noNaN: true }), (k) =>
        expect(componentMassG(one('linear'), (220 * k) / k, 220)).toBeCloseTo(8.8, 9),
      ),
    )
  })
})

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
