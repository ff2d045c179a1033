import { beginChange, takeBack } from './batch'
import { chance, seedWith } from './chance'
import { decode, forgetFrom, NEVER, placedSoFar } from './decode'
import type { Loaded } from './load'
import { COUNT, S } from './memory'
import { move, type MoveShares } from './moves'
import { keepSolution, type Kept } from './solution'

export type Cooling = { evaluations: number; startT: number; endT: number; seed: number; shares: MoveShares }

/** How often the temperature is lowered. */
const EACH = 64
const NEAR = 1e-9
const { log } = Math

/**
 * Anneals the solution at hand (Kirkpatrick et al., 1983): a worse plan is taken with probability exp(-worse/T), drawn before
 * it is placed, so that placing it stops as soon as it cannot be taken.
 * @param best takes the best solution found
 * @returns its points
 */
export function anneal(loaded: Loaded, cooling: Cooling, best: Kept): number {
  const { evaluations, startT, endT, seed, shares } = cooling
  seedWith(seed)
  const sum = shares.reduce((all, share) => all + share, 0)
  forgetFrom(0)
  let points = decode(0, NEVER)
  let bestPoints = points
  keepSolution(best)
  if (S[COUNT] === 0) return points
  const ratio = endT / startT
  let temperature = startT
  const begun = placedSoFar()
  for (let turn = 0; ; turn += 1) {
    if (turn % EACH === 0) {
      const share = Math.max(placedSoFar() - begun, turn / 4) / evaluations
      if (share >= 1) break
      temperature = startT * Math.pow(ratio, share)
    }
    beginChange()
    const first = move(loaded, shares, sum)
    if (first < 0) {
      if (first < -1) takeBack()
      continue
    }
    const bound = points - temperature * log(chance() + 1e-300)
    const after = decode(first, bound)
    if (after === NEVER) {
      takeBack()
      continue
    }
    points = after
    forgetFrom(first)
    if (after < bestPoints - NEAR) {
      bestPoints = after
      keepSolution(best)
    }
  }
  return bestPoints
}
