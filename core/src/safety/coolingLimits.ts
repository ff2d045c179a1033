import { fahrenheitOf, type TempLimit } from '../measure/temperature'
import type { RuleSet } from './limits'

/**
 * A step of a cooling rule: the core at or below its temperature no later than `withinS` after the clock of the step starts.
 * The clock starts where the rice passes the start temperature, or, for `from: 'step'`, where the step before was reached.
 */
export type CoolingStep = TempLimit & { withinS: number; from: 'start' | 'step' }
/** How fast rice must cool under a rule set, with its source. */
export type CoolingLimit = { startC: number; startF: number; steps: readonly CoolingStep[]; source: string }

const HOUR_S = 3600
const limit = (tempC: number, tempF = fahrenheitOf(tempC)): TempLimit => ({ tempC, tempF })

/**
 * From memory of the published texts: check against your own code. The US text gives its limits in both units, rounded
 * (135, 70 and 41 °F); where a text knows °C alone, °F is its exact conversion.
 */
export const COOLING_LIMITS: Readonly<Record<RuleSet, CoolingLimit>> = {
  us: {
    startC: 57,
    startF: 135,
    steps: [
      { ...limit(21, 70), withinS: 2 * HOUR_S, from: 'start' },
      { ...limit(5, 41), withinS: 6 * HOUR_S, from: 'start' },
    ],
    source: 'FDA Food Code 2022 §3-501.14',
  },
  uk: {
    startC: 63,
    startF: fahrenheitOf(63),
    steps: [{ ...limit(8), withinS: 1.5 * HOUR_S, from: 'start' }],
    source: 'UK guidance: as fast as possible, commonly 90 minutes',
  },
  au: {
    startC: 60,
    startF: fahrenheitOf(60),
    steps: [
      { ...limit(21), withinS: 2 * HOUR_S, from: 'start' },
      { ...limit(5), withinS: 4 * HOUR_S, from: 'step' },
    ],
    source: 'Standard 3.2.2: 60 to 21 °C in 2 h, to 5 °C in 4 h more',
  },
}

/** What holds rice after it has cooled. */
export type HoldingLimit = {
  coldC: number
  coldF: number
  /** Out of the cold, as time control, before it must be used or thrown away. */
  outS: number
  /** Out of the cold for less than this it may go back; null where it never may. */
  returnWithinS: number | null
  /** Days it may be kept, the day of cooking counted as the first; or hours from cooking. */
  keep: { kind: 'days'; days: number } | { kind: 'hours'; hours: number }
  source: string
}

/** How cold rice is kept, and how long, by rule set. */
export const HOLDING_LIMITS: Readonly<Record<RuleSet, HoldingLimit>> = {
  us: {
    coldC: 5,
    coldF: 41,
    outS: 4 * HOUR_S,
    returnWithinS: null,
    keep: { kind: 'days', days: 7 },
    source: 'FDA Food Code 2022 §3-501.16, .17, .19',
  },
  uk: {
    coldC: 8,
    coldF: fahrenheitOf(8),
    outS: 4 * HOUR_S,
    returnWithinS: null,
    keep: { kind: 'hours', hours: 24 },
    source: 'UK guidance: cold food out once for 4 h; cooked rice within 24 h',
  },
  au: {
    coldC: 5,
    coldF: fahrenheitOf(5),
    outS: 4 * HOUR_S,
    returnWithinS: 2 * HOUR_S,
    keep: { kind: 'days', days: 3 },
    source: 'Standard 3.2.2 with the 2 h / 4 h rule; days by house plan',
  },
}
