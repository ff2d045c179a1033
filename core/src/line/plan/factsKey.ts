import { hashOf } from '../../math/hashOf'
import type { LinePiece } from './pieces'
import type { RunInHand } from './lineInstance'
import type { LineWishes } from './wishes'

/** Runs that are late by less than this do not change the facts [ms]. */
const LATE_STEP_MS = 30_000

/** What a plan was made from, as far as every device of the kitchen knows the same of it. */
export type PlannedFrom = {
  pieces: readonly Pick<LinePiece, 'id' | 'portions' | 'item'>[]
  runs: readonly Pick<RunInHand, 'runId' | 'upMs'>[]
  stationIds: readonly string[]
  /** Stations that were washed, brushed or wiped since they were last used, with how. */
  cleaned: readonly string[]
  pairs: number
  wishes: LineWishes
}

/** A short text that is another one whenever a plan would have to be another one; of one kitchen it is the same on every device. */
export function factsKey({ pieces, runs, stationIds, cleaned, pairs, wishes }: PlannedFrom): string {
  const { house, downStations, laterStations, tickets, pins } = wishes
  const waiting = new Set(pieces.map(({ item }) => item.itemId))
  return hashOf(
    JSON.stringify([
      pieces.map(({ id, portions, item }) => [id, portions, item.promisedAtMs, item.kind]).sort(byText),
      runs.map(({ runId, upMs }) => [runId, Math.round(upMs / LATE_STEP_MS)]).sort(byText),
      [...stationIds].sort(),
      [...cleaned].sort(),
      [...downStations].sort(),
      [...laterStations].sort(byText),
      pairs,
      house,
      [...tickets].sort(byText),
      pins.filter(({ parts }) => parts.some(({ itemId }) => waiting.has(itemId))),
    ]),
  )
}

const byText = (a: readonly unknown[], b: readonly unknown[]) => (String(a[0]) < String(b[0]) ? -1 : 1)
