import { aBatch } from '../../test/wokDishes'
import { sequenceBatch } from './sequenceBatch'

test('what is drier by its row is dry and hot sooner', () => {
  const takesS = (water: number) => {
    const carrot = {
      id: 'carrot',
      role: 'vegetable' as const,
      food: 'hardVeg' as const,
      ratioG: 30,
      cut: { sizeMm: 6 },
      composition: { water, carbohydrate: 1 - water },
    }
    return sequenceBatch(aBatch([carrot], { egg: 'firstOut' })).totalS!
  }
  expect(takesS(0.6)).toBeLessThan(takesS(0.92))
})
