import fc from 'fast-check'
import { wholeUp } from './wholeUp'

test.each([
  [0, 0],
  [-0, 0],
  [-3.2, 0],
  [1, 1],
  [1.0000000001, 1],
  [1.001, 2],
  [0.1 + 0.2 + 0.7, 1],
])('%d is %d', (value, whole) => expect(Object.is(wholeUp(value), whole)).toBe(true))

test('law: never less than is needed, and never one too many', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 1e6, noNaN: true }), (value) => {
      expect(wholeUp(value)).toBeGreaterThanOrEqual(value - 1e-8)
      expect(wholeUp(value) - value).toBeLessThan(1)
    }),
  )
})
