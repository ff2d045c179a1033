import type { Allergen } from '../../book/ingredient'
import type { TicketKind } from '../waiting'

/** A ticket of an evening that is over; cancelled ones are not in it. Instants in ms since 1970. */
export type PastTicket = {
  id: string
  number: number
  kind: TicketKind
  placedAtMs: number
  promisedAtMs: number
  /** Null where nobody said that it was handed over. */
  handedOverAtMs: number | null
  items: readonly {
    id: string
    dishId: string
    portions: number
    modifiers: readonly string[]
    allergies: readonly Allergen[]
  }[]
}

/** A run of an evening, as far as its times go. */
export type PastRun = {
  id: string
  stationId: string
  dishId: string
  parts: readonly { itemId: string; portions: number }[]
  firedAtMs: number
  endedAtMs: number
  /** What its score took when it was fired [s]. */
  plannedS: number
  isStopped: boolean
  /** Where the order that the cooks had been told last had its first part; null where it was in none. */
  toldStationId: string | null
}

/** A stretch in which a station was down; null has not ended. */
export type PastDown = { stationId: string; fromMs: number; toMs: number | null }

/** An evening of the line: its tickets, its runs, and what was decided of stations and hands. */
export type Evening = {
  tickets: readonly PastTicket[]
  runs: readonly PastRun[]
  downs: readonly PastDown[]
  /** Pairs of hands that were said last; null where nobody said. */
  pairs: number | null
}

/** What was said of stations, in its order, as stretches in which they were down; one with an end said before is over by itself. */
export function downsOf(
  said: readonly { stationId: string; isDown: boolean; backAtMs?: number | null | undefined; atMs: number }[],
): PastDown[] {
  const downs: PastDown[] = []
  const open = new Map<string, { stationId: string; fromMs: number; toMs: number | null }>()
  for (const { stationId, isDown, backAtMs = null, atMs } of said) {
    const before = open.get(stationId)
    const isOver = before !== undefined && before.toMs !== null && before.toMs <= atMs
    if (isDown && before && !isOver) before.toMs = backAtMs
    else if (isDown) {
      const down = { stationId, fromMs: atMs, toMs: backAtMs }
      open.set(stationId, down)
      downs.push(down)
    }
    if (!isDown && before) {
      if (!isOver) before.toMs = atMs
      open.delete(stationId)
    }
  }
  return downs
}
