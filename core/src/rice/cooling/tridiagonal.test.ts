import fc from 'fast-check'
import { solveTridiagonal } from './tridiagonal'

function solve(lower: number[], diagonal: number[], upper: number[], right: number[]): number[] {
  const solution = new Float64Array(diagonal.length)
  solveTridiagonal(
    Float64Array.from(lower),
    Float64Array.from(diagonal),
    Float64Array.from(upper),
    Float64Array.from(right),
    new Float64Array(diagonal.length),
    solution,
  )
  return [...solution]
}

test('three by hand: 2x + y = 4, x + 3y + z = 10, y + 4z = 14', () => {
  const [x, y, z] = solve([0, 1, 1], [2, 3, 4], [1, 1, 0], [4, 10, 14])
  expect([2 * x! + y!, x! + 3 * y! + z!, y! + 4 * z!]).toEqual([4, expect.closeTo(10, 12), expect.closeTo(14, 12)])
})

test('law: the solution put back in gives the right side, for every diagonally dominant system', () => {
  const number = fc.double({ min: -1, max: 1, noNaN: true })
  fc.assert(
    fc.property(fc.array(fc.tuple(number, number, number), { minLength: 1, maxLength: 40 }), (rows) => {
      const lower = rows.map(([a]) => a)
      const upper = rows.map(([, b]) => b)
      const diagonal = rows.map(([a, b]) => 1 + Math.abs(a) + Math.abs(b))
      const right = rows.map(([, , c]) => c * 10)
      const x = solve(lower, diagonal, upper, right)
      rows.forEach((_, i) => {
        const left = (i > 0 ? lower[i]! * x[i - 1]! : 0) + diagonal[i]! * x[i]! + (x[i + 1] ?? 0) * upper[i]!
        expect(left).toBeCloseTo(right[i]!, 8)
      })
    }),
  )
})
