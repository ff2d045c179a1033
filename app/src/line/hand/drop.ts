import type { LineWish, LineWishes, Pin } from 'core/line/plan/wishes'
import { laneX, type LaneGeometry } from '../laneGeometry'
import type { ShownBatch } from '../useLinePlan'
import { pinOf } from './wishing'

/** Dragged times are multiples of it, and less than two of them is no change of time [s]. */
const STEP_S = 15
const LEAST_S = 2 * STEP_S
/** What a ticket counts that comes first of all. */
const FIRST_WEIGHT = 3

type Place = { id: string; kind: string }

/** Where a dragged batch would be let go. */
export type Drop = {
  stationId: string
  /** How much later than planned [s]; negative is sooner, 0 the planned time. */
  laterS: number
  /** Whether the dish can be fried there. */
  isPossible: boolean
}

/** Reads a place on the plan from how far a batch was dragged [px]. */
export function dropOf(
  batch: Pick<ShownBatch, 'stationId' | 'dish'>,
  moved: { x: number; y: number },
  { geometry, stations, downIds }: { geometry: LaneGeometry; stations: readonly Place[]; downIds: readonly string[] },
): Drop {
  const from = stations.findIndex(({ id }) => id === batch.stationId)
  const lanePx = laneX(geometry, 1) - laneX(geometry, 0)
  const to = Math.max(0, Math.min(stations.length - 1, from + Math.round(moved.x / lanePx)))
  const station = stations[to]
  const laterS = Math.round(moved.y / geometry.pxPerS / STEP_S) * STEP_S
  return {
    stationId: station?.id ?? batch.stationId,
    laterS: Math.abs(laterS) < LEAST_S ? 0 : laterS,
    isPossible: station !== undefined && station.kind === batch.dish.stationKind && !downIds.includes(station.id),
  }
}

/** What dropping a batch asks of the plan, and what takes it back. */
export type Dropped = { pin: Pin; wishes: LineWish[]; undo: LineWish[] }

/**
 * A batch let go elsewhere is pinned to that station; lower down it waits until then, higher up its tickets come first of all and
 * it waits for nothing. Null where it was let go where it was, or where it cannot be fried.
 */
export function droppedBatch(
  batch: ShownBatch,
  drop: Drop,
  tickets: LineWishes['tickets'],
  newId: () => string,
): Dropped | null {
  if (!drop.isPossible || (drop.stationId === batch.stationId && drop.laterS === 0)) return null
  const before = pinOf(batch, newId)
  const stationId = drop.stationId === batch.stationId ? before.stationId : drop.stationId
  const notBeforeMs =
    drop.laterS === 0 ? before.notBeforeMs : drop.laterS > 0 ? Math.round(batch.startMs + drop.laterS * 1000) : null
  const pin: Pin = { ...before, stationId, notBeforeMs }
  const ticketIds = drop.laterS < 0 ? [...new Set(batch.parts.map(({ ticketId }) => ticketId))] : []
  const ticketWish = (ticketId: string, wish: { weight: number; notBeforeMs: number | null }): LineWish => ({
    ...{ kind: 'ticket', ticketId },
    ...wish,
  })
  return {
    pin,
    wishes: [
      { kind: 'pin', isOff: false, ...pin },
      ...ticketIds.map((id) => ticketWish(id, { weight: FIRST_WEIGHT, notBeforeMs: null })),
    ],
    undo: [
      { kind: 'pin', isOff: batch.pin === null, ...before },
      ...ticketIds.map((id) => ticketWish(id, tickets.get(id) ?? { weight: 1, notBeforeMs: null })),
    ],
  }
}

/** The tickets' wishes with those of a drop. */
export function ticketsWith(tickets: LineWishes['tickets'], wishes: readonly LineWish[]): LineWishes['tickets'] {
  const more = wishes.flatMap((wish) =>
    wish.kind === 'ticket' ? [[wish.ticketId, { weight: wish.weight, notBeforeMs: wish.notBeforeMs }] as const] : [],
  )
  return new Map([...tickets, ...more])
}
