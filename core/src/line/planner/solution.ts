import { COUNT, HANDS_SLOTS, REGION, S, size, SOLUTION_LENGTH } from './memory'

/** A copy of a solution. */
export type Kept = Int32Array<ArrayBuffer>
export const roomForSolution = (): Kept => new Int32Array(SOLUTION_LENGTH)

const REGIONS = COUNT / REGION

/** Copies the solution at hand. */
export function keepSolution(into: Kept): void {
  for (let region = 0; region < REGIONS; region += 1) {
    const from = region * REGION
    for (let i = from; i < from + size.pieces; i += 1) into[i] = S[i]!
  }
  into[COUNT] = S[COUNT]!
  into[HANDS_SLOTS] = S[HANDS_SLOTS]!
}

/** Takes a kept solution as the one at hand. */
export function takeSolution(from: Kept): void {
  for (let region = 0; region < REGIONS; region += 1) {
    const start = region * REGION
    for (let i = start; i < start + size.pieces; i += 1) S[i] = from[i]!
  }
  S[COUNT] = from[COUNT]!
  S[HANDS_SLOTS] = from[HANDS_SLOTS]!
}
