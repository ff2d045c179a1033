import type { Lesson } from './lesson'

/** How far stations and dishes differ from their model before anything is known of them, as a share; and one run's noise. [C] */
const PRIOR = { station: 0.08, dish: 0.03, leastNoise: 0.03, mostNoise: 0.35, usualNoise: 0.08 } as const
/** No factor goes further than so from 1: beyond it the station wants calibrating, or somebody taps at random. */
export const FACTOR = { least: 0.8, most: 1.24, step: 0.02 } as const
/** A run further off than so many times the noise counts as one that is so far off. */
const HUBER = 1.5
const ROUNDS = 40
const STILL = 1e-6

/** A factor on the seconds that the model gives: above 1 it takes longer. */
export type Factor = { factor: number; runs: number }
export type Learned = { stations: ReadonlyMap<string, Factor>; dishes: ReadonlyMap<string, Factor> }

/** A factor that somebody froze, or lessons before an instant that somebody threw away. */
export type Held = { frozen?: number | undefined; sinceMs?: number | undefined }
export type HeldFactors = { stations: ReadonlyMap<string, Held>; dishes: ReadonlyMap<string, Held> }
const NOTHING_HELD: HeldFactors = { stations: new Map(), dishes: new Map() }

/**
 * What runs say of stations and dishes: each run's logarithm of actual over planned is a share of its station, a share of its
 * dish, and noise; both shares are shrunk towards none, so that few runs move little, and a run that is far off counts as one
 * at the edge (best linear unbiased prediction with Huber weights; the noise is taken from the runs themselves). Bounded. A
 * factor changes seconds, never a limit, a check or a hold.
 */
export function learn(lessons: readonly Lesson[], held: HeldFactors = NOTHING_HELD): Learned {
  const rows = lessons.flatMap(({ stationId, dishId, atMs, plannedS, actualS, factor }) => {
    const sinceMs = Math.max(held.stations.get(stationId)?.sinceMs ?? 0, held.dishes.get(dishId)?.sinceMs ?? 0)
    const y = Math.log((actualS / plannedS) * factor)
    return atMs >= sinceMs && Number.isFinite(y) ? [{ stationId, dishId, y, weight: 1 }] : []
  })
  const stations = sharesOf(rows, ({ stationId }) => stationId, held.stations)
  const dishes = sharesOf(rows, ({ dishId }) => dishId, held.dishes)
  let noise: number = PRIOR.usualNoise
  for (let round = 0; round < ROUNDS; round += 1) {
    const moved =
      fit(stations, PRIOR.station, noise, (row) => row.y - shareOf(dishes, row.dishId)) +
      fit(dishes, PRIOR.dish, noise, (row) => row.y - shareOf(stations, row.stationId))
    const off = rows.map(({ stationId, dishId, y }) =>
      Math.abs(y - shareOf(stations, stationId) - shareOf(dishes, dishId)),
    )
    noise = noiseOf(off)
    rows.forEach((row, i) => {
      row.weight = Math.min(1, (HUBER * noise) / Math.max(1e-12, off[i]!))
    })
    if (moved < STILL) break
  }
  return { stations: factorsOf(stations), dishes: factorsOf(dishes) }
}

type Row = { stationId: string; dishId: string; y: number; weight: number }
type Share = { value: number; isFrozen: boolean; rows: Row[] }

function sharesOf(
  rows: readonly Row[],
  idOf: (row: Row) => string,
  held: ReadonlyMap<string, Held>,
): Map<string, Share> {
  const shares = new Map<string, Share>()
  for (const [id, { frozen }] of held)
    if (frozen !== undefined) shares.set(id, { value: Math.log(frozen), isFrozen: true, rows: [] })
  for (const row of rows) {
    const share = shares.get(idOf(row)) ?? { value: 0, isFrozen: false, rows: [] }
    shares.set(idOf(row), share)
    share.rows.push(row)
  }
  return shares
}

const shareOf = (shares: ReadonlyMap<string, Share>, id: string): number => shares.get(id)?.value ?? 0

/** One round of one side, the other held; how far it moved. */
function fit(shares: ReadonlyMap<string, Share>, prior: number, noise: number, restOf: (row: Row) => number): number {
  let moved = 0
  for (const share of shares.values()) {
    if (share.isFrozen) continue
    let sum = 0
    let weights = 0
    for (const row of share.rows) {
      sum += row.weight * restOf(row)
      weights += row.weight
    }
    const value = sum / (weights + (noise / prior) ** 2)
    moved += Math.abs(value - share.value)
    share.value = value
  }
  return moved
}

/** The usual distance of a run, from the median: a few that are far off do not widen it. */
function noiseOf(off: readonly number[]): number {
  if (off.length < 5) return PRIOR.usualNoise
  const sorted = Float64Array.from(off).sort()
  const median = sorted[Math.floor(sorted.length / 2)]!
  return Math.min(PRIOR.mostNoise, Math.max(PRIOR.leastNoise, 1.4826 * median))
}

const factorsOf = (shares: ReadonlyMap<string, Share>): Map<string, Factor> =>
  new Map(
    [...shares].map(([id, { value, rows }]) => [
      id,
      { factor: Math.min(FACTOR.most, Math.max(FACTOR.least, Math.exp(value))), runs: rows.length },
    ]),
  )

/** The factor of a station and a dish together, in whole steps towards 1, so that scores do not change with every run. */
export function factorFor(station: number | undefined, dish: number | undefined): number {
  const both = Math.min(FACTOR.most, Math.max(FACTOR.least, (station ?? 1) * (dish ?? 1)))
  return 1 + Math.trunc((both - 1) / FACTOR.step + Math.sign(both - 1) * 1e-9) * FACTOR.step
}
