import type { Dish } from 'contract/dish'
import type { RiceHouse, RicePlanDay, ServiceForecast, Tonight } from 'contract/riceHouse'
import { portionsByService, sharesOfService, type Demand, type SoldOut } from 'core/rice/plan/demand'
import { forecastPortions } from 'core/rice/plan/forecast'
import { cookTimes } from 'core/rice/cookMethod'
import { inTrays, type CoolStage } from 'core/rice/cooling/coolingPlace'
import { coolsToS } from 'core/rice/cooling/judgeCurve'
import { mostDepthM, predictCooling, trayStages } from 'core/rice/cooling/predictCooling'
import { plannedService } from 'core/rice/plan/planDay'
import { COOLING_LIMITS } from 'core/safety/coolingLimits'
import type { RuleSet } from 'core/safety/limits'
import { instantOf } from 'core/time/localTime'
import type { AskedPortions } from './plan.sql'

const USUAL_PORTION_G = 220
const LEAVES_HEAT_C = 95

/** What the record expects of each service of a day. */
export function forecastServices(
  demand: readonly Demand[],
  house: RiceHouse,
  dishes: readonly Dish[],
  day: string,
  soldOut: readonly SoldOut[],
): ServiceForecast[] {
  const { services } = house.policy
  const history = portionsByService(demand, services, soldOut)
  const riceG = new Map(dishes.map((dish) => [dish.id, dish.portionRiceG]))
  return services.map(({ id }) => {
    const shares = sharesOfService(demand, services, id)
    const known = shares.dishes.filter((one) => riceG.has(one.dishId))
    const knownShare = known.reduce((sum, one) => sum + one.share, 0)
    const portionG = known.reduce((sum, one) => sum + (one.share * riceG.get(one.dishId)!) / knownShare, 0)
    return {
      serviceId: id,
      forecast: forecastPortions(history, day, id),
      ...shares,
      portionG: portionG || USUAL_PORTION_G,
    }
  })
}

type TonightInput = {
  unfired: readonly AskedPortions[]
  placed: readonly Demand[]
  plan: RicePlanDay
  dishes: readonly Dish[]
  timeZone: string
  nowMs: number
}

/** Tickets that wait, and for each boat to come what the record expects beyond the tickets already placed for it. */
export function tonightDemands({ unfired, placed, plan, dishes, timeZone, nowMs }: TonightInput): Tonight['demands'] {
  const riceG = new Map(dishes.map((dish) => [dish.id, dish.portionRiceG]))
  const waiting = unfired.map(({ promisedAtMs, dishId, portions }) => ({
    atMs: Math.max(promisedAtMs, nowMs),
    massG: portions * (riceG.get(dishId) ?? USUAL_PORTION_G),
    portions,
    source: 'tickets' as const,
  }))
  const expected = plan.services.flatMap((service) =>
    service.boats.flatMap(({ minute, share }) => {
      const atMs = instantOf(plan.day, minute, timeZone)
      if (atMs <= nowMs) return []
      const already = placed.filter((one) => one.minute === minute).reduce((sum, one) => sum + one.portions, 0)
      const portions = Math.max(0, plannedService(service, plan.edits).portions * share - already)
      return portions < 0.05
        ? []
        : [{ atMs, massG: portions * service.portionG, portions, source: 'forecast' as const }]
    }),
  )
  return [...waiting, ...expected].sort((a, b) => a.atMs - b.atMs)
}

/** How long the advised tray of the house takes to be cold [s]; null where it never is. Worked out once for each way of cooling. */
const coolTimes = new Map<string, number | null>()
function coolS(cooling: readonly CoolStage[], ruleSet: RuleSet): number | null {
  const key = JSON.stringify([cooling, ruleSet])
  const known = coolTimes.get(key)
  if (known !== undefined) return known
  const limit = COOLING_LIMITS[ruleSet]
  const { advisedM } = mostDepthM({ startTempC: LEAVES_HEAT_C }, cooling, limit)
  const found =
    advisedM === 0
      ? null
      : coolsToS(
          predictCooling({ depthM: advisedM, startTempC: LEAVES_HEAT_C }, trayStages(cooling), limit).cooling,
          limit.steps.at(-1)!.tempC,
        )
  coolTimes.set(key, found)
  return found
}

/** From lighting the heat to a cold load [s]; null where the house's cooling never gets there. */
export function leadS({ policy, vessels }: RiceHouse, ruleSet: RuleSet): number | null {
  const vessel = vessels.find((one) => one.id === policy.vesselId) ?? vessels[0]
  if (!vessel) return null
  const { cookMin, restMin } = cookTimes(vessel.method, policy.blend)
  const coldAfterS = coolS(inTrays(policy.cooling, policy.tray.material), ruleSet)
  return coldAfterS === null ? null : (cookMin + restMin) * 60 + coldAfterS
}
