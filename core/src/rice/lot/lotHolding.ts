import type { TempLimit } from '../../measure/temperature'
import { HOLDING_LIMITS } from '../../safety/coolingLimits'
import type { RuleSet } from '../../safety/limits'
import { endOfLocalDay } from '../../time/localTime'
import { usualAirTempC } from '../cooling/coolingPlace'
import type { LotPlace } from './lotEvent'
import type { HousePolicy } from './lotState'

/** A cold reading so shortly before rice goes back into the cold is the reading that was asked for [ms]. */
export const READING_NOW_MS = 5 * 60_000

/** The coldest that any of the rule sets asks for. */
export function heldCold(ruleSets: readonly RuleSet[]): TempLimit {
  const limits = ruleSets.map((ruleSet) => HOLDING_LIMITS[ruleSet])
  return { tempC: Math.min(...limits.map((one) => one.coldC)), tempF: Math.min(...limits.map((one) => one.coldF)) }
}

/**
 * Whether cold rice is out of the cold where it stands: on the bench, in the air of a room, or where the air is known to be
 * above the cold limit. An ice bath is cold whatever the air.
 */
export function isWarmPlace(place: LotPlace | null, airTempC: number | null, cold: TempLimit): boolean {
  switch (place) {
    case null:
    case 'freezer':
    case 'ice-bath':
      return false
    case 'bench':
      return true
    case 'rack':
    case 'fan':
    case 'fridge':
    case 'blast':
      return (airTempC ?? usualAirTempC(place)) > cold.tempC
  }
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
