import fc from 'fast-check'
import { cutLoads } from './pieces'

describe('cutting an order', () => {
  test('as few as the cap allows, as even as can be, smallest last', () => {
    expect(cutLoads(7, 4)).toEqual([4, 3])
    expect(cutLoads(9, 4)).toEqual([3, 3, 3])
    expect(cutLoads(10, 4)).toEqual([4, 3, 3])
  })

  test('sums to the whole, never over the cap, never uneven by two', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), fc.integer({ min: 1, max: 30 }), (portions, cap) => {
        const parts = cutLoads(portions, cap)
        expect(parts.reduce((sum, n) => sum + n, 0)).toBe(portions)
        expect(parts).toHaveLength(Math.ceil(portions / cap))
        expect(Math.max(...parts) - Math.min(...parts)).toBeLessThanOrEqual(1)
        expect([...parts].sort((a, b) => b - a)).toEqual(parts)
      }),
    )
  })

  test('fractions of a portion are cut equal', () => {
    expect(cutLoads(4.5, 3)).toEqual([2.25, 2.25])
  })
})
