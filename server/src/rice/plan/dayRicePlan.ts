import type { RicePlanDay, Tonight } from 'contract/riceHouse'
import type { Load, Lot } from 'contract/rice'
import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse } from 'contract/riceHouse'
import { METHOD_FIGURES } from 'core/rice/cookMethod'
import { loadToComeG, type LotForDay } from 'core/rice/plan/planDay'
import { ricePlanFor, type DayRicePlan } from 'core/rice/plan/ricePlanFor'
import { foldLot, policyOf } from '../foldLot'

/** The rice of a day as the server works it out for files: the same function that the app runs. */
export function dayRicePlan(
  { day, services, edits }: RicePlanDay,
  lots: readonly Lot[],
  demands: Tonight['demands'],
  kitchen: Kitchen,
  house: RiceHouse,
  nowMs: number,
): DayRicePlan | null {
  const policy = policyOf(kitchen, house)
  const inHouse = lots.flatMap((lot): LotForDay[] => {
    const { stage, massG, useByMs, cookedAtMs } = foldLot(lot, policy, nowMs)
    if (stage === 'cooking' && lot.load) return [onHeat(lot.id, lot.name, lot.load, house)]
    if (stage !== 'ready' && stage !== 'tempering' && stage !== 'cooling' && stage !== 'chilling') return []
    return [{ id: lot.id, name: lot.name, stage, massG, useByMs: useByMs ?? 0, cookedAtMs: cookedAtMs ?? 0 }]
  })
  return ricePlanFor({
    day,
    services,
    edits,
    house: house.policy,
    vessels: house.vessels,
    lots: inHouse,
    tonightG: demands.reduce((sum, one) => sum + one.massG, 0),
    timeZone: kitchen.timeZone,
    ruleSet: kitchen.ruleSet,
    nowMs,
  })
}

function onHeat(id: string, name: string, load: Load, house: RiceHouse): LotForDay {
  const { cookMin, restMin } = METHOD_FIGURES[load.method]
  const steamGPerMin = house.vessels.find((one) => one.id === load.vesselId)?.steamGPerMin ?? 0
  const massG = loadToComeG(load, steamGPerMin, cookMin + restMin)
  return { id, name, stage: 'cooling', massG, useByMs: Infinity, cookedAtMs: Infinity }
}
