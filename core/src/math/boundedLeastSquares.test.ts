import fc from 'fast-check'
import { runPython } from '../../outside/runPython'
import { boundedLeastSquares, type BoundedProblem } from './boundedLeastSquares'

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
