import { COUNT, MOST_PIECES, S, size, SOLUTION_LENGTH } from './memory'

/** A copy of a solution. */
export type Kept = Int32Array<ArrayBuffer>
export const roomForSolution = (): Kept => new Int32Array(SOLUTION_LENGTH)

const REGIONS = COUNT / MOST_PIECES

/** Copies the solution at hand. */
export function keepSolution(into: Kept): void {
  for (let region = 0; region < REGIONS; region += 1) {
    const from = region * MOST_PIECES
    for (let i = from; i < from + size.pieces; i += 1) into[i] = S[i]!
  }
  into[COUNT] = S[COUNT]!
}

/** Takes a kept solution as the one at hand. */
export function takeSolution(from: Kept): void {
  for (let region = 0; region < REGIONS; region += 1) {
    const start = region * MOST_PIECES
    for (let i = start; i < start + size.pieces; i += 1) S[i] = from[i]!
  }
  S[COUNT] = from[COUNT]!
}
