import type { CoolStage } from 'core/rice/cooling/coolingPlace'
import { mostDepthM } from 'core/rice/cooling/predictCooling'
import { watchLot } from 'core/rice/lot/watchLot'
import { ricePlanFor } from 'core/rice/plan/ricePlanFor'
import { COOLING_LIMITS } from 'core/safety/coolingLimits'
import type { RuleSet } from 'core/safety/limits'
import { exposeWork } from '../device/exposeWork'

export const riceWork = {
  watchLot,
  ricePlanFor,
  /** The deepest tray to advise [m]; none where no depth cools in time. */
  advisedDepthM: (startTempC: number, stages: CoolStage[], ruleSet: RuleSet): number | null =>
    mostDepthM({ startTempC }, stages, COOLING_LIMITS[ruleSet]).advisedM,
}
export type RiceWork = typeof riceWork

exposeWork(riceWork)
