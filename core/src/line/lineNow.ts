import { allergenListOf } from '../book/allergens'
import type { Dish } from '../book/dish'
import type { BatchInput } from '../book/batchComponents'
import { totalMassG } from '../book/scale'
import type { CookRules } from '../safety/limits'
import { runState, type FiredRun, type RunState } from '../wok/run'
import type { RunEvent } from '../wok/runEvent'
import type { Score } from '../wok/score'
import type { BatchScore } from './batchScore'
import { factsKey, type PlannedFrom } from './plan/factsKey'
import { batchInputOf, ordersOf } from './batchInput'
import type { GoneBecause } from './plan/gone'
import { batchHands, type AtStation } from './plan/handsThread'
import { lineInstance, type RunInHand, type TicketHead } from './plan/lineInstance'
import { orderOf, toldOf, wantedOf, type LineOrder } from './plan/order'
import { linePieces, type LinePiece } from './plan/pieces'
import { overruledPins, type OverruledPin } from './plan/overruled'
import { placedBatches, type PlannedBatch } from './plan/placed'
import { firstPlan } from './plan/search'
import { compareItems, sortWaiting, takenAt, wholeItem } from './plan/sortWaiting'
import { usualPairs, type LineWishes } from './plan/wishes'
import type { LineInstance } from './planner/instance'
import { soonerAt, type Begins } from './soonerAt'
import type { Station } from './station'
import { cleanedSinceUse, isWashed, UNTOUCHED, type StationPast } from './stationPast'
import type { StationTimes } from './stationTimes'
import { waitingItems, withoutFired, type LineTicket, type ProposedBatch, type WaitingItem } from './waiting'

/** A run that was fired at a station for portions of ticket lines, with everything said of it since. */
export type OpenRun = FiredRun & {
  stationId: string
  dishId: string
  allergies: readonly string[]
  parts: readonly { itemId: string; ticketId: string; portions: number }[]
  events: readonly RunEvent[]
}
/** What is known of one station's metal. */
export type PastOfStation = StationPast & { stationId: string }

/** What was worked out of dishes at stations so far; null is not yet. */
export type WorkedOut<S, D> = {
  timesOf: (dish: D, station: S) => StationTimes | null
  scoreOf: (dish: D, batch: BatchInput, station: S) => BatchScore | null
}

/** Everything that the line is worked out from; instants in ms since 1970, UTC. */
export type LineInput<S extends Station, D extends Dish, T extends LineTicket, R extends OpenRun> = {
  stations: readonly S[]
  dishes: readonly D[]
  tickets: readonly T[]
  runs: readonly R[]
  pasts: readonly PastOfStation[]
  rules: CookRules
  known: WorkedOut<S, D>
  /** What was decided of the line. */
  wishes: LineWishes
  /** What the cooks were told, of these facts or of older ones; null where nobody was told anything. */
  orderFor: (factsKey: string) => LineOrder | null
  /** How many cooks there are, where nobody said how many pairs of hands. */
  cooks: number
  nowMs: number
}

/** A batch with its place, its times and what it weighs; `key` is the same while it holds the same portions. */
export type LineBatch<S extends Station, D extends Dish> = PlannedBatch & {
  key: string
  dish: D
  station: S
  riceMassG: number
  batchMassG: number
  /** Null while it is being worked out: until then its time is an estimate. */
  score: Score | null
  /** When it takes a pair of hands. */
  hands: AtStation[]
}
/** A run at its station, with what it comes to now. */
export type LineRun<S extends Station, R extends OpenRun> = { run: R; state: RunState; station: S | undefined }

/** Portions that are 86, and why. */
export type GoneBatch = ProposedBatch & { because: NonNullable<GoneBecause> }

/** How the line was planned, and what a better plan is searched from. */
export type LineBasis = {
  instance: LineInstance
  pieces: readonly LinePiece[]
  order: LineOrder
  /** Points of the plan: a better one of the same instance has fewer. */
  objective: number
  /** The facts that it was planned from, and as a short text. */
  from: PlannedFrom
  key: string
  /** Whether what the cooks were told names every portion that waits. */
  isTold: boolean
  pairs: number
}

/** The line as it stands: runs that are not over, batches in their order, what is 86, what no station can cook. */
export type LineNow<S extends Station, D extends Dish, R extends OpenRun> = {
  runs: LineRun<S, R>[]
  batches: LineBatch<S, D>[]
  gone: GoneBatch[]
  basis: LineBasis
  homeless: ProposedBatch[]
  /** What somebody pinned, and somebody else pinned otherwise after. */
  overruled: OverruledPin[]
  /** Batches whose time is not known at any station yet: neither placed nor without a home. */
  pending: ProposedBatch[]
  portionsWaiting: number
  /** Portions beyond what is planned at once. */
  portionsBeyond: number
  /** What has to be worked out for this line to be whole, most urgent first. */
  unknown: { times: { dish: D; station: S }[]; scores: { dish: D; batch: BatchInput; station: S }[] }
}

/** So many batches, the first to start, have a score of their own; the others are planned by the times of their dish. */
const SCORED = 12

/** So many pieces are planned at once; what is promised later follows when these are fried. */
const MOST_PLANNED = 400

/** The line at an instant: what waits is placed after the runs in hand, in the order that the cooks were told. Pure; dishes that are not in the book are passed over. */
export function lineNow<S extends Station, D extends Dish, T extends LineTicket, R extends OpenRun>(
  input: LineInput<S, D, T, R>,
): LineNow<S, D, R> {
  const { stations, dishes, tickets, pasts, known, wishes, nowMs } = input
  const stationOf = (id: string) => stations.find((one) => one.id === id)
  const runs = input.runs
    .map((run) => ({ run, state: runState(run, run.events, nowMs), station: stationOf(run.stationId) }))
    .filter(({ state }) => state.endedMs === null)
  const byId = new Map<string, D>(dishes.map((dish) => [dish.id, dish]))
  const waiting = waitingItems(withoutFired(tickets, runs)).filter((item) => byId.has(item.dishId))
  const takes = takenAt(stations, known, wishes)
  const order = ordersOf(input.rules)
  const dishOf = ({ dishId }: { dishId: string }) => byId.get(dishId)!
  const sorted = sortWaiting(waiting, { dishOf, order, takes, wishes, rules: input.rules })
  const capOf = (item: WaitingItem, stationId: string | null) =>
    Math.max(
      0,
      ...takes(dishOf(item))
        .filter(({ id }) => stationId === null || id === stationId)
        .map(({ mostPortions }) => mostPortions),
    )
  const all = linePieces([...sorted.plan].sort(compareItems), wishes.pins, capOf)
  const pieces = all.slice(0, MOST_PLANNED)
  const inHand = runs.map(({ run, state }): RunInHand => inHandOf(run, state, byId))
  const pairs = wishes.pairs ?? usualPairs(stations.length, input.cooks)
  const pastAt = (stationId: string): StationPast => {
    const at = runs.find((one) => one.run.stationId === stationId)
    const past = pastOf(pasts, stationId)
    return at ? { ...past, lastDishId: at.run.dishId, usedUntilMs: at.state.upMs } : past
  }
  const facts = {
    stations,
    dishes: byId,
    pieces,
    runs: inHand,
    heads: headsOf(tickets),
    pastOf: pastAt,
    timesOf: (dish: Dish, station: S) => known.timesOf(dish as D, station),
    wishes,
    list: allergenListOf(input.rules.ruleSet),
    pairs,
    nowMs,
  }
  const stationIds = stations.map(({ id }) => id)
  const cleaned = cleanedOf(stationIds, pastAt)
  const from = { pieces, runs: inHand, stationIds, cleaned, pairs, wishes }
  const key = factsKey(from)
  const told = input.orderFor(key)
  const wanted = told === null ? [] : wantedOf(told, pieces)
  const instance = lineInstance(facts, toldOf(wanted))
  const { plan, list, isWhole } = firstPlan(instance, wanted)
  const secondsAt = (batch: ProposedBatch, station: S, begins: Begins): number => {
    const answer = known.scoreOf(dishOf(batch), batchInputOf(batch), station)
    if (answer?.kind === 'score') return answer.score.totalS - soonerAt(answer.soonerS, begins)
    const seconds = known.timesOf(dishOf(batch), station)?.seconds ?? []
    return seconds[batch.portions - 1] ?? seconds.at(-1) ?? 0
  }
  const placed = placedBatches(plan, {
    stations,
    dishes: byId,
    pieces,
    freeAtMs: (id) => runs.find(({ run }) => run.stationId === id)?.state.upMs ?? nowMs,
    pastOf: pastAt,
    secondsAt,
  })
  const batches = batchesOf(placed, { dishOf, stationOf, order, known })
  const asked = new Set([...sorted.plan, ...sorted.pending].map(dishOf))
  return {
    runs,
    batches,
    gone: sorted.gone.map(({ item, because }) => ({ ...wholeItem(dishOf(item), item), because })),
    homeless: sorted.homeless.map((item) => wholeItem(dishOf(item), item)),
    overruled: overruledPins(wishes, waiting),
    pending: sorted.pending.map((item) => wholeItem(dishOf(item), item)),
    portionsWaiting: waiting.reduce((sum, item) => sum + item.portions, 0),
    portionsBeyond: all.slice(MOST_PLANNED).reduce((sum, { portions }) => sum + portions, 0),
    unknown: unknownOf(batches, asked, stations, known),
    basis: {
      instance,
      pieces,
      order: orderOf(list, pieces),
      objective: plan.objective,
      from,
      key,
      isTold: isWhole && told !== null,
      pairs,
    },
  }
}

/** Stations that were cleaned since something was cooked there, and how, unless they were washed. */
const cleanedOf = (stationIds: readonly string[], pastAt: (stationId: string) => StationPast): string[] =>
  stationIds.flatMap((id) => {
    const past = pastAt(id)
    const how = isWashed(past) ? 'washed' : cleanedSinceUse(past)
    return how === null ? [] : [how === 'washed' ? id : `${id} ${how}`]
  })

type BatchesOf<S extends Station, D extends Dish> = {
  dishOf: (batch: ProposedBatch) => D
  stationOf: (id: string) => S | undefined
  order: ReturnType<typeof ordersOf>
  known: WorkedOut<S, D>
}

/** What was placed, with what it weighs and its score; a batch that has neither station nor order is passed over. */
function batchesOf<S extends Station, D extends Dish>(
  placed: readonly PlannedBatch[],
  { dishOf, stationOf, order, known }: BatchesOf<S, D>,
): LineBatch<S, D>[] {
  const keyOf = uniqueKeys()
  return placed.flatMap((batch): LineBatch<S, D>[] => {
    const dish = dishOf(batch)
    const station = stationOf(batch.stationId)
    const ordered = order(dish, batch)
    if (!station || ordered.kind !== 'batch') return []
    const { riceMassG, components } = ordered.batch
    const answer = known.scoreOf(dish, batchInputOf(batch), station)
    const score = answer?.kind === 'score' ? answer.score : null
    const hands = batchHands(batch, known.timesOf(dish, station)?.handsOff)
    return [{ ...batch, key: keyOf(batch), dish, station, riceMassG, batchMassG: totalMassG(components), score, hands }]
  })
}

function inHandOf(run: OpenRun, state: RunState, dishes: ReadonlyMap<string, Dish>): RunInHand {
  return {
    runId: run.id,
    stationId: run.stationId,
    dish: dishes.get(run.dishId),
    parts: run.parts,
    firedAtMs: run.firedAtMs,
    upMs: state.upMs,
  }
}

const headsOf = (tickets: readonly LineTicket[]): Map<string, TicketHead> =>
  new Map(tickets.map(({ id, kind, placedAtMs, promisedAtMs }) => [id, { id, kind, placedAtMs, promisedAtMs }]))

/** What must be worked out: times of each dish that waits at each station of its kind, and the scores of the first batches. */
function unknownOf<S extends Station, D extends Dish>(
  batches: readonly LineBatch<S, D>[],
  dishes: ReadonlySet<D>,
  stations: readonly S[],
  { timesOf, scoreOf }: WorkedOut<S, D>,
): LineNow<S, D, never>['unknown'] {
  const first = [...batches].sort((a, b) => a.startMs - b.startMs).slice(0, SCORED)
  return {
    times: [...dishes].flatMap((dish) =>
      stations
        .filter((station) => station.kind === dish.stationKind && isStillAsked(timesOf(dish, station)))
        .map((station) => ({ dish, station })),
    ),
    scores: first
      .filter(({ dish, station, ...batch }) => scoreOf(dish, batchInputOf(batch), station) === null)
      .map(({ dish, station, ...batch }) => ({ dish, station, batch: batchInputOf(batch) })),
  }
}

/** Rough times are better than none, and are not the last word. */
const isStillAsked = (times: StationTimes | null): boolean => times === null || times.isRough === true

/** What is known of a station's metal. What nobody said is not so: it was not washed. */
export const pastOf = (pasts: readonly PastOfStation[], stationId: string): StationPast =>
  pasts.find((past) => past.stationId === stationId) ?? UNTOUCHED

/** An order over the largest station is cooked in equal batches; the second of them has a key of its own. */
function uniqueKeys(): (batch: ProposedBatch) => string {
  const given = new Map<string, number>()
  return ({ parts }) => {
    const key = parts.map((part) => `${part.itemId}:${part.portions}`).join(' ')
    const before = given.get(key) ?? 0
    given.set(key, before + 1)
    return before === 0 ? key : `${key} #${before + 1}`
  }
}
