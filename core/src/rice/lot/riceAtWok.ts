import { waterFractionOf } from '../waterBalance'
import { LUMP_MM } from './looseness'
import type { LotState } from './lotState'

/** Rice as it comes to the wok, each figure with one standard deviation. */
export type RiceAtWok = {
  tempC: number
  tempErrorC: number
  waterFraction: number
  waterError: number
  /** How large its lumps are [mm]; null where nobody said how well it was loosened. */
  lumpMm: number | null
}

/** Rice of which nothing is known but that it is chilled. */
export const CHILLED_RICE: RiceAtWok = { tempC: 4, tempErrorC: 2, waterFraction: 0.62, waterError: 0.03, lumpMm: null }

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS
/** A kitchen's air [°C], and how long a covered tray takes for two thirds of its way there [h]; common practice. */
const ROOM_C = 24
const TEMPERS_IN_H = 1.5
/** A reading says what the rice is for so long [h]. */
const READING_HOLDS_H = 1
const FROZEN_C = -18
/** What a fridge takes from rice in a day, open and covered; and what is left of it at least. Common practice. */
const DRIES_A_DAY = { open: 0.012, covered: 0.004 } as const
const DRIEST_FRACTION = 0.5
const ERROR = { reading: 1, fridge: 2, tempering: 3, weighed: 0.01, target: 0.02, unknown: 0.03 } as const

type Lot = Pick<
  LotState,
  | 'place'
  | 'covered'
  | 'airTempC'
  | 'readings'
  | 'outSinceMs'
  | 'cookedAtMs'
  | 'cooledAtMs'
  | 'spreadMassG'
  | 'looseness'
>

/**
 * How warm and how wet the rice of a lot is now: by its last reading, its time out of the cold, what its load was and what it
 * weighed when it was spread, and its days in the fridge.
 */
export function riceAtWok(
  lot: Lot,
  load: { dryMassG: number; targetWaterFraction: number } | null,
  nowMs: number,
): RiceAtWok {
  const lumpMm = lot.looseness === null ? null : LUMP_MM[lot.looseness]
  return { ...temperatureOf(lot, nowMs), ...waterOf(lot, load, nowMs), lumpMm }
}

function temperatureOf(lot: Lot, nowMs: number): Pick<RiceAtWok, 'tempC' | 'tempErrorC'> {
  const { place, outSinceMs, airTempC, cooledAtMs } = lot
  if (place === 'freezer') return { tempC: FROZEN_C, tempErrorC: ERROR.fridge }
  const counted = lot.readings.filter(({ doubt, atMs }) => doubt === null && atMs >= (cooledAtMs ?? 0) && atMs <= nowMs)
  const last = counted.at(-1)
  if (outSinceMs === null) {
    const isFresh = last !== undefined && nowMs - last.atMs < READING_HOLDS_H * HOUR_MS
    return isFresh
      ? { tempC: last.tempC, tempErrorC: ERROR.reading }
      : { tempC: CHILLED_RICE.tempC, tempErrorC: ERROR.fridge }
  }
  const readOut = last !== undefined && last.atMs >= outSinceMs ? last : null
  const from = readOut ?? { atMs: outSinceMs, tempC: CHILLED_RICE.tempC }
  const air = airTempC ?? ROOM_C
  const hours = Math.max(0, nowMs - from.atMs) / HOUR_MS
  return {
    tempC: air + (from.tempC - air) * Math.exp(-hours / TEMPERS_IN_H),
    tempErrorC: readOut && hours < READING_HOLDS_H ? ERROR.reading : ERROR.tempering,
  }
}

function waterOf(
  { spreadMassG, cookedAtMs, covered }: Lot,
  load: { dryMassG: number; targetWaterFraction: number } | null,
  nowMs: number,
): Pick<RiceAtWok, 'waterFraction' | 'waterError'> {
  const weighed = load && spreadMassG ? waterFractionOf(load.dryMassG, spreadMassG) : null
  const isLikely = weighed !== null && weighed > DRIEST_FRACTION && weighed < 0.78
  const atFirst = isLikely ? weighed : (load?.targetWaterFraction ?? CHILLED_RICE.waterFraction)
  const days = cookedAtMs === null ? 0 : Math.max(0, nowMs - cookedAtMs) / DAY_MS
  const dried = days * (covered ? DRIES_A_DAY.covered : DRIES_A_DAY.open)
  return {
    waterFraction: Math.min(atFirst, Math.max(DRIEST_FRACTION, atFirst - dried)),
    waterError: isLikely ? ERROR.weighed : load ? ERROR.target : ERROR.unknown,
  }
}
