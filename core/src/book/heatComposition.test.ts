import { EGG, ingredient, OIL, RICE } from '../test/ingredients'
import { heatCompositionOf } from './heatComposition'
import { refreshComponent } from './resolve'
import type { Component } from './dish'

test('an egg is three quarters water; what no column names is ash', () => {
  expect(heatCompositionOf(EGG, 'egg')).toEqual({
    water: 0.76,
    protein: 0.126,
    fat: 0.095,
    carbohydrate: 0,
    fibre: 0,
    ash: 0.019,
  })
})

test('fibre is taken out of the carbohydrate, alcohol counts as water, and too much is scaled', () => {
  const wine = ingredient({ id: 'wine', waterG: 80, alcoholG: 14, carbohydrateG: 16, fibreG: 3 })
  const composition = heatCompositionOf(wine, 'liquidSeasoning')!
  expect(composition.water).toBeCloseTo(94 / 110, 3)
  expect(composition.carbohydrate).toBeCloseTo(13 / 110, 3)
  expect(Object.values(composition).reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 2)
})

test('a row that says nothing is not water: its class decides, as for rice and fats', () => {
  expect(heatCompositionOf(ingredient({ id: 'new', waterG: 0 }), 'vegetable')).toBeNull()
  expect(heatCompositionOf(RICE, 'rice')).toBeNull()
  expect(heatCompositionOf(OIL, 'fat')).toBeNull()
})

test('a component takes it from its row, and loses it with a row that does not say', () => {
  const component: Component = {
    id: 'ham',
    name: 'ham',
    role: 'protein',
    state: 'cured',
    food: 'meat',
    cut: null,
    ratioG: 10,
    scaling: 'linear',
    allergens: [],
  }
  const ham = ingredient({ id: 'ham', waterG: 60, proteinG: 20, fatG: 16, carbohydrateG: 1 })
  const known = refreshComponent(component, ham)
  expect(known.composition).toMatchObject({ water: 0.6, fat: 0.16, ash: 0.03 })
  expect(refreshComponent(known, { ...ham, waterG: 0 })).not.toHaveProperty('composition')
})
