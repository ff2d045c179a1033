import type { StationReadings } from 'contract/stationPlate'
import { FIRST_SMOKE_C } from 'core/wok/heat/calibrate'
import type { Handling } from 'core/wok/heat/parameters'
import { useState } from 'react'
import { z } from 'zod'
import { forget, keep, readKept } from '../../device/storage'

/** One reading by the watch: when it was begun and ended, by this device [ms]. */
const Watched = z.object({ startedMs: z.number(), endedMs: z.number().nullable() })
const Kept = z.object({
  fromC: z.number(),
  water: Watched.nullable(),
  dry: Watched.nullable(),
  /** The dry vessel is not wanted, or is none on a griddle. */
  isDrySkipped: z.boolean(),
  /** The metal after the first load, where somebody wants to read it. */
  load: z
    .object({ massG: z.number(), startMetalC: z.number(), metalC: z.number().nullable() })
    .nullable()
    .default(null),
})
export type Calibration = z.infer<typeof Kept>
export type CalibrationStep = 'waterReady' | 'waterRuns' | 'dryReady' | 'dryRuns' | 'result'

export const LITRES = 1
export const TO_C = 80
const TAP_FROM_C = 20
/** Nobody reads two signs within a tap of each other [ms]. */
const LEAST_MS = 5000

const NONE: Calibration = { fromC: TAP_FROM_C, water: null, dry: null, isDrySkipped: false, load: null }

/** Where a calibration stands. */
export function stepOf({ water, dry, isDrySkipped }: Calibration): CalibrationStep {
  if (water === null) return 'waterReady'
  if (water.endedMs === null) return 'waterRuns'
  if (isDrySkipped) return 'result'
  if (dry === null) return 'dryReady'
  return dry.endedMs === null ? 'dryRuns' : 'result'
}

/** The next tap: it begins or ends a reading; a second tap right after the first does nothing. */
export function tapped(now: Calibration, atMs: number): Calibration {
  const begun = { startedMs: atMs, endedMs: null }
  const ended = <T extends z.infer<typeof Watched> | null>(one: T) =>
    one && atMs - one.startedMs >= LEAST_MS ? { ...one, endedMs: atMs } : one
  switch (stepOf(now)) {
    case 'waterReady':
      return { ...now, water: begun }
    case 'waterRuns':
      return { ...now, water: ended(now.water) }
    case 'dryReady':
      return { ...now, dry: begun }
    case 'dryRuns':
      return { ...now, dry: ended(now.dry) }
    case 'result':
      return now
  }
}

/** How long a reading took [s]; null while it runs, or was never begun. */
const secondsOf = (one: z.infer<typeof Watched> | null): number | null =>
  one === null || one.endedMs === null ? null : (one.endedMs - one.startedMs) / 1000

/** The metal is read so long after rice from the fridge went in [s, °C]. */
export const AFTER_LOAD = { atS: 60, riceTempC: 4 } as const
const USUAL_LOAD = { massG: 500, startMetalC: 230, metalC: null } as const

/** What was read, for the model; null before the water is. A load whose metal nobody has read yet is none. */
export function readingsOf({ fromC, water, dry, load }: Calibration, handling: Handling): StationReadings | null {
  const waterS = secondsOf(water)
  if (waterS === null) return null
  const dryS = secondsOf(dry)
  return {
    water: { litres: LITRES, fromC, toC: TO_C, seconds: waterS },
    dry: dryS === null ? null : { toC: FIRST_SMOKE_C, seconds: dryS },
    load: load === null || load.metalC === null ? null : { ...load, metalC: load.metalC, ...AFTER_LOAD, handling },
  }
}

/** A calibration that this device keeps: a reload in the middle of a reading loses nothing. */
export function useCalibration(stationId: string, hasDry: boolean, handling: Handling) {
  const key = `okazu.calibration.${stationId}`
  const [now, setNow] = useState<Calibration>(() => readCalibration(key, hasDry))
  const set = (next: Calibration) => {
    keep(key, JSON.stringify(next))
    setNow(next)
  }
  return {
    now,
    step: stepOf(now),
    readings: readingsOf(now, handling),
    handling,
    tap: () => set(tapped(now, Date.now())),
    setFromC: (fromC: number) => set({ ...now, fromC }),
    setLoad: (change: Partial<NonNullable<Calibration['load']>>) =>
      set({ ...now, load: { ...(now.load ?? USUAL_LOAD), ...change } }),
    leaveLoadOut: () => set({ ...now, load: null }),
    skipDry: () => set({ ...now, isDrySkipped: true, dry: null }),
    startOver: () => set({ ...NONE, isDrySkipped: !hasDry }),
    end: () => forget(key),
  }
}

function readCalibration(key: string, hasDry: boolean): Calibration {
  try {
    const kept = Kept.safeParse(JSON.parse(readKept(key) ?? 'null'))
    if (kept.success) return kept.data
  } catch {
    // What was kept is no calibration: a new one begins.
  }
  return { ...NONE, isDrySkipped: !hasDry }
}
