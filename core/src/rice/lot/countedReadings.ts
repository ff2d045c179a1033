import { isAbove, type TempLimit } from '../../measure/temperature'
import type { ShownReading } from './lotEvent'

/** Readings that count: those without a doubt, or whose doubt was confirmed away. */
export const countedReadings = (readings: readonly ShownReading[]): ShownReading[] =>
  readings.filter((reading) => reading.doubt === null)

/** The instant of the last reading that counts and is no warmer than a limit; null where there is none. */
export const lastColdMs = (readings: readonly ShownReading[], cold: TempLimit): number | null =>
  countedReadings(readings)
    .filter((one) => !isAbove(one, cold))
    .at(-1)?.atMs ?? null

/** Doubtful readings that nobody confirmed or measured again, the newest last. */
export function openDoubts(readings: readonly ShownReading[]): ShownReading[] {
  const lastMs = countedReadings(readings).at(-1)?.atMs ?? -Infinity
  return readings.filter((one) => one.doubt !== null && one.atMs >= lastMs)
}
