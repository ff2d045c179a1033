import { checkPlan } from '../check/checkPlan'
import type { FrozenBatch, LineBatch, LineInstance, ToldBatch } from '../planner/instance'

/** How an evening went that was planned again whenever a ticket came in. */
export type OnlineEvening = {
  /** Points of what was fried, told prices left out. */
  points: number
  replans: number
  /** Replans after which a station's cook had to be told of another batch than the one that was shown as next. */
  toldChanged: number
  batches: readonly LineBatch[]
  /** What the checker has against the evening as it was fried. */
  errors: readonly unknown[]
}

/** Plans what is known: batches, those that are frozen among them. */
export type Replan = (known: LineInstance) => readonly LineBatch[]

/**
 * An evening as it comes: at each arrival the tickets so far are planned, what had begun by the next one stays as it is, and what each
 * station was shown as next has its price. Instance times in seconds.
 */
export function onlineEvening(evening: LineInstance, replan: Replan): OnlineEvening {
  const arrivals = [...new Set(evening.tickets.map(({ at }) => at))].sort((a, b) => a - b)
  let batches: readonly LineBatch[] = []
  let frozen: FrozenBatch[] = []
  let toldChanged = 0
  for (const nowS of arrivals) {
    frozen = batches.filter((batch) => hasBegun(evening, batch, nowS)).map(frozenOf)
    const told = nextOf(batches, frozen)
    const tickets = evening.tickets.filter(({ at }) => at <= nowS)
    const now = Math.ceil(nowS / evening.grid) * evening.grid
    batches = replan({ ...evening, now, tickets, frozen, told })
    const after = nextOf(batches, frozen)
    const isSame = ({ station, parts }: ToldBatch) => {
      const next = after.find((one) => one.station === station)?.parts ?? []
      return parts.every((part) => next.includes(part))
    }
    if (!told.every(isSame)) toldChanged += 1
  }
  const plan = { instance: evening.id, gone: [], batches }
  const { objective, errors } = checkPlan({ ...evening, now: 0, frozen: [], told: [] }, plan)
  return { points: objective ?? Infinity, replans: arrivals.length, toldChanged, batches, errors }
}

/** Its set-up, at the longest, has begun. */
function hasBegun({ stations, setup }: LineInstance, { station, start, wash }: LineBatch, nowS: number): boolean {
  const kind = stations.find(({ id }) => id === station)?.kind ?? ''
  const times = setup[kind]
  return start - (wash ? (times?.wash ?? 0) : (times?.other ?? 0)) < nowS
}

const frozenOf = ({ station, start, wash, parts }: LineBatch): FrozenBatch => ({ station, start, wash, parts })

/** The first batch of each station that is not frozen. */
function nextOf(batches: readonly LineBatch[], frozen: readonly FrozenBatch[]): ToldBatch[] {
  const isFrozen = (batch: LineBatch) =>
    frozen.some(
      (one) => one.station === batch.station && one.start === batch.start && one.parts.join() === batch.parts.join(),
    )
  const next = new Map<string, ToldBatch>()
  for (const batch of [...batches].sort((a, b) => a.start - b.start))
    if (!isFrozen(batch) && !next.has(batch.station))
      next.set(batch.station, { station: batch.station, parts: batch.parts })
  return [...next.values()]
}
