import { COOLING_LIMITS } from '../../safety/coolingLimits'
import type { RuleSet } from '../../safety/limits'
import { dayAfter, instantOf, localDay } from '../../time/localTime'
import type { Blend, Wash } from '../cookMethod'
import { inTrays, type CoolStage } from '../cooling/coolingPlace'
import type { Vessel } from '../loads'
import type { Margin } from './howMuch'
import {
  leftForDay,
  plannedDay,
  plannedService,
  type LotForDay,
  type PlanEdits,
  type PlannedDay,
  type ServiceInput,
} from './planDay'
import { planRice, type RicePlan, type TraySize } from './planRice'

/** How the house does its rice, as the plan needs it. */
export type HouseRice = Margin & {
  services: readonly { id: string; fromMin: number; toMin: number }[]
  vesselId: string
  blend: Blend
  wash: Wash
  tray: TraySize
  cooling: readonly CoolStage[]
  closeMin: number
}
/** Everything that a day's rice is worked out from. */
export type RicePlanForInput = {
  day: string
  services: readonly ServiceInput[]
  edits: PlanEdits
  house: HouseRice
  vessels: readonly Vessel[]
  lots: readonly LotForDay[]
  /** What tonight still takes of them [g]. */
  tonightG: number
  timeZone: string
  ruleSet: RuleSet
  nowMs: number
}
/** A day's rice with what it is planned for. */
export type DayRicePlan = { planned: PlannedDay; usableG: number; coldByMs: number; vessel: Vessel; plan: RicePlan }

/**
 * A day's rice from what is expected, what is in the house and how the house cooks. The last tray is to be cold when the
 * kitchen closes the evening before, so that somebody logs it; where that has passed, when the day's first service begins.
 * Null for a kitchen without a vessel.
 */
export function ricePlanFor(input: RicePlanForInput): DayRicePlan | null {
  const { day, services, edits, house, vessels, lots, tonightG, timeZone, ruleSet, nowMs } = input
  const vessel = vessels.find((one) => one.id === house.vesselId) ?? vessels[0]
  if (!vessel) return null
  const planned = plannedDay(services.map((service) => plannedService(service, edits)))
  const isToday = day === localDay(nowMs, timeZone)
  const dayEndMs = instantOf(day, Math.max(...house.services.map((one) => one.toMin)), timeZone)
  const usableG = leftForDay(lots, isToday ? 0 : tonightG, dayEndMs)
  const closeMs = instantOf(dayAfter(day, -1), house.closeMin, timeZone)
  const openMs = instantOf(day, Math.min(...house.services.map((one) => one.fromMin)), timeZone)
  const coldByMs = nowMs < closeMs ? closeMs : openMs
  const plan = planRice({
    ...planned,
    margin: house,
    usableG,
    vessel,
    blend: house.blend,
    wash: house.wash,
    tray: house.tray,
    cooling: inTrays(house.cooling, house.tray.material),
    limit: COOLING_LIMITS[ruleSet],
    coldByMs,
    fromMs: nowMs,
  })
  return { planned, usableG, coldByMs, vessel, plan }
}
