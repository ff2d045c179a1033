import type { CoolingLimit } from '../../safety/coolingLimits'
import { coolTray, LEAST_DEPTH_M, MOST_DEPTH_M, type Tray, type TrayCooling, type TrayStage } from './coolTray'
import { surroundingsOf, type CoolStage } from './coolingPlace'
import { judgeCurve, type CurveJudgement } from './judgeCurve'

/** Time over which the last place is followed past its planned end, so that a rule can be decided [s]. */
export const DECIDED_WITHIN_S = 10 * 3600

export type Prediction = { cooling: TrayCooling; judgement: CurveJudgement }

/** Planned stages as the tray feels them; `surfaceFactor` is what readings calibrate. */
export function trayStages(stages: readonly CoolStage[], surfaceFactor = 1): TrayStage[] {
  return stages.map((stage) => ({ durationS: stage.durationS, surroundings: surroundingsOf(stage, surfaceFactor) }))
}

/** The same stages, the last one long enough that the rule is decided. */
export function untilDecided<T extends { durationS: number }>(stages: readonly T[]): T[] {
  const last = stages.at(-1)
  if (!last) return []
  const beforeS = stages.slice(0, -1).reduce((sum, stage) => sum + stage.durationS, 0)
  return [...stages.slice(0, -1), { ...last, durationS: Math.max(last.durationS, DECIDED_WITHIN_S - beforeS) }]
}

/** The curve of a tray to the point where the rule is decided, and the verdict. */
export function predictCooling(tray: Tray, stages: readonly TrayStage[], limit: CoolingLimit): Prediction {
  const cooling = coolTray(tray, untilDecided(stages))
  return { cooling, judgement: judgeCurve(cooling, limit) }
}

/**
 * The deepest tray [m, to the millimetre] that keeps the rule; 0 where not even the thinnest does. By bisection: a
 * thicker tray never cools sooner.
 */
export function largestPassingDepthM(
  tray: Omit<Tray, 'depthM'>,
  stages: readonly TrayStage[],
  limit: CoolingLimit,
): number {
  const passes = (millimetres: number) =>
    predictCooling({ ...tray, depthM: millimetres / 1000 }, stages, limit).judgement.passes
  let low = Math.round(LEAST_DEPTH_M * 1000)
  let high = Math.round(MOST_DEPTH_M * 1000)
  if (!passes(low)) return 0
  if (passes(high)) return MOST_DEPTH_M
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (passes(middle)) low = middle
    else high = middle
  }
  return low / 1000
}
