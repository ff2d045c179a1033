import fc from 'fast-check'
import { EGG, OIL, RICE, SALT, SOY, SUGAR } from '../../test/ingredients'
import type { Ingredient } from '../ingredient'
import { explodeRecipe, recipeAsIngredient, recipeYieldG, type BookShelf, type Part } from './explode'
import type { Recipe } from './recipe'

const ROWS = [SOY, SUGAR, OIL, EGG, SALT, RICE]
const recipe = (id: string, lines: Recipe['lines'], yieldFraction: number): Recipe => ({
  id,
  version: 1,
  name: id,
  kind: 'sauce',
  role: 'liquidSeasoning',
  state: 'fresh',
  food: 'seasoning',
  lines,
  yieldFraction,
  shelfLifeH: 72,
  keep: 'fridge',
})
const massG = fc.integer({ min: 1, max: 5000 })
const anyYield = fc.integer({ min: 50, max: 200 }).map((percent) => percent / 100)
const rowLines = fc
  .subarray(ROWS, { minLength: 1 })
  .chain((rows) =>
    fc.tuple(
      ...rows.map((row) => massG.map((g) => ({ id: row.id, name: row.id, massG: g, cut: null, ingredientId: row.id }))),
    ),
  )

/** A tower of sub-recipes: each holds the one below it besides its own lines. */
const anyTower = fc.array(fc.tuple(rowLines, massG, anyYield), { minLength: 1, maxLength: 4 }).map((floors) =>
  floors.map(([lines, innerG, yieldFraction], i) => {
    const inner = i === 0 ? [] : [{ id: `inner-${i}`, name: 'inner', massG: innerG, cut: null, recipeId: `r${i - 1}` }]
    return recipe(`r${i}`, [...lines, ...inner], yieldFraction)
  }),
)
const shelfOf = (recipes: readonly Recipe[]): BookShelf => ({
  ingredients: new Map(ROWS.map((row) => [row.id, row])),
  recipes: new Map(recipes.map((one) => [one.id, one])),
})
const exploded = (recipes: readonly Recipe[]) => {
  const top = recipes.at(-1)!
  const result = explodeRecipe(top, shelfOf(recipes))
  if (result.kind !== 'exploded') throw new Error(result.kind)
  return { top, ...result }
}

test('law: each ingredient once, each line in it, and salt is salt however deep it lies', () => {
  fc.assert(
    fc.property(anyTower, (recipes) => {
      const { top, parts, yieldG } = exploded(recipes)
      expect(new Set(parts.map((part) => part.ingredient.id)).size).toBe(parts.length)
      expect(yieldG).toBeCloseTo(recipeYieldG(top), 9)
      const saltOf = (one: Recipe, shareG: number): number =>
        one.lines.reduce((sum, line) => {
          if (line.recipeId === undefined) {
            const row = ROWS.find((candidate) => candidate.id === line.ingredientId)!
            return sum + line.massG * row.sodiumMg
          }
          const inner = recipes.find((candidate) => candidate.id === line.recipeId)!
          return sum + saltOf(inner, line.massG)
        }, 0) *
        (shareG / recipeYieldG(one))
      const flat = parts.reduce((sum, part) => sum + part.massG * part.ingredient.sodiumMg, 0)
      expect(Math.abs(flat - saltOf(top, yieldG))).toBeLessThanOrEqual(1e-9 * Math.max(1, flat))
    }),
  )
})

test('law: twice the lines, twice of everything', () => {
  fc.assert(
    fc.property(anyTower, (recipes) => {
      const once = exploded(recipes)
      const top = { ...once.top, lines: once.top.lines.map((line) => ({ ...line, massG: line.massG * 2 })) }
      const twice = exploded([...recipes.slice(0, -1), top])
      expect(twice.yieldG).toBeCloseTo(2 * once.yieldG, 6)
      for (const [i, part] of twice.parts.entries()) expect(part.massG / once.parts[i]!.massG).toBeCloseTo(2, 9)
    }),
  )
})

describe('a sub-recipe as an ingredient', () => {
  const asOne = (parts: Part[], yieldFraction = 1) => recipeAsIngredient(recipe('mix', [], yieldFraction), parts)
  const anyParts = fc
    .subarray(ROWS, { minLength: 1 })
    .chain((rows) => fc.tuple(...rows.map((ingredient) => massG.map((g): Part => ({ ingredient, massG: g })))))

  test('law: lies between its parts in all that is measured, where nothing is lost', () => {
    fc.assert(
      fc.property(anyParts, (parts) => {
        const mixed = asOne(parts)
        for (const field of ['waterG', 'fatG', 'sodiumMg', 'sugarsG', 'energyKJ', 'proteinG'] as const) {
          const values = parts.map((part) => part.ingredient[field])
          expect(mixed[field]).toBeGreaterThanOrEqual(Math.min(...values) - 1e-6)
          expect(mixed[field]).toBeLessThanOrEqual(Math.max(...values) + 1e-6)
        }
      }),
    )
  })

  test('law: what any part holds for an allergic guest the mix holds, and never merely perhaps', () => {
    fc.assert(
      fc.property(anyParts, (parts) => {
        const { allergens, mayContain, diets } = asOne(parts)
        for (const part of parts) for (const one of part.ingredient.allergens) expect(allergens).toContain(one)
        for (const one of mayContain) expect(allergens).not.toContain(one)
        if (parts.some((part) => !part.ingredient.diets.includes('vegan'))) expect(diets).not.toContain('vegan')
      }),
    )
  })

  test('unknown stays unknown: one part nobody knows is a mix nobody knows', () => {
    const unknown: Ingredient = { ...SOY, id: 'dust', areAllergensKnown: false }
    expect(
      asOne([
        { ingredient: EGG, massG: 1 },
        { ingredient: unknown, massG: 1 },
      ]).areAllergensKnown,
    ).toBe(false)
  })

  test.each([
    ['both ready', true, true, true],
    ['one not', true, false, false],
    ['one nobody said', true, null, null],
    ['one not and one nobody said', false, null, false],
  ])('ready to eat: %s', (_how, one, other, ready) => {
    const parts = [one, other].map((isReadyToEat) => ({ ingredient: { ...EGG, isReadyToEat }, massG: 10 }))
    expect(asOne(parts).isReadyToEat).toBe(ready)
  })

  test('volumes add: soy and oil, half and half, weigh between them, and a part without a density gives none', () => {
    const oil = { ...OIL, densities: [{ form: 'liquid', gPerML: 0.92 }] }
    const [density] = asOne([
      { ingredient: SOY, massG: 120 },
      { ingredient: oil, massG: 92 },
    ]).densities
    expect(density).toMatchObject({ form: 'as mixed' })
    expect(density!.gPerML).toBeCloseTo(212 / 200, 9)
    expect(
      asOne([
        { ingredient: SOY, massG: 1 },
        { ingredient: EGG, massG: 1 },
      ]).densities,
    ).toEqual([])
  })
})
