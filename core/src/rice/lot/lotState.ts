import type { RuleSet } from '../../safety/limits'
import type { Looseness } from './looseness'
import type { CoolingLog, StepVerdict } from './judgeReadings'
import type { DiscardReason, LotEvent, LotOrigin, LotPlace, RefuseReason, ShownReading, StepKey } from './lotEvent'

/** The stages of a lot, from the heat to its end. */
export const LOT_STAGES = [
  'cooking',
  'cooling',
  'chilling',
  'ready',
  'tempering',
  'frozen',
  'used',
  'refused',
  'discarded',
] as const
export type LotStage = (typeof LOT_STAGES)[number]

/** What a lot was born with: never changes. Rice that came cold is ready, the rest begins with its `spread`. */
export type BornLot = {
  id: string
  origin: LotOrigin
  bornAtMs: number
  /** When it left the heat; null until it does. For rice from elsewhere the age that was asked for. */
  cookedAtMs: number | null
  /** Known at once for rice from elsewhere; null for a load on the heat. */
  massG: number | null
  tempC: number | null
  tempF?: number | null | undefined
  place: LotPlace | null
  placeId: string | null
  ruleSet: RuleSet
}

/** What the house holds tighter than the rule set, and who may accept what a log does not prove. */
export type HousePolicy = {
  timeZone: string
  keepDays: number | null
  outMin: number | null
  leadIds: readonly string[]
}

/** How and when a lot ended. */
export type LotEnd = {
  atMs: number
  kind: 'used' | 'refused' | 'discarded'
  reason: DiscardReason | RefuseReason | null
}

/** Why an event of the log changes nothing. */
export type WhyNot =
  'struckOut' | 'saidTooLate' | 'afterEnd' | 'doubt' | 'notLead' | 'notUnproven' | 'notTakenBack' | 'nothingThere'
/** An event as the log shows it: nothing that was said is left out. */
export type LoggedEvent = {
  event: LotEvent
  counts: boolean
  why: WhyNot | null
  /** What took it back. */
  struckBy: LotEvent | null
}

/** Why a lot may not be fried now. */
export type NotUsable =
  | { kind: 'over'; end: LotEnd }
  | { kind: 'cooking' | 'cooling' | 'overdue' | 'unproven' | 'frozen' | 'empty' }
  | { kind: 'held'; reading: ShownReading }
  | { kind: 'tooOld'; useByMs: number }
  | { kind: 'outTooLong'; outS: number; mostS: number }

/** A lot as it stands after everything that was said of it. */
export type LotState = {
  stage: LotStage
  massG: number
  /** What runs took beyond what was there: weigh what is left. */
  overdrawnG: number
  usedG: number
  discardedG: number
  place: LotPlace | null
  placeId: string | null
  covered: boolean
  airTempC: number | null
  depthM: number | null
  trays: number
  cookedAtMs: number | null
  spreadAtMs: number | null
  /** When its cooling was over: from here on readings are of rice that is held. */
  cooledAtMs: number | null
  spreadMassG: number | null
  /** Places since it was spread, for the cooling model. */
  stages: { fromMs: number; place: LotPlace; covered: boolean; airTempC: number | null; depthM: number | null }[]
  readings: ShownReading[]
  lastTempC: number | null
  /** One log for each rule set that was in force while it cooled. */
  logs: { ruleSet: RuleSet; log: CoolingLog }[]
  /** Of its cooling, by the log alone. */
  verdict: StepVerdict
  /** The same, with what the lead accepted taken as met. */
  judged: StepVerdict
  isAccepted: boolean
  acceptedSteps: StepKey[]
  useByMs: number | null
  /** Out of the cold now, since; and in all [s]. */
  outSinceMs: number | null
  outS: number
  /** When its time out of the cold is over; null while it is cold. */
  outByMs: number | null
  /** How well it was loosened; null where nobody said so, or it was frozen or joined since. */
  looseness: Looseness | null
  freezes: number
  frozenMs: number
  notUsable: NotUsable | null
  isUsable: boolean
  end: LotEnd | null
  log: LoggedEvent[]
}
