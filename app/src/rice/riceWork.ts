import type { CoolStage } from 'core/rice/cooling/coolingPlace'
import { mostDepthM } from 'core/rice/cooling/predictCooling'
import { watchLot, type WatchedLot, type WatchInput } from 'core/rice/lot/watchLot'
import { ricePlanFor, type DayRicePlan, type RicePlanForInput } from 'core/rice/plan/ricePlanFor'
import { COOLING_LIMITS } from 'core/safety/coolingLimits'
import type { RuleSet } from 'core/safety/limits'

/** What is heavy and must not stop the screen. */
export type RiceWork =
  | ({ kind: 'watch' } & WatchInput)
  | { kind: 'depth'; startTempC: number; stages: CoolStage[]; ruleSet: RuleSet }
  | { kind: 'plan'; asked: RicePlanForInput }

export type RiceWorked = { watch: WatchedLot | null; depth: number; plan: DayRicePlan | null }

/** Does the work, wherever it runs: in the worker on the web, in process elsewhere. */
export function workRice<K extends RiceWork['kind']>(work: Extract<RiceWork, { kind: K }>): RiceWorked[K]
export function workRice(work: RiceWork): RiceWorked[RiceWork['kind']] {
  switch (work.kind) {
    case 'watch':
      return watchLot(work)
    case 'depth':
      return mostDepthM({ startTempC: work.startTempC }, work.stages, COOLING_LIMITS[work.ruleSet]).advisedM
    case 'plan':
      return ricePlanFor(work.asked)
  }
}
