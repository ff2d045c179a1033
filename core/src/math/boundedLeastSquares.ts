const { abs, max, min, sqrt } = Math

/** Minimise |A x − b|² with every x between its bounds. */
export type BoundedProblem = {
  /** Rows of the matrix A. */
  rows: readonly (readonly number[])[]
  /** b, one a row. */
  target: readonly number[]
  lower: readonly number[]
  upper: readonly number[]
}
/** The minimiser, and what is left of |A x − b|. */
export type BoundedSolution = { x: number[]; residual: number }

const TOLERANCE = 1e-10
const DEPENDENT = 1e-11
const MAX_ROUNDS = 200

/**
 * x with lower ≤ x ≤ upper that minimises |A x − b|², by active sets: a bound is let go where the gradient leads inside,
 * and the free ones are solved by orthogonal columns. After P. B. Stark and R. L. Parker, "Bounded-variable least-squares:
 * an algorithm and applications", Computational Statistics 10 (1995), from memory.
 * Error: 1e-8 of the residual on well-scaled problems; among several best answers any one.
 * @throws {RangeError} where the shapes do not fit or a lower bound lies above its upper one
 */
export function boundedLeastSquares({ rows, target, lower, upper }: BoundedProblem): BoundedSolution {
  const n = lower.length
  if (rows.length !== target.length || upper.length !== n || rows.some((row) => row.length !== n))
    throw new RangeError(`${rows.length} rows, ${target.length} targets, ${n} and ${upper.length} bounds do not fit`)
  if (lower.some((least, i) => !(least <= (upper[i] ?? Number.NaN))))
    throw new RangeError('a lower bound lies above its upper bound')
  const columns = Array.from({ length: n }, (_, j) => rows.map((row) => row[j]!))
  const x = lower.map((least, j) => max(least, min(0, upper[j]!)))
  const isFree = x.map((value, j) => value !== lower[j] && value !== upper[j])
  const scale = max(1e-300, ...columns.map(norm)) * max(1, norm(target))
  if (isFree.some(Boolean)) settle(columns, target, lower, upper, x, isFree)
  const barred = new Set<number>()
  for (let round = 0; round < MAX_ROUNDS; round += 1) {
    const left = residualOf(columns, target, x)
    const next = mostEager(columns, left, lower, upper, x, isFree, barred, TOLERANCE * scale)
    if (next < 0) break
    const before = sumOfSquares(left)
    isFree[next] = true
    settle(columns, target, lower, upper, x, isFree)
    if (sumOfSquares(residualOf(columns, target, x)) < before * (1 - 1e-14)) barred.clear()
    else barred.add(next)
  }
  return { x, residual: norm(residualOf(columns, target, x)) }
}

/** The variable at a bound whose gradient leads furthest inside; −1 where none does. */
function mostEager(
  columns: readonly number[][],
  left: readonly number[],
  lower: readonly number[],
  upper: readonly number[],
  x: readonly number[],
  isFree: readonly boolean[],
  barred: ReadonlySet<number>,
  tolerance: number,
): number {
  let best = -1
  let bestPull = tolerance
  for (let j = 0; j < columns.length; j += 1) {
    if (isFree[j] || barred.has(j) || lower[j] === upper[j]) continue
    const pull = dot(columns[j]!, left)
    const inward = x[j] === lower[j] ? pull : -pull
    if (inward > bestPull) {
      best = j
      bestPull = inward
    }
  }
  return best
}

/** Moves the free variables to their best, stopping at bounds on the way; those that stop are bound again. */
function settle(
  columns: readonly number[][],
  target: readonly number[],
  lower: readonly number[],
  upper: readonly number[],
  x: number[],
  isFree: boolean[],
): void {
  for (let round = 0; round <= columns.length; round += 1) {
    const free = isFree.flatMap((one, j) => (one ? [j] : []))
    if (free.length === 0) return
    const left = residualOf(columns, target, x)
    const step = leastSquaresStep(
      free.map((j) => columns[j]!),
      left,
    )
    let share = 1
    free.forEach((j, k) => {
      const aim = x[j]! + step[k]!
      const bound = aim < lower[j]! ? lower[j]! : aim > upper[j]! ? upper[j]! : null
      if (bound !== null) share = min(share, abs(step[k]!) > 0 ? (bound - x[j]!) / step[k]! : 0)
    })
    free.forEach((j, k) => {
      x[j] = x[j]! + share * step[k]!
    })
    if (share >= 1) return
    for (const j of free) {
      const room = TOLERANCE * max(1, abs(x[j]!))
      const isAtLower = x[j]! <= lower[j]! + room
      if (!isAtLower && x[j]! < upper[j]! - room) continue
      x[j] = isAtLower ? lower[j]! : upper[j]!
      isFree[j] = false
    }
  }
}

/** The step that minimises |A s − r|, by Gram–Schmidt done twice; a column that depends on others does not move. */
function leastSquaresStep(columns: readonly number[][], left: readonly number[]): number[] {
  const n = columns.length
  const q: (number[] | null)[] = []
  const r = Array.from({ length: n }, () => new Array<number>(n).fill(0))
  columns.forEach((column, k) => {
    const v = [...column]
    for (let pass = 0; pass < 2; pass += 1) {
      for (let i = 0; i < k; i += 1) {
        const unit = q[i]
        if (!unit) continue
        const part = dot(unit, v)
        r[i]![k] = r[i]![k]! + part
        for (let m = 0; m < v.length; m += 1) v[m] = v[m]! - part * unit[m]!
      }
    }
    const length = norm(v)
    if (length <= DEPENDENT * max(1e-300, norm(column))) {
      q.push(null)
      return
    }
    r[k]![k] = length
    q.push(v.map((value) => value / length))
  })
  const step = new Array<number>(n).fill(0)
  for (let k = n - 1; k >= 0; k -= 1) {
    const unit = q[k]
    if (!unit) continue
    let value = dot(unit, left)
    for (let j = k + 1; j < n; j += 1) value -= r[k]![j]! * step[j]!
    step[k] = value / r[k]![k]!
  }
  return step
}

function residualOf(columns: readonly number[][], target: readonly number[], x: readonly number[]): number[] {
  const left = [...target]
  columns.forEach((column, j) => {
    const value = x[j]!
    if (value !== 0) for (let i = 0; i < left.length; i += 1) left[i] = left[i]! - column[i]! * value
  })
  return left
}

function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0
  for (let i = 0; i < a.length; i += 1) sum += a[i]! * b[i]!
  return sum
}
const sumOfSquares = (a: readonly number[]) => dot(a, a)
const norm = (a: readonly number[]) => sqrt(sumOfSquares(a))
