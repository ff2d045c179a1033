import { fry, type Fried } from './fry'
import { FOOD_THERMAL } from './foodTable'
import { batchLimits, largestBatch, OIL_G_PER_KG, START_C, type BatchLimits, type LargestBatch } from './largestBatch'
import { handlingOfLoad } from './handlingOfLoad'
import type { Handling } from './parameters'
import { halfWidthM, heightM, vesselOf, type HeatStation } from './vessel'

/** A load in the vessel for four minutes: how far the metal falls, and when the batch is hot and dry. */
export type Recovery = Pick<Fried, 'lowestMetalC' | 'timeTo74S' | 'fryingS' | 'doneS'> & {
  massG: number
  metal: { timeS: number; tempC: number }[]
}
/** What a station does with rice: the largest batch, how sure that is, what limits it, and how loads recover. */
export type StationFigures = {
  largest: LargestBatch | null
  /** The largest batch if as little, or as much, of the flame reached the metal as its doubt allows [g]. */
  leastG: number | null
  mostG: number | null
  limits: BatchLimits
  recoveries: Recovery[]
  /** The vessel cut through the middle: half its width at heights from the bottom to the rim [m]. */
  outline: { halfWidthM: number; heightM: number }[]
  /** How high a mass of rice stands [m], for each limit and the largest batch. */
  heights: { largestM: number | null; dipM: number | null; timeM: number | null; volumeM: number; rimM: number }
}

/** Loads that are shown, against the largest batch: what is too much where that fits, else what is less. */
const LOADS = { over: [1, 1.5, 2.25], under: [0.45, 0.7, 1] } as const
const SHOWN_S = 240
const EVERY_S = 4
const OUTLINE_POINTS = 24
/** Where even 20 g are too much, this is shown [g]. */
const TOO_MUCH_G = 200

/**
 * All that a screen shows of a station. `efficiencyError` is one standard deviation against the efficiency.
 * @throws {RangeError} when the station is outside its range
 */
export function stationFigures(
  station: HeatStation,
  { riceTempC, handling, efficiencyError }: { riceTempC: number; handling: Handling; efficiencyError: number },
): StationFigures {
  const vessel = vesselOf(station)
  const question = { riceTempC, handling }
  const largest = largestBatch({ station, ...question })
  const at = (factor: number) =>
    largestBatch({ station: { ...station, efficiency: Math.min(1, station.efficiency * factor) }, ...question })
      ?.massG ?? null
  const limits = batchLimits({ station, ...question })
  const highM = (massG: number | null) =>
    massG === null ? null : heightM(vessel, massG / 1000 / FOOD_THERMAL.rice.bulkKgPerM3)
  const rimM = heightM(vessel, vessel.volumeM3)
  const startMetalC = Math.min(START_C, station.holdC - 1)
  const baseG = largest?.massG ?? TOO_MUCH_G
  return {
    largest,
    leastG: at(1 - efficiencyError),
    mostG: at(1 + efficiencyError),
    limits,
    recoveries: (baseG * LOADS.over[2] <= limits.volumeG ? LOADS.over : LOADS.under).map((factor) =>
      recovery(station, baseG * factor, { riceTempC, handling, startMetalC }),
    ),
    outline: Array.from({ length: OUTLINE_POINTS + 1 }, (_, i) => {
      const atM = (i / OUTLINE_POINTS) ** 2 * rimM
      return { heightM: atM, halfWidthM: halfWidthM(vessel, atM) }
    }),
    heights: {
      largestM: highM(largest?.massG ?? null),
      dipM: highM(limits.dipG),
      timeM: highM(limits.timeG),
      volumeM: highM(limits.volumeG) ?? 0,
      rimM,
    },
  }
}

function recovery(
  station: HeatStation,
  massG: number,
  { riceTempC, handling, startMetalC }: { riceTempC: number; handling: Handling; startMetalC: number },
): Recovery {
  const fried = fry({
    station,
    startMetalC,
    oilG: (massG * OIL_G_PER_KG) / 1000,
    components: [{ food: 'rice', massG, tempC: riceTempC, atS: 0 }],
    handling: handlingOfLoad(handling, station, massG),
    durationS: SHOWN_S,
  })
  const { lowestMetalC, timeTo74S, fryingS, doneS } = fried
  return {
    massG,
    lowestMetalC,
    timeTo74S,
    fryingS,
    doneS,
    metal: fried.metal.filter(({ timeS }) => timeS % EVERY_S === 0),
  }
}
