import { anneal } from './anneal'
import { cooksFor } from './cooks'
import { completeS, decode, forgetFrom, readyS, washesOf } from './decode'
import { dispatch, inOrderOf, RULES, type Rule } from './dispatch'
import type { LineBatch, LineInstance, LineSchedule } from './instance'
import { load, type Loaded } from './load'
import {
  BACK,
  BACK_END,
  COUNT,
  DISH,
  dishBase,
  HEAD,
  MOST_PIECES,
  NEXT,
  ON,
  ORDER,
  pieceMost,
  S,
  setUpS,
  size,
  START,
  STATION,
  stationKind,
  ticketDue,
  ticketFirst,
  ticketIsTake,
  ticketPieces,
} from './memory'
import { CALM, RUSH } from './moves'
import { itemsGone, piecesOf } from './pieces'
import { polishDelays, tidy } from './polish'
import { keepSolution, roomForSolution, takeSolution } from './solution'

/** A plan with what it costs: points of the objective, tickets that are late, pieces held beyond their longest. */
export type Planned = LineSchedule & {
  objective: number
  lateTickets: number
  holdBreaches: number
  evaluations: number
}
export type PlanOptions = { seed?: number | undefined; evaluations?: number | undefined }

/** Up to so many pieces, several short runs find more than one long one. */
const FEW_PIECES = 15
const FEW = { evaluations: 60_000, restarts: 4, endT: 0.25 } as const
const MANY = { most: 400_000, each: 16_000_000, endT: 2.5 } as const

/** So many plans are tried for so many pieces: a few hundred milliseconds, by number, so that the same seed gives the same plan. */
export const usualEvaluations = (pieces: number): number =>
  pieces <= FEW_PIECES ? FEW.evaluations : Math.min(MANY.most, Math.round(MANY.each / pieces))

/**
 * Plans an instance: batches in an order, each placed at the first slot that it can have; dispatched by the textbooks' rules,
 * then annealed, waits polished, and tidied. The same seed and evaluations give the same plan. Points as in `LineWeights`.
 * @throws {RangeError} on more than 1024 pieces, or more than 31 allergens
 */
export function planInstance(instance: LineInstance, { seed = 1, evaluations }: PlanOptions = {}): Planned {
  const gone = itemsGone(instance)
  const pieces = piecesOf(instance, gone)
  if (pieces.length > MOST_PIECES) throw new RangeError(`${pieces.length} pieces: plan at most ${MOST_PIECES} at once`)
  const loaded = load(instance, pieces)
  const budget = evaluations ?? usualEvaluations(loaded.free.length)
  const best = roomForSolution()
  let bestPoints = bestDispatch(loaded, best)
  if (budget > 0 && loaded.free.length > 0) bestPoints = search(loaded, budget, seed, bestPoints, best)
  takeSolution(best)
  forgetFrom(0)
  if (budget > 0) tidy(polishDelays(bestPoints))
  return planOf(instance, loaded, gone, budget)
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
        startT: Math.min(60, 12 + (0.35 * startPoints) / loaded.free.length),
        endT: isFew ? FEW.endT : MANY.endT,
        seed: seed + run * 7919,
        shares: isFew ? CALM : RUSH,
      },
      found,
    )
    if (points >= bestPoints) continue
    bestPoints = points
    best.set(found)
  }
  return bestPoints
}

/** The plan at hand, as batches by their ids and seconds. */
function planOf(instance: LineInstance, loaded: Loaded, gone: ReadonlySet<string>, evaluations: number): Planned {
  forgetFrom(0)
  const objective = decode(0, Infinity)
  const { late, breaches } = counted()
  const washes = washesOf(S[COUNT]!)
  decode(S[COUNT]!, Infinity)
  type Timed = Omit<LineBatch, 'cooks'> & { hands: { from: number; to: number }[] }
  const timed: Timed[] = loaded.frozen.map(({ batch, hands }) => ({
    station: batch.station,
    start: batch.start,
    wash: batch.wash,
    parts: batch.parts,
    hands: hands.filter(([from, to]) => to > from).map(([from, to]) => ({ from, to })),
  }))
  const lastDish = new Map<number, number>()
  for (const { batch } of [...loaded.frozen].sort((a, b) => a.batch.start - b.batch.start)) {
    const station = instance.stations.findIndex(({ id }) => id === batch.station)
    const piece = loaded.pieces.find(({ id }) => batch.parts.includes(id))
    if (piece) lastDish.set(station, instance.dishes.indexOf(piece.dish))
  }
  for (let position = 0; position < S[COUNT]!; position += 1) {
    const batch = S[ORDER + position]!
    const station = S[STATION + batch]!
    const setUp = setUpOf(instance, station, S[DISH + batch]!, washes[position]!, lastDish)
    lastDish.set(station, S[DISH + batch]!)
    const start = size.originS + START[batch]! * size.gridS
    const parts: string[] = []
    for (let piece = S[HEAD + batch]!; piece >= 0; piece = S[NEXT + piece]!) parts.push(loaded.pieces[piece]!.id)
    const on = start + S[ON + batch]! * size.gridS
    const back = { from: start + S[BACK + batch]! * size.gridS, to: start + S[BACK_END + batch]! * size.gridS }
    const hands = [{ from: start - setUp, to: on }, back].filter(({ from, to }) => to > from)
    timed.push({ station: instance.stations[station]!.id, start, wash: washes[position]!, parts: parts.sort(), hands })
  }
  timed.sort((a, b) => a.start - b.start || (a.station < b.station ? -1 : 1))
  const cooks = cooksFor(timed.flatMap(({ hands }) => hands))
  let next = 0
  const batches = timed.map(({ hands, ...batch }): LineBatch => ({ ...batch, cooks: hands.map(() => cooks[next++]!) }))
  const points = Math.round(objective * 1e6) / 1e6
  return { instance: instance.id, gone: [...gone].sort(), batches, objective: points, ...{ lateTickets: late, holdBreaches: breaches }, evaluations }
}

function setUpOf(
  instance: LineInstance,
  station: number,
  dish: number,
  isWashed: boolean,
  lastDish: ReadonlyMap<number, number>,
): number {
  const kind = stationKind[station]! * 3
  if (isWashed) return setUpS[kind + 2]!
  const last = lastDish.get(station)
  if (last !== undefined) return last === dish ? 0 : setUpS[kind + (dishBase[last] === dishBase[dish] ? 0 : 1)]!
  const before = instance.stations[station]!.last
  if (!before) return 0
  const known = instance.dishes.findIndex(({ id }) => id === before.dish)
  if (known === dish) return 0
  return setUpS[kind + (known >= 0 && dishBase[known] === dishBase[dish] ? 0 : 1)]!
}

/** Tickets that are late, and pieces that wait longer than they hold, of the plan that was last placed to its end. */
function counted(): { late: number; breaches: number } {
  let late = 0
  let breaches = 0
  for (let ticket = 0; ticket < size.tickets; ticket += 1) {
    const first = ticketFirst[ticket]!
    if (ticketPieces[ticket] === 0) continue
    const complete = completeS(ticket)
    const due = ticketDue[ticket]!
    const out = ticketIsTake[ticket] === 1 ? Math.max(complete, due) : complete
    if (out > due) late += 1
    for (let piece = first; piece < first + ticketPieces[ticket]!; piece += 1)
      if (out - readyS(piece) > pieceMost[piece]!) breaches += 1
  }
  return { late, breaches }
}
