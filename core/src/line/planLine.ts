import type { StationKind } from '../book/dish'
import type { ProposedBatch } from './batches'
import { setUpFor, type SetUp, type StationPast } from './stationPast'

/** A station and the most portions it takes at once. */
export type Station = { id: string; kind: StationKind; capPortions: number }

/** A station and when it is free again, with what is known of its metal. */
export type StationNow = Station & StationPast & { freeAtMs: number }

/** A batch with its station and its times. */
export type PlannedBatch = ProposedBatch & {
  stationId: string
  setUp: SetUp
  setUpStartMs: number
  startMs: number
  upMs: number
  /** Seconds after the earliest promise; negative is time in hand. */
  lateS: number
}

/** Batches in order, and those that no station can take. */
export type LinePlan = { batches: PlannedBatch[]; homeless: ProposedBatch[] }

/** Set-up between batches [s]: house figures, common practice; a wash is full, with detergent, rinse and dry. */
export const SET_UP_S = { none: 0, wipe: 15, wash: 60 } as const

/**
 * Batches in the order given, each on the station that has it up first: one batch at a time a station, a wash before
 * every batch with an allergy unless it was done, a wipe between different dishes. List scheduling: no batch waits for a like one.
 * @param secondsAt how long a batch takes at a station; null where it cannot be cooked there
 */
export function planLine<S extends StationNow>(
  batches: readonly ProposedBatch[],
  stations: readonly S[],
  secondsAt: (batch: ProposedBatch, station: S) => number | null,
  nowMs: number,
): LinePlan {
  const free = new Map(stations.map((station) => [station.id, { ...station }]))
  const plan: LinePlan = { batches: [], homeless: [] }
  for (const batch of batches) {
    const places = [...free.values()]
      .flatMap((station) => {
        const lastsS = secondsAt(batch, station)
        return lastsS === null ? [] : [place(batch, station, lastsS, nowMs)]
      })
      .sort((a, b) => a.upMs - b.upMs)
    const best = places[0]
    const station = best && free.get(best.stationId)
    if (!station) {
      plan.homeless.push(batch)
      continue
    }
    plan.batches.push(best)
    station.freeAtMs = best.upMs
    Object.assign(station, { lastDishId: batch.dishId, usedUntilMs: best.upMs, washedAtMs: null })
  }
  return plan
}

function place(batch: ProposedBatch, station: StationNow, lastsS: number, nowMs: number): PlannedBatch {
  const setUp = setUpFor(batch, station)
  const setUpStartMs = Math.max(nowMs, station.freeAtMs)
  const startMs = setUpStartMs + SET_UP_S[setUp] * 1000
  const upMs = startMs + lastsS * 1000
  return {
    ...batch,
    stationId: station.id,
    setUp,
    setUpStartMs,
    startMs,
    upMs,
    lateS: Math.round((upMs - batch.promisedAtMs) / 1000),
  }
}

/** The most portions of one batch over the stations of a kind; 0 where no station takes the dish. */
export function largestCap(stations: readonly Station[], kind: StationKind): number {
  return Math.max(0, ...stations.filter((station) => station.kind === kind).map((station) => station.capPortions))
}
