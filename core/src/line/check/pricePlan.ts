import type { LineInstance } from '../planner/instance'
import type { Fried } from './fried'

/** What a plan costs, in points, from its batches alone, rounded to a millionth. */
export function pricePlan(instance: LineInstance, fried: readonly Fried[]): number {
  const { weights } = instance
  let points = 0
  for (const ticket of instance.tickets) {
    const own = fried.flatMap((one) =>
      one.parts.filter((part) => part.ticket === ticket).map(({ n, dish }) => ({ n, dish, readyS: one.endS })),
    )
    if (own.length === 0) continue
    const ready = own.map(({ readyS }) => readyS)
    const completeS = Math.max(...ready)
    const isTake = ticket.kind === 'take'
    const outS = isTake ? Math.max(completeS, ticket.due) : completeS
    const lateS = Math.max(0, outS - ticket.due)
    points +=
      ticket.w *
      (weights.late * lateS +
        weights.late2 * Math.max(0, lateS - weights.knee) +
        weights.flow * (outS - ticket.at) +
        weights.spread * (completeS - Math.min(...ready)))
    for (const { n, dish, readyS } of own) {
      const heldS = outS - readyS - (isTake ? instance.boxExtra : 0)
      points += n * (weights.hold * Math.max(0, heldS - dish.free) + weights.spoil * Math.max(0, heldS - dish.max))
    }
  }
  for (const { batch, hands } of fried) {
    const handsS = hands.reduce((sum, [from, to]) => sum + to - from, 0)
    points += weights.batch + (batch.wash ? weights.wash : 0) + weights.hands * handsS
  }
  for (const told of instance.told) {
    const next = fried.find(({ batch, isFrozen }) => batch.station === told.station && !isFrozen)
    const parts = new Set(next?.batch.parts ?? [])
    if (!told.parts.every((part) => parts.has(part))) points += weights.changed
    else if (parts.size > told.parts.length) points += weights.grown
  }
  return Math.round(points * 1e6) / 1e6
}
