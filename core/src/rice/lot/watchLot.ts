import type { CoolStage } from '../cooling/coolingPlace'
import { COOLING_LIMITS } from '../../safety/coolingLimits'
import type { RuleSet } from '../../safety/limits'
import { adviseCooling, type Advice, type AdviceInput } from './coolingAdvice'
import { forecastLot, lotOnTray, stepAtRisk, type LotForecast } from './lotForecast'
import type { LotState } from './lotState'

/** A lot, how the house cools, where it could go, and the time. */
export type WatchInput = { state: LotState; plan: CoolStage[]; places: AdviceInput['places']; nowMs: number }
/** A cooling lot as it is watched: the rule set that is nearest to being broken, where it goes, and what would help. */
export type WatchedLot = { ruleSet: RuleSet; forecast: LotForecast; advice: Advice | null }

/** The forecast of a lot under the rule set that is at risk first, with advice where one is; null for a lot on no tray. */
export function watchLot({ state, plan, places, nowMs }: WatchInput): WatchedLot | null {
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
