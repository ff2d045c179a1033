import type { Dish } from '../book/dish'
import type { BatchInput } from '../book/batchComponents'
import { totalMassG } from '../book/scale'
import type { CookRules } from '../safety/limits'
import { runState, type FiredRun, type RunState } from '../wok/run'
import type { RunEvent } from '../wok/runEvent'
import type { Score } from '../wok/score'
import { orderedBatch, type BatchScore, type OrderedBatch } from './batchScore'
import { proposeBatches, type ProposedBatch } from './batches'
import { planLine, type PlannedBatch, type Station } from './planLine'
import type { StationPast } from './stationPast'
import type { StationTimes } from './stationTimes'
import { waitingItems, type OpenTicket } from './waiting'

/** A run that was fired at a station for portions of ticket lines, with everything said of it since. */
export type OpenRun = FiredRun & {
  stationId: string
  dishId: string
  parts: readonly { itemId: string; portions: number }[]
  events: readonly RunEvent[]
}
/** A ticket as the line needs it: what is done of each of its lines besides what is fired. */
export type LineTicket = Omit<OpenTicket, 'items'> & {
  items: readonly (OpenTicket['items'][number] & { donePortions: number })[]
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
}
/** A run at its station, with what it comes to now. */
export type LineRun<S extends Station, R extends OpenRun> = { run: R; state: RunState; station: S | undefined }

/** The line as it stands: runs that are not over, batches in their order, what no station can cook. */
export type LineNow<S extends Station, D extends Dish, R extends OpenRun> = {
  runs: LineRun<S, R>[]
  batches: LineBatch<S, D>[]
  homeless: ProposedBatch[]
  /** Batches whose time is not known at any station yet: neither placed nor without a home. */
  pending: ProposedBatch[]
  portionsWaiting: number
  /** What has to be worked out for this line to be whole, most urgent first. */
  unknown: { times: { dish: D; station: S }[]; scores: { dish: D; batch: BatchInput; station: S }[] }
}

/** So many batches, the first to start, have a score of their own; the others are planned by the times of their dish. */
const SCORED = 12

/** The line at an instant: what waits is batched, timed and placed after the runs in hand. Pure; dishes that are not in the book are passed over. */
export function lineNow<S extends Station, D extends Dish, T extends LineTicket, R extends OpenRun>(
  input: LineInput<S, D, T, R>,
): LineNow<S, D, R> {
  const { stations, dishes, tickets, pasts, known, nowMs } = input
  const stationOf = (id: string) => stations.find((one) => one.id === id)
  const runs = input.runs
    .map((run) => ({ run, state: runState(run, run.events, nowMs), station: stationOf(run.stationId) }))
    .filter(({ state }) => state.endedMs === null)
  const byId = new Map(dishes.map((dish) => [dish.id, dish]))
  const waiting = waitingItems(withoutFired(tickets, runs)).filter((item) => byId.has(item.dishId))
  const takes = takenAt(stations, known)
  const proposed = proposeBatches(waiting, byId, (dish) =>
    Math.max(1, ...takes(dish as D).map(({ mostPortions }) => mostPortions)),
  )
  const order = ordersOf(input.rules)
  const dishOf = (batch: ProposedBatch) => byId.get(batch.dishId)!
  const now = stations.map((station) => {
    const at = runs.find((one) => one.run.stationId === station.id)
    const past = pastOf(pasts, station.id)
    return at
      ? { ...station, ...past, freeAtMs: at.state.upMs, usedUntilMs: at.state.upMs, lastDishId: at.run.dishId }
      : { ...station, ...past, freeAtMs: nowMs }
  })
  const secondsAt = (batch: ProposedBatch, { id }: { id: string }): number | null => {
    const station = stationOf(id)
    if (!station || station.kind !== dishOf(batch).stationKind) return null
    const answer = known.scoreOf(dishOf(batch), batchInputOf(batch), station)
    if (answer) return answer.kind === 'score' ? answer.score.totalS : null
    return known.timesOf(dishOf(batch), station)?.seconds[batch.portions - 1] ?? null
  }
  const cookable = proposed.filter((batch) => order(dishOf(batch), batch).kind === 'batch')
  const plan = planLine(cookable, now, secondsAt, nowMs)
  const keyOf = uniqueKeys()
  const batches = plan.batches.flatMap((batch): LineBatch<S, D>[] => {
    const dish = dishOf(batch)
    const station = stationOf(batch.stationId)
    const ordered = order(dish, batch)
    if (!station || ordered.kind !== 'batch') return []
    const { riceMassG, components } = ordered.batch
    const answer = known.scoreOf(dish, batchInputOf(batch), station)
    const score = answer?.kind === 'score' ? answer.score : null
    return [{ ...batch, key: keyOf(batch), dish, station, riceMassG, batchMassG: totalMassG(components), score }]
  })
  const isCookable = new Set(cookable)
  const mayStillFit = (batch: ProposedBatch) =>
    isCookable.has(batch) && takes(dishOf(batch)).some(({ isKnown }) => !isKnown)
  const unplaced = [...plan.homeless, ...proposed.filter((batch) => !isCookable.has(batch))]
  return {
    runs,
    batches,
    homeless: unplaced.filter((batch) => !mayStillFit(batch)),
    pending: unplaced.filter(mayStillFit),
    portionsWaiting: waiting.reduce((sum, item) => sum + item.portions, 0),
    unknown: unknownOf(batches, new Set(cookable.map(dishOf)), stations, known),
  }
}

/** How many portions of a dish each station takes: what its heat can fry under the wish of the house; the wish until that is known. */
function takenAt<S extends Station, D extends Dish>(stations: readonly S[], { timesOf }: WorkedOut<S, D>) {
  const byDish = new Map<D, { isKnown: boolean; mostPortions: number }[]>()
  return (dish: D) => {
    const before = byDish.get(dish)
    if (before) return before
    const taken = stations
      .filter(({ kind }) => kind === dish.stationKind)
      .map((station) => {
        const times = timesOf(dish, station)
        return { isKnown: times !== null, mostPortions: times ? times.seconds.length : station.capPortions }
      })
    byDish.set(dish, taken)
    return taken
  }
}

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

/** What a batch is cooked by, whoever it is for. */
export const batchInputOf = ({
  modifiers,
  allergies,
  parts,
}: Pick<ProposedBatch, 'modifiers' | 'allergies'> & {
  parts: readonly { portions: number; modifiers: readonly string[] }[]
}): BatchInput => ({
  modifiers,
  allergies,
  parts: parts.map(({ portions, modifiers: own }) => ({ portions, modifiers: own })),
})

/** What is known of a station's metal. What nobody said is not so: it was not washed. */
export const pastOf = (pasts: readonly PastOfStation[], stationId: string): StationPast =>
  pasts.find((past) => past.stationId === stationId) ?? { lastDishId: null, usedUntilMs: null, washedAtMs: null }

/** What batches take of everything; those that are alike but for their tickets share one. */
function ordersOf(rules: CookRules) {
  const known = new Map<string, OrderedBatch>()
  return (dish: Dish, batch: ProposedBatch): OrderedBatch => {
    const input = batchInputOf(batch)
    const key = JSON.stringify([dish.id, input])
    const result = known.get(key) ?? orderedBatch(dish, input, rules)
    known.set(key, result)
    return result
  }
}

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

/** Takes out what was fired here and the kitchen does not know yet. */
function withoutFired<T extends LineTicket>(tickets: readonly T[], runs: readonly { run: OpenRun }[]): LineTicket[] {
  return tickets.map((ticket) => ({
    ...ticket,
    items: ticket.items.map((item) => {
      const here = runs.flatMap(({ run }) => run.parts.filter((part) => part.itemId === item.id))
      const firedHere = here.reduce((sum, part) => sum + part.portions, 0)
      return { ...item, firedPortions: Math.max(item.firedPortions, item.donePortions + firedHere) }
    }),
  }))
}
