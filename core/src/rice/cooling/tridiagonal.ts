/** Solves a tridiagonal system (Thomas) into `solution`; `scratch` is overwritten. Diagonally dominant systems only. */
export function solveTridiagonal(
  lower: Float64Array,
  diagonal: Float64Array,
  upper: Float64Array,
  right: Float64Array,
  scratch: Float64Array,
  solution: Float64Array,
): void {
  const n = diagonal.length
  let pivot = diagonal[0]!
  solution[0] = right[0]! / pivot
  for (let i = 1; i < n; i += 1) {
    scratch[i] = upper[i - 1]! / pivot
    pivot = diagonal[i]! - lower[i]! * scratch[i]!
    solution[i] = (right[i]! - lower[i]! * solution[i - 1]!) / pivot
  }
  for (let i = n - 2; i >= 0; i -= 1) solution[i]! -= scratch[i + 1]! * solution[i + 1]!
}
