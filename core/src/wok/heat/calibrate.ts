import { advance } from './advance'
import { emptyPan, foodC, metalC, putIn } from './pan'
import { AIR_C, type Handling } from './parameters'
import { preheat } from './preheat'
import { vesselOf, type HeatSource, type HeatStation } from './vessel'

/** A litre of water in the open vessel at full flame, by the watch. */
export type WaterReading = { litres: number; fromC: number; toC: number; seconds: number }
/** The dry vessel from the kitchen's air to first smoke, or to what a surface thermometer shows. */
export type DryReading = { toC: number; seconds: number }
/** The bared metal so long after the first load of cold rice. */
export type LoadReading = {
  massG: number
  riceTempC: number
  startMetalC: number
  atS: number
  metalC: number
  handling: Handling
}
export type Readings = { water: WaterReading | null; dry: DryReading | null; load: LoadReading | null }

/** First smoke of a seasoned wok; common practice. */
export const FIRST_SMOKE_C = 230

/** Why a reading is asked about instead of taken. */
export type Implausible = { reading: 'water' | 'dry' | 'load'; why: 'tooFast' | 'tooSlow' | 'tooHot' | 'tooCold' }
export type Calibrated = {
  efficiency: number
  /** Of the efficiency, one standard deviation against it: watch and thermometer. */
  efficiencyError: number
  zoneShare: number | null
  contact: number | null
  implausible: readonly Implausible[]
}

/** What a station can be at most and least. Common practice, wider than any that was heard of. */
const EFFICIENCY: Readonly<Record<HeatSource, { least: number; most: number }>> = {
  gas: { least: 0.08, most: 0.6 },
  plate: { least: 0.2, most: 0.9 },
  induction: { least: 0.5, most: 0.98 },
}
const ZONE_SHARE = { least: 0.15, most: 0.9 } as const
const CONTACT_FACTOR = { least: 0.4, most: 1.8 } as const

/** A tap is so far off [s], a kitchen thermometer so far [K], a plate's power by this share. Common practice. */
const TAP_S = 1
const READ_K = 1
export const PLATE_ERROR = 0.35
const PASSES = 24
/** Three rounds, and what they tend to; twice, and once more. */
const ROUNDS = 7
const TO_THE_LIMIT = 3
const STEP_S = 1
const MOST_WATER_S = 1800
const OIL_G_PER_KG = 25

/** How long a station takes to heat water in the open vessel [s]; null if it never does. */
export function waterS(station: HeatStation, { litres, fromC, toC }: Omit<WaterReading, 'seconds'>): number | null {
  const pan = emptyPan(vesselOf(station), fromC, fromC, 0, 'leave')
  putIn(pan, { food: 'water', massG: litres * 1000, tempC: fromC })
  let wasC = fromC
  for (let atS = 0; atS < MOST_WATER_S; atS += STEP_S) {
    advance(pan, atS + STEP_S, STEP_S, 'heun')
    const nowC = foodC(pan, 0)
    if (nowC >= toC) return atS + (STEP_S * (toC - wasC)) / (nowC - wasC)
    wasC = nowC
  }
  return null
}

/** The ceiling is left open by so much above what is waited for [K]. */
const OPEN_K = 50

/** How long the dry vessel takes from the kitchen's air with the flame left open, whatever its ceiling [s]; null if never. */
const dryS = (station: HeatStation, toC: number): number | null =>
  preheat(vesselOf({ ...station, holdC: Math.max(station.holdC, toC + OPEN_K) }), toC).seconds

/** What the dry vessel shows so long after its flame was opened, whatever its ceiling [°C]. */
export function dryMetalC(station: HeatStation, seconds: number): number {
  const pan = emptyPan(
    vesselOf({ ...station, holdC: Math.max(station.holdC, FIRST_SMOKE_C + OPEN_K) }),
    AIR_C,
    AIR_C,
    0,
    'leave',
  )
  advance(pan, seconds, STEP_S, 'rk4')
  return metalC(pan)
}

/** How long the readings of a calibration should take by what is known of the station [s]; null where they never end. */
export const expectedReadings = (
  station: HeatStation,
  water: Omit<WaterReading, 'seconds'>,
): { waterS: number | null; dryS: number | null } => ({
  waterS: waterS(station, water),
  dryS: dryS(station, FIRST_SMOKE_C),
})

/** What the bared metal shows after a load [°C]. */
export function metalAfterC(
  station: HeatStation,
  { massG, riceTempC, startMetalC, atS, handling }: Omit<LoadReading, 'metalC'>,
): number {
  const vessel = vesselOf(station)
  const pan = emptyPan(vessel, startMetalC, preheat(vessel, startMetalC).rimC, (massG * OIL_G_PER_KG) / 1000, handling)
  putIn(pan, { food: 'rice', massG, tempC: riceTempC })
  advance(pan, atS, STEP_S, 'heun')
  return metalC(pan)
}

/**
 * A station as its readings say it is: the water gives what reaches the vessel, the dry vessel how much metal the flame
 * heats, the load how well food touches it; each from the model turned round by bisection, in this order. A reading that
 * no station could give is named and not taken.
 * @throws {RangeError} when the station is outside its range
 */
export function calibrate(station: HeatStation, readings: Readings): { station: HeatStation; result: Calibrated } {
  const implausible: Implausible[] = []
  let known = station
  const { water, dry, load } = readings
  // The zone that the flame heats has a small say in the water, and the flame all of it in the zone.
  let zoneShares: number[] = []
  for (let round = 0; round < ROUNDS; round += 1) {
    implausible.length = 0
    if (water) {
      const found = efficiencyFor(known, water)
      if (found.kind === 'found') known = { ...known, efficiency: found.value }
      else implausible.push({ reading: 'water', why: found.kind === 'above' ? 'tooFast' : 'tooSlow' })
    }
    if (dry && station.kind === 'wok') {
      const found = zoneShareFor(known, dry)
      if (found.kind === 'found') {
        zoneShares.push(found.value)
        const isLimit = zoneShares.length === TO_THE_LIMIT && round + 1 < ROUNDS
        known = { ...known, zoneShare: isLimit ? limitOf(zoneShares) : found.value }
        if (isLimit) zoneShares = []
      } else implausible.push({ reading: 'dry', why: found.kind === 'above' ? 'tooSlow' : 'tooFast' })
    }
  }
  const efficiencyError =
    water && implausible.length === 0
      ? Math.hypot((2 * TAP_S) / water.seconds, (Math.SQRT2 * READ_K) / (water.toC - water.fromC))
      : PLATE_ERROR
  if (load) {
    const found = solve(
      CONTACT_FACTOR.least,
      CONTACT_FACTOR.most,
      (contact) => -metalAfterC({ ...known, contact }, load),
      -load.metalC,
    )
    if (found.kind === 'found') known = { ...known, contact: found.value }
    else implausible.push({ reading: 'load', why: found.kind === 'above' ? 'tooCold' : 'tooHot' })
  }
  return {
    station: known,
    result: {
      efficiency: known.efficiency,
      efficiencyError,
      zoneShare: known.zoneShare ?? null,
      contact: known.contact ?? null,
      implausible,
    },
  }
}

/** Whether what was calibrated still holds after a plate was changed: it is the same metal over the same flame. */
export function calibrationHolds(before: HeatStation, after: HeatStation): boolean {
  const same = (['kind', 'diameterM', 'depthM', 'massKg', 'powerW', 'efficiency', 'source'] as const).every(
    (field) => before[field] === after[field],
  )
  return same && before.plateM?.width === after.plateM?.width && before.plateM?.length === after.plateM?.length
}

/** What three rounds tend to (Aitken); the last of them where they hardly move, or where that is no zone. */
function limitOf([first = 0, second = 0, third = 0]: readonly number[]): number {
  const bends = third - 2 * second + first
  const limit = third - (third - second) ** 2 / bends
  return limit > ZONE_SHARE.least && limit < ZONE_SHARE.most ? limit : third
}

function efficiencyFor(station: HeatStation, water: WaterReading): Solved {
  if (water.seconds >= MOST_WATER_S) return { kind: 'below' }
  const { least, most } = EFFICIENCY[station.source]
  return solve(least, most, (efficiency) => -(waterS({ ...station, efficiency }, water) ?? Infinity), -water.seconds)
}

const zoneShareFor = (station: HeatStation, dry: DryReading): Solved =>
  solve(
    ZONE_SHARE.least,
    ZONE_SHARE.most,
    (zoneShare) => dryS({ ...station, zoneShare }, dry.toC) ?? Infinity,
    dry.seconds,
  )

type Solved = { kind: 'found'; value: number } | { kind: 'below' } | { kind: 'above' }

/** Where a rising function has a value, by bisection; whether the value lies below or above all that it takes. */
function solve(least: number, most: number, rising: (at: number) => number, value: number): Solved {
  if (rising(least) > value) return { kind: 'below' }
  if (rising(most) < value) return { kind: 'above' }
  let low = least
  let high = most
  for (let pass = 0; pass < PASSES; pass += 1) {
    const middle = (low + high) / 2
    if (rising(middle) < value) low = middle
    else high = middle
  }
  return { kind: 'found', value: (low + high) / 2 }
}
