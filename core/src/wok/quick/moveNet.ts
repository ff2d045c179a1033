import { FIGURES } from './figures'

/** Between the figures and the seconds. */
export const HIDDEN = 24
/** Of each hidden unit its weights and its offset, then what each gives, then an offset. */
export const WEIGHTS = HIDDEN * (FIGURES + 1) + HIDDEN + 1

/** Bends like a hyperbolic tangent, without its cost. */
export const softsign = (a: number): number => a / (1 + Math.abs(a))

/** ln(seconds + 1) of a move by its figures: a small net with one hidden layer. */
export type MoveNet = (x: Float64Array) => number

/** The net of these weights, which is asked figure by figure: most of them are zero, and nothing waits for a sum. */
export function moveNet(weights: Float64Array): MoveNet {
  const byFigure = new Float64Array(FIGURES * HIDDEN)
  const offsets = new Float64Array(HIDDEN)
  const gives = weights.slice(HIDDEN * (FIGURES + 1), -1)
  for (let unit = 0; unit < HIDDEN; unit += 1) {
    const at = unit * (FIGURES + 1)
    offsets[unit] = weights[at + FIGURES]!
    for (let i = 0; i < FIGURES; i += 1) byFigure[i * HIDDEN + unit] = weights[at + i]!
  }
  const offset = weights[WEIGHTS - 1]!
  const sums = new Float64Array(HIDDEN)
  return (x) => {
    sums.set(offsets)
    for (let i = 0; i < FIGURES; i += 1) {
      const figure = x[i]!
      if (figure === 0) continue
      const at = i * HIDDEN
      for (let unit = 0; unit < HIDDEN; unit += 1) sums[unit]! += figure * byFigure[at + unit]!
    }
    let sum = offset
    for (let unit = 0; unit < HIDDEN; unit += 1) sum += gives[unit]! * softsign(sums[unit]!)
    return sum
  }
}
