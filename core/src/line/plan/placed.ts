import type { Dish } from '../../book/dish'
import type { Planned } from '../planner/planOf'
import type { Begins } from '../soonerAt'
import { setUpFor, SET_UP_S, type SetUp, type Station } from '../station'
import { UNTOUCHED, type StationPast } from '../stationPast'
import { batchOf, type ProposedBatch } from '../waiting'
import type { LinePiece } from './pieces'
import type { Pin } from './wishes'

/** A batch with its station and its times. */
export type PlannedBatch = ProposedBatch & {
  stationId: string
  setUp: SetUp
  setUpStartMs: number
  startMs: number
  upMs: number
  /** Seconds after the earliest promise; negative is time in hand. */
  lateS: number
  /** What somebody fixed of it. */
  pin: Pin | null
}

type Placing<S extends Station> = {
  stations: readonly S[]
  dishes: ReadonlyMap<string, Dish>
  pieces: readonly LinePiece[]
  /** When each station is free, by its id. */
  freeAtMs: (stationId: string) => number
  pastOf: (stationId: string) => StationPast
  /** How long a batch takes at a station that stands so when it begins. */
  secondsAt: (batch: ProposedBatch, station: S, begins: Begins) => number
}

/**
 * Batches of a plan with the seconds that are known of them: the plan's own are straight lines on a grid. What takes longer moves
 * what follows at its station, and nothing begins before the plan has it.
 */
export function placedBatches<S extends Station>(plan: Planned, placing: Placing<S>): PlannedBatch[] {
  const { stations, dishes, pieces, freeAtMs, pastOf, secondsAt } = placing
  const pieceOf = new Map(pieces.map((piece) => [piece.id, piece]))
  const stationOf = new Map(stations.map((station) => [station.id, station]))
  const metal = new Map(stations.map(({ id }) => [id, { ...pastOf(id), freeAtMs: freeAtMs(id) }]))
  const batches = [...plan.batches]
    .sort((a, b) => a.start - b.start)
    .flatMap(({ station: stationId, start, parts }): PlannedBatch[] => {
      const own = parts.flatMap((id) => pieceOf.get(id) ?? [])
      const station = stationOf.get(stationId)
      const at = metal.get(stationId)
      const dish = dishes.get(own[0]?.item.dishId ?? '')
      if (!dish || !station || !at) return []
      const batch = batchOf(dish, own)
      const fried = at.lastDishId === null ? null : (dishes.get(at.lastDishId) ?? null)
      const setUp = setUpFor({ dish, allergies: batch.allergies }, at, fried)
      const setUpStartMs = Math.max(start * 1000 - SET_UP_S[setUp] * 1000, at.freeAtMs)
      const startMs = setUpStartMs + SET_UP_S[setUp] * 1000
      const upMs = startMs + secondsAt(batch, station, { past: at, setUp, startMs }) * 1000
      Object.assign(at, { ...UNTOUCHED, freeAtMs: upMs, lastDishId: dish.id, usedUntilMs: upMs })
      const lateS = Math.round((upMs - batch.promisedAtMs) / 1000)
      return [{ ...batch, stationId, setUp, setUpStartMs, startMs, upMs, lateS, pin: own[0]?.pin ?? null }]
    })
  return batches.sort(
    (a, b) => a.setUpStartMs - b.setUpStartMs || a.promisedAtMs - b.promisedAtMs || a.startMs - b.startMs,
  )
}
