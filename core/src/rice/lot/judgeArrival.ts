import { isAbove, isBelow, type TempLimit, type Temperature } from '../../measure/temperature'
import { COOLING_LIMITS, HOLDING_LIMITS } from '../../safety/coolingLimits'
import type { RuleSet } from '../../safety/limits'
import { useByMs } from './lotHolding'
import type { HousePolicy } from './lotState'

/** Rice that comes cooked, as far as somebody has said; instants in ms since 1970, UTC. */
export type Arrival = {
  arrivedAtMs: number
  /** Null while nobody has answered. */
  cookedAtMs: number | 'nobodyKnows' | null
  isReheated: boolean
  /** In the middle; null while nobody has measured. */
  read: Temperature | null
}

/** Below `cold` it stays in the cold; from `hot` on it is cooled like a load of the house. */
export type ArrivalLimits = { cold: TempLimit; hot: TempLimit }

/** What may be done with rice that comes cooked. */
export type ArrivalVerdict =
  | { kind: 'cold' | 'hot'; useByMs: number }
  | { kind: 'asking'; missing: 'age' | 'temp' }
  | { kind: 'refused'; why: 'ageUnknown' | 'reheated' | 'cookedLater' | 'tooOld' | 'between'; useByMs: number | null }

/** The limits that rice from elsewhere is held against. */
export function arrivalLimits(ruleSet: RuleSet): ArrivalLimits {
  const { coldC, coldF } = HOLDING_LIMITS[ruleSet]
  const { startC, startF } = COOLING_LIMITS[ruleSet]
  return { cold: { tempC: coldC, tempF: coldF }, hot: { tempC: startC, tempF: startF } }
}

/** Whether rice is hot enough to be cooled like a load of the house. */
export const isHotArrival = (read: Temperature, ruleSet: RuleSet): boolean => !isBelow(read, arrivalLimits(ruleSet).hot)

/**
 * Whether rice that comes cooked may be taken in: its age is known, it was not heated again, it may still be used, and it
 * is cold enough to keep or hot enough to be cooled like a load. In between, nobody knows for how long (common practice).
 * A refusal comes before a question: what is to be thrown away is not weighed first.
 */
export function judgeArrival(
  { arrivedAtMs, cookedAtMs, isReheated, read }: Arrival,
  ruleSet: RuleSet,
  house: HousePolicy,
  nowMs: number,
): ArrivalVerdict {
  if (cookedAtMs === 'nobodyKnows') return { kind: 'refused', why: 'ageUnknown', useByMs: null }
  const endsMs = cookedAtMs === null ? null : useByMs([ruleSet], house, cookedAtMs)
  const refused = (why: 'reheated' | 'cookedLater' | 'tooOld' | 'between'): ArrivalVerdict => ({
    kind: 'refused',
    why,
    useByMs: endsMs,
  })
  const { cold } = arrivalLimits(ruleSet)
  const isHot = read !== null && isHotArrival(read, ruleSet)
  if (isReheated) return refused('reheated')
  if (cookedAtMs !== null && cookedAtMs > arrivedAtMs) return refused('cookedLater')
  if (endsMs !== null && endsMs < nowMs) return refused('tooOld')
  if (read !== null && !isHot && isAbove(read, cold)) return refused('between')
  if (endsMs === null) return { kind: 'asking', missing: 'age' }
  if (read === null) return { kind: 'asking', missing: 'temp' }
  return { kind: isHot ? 'hot' : 'cold', useByMs: endsMs }
}
