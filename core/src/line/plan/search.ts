import type { LineInstance } from '../planner/instance'
import { planList, type PlannedList } from '../planner/planInstance'
import { placedList, type WantedBatch } from '../planner/placeList'

/** So many pieces that were not told are each put where they cost least; for more, all is dispatched anew. */
const MOST_PUT = 8

/**
 * A plan at once: the order that was told as it stands, with what is new in it where it costs least. Without one, or where most is
 * new, the best of the textbooks' rules.
 */
export function firstPlan(
  instance: LineInstance,
  wanted: readonly WantedBatch[],
): PlannedList & {
  /** Whether the order named everything. */
  isWhole: boolean
} {
  const named = new Set(wanted.flatMap(({ parts }) => parts))
  const fresh = instance.tickets
    .flatMap(({ items }) => items)
    .filter(({ id }) => !named.has(id) && !instance.frozen.some(({ parts }) => parts.includes(id))).length
  const placed = fresh <= MOST_PUT ? placedList(instance, wanted, 'cheapest') : planList(instance, { evaluations: 0 })
  return { ...placed, isWhole: fresh === 0 }
}

/**
 * The best plan that was found: the same seed and evaluations, the same plan. Around what was told, where something was; else anew,
 * since a first plan of the textbooks is a valley of its own.
 */
export function searchedPlan(
  instance: LineInstance,
  told: readonly WantedBatch[] | null,
  options: { seed?: number; evaluations?: number } = {},
): { list: WantedBatch[]; objective: number; lateTickets: number } {
  const { plan, list } = planList(instance, told === null ? options : { ...options, start: told })
  return { list, objective: plan.objective, lateTickets: plan.lateTickets }
}
