import { adviseCooling, type Advice, type AdviceInput } from 'core/rice/lot/coolingAdvice'
import { forecastLot, lotOnTray, stepAtRisk, type LotForecast } from 'core/rice/lot/lotForecast'
import type { LotState } from 'core/rice/lot/lotState'
import type { CoolStage } from 'core/rice/cooling/coolingPlace'
import { mostDepthM } from 'core/rice/cooling/predictCooling'
import { ricePlanFor, type DayRicePlan, type RicePlanForInput } from 'core/rice/plan/ricePlanFor'
import { COOLING_LIMITS } from 'core/safety/coolingLimits'
import type { RuleSet } from 'core/safety/limits'

/** What is heavy and must not stop the screen. */
export type RiceWork =
  | { kind: 'watch'; state: LotState; plan: CoolStage[]; places: AdviceInput['places']; nowMs: number }
  | { kind: 'depth'; startTempC: number; stages: CoolStage[]; ruleSet: RuleSet }
  | { kind: 'plan'; asked: RicePlanForInput }

export type WatchedLot = { ruleSet: RuleSet; forecast: LotForecast; advice: Advice | null }
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

/** The forecast under the strictest rule set in force, and advice where it is at risk. */
function watchLot({ state, plan, places, nowMs }: Extract<RiceWork, { kind: 'watch' }>): WatchedLot | null {
  const lot = lotOnTray(state, plan, nowMs)
  if (!lot) return null
  const watched = state.logs.map(({ ruleSet }) => ({
    ruleSet,
    forecast: forecastLot(lot, state, ruleSet),
  }))
  const atRisk = watched.find(({ forecast }) => stepAtRisk(forecast.steps))
  const shown = atRisk ?? watched[0]
  if (!shown) return null
  const place = lot.stages[0]?.place
  const advice =
    atRisk && state.lastTempC !== null && place
      ? adviseCooling({
          tempC: state.lastTempC,
          nowMs,
          depthM: lot.tray.depthM,
          place: state.place === 'bench' || state.place === 'freezer' || state.place === null ? place : state.place,
          covered: state.covered,
          airTempC: state.airTempC,
          surfaceFactor: atRisk.forecast.fit.surfaceFactor,
          places,
          steps: atRisk.forecast.steps,
          limit: COOLING_LIMITS[atRisk.ruleSet],
        })
      : null
  return { ...shown, advice }
}
