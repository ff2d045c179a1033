import type { Looseness } from './looseness'
import type { RuleSet } from '../../safety/limits'
import type { CoolingPlace } from '../cooling/coolingPlace'

/** Where a lot may stand: a cooling place, out on the bench by the wok, or frozen. */
export type LotPlace = CoolingPlace | 'bench' | 'freezer'

/** Where rice came from. */
export const LOT_ORIGINS = ['cooked', 'bought', 'table'] as const
export type LotOrigin = (typeof LOT_ORIGINS)[number]

/** Why rice was thrown away. */
export const DISCARD_REASONS = ['old', 'warm', 'wet', 'spilled', 'endOfDay', 'quality'] as const
export type DiscardReason = (typeof DISCARD_REASONS)[number]
/** Why rice was refused. */
export const REFUSE_REASONS = ['cooling', 'unknownAge', 'smell', 'delivery'] as const
export type RefuseReason = (typeof REFUSE_REASONS)[number]
/** Why a reading may be wrong. */
export const DOUBTS = ['unit', 'drop', 'rise', 'stuck', 'late'] as const
export type Doubt = (typeof DOUBTS)[number]

/** A reading as it is shown, with the doubt it was taken under. */
export type ShownReading = {
  eventId: string
  atMs: number
  tempC: number
  tempF: number | null
  source: 'dial' | 'probe'
  /** Why it does not count yet. */
  doubt: Doubt | null
}

/** A step of a rule set's cooling, as the lead accepts it: `us 21`. */
export type StepKey = string

/** What rice that was split off brings along: its log, so that it is judged as what it came from. */
export type Brought = {
  spreadAtMs: number | null
  cooledAtMs: number | null
  ruleSets: RuleSet[]
  readings: ShownReading[]
  acceptedSteps: StepKey[]
  isOut: boolean
}

type Base = {
  id: string
  lotId: string
  deviceId: string
  /** Who held the device, where somebody said so. */
  staffId?: string | null | undefined
  atMs: number
  counter: number
  /** When the kitchen heard it; null while it waits on a device. */
  heardMs?: number | null | undefined
}

/**
 * What is said of a lot. Nothing is edited: `undone` names the event it takes back, which stays in the log, struck out.
 * Masses are grams of cooked rice.
 * - `spread`: the load has left the heat, was weighed and lies on trays: cooling begins;
 * - `gave` and `took` are the two ends of a split or a merge; what was taken brings its age and its log along;
 * - `loosened` says how well its grains come apart, for the wok;
 * - `used` is written by the server for each run that drew on the lot;
 * - `read` with a doubt (the server's) is kept and shown, and counts only once it was confirmed;
 * - `accepted` counts when a lead says it of a lot that is unproven at that moment.
 */
export type LotEvent = Base &
  (
    | {
        kind: 'spread'
        massG: number
        tempC: number
        tempF?: number | null | undefined
        depthM: number
        trays: number
        place: CoolingPlace
        placeId: string | null
        covered: boolean
        airTempC: number | null
      }
    | {
        kind: 'moved'
        place: LotPlace
        placeId: string | null
        covered: boolean
        depthM: number | null
        airTempC: number | null
      }
    | { kind: 'read'; tempC: number; tempF?: number | null | undefined; source: 'dial' | 'probe'; doubt: Doubt | null }
    | { kind: 'confirmed'; eventId: string }
    | { kind: 'counted'; massG: number }
    | { kind: 'gave'; toLotId: string; massG: number }
    | {
        kind: 'took'
        fromLotId: string
        massG: number
        cookedAtMs: number
        outS: number
        frozenMs: number
        freezes: number
        brought?: Brought | null | undefined
      }
    | { kind: 'used'; runId: string; massG: number }
    | { kind: 'discarded'; massG: number | null; reason: DiscardReason }
    | { kind: 'refused'; reason: RefuseReason }
    | { kind: 'accepted'; reason: string; staffId: string | null }
    | { kind: 'loosened'; looseness: Looseness }
    | { kind: 'finished' }
    | { kind: 'ruleSet'; from: RuleSet; to: RuleSet }
    | { kind: 'undone'; eventId: string }
  )
