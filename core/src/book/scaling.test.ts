import fc from 'fast-check'
import { component } from '../test/kitchen'
import { componentMassG } from './scale'

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
