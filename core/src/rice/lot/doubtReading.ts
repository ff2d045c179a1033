import { celsiusOf } from '../../measure/temperature'
import { usualAirTempC } from '../cooling/coolingPlace'
import type { Doubt } from './lotEvent'
import type { LotState } from './lotState'

/** A reading, and what it is held against. */
export type ReadingInput = {
  tempC: number
  /** What was read, where the thermometer speaks °F: then it cannot have been mistaken for °C. */
  tempF: number | null
  atMs: number
  /** The last reading that counts, and the coldest thing around the tray [°C]. */
  last: { tempC: number; atMs: number } | null
  coldestC: number
  /** What the model expects now, where it is known. */
  expectedC: number | null
  isOut: boolean
}
/** Why a reading is doubted, and what it may have meant [°C]. */
export type DoubtedReading = { doubt: Doubt; meantC: number | null }

const HOTTEST_C = 101
const CLOSE_K = 6
const FAR_K = 15
/** No tray of ours has cooled faster in its middle [K/min], and a probe may sit a little off. */
const FASTEST_K_PER_MIN = 4
const PROBE_SLACK_K = 3
const BELOW_SURROUNDINGS_K = 2
const MAX_RISE_K = 8

/** What is odd about a reading, so that it is asked about before it counts; null where nothing is. */
export function doubtReading({
  tempC,
  tempF,
  atMs,
  last,
  coldestC,
  expectedC,
  isOut,
}: ReadingInput): DoubtedReading | null {
  const meantC = celsiusOf(tempC)
  const nearby = expectedC ?? last?.tempC ?? null
  if (tempC > HOTTEST_C) return { doubt: 'unit', meantC: tempF === null && meantC <= HOTTEST_C ? meantC : null }
  if (tempF === null && nearby !== null && Math.abs(meantC - nearby) < CLOSE_K && tempC - nearby > FAR_K)
    return { doubt: 'unit', meantC }
  if (tempC < coldestC - BELOW_SURROUNDINGS_K) return { doubt: 'drop', meantC: null }
  if (!last || atMs <= last.atMs) return null
  const minutes = (atMs - last.atMs) / 60_000
  if (last.tempC - tempC > PROBE_SLACK_K + FASTEST_K_PER_MIN * minutes) return { doubt: 'drop', meantC: null }
  if (tempC - last.tempC > MAX_RISE_K && !isOut) return { doubt: 'rise', meantC: null }
  return null
}

/** Nothing that stands near the bench or a freezer is colder [°C]. */
const COLDEST_ANYWHERE_C = -25

/** What is odd about a reading of a lot as it stands, by what stands around it and, where it is known, what the model expects. */
export function doubtOfLot(
  state: Pick<LotState, 'place' | 'airTempC' | 'readings'>,
  reading: { tempC: number; tempF: number | null; atMs: number },
  expectedC: number | null,
): DoubtedReading | null {
  const { place, airTempC, readings } = state
  const surroundC =
    place === 'ice-bath'
      ? 0
      : (airTempC ??
        (place === null || place === 'bench' || place === 'freezer' ? COLDEST_ANYWHERE_C : usualAirTempC(place)))
  return doubtReading({
    ...reading,
    last: readings.filter((one) => one.doubt === null && one.atMs <= reading.atMs).at(-1) ?? null,
    coldestC: surroundC,
    expectedC,
    isOut: place === 'bench',
  })
}

const STUCK_READINGS = 4
const STUCK_WITHIN_K = 0.05
const STUCK_MIN_CHANGE_K = 2

/** A probe that says the same again and again while the rice must have cooled, by what the model expects at an instant. */
export function isStuck(
  readings: readonly { tempC: number; atMs: number }[],
  expectedC: (atMs: number) => number,
): boolean {
  const latest = readings.at(-1)
  if (!latest) return false
  const lastOther = [...readings].reverse().findIndex((one) => Math.abs(one.tempC - latest.tempC) > STUCK_WITHIN_K)
  const same = lastOther < 0 ? readings : readings.slice(readings.length - lastOther)
  if (same.length < STUCK_READINGS) return false
  return expectedC(same[0]!.atMs) - expectedC(latest.atMs) >= STUCK_MIN_CHANGE_K
}
