import { HOLDING_LIMITS } from '../../safety/coolingLimits'
import type { RuleSet } from '../../safety/limits'
import { endOfLocalDay } from '../../time/localTime'
import type { HousePolicy } from './lotState'

/** The coldest that any of the rule sets asks for [°C]. */
export function heldColdC(ruleSets: readonly RuleSet[]): number {
  return Math.min(...ruleSets.map((ruleSet) => HOLDING_LIMITS[ruleSet].coldC))
}

/** How long rice may be out of the cold in all [ms]: the shortest of the rule sets and the house. */
export function outLimitMs(ruleSets: readonly RuleSet[], house: HousePolicy): number {
  const limits = ruleSets.map((ruleSet) => HOLDING_LIMITS[ruleSet].outS * 1000)
  if (house.outMin !== null) limits.push(house.outMin * 60_000)
  return Math.min(...limits)
}

/** The last instant at which rice cooked then may be used, unfrozen [ms]: the soonest of the rule sets and the house. */
export function useByMs(ruleSets: readonly RuleSet[], house: HousePolicy, cookedAtMs: number): number {
  const ends = ruleSets.map((ruleSet) => {
    const { keep } = HOLDING_LIMITS[ruleSet]
    return keep.kind === 'hours'
      ? cookedAtMs + keep.hours * 3_600_000
      : endOfLocalDay(cookedAtMs, house.timeZone, keep.days - 1)
  })
  if (house.keepDays !== null) ends.push(endOfLocalDay(cookedAtMs, house.timeZone, house.keepDays - 1))
  return Math.min(...ends)
}
