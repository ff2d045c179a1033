import { allergenListOf } from '../../book/allergens'
import type { Dish } from '../../book/dish'
import type { CookRules } from '../../safety/limits'
import { friedPlan } from '../check/checkPlan'
import { lineInstance } from '../plan/lineInstance'
import { UNTOUCHED } from '../stationPast'
import { linePieces } from '../plan/pieces'
import { compareItems, takenAt } from '../plan/sortWaiting'
import { MOST_PAIRS, NO_WISHES } from '../plan/wishes'
import type { LineInstance } from '../planner/instance'
import { planList } from '../planner/planInstance'
import type { WantedBatch } from '../planner/placeList'
import type { Station } from '../station'
import type { StationTimes } from '../stationTimes'
import type { WaitingItem } from '../waiting'
import type { Evening } from './evening'
import { onlineEvening } from './onlineEvening'

/** What is asked of an evening: how the plan would have had it as it was, with one more pair of hands, or with one more of a station. */
export type EveningChange = { kind: 'asItWas' } | { kind: 'hands' } | { kind: 'station'; stationId: string }

/** How an evening would have gone: tickets late, seconds late in all, and its batches. Estimates. */
export type EveningPlan = {
  lateTickets: number
  lateS: number
  batches: { stationId: string; dishId: string; portions: number; startMs: number; upMs: number }[]
}

/** What an evening is planned with again: plain, so that a worker can be given it. */
export type EveningFacts = {
  stations: readonly Station[]
  dishes: readonly Dish[]
  /** How long each dish takes at each station; a pair that is not among them is not fried there. */
  times: readonly { dishId: string; stationId: string; times: StationTimes | null }[]
  rules: CookRules
  /** Pairs of hands there were. */
  pairs: number
}

/** Less than this nobody notices [s]. */
const NOTICED_S = 60
/** Plans tried at each ticket: an evening is replayed in about a second. */
const EVALUATIONS = 600
/** Ends the name of a station that was not there. */
const ONE_MORE = ' +1'

/**
 * An evening as an instance of the planner, with every ticket from when it came in. What no station of today cooks is left out;
 * null where nothing is left.
 */
export function eveningInstance(evening: Evening, facts: EveningFacts, change: EveningChange): LineInstance | null {
  const { stations, rules } = facts
  const dishes = new Map(facts.dishes.map((dish) => [dish.id, dish]))
  const timeOf = new Map(facts.times.map(({ dishId, stationId, times }) => [`${dishId} ${stationId}`, times]))
  const timesOf = (dish: Dish, station: Station) => timeOf.get(`${dish.id} ${station.id}`) ?? null
  const items = evening.tickets
    .flatMap(waitingOf)
    .filter(({ dishId }) => dishes.has(dishId))
    .sort(compareItems)
  const takes = takenAt(stations, { timesOf }, NO_WISHES)
  const mostOf = (item: WaitingItem) =>
    Math.max(0, ...takes(dishes.get(item.dishId)!).map(({ mostPortions }) => mostPortions))
  const pieces = linePieces(
    items.filter((item) => mostOf(item) > 0),
    [],
    mostOf,
  )
  if (pieces.length === 0) return null
  const placed = pieces.map(({ item }) => item.placedAtMs)
  const made = lineInstance(
    {
      ...{ stations, dishes, pieces, timesOf, runs: [], heads: new Map(), wishes: NO_WISHES },
      pastOf: () => UNTOUCHED,
      list: allergenListOf(rules.ruleSet),
      pairs: Math.min(MOST_PAIRS, facts.pairs + (change.kind === 'hands' ? 1 : 0)),
      nowMs: Math.max(...placed),
    },
    [],
  )
  const onGrid = (ms: number) => Math.ceil(ms / 1000 / made.grid) * made.grid
  const now = Math.floor(Math.min(...placed) / 1000 / made.grid) * made.grid
  const endMs = Math.max(...placed, ...evening.runs.map(({ endedAtMs }) => endedAtMs))
  const begun = made.stations.map((station) => ({
    ...station,
    from: now,
    down: evening.downs
      .filter(({ stationId }) => stationId === station.id)
      .map(({ fromMs, toMs }) => [Math.max(now, onGrid(fromMs)), onGrid(toMs ?? endMs)] as const)
      .filter(([fromS, toS]) => toS > fromS),
  }))
  const more = change.kind === 'station' ? begun.filter(({ id }) => id === change.stationId) : []
  return {
    ...made,
    now,
    stations: [...begun, ...more.map((station) => ({ ...station, id: `${station.id}${ONE_MORE}`, down: [] }))],
  }
}

const waitingOf = ({ id, number, kind, placedAtMs, promisedAtMs, items }: Evening['tickets'][number]): WaitingItem[] =>
  items.map(({ id: itemId, ...item }) => ({
    ...item,
    itemId,
    ticketId: id,
    ticketNumber: number,
    ...{ kind, placedAtMs, promisedAtMs },
  }))

/** Plans an evening again as it came, ticket by ticket, knowing no more than was known. Null where nothing of it can be planned. */
export function eveningAgain(
  evening: Evening,
  facts: EveningFacts,
  change: EveningChange,
  evaluations = EVALUATIONS,
): EveningPlan | null {
  const instance = eveningInstance(evening, facts, change)
  if (!instance) return null
  let told: WantedBatch[] = []
  const { batches } = onlineEvening(instance, (known) => {
    const { plan, list } = planList(known, { evaluations, start: told })
    told = list
    return plan.batches
  })
  const fried = friedPlan(instance, { instance: instance.id, gone: [], batches })
  const upS = new Map<string, number>()
  for (const { endS, parts } of fried)
    for (const { ticket } of parts) upS.set(ticket.id, Math.max(endS, upS.get(ticket.id) ?? 0))
  const lates = instance.tickets.flatMap(({ id, due }) => {
    const lateS = (upS.get(id) ?? 0) - due
    return lateS < NOTICED_S ? [] : [lateS]
  })
  return {
    lateTickets: lates.length,
    lateS: Math.round(lates.reduce((sum, lateS) => sum + lateS, 0)),
    batches: fried.map(({ batch, dish, parts, endS }) => ({
      stationId: batch.station,
      dishId: dish.id,
      portions: parts.reduce((sum, { n }) => sum + n, 0),
      startMs: batch.start * 1000,
      upMs: endS * 1000,
    })),
  }
}

/** The changes worth asking of an evening: one more pair of hands, and one more of each station that had most to do of its kind. */
export function changesFor(
  evening: Pick<Evening, 'runs'>,
  stations: readonly Station[],
  pairs: number,
): EveningChange[] {
  const busyMs = (id: string) =>
    evening.runs
      .filter(({ stationId }) => stationId === id)
      .reduce((sum, { firedAtMs, endedAtMs }) => sum + endedAtMs - firedAtMs, 0)
  const kinds = [...new Set(stations.map(({ kind }) => kind))]
  const busiest = kinds.flatMap((kind) => {
    const [first] = stations.filter((one) => one.kind === kind).sort((a, b) => busyMs(b.id) - busyMs(a.id))
    return first && busyMs(first.id) > 0 ? [{ kind: 'station' as const, stationId: first.id }] : []
  })
  return [{ kind: 'asItWas' }, ...(pairs < MOST_PAIRS ? [{ kind: 'hands' as const }] : []), ...busiest]
}
