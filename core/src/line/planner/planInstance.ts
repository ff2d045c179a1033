import { anneal } from './anneal'
import { decode, forgetFrom } from './decode'
import { dispatch, inOrderOf, RULES, type Rule } from './dispatch'
import type { LineInstance } from './instance'
import { load, type Loaded } from './load'
import { MOST_PIECES } from './memory'
import { BUSY, CALM, RUSH, type MoveShares } from './moves'
import { itemsGone, piecesOf } from './pieces'
import { fillFrom, latestS, listNow, type WantedBatch } from './placeList'
import { planOf, type Planned } from './planOf'
import { polishDelays, tidy } from './polish'
import { keepSolution, roomForSolution, takeSolution } from './solution'

export type PlanOptions = {
  seed?: number | undefined
  evaluations?: number | undefined
  /** A plan to begin with, where it is better than what the textbooks' rules make: what the cooks were told. */
  start?: readonly WantedBatch[] | undefined
}

/** Up to so many pieces, several short runs find more than one long one. */
const FEW_PIECES = 15
const FEW = { evaluations: 60_000, restarts: 2, endT: 14 } as const
/** What the cooks were told is searched around, not melted down; of several runs only the first keeps to it. */
const WARM_T = 10
const MANY = { most: 400_000, each: 16_000_000, endT: 2.5 }

/** From so many pieces on, waiting is not looked for while the order is. */
const RUSH_PIECES = 60
const sharesFor = (pieces: number): MoveShares => (pieces <= FEW_PIECES ? CALM : pieces < RUSH_PIECES ? BUSY : RUSH)

/** So many plans are tried for so many pieces: a few hundred milliseconds, by number, so that the same seed gives the same plan. */
export const usualEvaluations = (pieces: number): number =>
  pieces <= FEW_PIECES ? FEW.evaluations : Math.min(MANY.most, Math.round(MANY.each / pieces))

/**
 * Plans an instance: batches in an order, each placed at the first slot that it can have; dispatched by the textbooks' rules,
 * then annealed, waits polished, and tidied. The same seed and evaluations give the same plan. Points as in `LineWeights`.
 * @throws {RangeError} on more than 1024 pieces, or more than 31 allergens
 */
export function planInstance(instance: LineInstance, options: PlanOptions = {}): Planned {
  return searchPlan(instance, options).plan
}

/** A plan, and the list of batches that it is placed from: placed again later, it keeps its order. */
export type PlannedList = { plan: Planned; list: WantedBatch[] }

/** As `planInstance`, with the list of the plan. @throws {RangeError} on more than is planned at once */
export function planList(instance: LineInstance, options: PlanOptions = {}): PlannedList {
  const { plan, loaded } = searchPlan(instance, options)
  return { plan, list: listNow(loaded) }
}

function searchPlan(
  instance: LineInstance,
  { seed = 1, evaluations, start }: PlanOptions,
): { plan: Planned; loaded: Loaded } {
  const gone = itemsGone(instance)
  const pieces = piecesOf(instance, gone)
  if (pieces.length > MOST_PIECES) throw new RangeError(`${pieces.length} pieces: plan at most ${MOST_PIECES} at once`)
  const loaded = load(instance, pieces, latestS(start ?? []))
  const budget = evaluations ?? usualEvaluations(loaded.free.length)
  const best = roomForSolution()
  let bestPoints = bestDispatch(loaded, best)
  // A list that names nothing is nobody's plan: searching around it would miss better ones.
  const warmPoints = start === undefined || start.length === 0 ? Infinity : fillFrom(loaded, start)
  const isWarm = warmPoints <= bestPoints
  if (isWarm) {
    bestPoints = warmPoints
    keepSolution(best)
  }
  if (budget > 0 && loaded.free.length > 0) bestPoints = search(loaded, budget, seed, bestPoints, isWarm, best)
  takeSolution(best)
  forgetFrom(0)
  if (budget > 0) tidy(polishDelays(bestPoints))
  return { plan: planOf(instance, loaded, gone, budget), loaded }
}

/** Plans by a rule of the textbooks alone, its waits polished where asked. */
export function planByRule(instance: LineInstance, rule: Rule, hasDelays: boolean): Planned {
  const gone = itemsGone(instance)
  const loaded = load(instance, piecesOf(instance, gone))
  dispatch(loaded, inOrderOf(rule, loaded))
  forgetFrom(0)
  if (hasDelays) tidy(polishDelays(decode(0, Infinity)))
  return planOf(instance, loaded, gone, 0)
}

function bestDispatch(loaded: Loaded, best: ReturnType<typeof roomForSolution>): number {
  let bestPoints = Infinity
  for (const rule of RULES) {
    dispatch(loaded, inOrderOf(rule, loaded))
    forgetFrom(0)
    const points = decode(0, Infinity)
    if (points >= bestPoints) continue
    bestPoints = points
    keepSolution(best)
  }
  return bestPoints
}

function search(
  loaded: Loaded,
  budget: number,
  seed: number,
  startPoints: number,
  isWarm: boolean,
  best: ReturnType<typeof roomForSolution>,
): number {
  const isFew = loaded.free.length <= FEW_PIECES
  const runs = isFew ? FEW.restarts : 1
  const start = best.slice()
  const found = roomForSolution()
  let bestPoints = startPoints
  for (let run = 0; run < runs; run += 1) {
    takeSolution(start)
    const points = anneal(
      loaded,
      {
        evaluations: Math.floor(budget / runs),
        startT: isWarm && run === 0 ? WARM_T : Math.min(60, 12 + (0.35 * startPoints) / loaded.free.length),
        endT: isFew ? FEW.endT : MANY.endT,
        seed: seed + run * 7919,
        shares: sharesFor(loaded.free.length),
      },
      found,
    )
    if (points >= bestPoints) continue
    bestPoints = points
    best.set(found)
  }
  return bestPoints
}
