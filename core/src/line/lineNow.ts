import type { Dish } from '../book/dish'
import type { MeasureTools } from '../measure/practical'
import type { CookRules } from '../safety/limits'
import { runState, type FiredRun, type RunState } from '../wok/run'
import type { RunEvent } from '../wok/runEvent'
import type { Score } from '../wok/score'
import { batchScore, type BatchScore } from './batchScore'
import { proposeBatches, type ProposedBatch } from './batches'
import { largestCap, planLine, type PlannedBatch, type Station } from './planLine'
import type { StationPast } from './stationPast'
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

/** Everything that the line is worked out from; instants in ms since 1970, UTC. */
export type LineInput<S extends Station, D extends Dish, T extends LineTicket, R extends OpenRun> = {
  stations: readonly S[]
  dishes: readonly D[]
  tickets: readonly T[]
  runs: readonly R[]
  pasts: readonly PastOfStation[]
  tools: MeasureTools
  rules: CookRules
  nowMs: number
}

/** A batch with its place, its times and its score; `key` is the same while it holds the same portions. */
export type LineBatch<S extends Station, D extends Dish> = PlannedBatch & {
  key: string
  dish: D
  score: Score
  station: S
}
/** A run at its station, with what it comes to now. */
export type LineRun<S extends Station, R extends OpenRun> = { run: R; state: RunState; station: S | undefined }

/** The line as it stands: runs that are not over, batches in their order, what no station can cook. */
export type LineNow<S extends Station, D extends Dish, R extends OpenRun> = {
  runs: LineRun<S, R>[]
  batches: LineBatch<S, D>[]
  homeless: ProposedBatch[]
  portionsWaiting: number
}

/** The line at an instant: what waits is batched, scored and placed after the runs in hand. Pure; dishes that are not in the book are passed over. */
export function lineNow<S extends Station, D extends Dish, T extends LineTicket, R extends OpenRun>(
  input: LineInput<S, D, T, R>,
): LineNow<S, D, R> {
  const { stations, dishes, tickets, pasts, nowMs } = input
  const stationOf = (id: string) => stations.find((one) => one.id === id)
  const runs = input.runs
    .map((run) => ({ run, state: runState(run, run.events, nowMs), station: stationOf(run.stationId) }))
    .filter(({ state }) => state.endedMs === null)
  const byId = new Map(dishes.map((dish) => [dish.id, dish]))
  const waiting = waitingItems(withoutFired(tickets, runs)).filter((item) => byId.has(item.dishId))
  const kindOf = (dishId: string) => byId.get(dishId)?.stationKind ?? 'wok'
  const proposed = proposeBatches(
    waiting.filter((item) => largestCap(stations, kindOf(item.dishId)) > 0),
    byId,
    (dish) => largestCap(stations, dish.stationKind),
  )
  const scores = scoresOf(proposed, byId, input)
  const now = stations.map((station) => {
    const at = runs.find((one) => one.run.stationId === station.id)
    const past = pastOf(pasts, station.id)
    return at
      ? { ...station, ...past, freeAtMs: at.state.upMs, usedUntilMs: at.state.upMs, lastDishId: at.run.dishId }
      : { ...station, ...past, freeAtMs: nowMs }
  })
  const cookable = proposed.filter((batch) => scores.has(batch))
  const plan = planLine(cookable, now, kindOf, (batch) => scores.get(batch)?.totalS ?? 0, nowMs)
  const keyOf = uniqueKeys()
  const batches = plan.batches.flatMap((batch): LineBatch<S, D>[] => {
    const dish = byId.get(batch.dishId)
    const source = cookable.find((one) => one.parts === batch.parts)
    const score = source && scores.get(source)
    const station = stationOf(batch.stationId)
    return dish && score && station ? [{ ...batch, key: keyOf(batch), dish, score, station }] : []
  })
  return {
    runs,
    batches,
    homeless: [...plan.homeless, ...proposed.filter((batch) => !scores.has(batch))],
    portionsWaiting: waiting.reduce((sum, item) => sum + item.portions, 0),
  }
}

/** What is known of a station's metal. What nobody said is not so: it was not washed. */
export const pastOf = (pasts: readonly PastOfStation[], stationId: string): StationPast =>
  pasts.find((past) => past.stationId === stationId) ?? { lastDishId: null, usedUntilMs: null, washedAtMs: null }

/** Scores of batches; those that are alike but for their tickets share one. */
function scoresOf(
  batches: readonly ProposedBatch[],
  dishes: ReadonlyMap<string, Dish>,
  { tools, rules }: { tools: MeasureTools; rules: CookRules },
): Map<ProposedBatch, Score> {
  const known = new Map<string, BatchScore>()
  const scoreOf = (dish: Dish, { modifiers, allergies, parts }: ProposedBatch) => {
    const input = {
      modifiers,
      allergies,
      parts: parts.map(({ portions, modifiers: own }) => ({ portions, modifiers: own })),
    }
    const key = JSON.stringify([dish.id, input])
    const result = known.get(key) ?? batchScore(dish, input, tools, rules)
    known.set(key, result)
    return result
  }
  return new Map(
    batches.flatMap((batch) => {
      const dish = dishes.get(batch.dishId)
      const result = dish && scoreOf(dish, batch)
      return result?.kind === 'score' ? [[batch, result.score] as const] : []
    }),
  )
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
