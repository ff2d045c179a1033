import { FOOD_THERMAL } from '../heat/foodTable'
import type { Handling } from '../heat/parameters'
import { largestBatchFast } from '../heat/largestBatch'
import { sameVesselOf, type HeatStation } from '../heat/vessel'
import type { WokComponent } from './component'
import type { PartInput } from './vocabulary'

/** More parts than this nobody fries of one order. */
const MOST_LAPS = 8
/** What fries in a part besides the rice takes some of its room and heat. [C] */
const RICE_SHARE = 0.9

/**
 * In how many parts a large order is fried: the fewest of which each fries dry here, and has room. One where all of it does.
 * @throws {RangeError} when the station is outside its range
 */
export function lapsOf(
  riceG: number,
  { station, riceTempC, handling }: { station: HeatStation; riceTempC: number; handling: Handling },
): number {
  const fries = largestBatchFast({ station, riceTempC, handling })?.massG ?? 0
  const fits = sameVesselOf(station).workableM3 * FOOD_THERMAL.rice.bulkKgPerM3 * 1000
  const mostG = RICE_SHARE * Math.min(fits, fries > 0 ? fries : fits)
  return Math.min(MOST_LAPS, Math.max(1, Math.ceil(riceG / mostG)))
}

/** What each part gets its own of: the rice, and what seasons it. */
const IN_EVERY_LAP: readonly PartInput['role'][] = ['rice', 'drySeasoning', 'liquidSeasoning']

/** A component as the parts that go into each lap; what is cooked once is one part, in no lap. */
export function lappedInputs(one: PartInput, laps: number): PartInput[] {
  if (laps === 1 || one.stage !== undefined || !IN_EVERY_LAP.includes(one.role)) return [one]
  return Array.from({ length: laps }, (_, nth) => ({
    ...one,
    id: nth === 0 ? one.id : `${one.id}#${nth + 1}`,
    of: one.of ?? one.id,
    ratioG: one.ratioG / laps,
    lap: nth + 1,
  }))
}

/** What is in the vessel together: what is cooked once, and each part of the rest. All at once where there are no parts. */
export function loadsOf(components: readonly WokComponent[]): WokComponent[][] {
  const laps = [...new Set(components.map(({ lap }) => lap))]
  return laps.map((lap) => components.filter((one) => one.lap === lap))
}

/** Most that lies in the vessel at once [g]. */
export const heaviestG = (components: readonly WokComponent[]): number =>
  Math.max(0, ...loadsOf(components).map((some) => some.reduce((sum, { massG }) => sum + massG, 0)))
