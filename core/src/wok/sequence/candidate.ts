import type { Fault } from './judge'
import type { Move } from './moves'
import type { Run } from './run'
import type { Choice } from './vocabulary'

/** A run that was simulated, with what it breaks and what it costs. */
export type Candidate = { choice: Choice; moves: readonly Move[]; run: Run; faults: readonly Fault[]; cost: number }

/** Within so much of the best the fixed order of the candidates decides, so that nothing flickers. */
const SAME_COST = 1.5

/** The best of those that were simulated: without a fault, then cheapest; near the cheapest the first in order. */
export function best(tried: readonly Candidate[]): Candidate {
  const holds = tried.filter(({ faults }) => faults.length === 0)
  const some = holds.length > 0 ? holds : [...tried].sort((a, b) => a.faults.length - b.faults.length).slice(0, 1)
  const least = Math.min(...some.map(({ cost }) => cost))
  return some.find(({ cost }) => cost <= least + SAME_COST)!
}

/** The best that still holds when it is simulated finely. */
export function checked(tried: readonly Candidate[], finely: (one: Candidate) => Candidate): Candidate {
  let left = tried
  let first: Candidate | null = null
  for (let n = 0; n < 4 && left.length > 0; n += 1) {
    const one = best(left)
    const fine = finely(one)
    first ??= fine
    if (fine.faults.length === 0) return fine
    left = left.filter((other) => other !== one)
  }
  return first!
}

/** The best that differs in its egg, its heat or the order in which things go in. */
export function runnerUpOf(tried: readonly Candidate[], chosen: Candidate): Candidate | null {
  const entries = ({ moves }: Candidate) =>
    moves
      .filter(({ kind }) => kind === 'in')
      .map(({ ids }) => ids.join('+'))
      .join(' ')
  const others = tried.filter(
    (one) =>
      one.faults.length === 0 &&
      (one.choice.egg !== chosen.choice.egg ||
        one.choice.heat !== chosen.choice.heat ||
        entries(one) !== entries(chosen)),
  )
  return others.length > 0 ? best(others) : null
}
