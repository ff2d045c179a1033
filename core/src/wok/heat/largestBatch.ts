import { advance, type Method } from './advance'
import { handlingOfLoad } from './handlingOfLoad'
import { emptyPan, heapC, metalC, putIn } from './pan'
import { FOOD_THERMAL } from './foodTable'
import { HOT_C, LEAST_METAL_C, type Handling } from './parameters'
import { preheat } from './preheat'
import { vesselOf, type HeatStation, type Vessel } from './vessel'

export type BatchQuestion = {
  station: HeatStation
  riceTempC: number
  handling: Handling
  /** Water by mass in the rice; 0.62 is chilled for a day. */
  riceWaterFraction?: number | undefined
}
/** What a batch of one more gram would break: the metal falls too far, it takes too long, or it falls out. */
export type BatchLimit = 'dip' | 'time' | 'volume'
export type LargestBatch = { massG: number; limit: BatchLimit }

/** Rice must be hot within this time; common practice. */
export const MOST_HEATING_S = 180
/** Oil that goes in with the rice [g/kg]; the metal it goes on, if its ceiling allows [°C]. */
export const OIL_G_PER_KG = 25
export const START_C = 230

/** Smallest batch that is looked at [g], and how near the answer is to the limit [g]. */
const LEAST_G = 20
const WITHIN_G = 1

/**
 * Most rice [g] that a station heats to 74 °C in three minutes while the metal stays above 140 °C and the vessel can be
 * worked; null if even 20 g do not. Bisection on runs of the model: within 1 g of the model's own limit.
 * @throws {RangeError} when the station or the rice is outside its range
 */
export function largestBatch(question: BatchQuestion): LargestBatch | null {
  return search(question, { method: 'heun', stepS: 1, endsAtDip: true })
}

/** The same by steps of several seconds: for tables of many; the error is measured in the benchmark. */
export function largestBatchFast(question: BatchQuestion): LargestBatch | null {
  return search(question, { method: 'heun', stepS: 4, endsAtDip: true })
}

/** Most rice [g] by each limit alone; null where even 20 g break it, or where all that fits keeps it. */
export type BatchLimits = { dipG: number | null; timeG: number | null; volumeG: number }

/** What each limit alone would allow, for a drawing of the vessel. Bisection, as in `largestBatch`. */
export function batchLimits(question: BatchQuestion): BatchLimits {
  const vessel = vesselOf(question.station)
  const warm = warmed(vessel)
  const volumeG = vessel.workableM3 * FOOD_THERMAL.rice.bulkKgPerM3 * 1000
  const by = { method: 'heun', stepS: 1, endsAtDip: false } as const
  const most = (limit: 'dip' | 'time') => {
    const breaks = (massG: number) => limitsBroken(vessel, warm, question, massG, by)[limit]
    if (breaks(LEAST_G) || !breaks(volumeG)) return null
    let goodG = LEAST_G
    let badG = volumeG
    while (badG - goodG > WITHIN_G) {
      const midG = (goodG + badG) / 2
      if (breaks(midG)) badG = midG
      else goodG = midG
    }
    return goodG
  }
  return { dipG: most('dip'), timeG: most('time'), volumeG }
}

const warmed = (vessel: Vessel) => preheat(vessel, Math.min(START_C, vessel.holdC - 1))

function search(question: BatchQuestion, by: Steps): LargestBatch | null {
  const vessel = vesselOf(question.station)
  const warm = warmed(vessel)
  const breaks = (massG: number) => limitBroken(vessel, warm, question, massG, by)
  const volumeG = vessel.workableM3 * FOOD_THERMAL.rice.bulkKgPerM3 * 1000
  if (breaks(LEAST_G) !== null) return null
  if (breaks(volumeG) === null) return { massG: volumeG, limit: 'volume' }
  let goodG = LEAST_G
  let badG = volumeG
  let limit: BatchLimit = 'time'
  while (badG - goodG > WITHIN_G) {
    const midG = (goodG + badG) / 2
    const broken = breaks(midG)
    if (broken === null) goodG = midG
    else {
      badG = midG
      limit = broken
    }
  }
  return { massG: goodG, limit }
}

/** Which limit a batch of this mass breaks first; null if none. */
function limitBroken(...asked: Parameters<typeof limitsBroken>): 'dip' | 'time' | null {
  const { dip, time } = limitsBroken(...asked)
  if (dip) return 'dip'
  return time ? 'time' : null
}

type Steps = { method: Method; stepS: number; endsAtDip: boolean }

/** Which limits a batch of this mass breaks. A run that ends at the dip says nothing of the time. */
function limitsBroken(
  vessel: Vessel,
  warm: { metalC: number; rimC: number },
  { station, riceTempC, handling, riceWaterFraction }: BatchQuestion,
  massG: number,
  { method, stepS, endsAtDip }: Steps,
): { dip: boolean; time: boolean } {
  const moved = handlingOfLoad(handling, station, massG)
  const pan = emptyPan(vessel, warm.metalC, warm.rimC, (OIL_G_PER_KG * massG) / 1000, moved)
  putIn(pan, { food: 'rice', massG, tempC: riceTempC, waterFraction: riceWaterFraction })
  const leastC = Math.min(LEAST_METAL_C, warm.metalC)
  let dip = false
  for (let atS = 0; atS < MOST_HEATING_S && (heapC(pan) ?? 0) < HOT_C; atS += stepS) {
    advance(pan, Math.min(MOST_HEATING_S, atS + stepS), stepS, method)
    dip ||= metalC(pan) < leastC
    if (dip && endsAtDip) break
  }
  return { dip, time: (heapC(pan) ?? 0) < HOT_C }
}
