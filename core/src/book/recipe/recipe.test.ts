import fc from 'fast-check'
import { EGG, OIL, SOY, SUGAR } from '../../test/ingredients'
import type { Recipe } from './recipe'
import { explodeRecipe, recipeAsIngredient, recipeYieldG, shelveRecipes, type BookShelf } from './explode'

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
