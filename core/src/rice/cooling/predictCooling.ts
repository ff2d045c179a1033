import type { CoolingLimit } from '../../safety/coolingLimits'
import { coolTray, MIN_DEPTH_M, MAX_DEPTH_M, type Tray, type TrayCooling, type TrayStage } from './coolTray'
import { surroundingsOf, type CoolStage } from './coolingPlace'
import { judgeCurve, type CurveJudgement } from './judgeCurve'

const { floor, max, min, round } = Math

/** Time over which the last place is followed past its planned end, so that a rule can be decided [s]. */
const DECIDED_WITHIN_S = 10 * 3600

/** A predicted curve with the mass lost, and its judgement. */
export type Prediction = {
  cooling: TrayCooling
  judgement: CurveJudgement
  /** It ends in a place whose air is above the cold limit: it never keeps the rule there, whatever the curve says. */
  endsWarm: boolean
  passes: boolean
}

/** Planned stages as the tray feels them; `surfaceFactor` is what readings calibrate. */
export function trayStages(stages: readonly CoolStage[], surfaceFactor = 1): TrayStage[] {
  return stages.map((stage) => ({ durationS: stage.durationS, surroundings: surroundingsOf(stage, surfaceFactor) }))
}

/** The same stages, the last one long enough that the rule is decided. */
export function untilDecided<T extends { durationS: number }>(stages: readonly T[]): T[] {
  const last = stages.at(-1)
  if (!last) return []
  const beforeS = stages.slice(0, -1).reduce((sum, stage) => sum + stage.durationS, 0)
  return [...stages.slice(0, -1), { ...last, durationS: max(last.durationS, DECIDED_WITHIN_S - beforeS) }]
}

/** The curve of a tray to the point where the rule is decided, and the verdict. */
export function predictCooling(tray: Tray, stages: readonly TrayStage[], limit: CoolingLimit): Prediction {
  const cooling = coolTray(tray, untilDecided(stages))
  const judgement = judgeCurve(cooling, limit)
  const endsWarm = (stages.at(-1)?.surroundings.top.tempC ?? Infinity) > limit.steps.at(-1)!.tempC
  return { cooling, judgement, endsWarm, passes: judgement.passes && !endsWarm }
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
  const passes = (millimetres: number) => predictCooling({ ...tray, depthM: millimetres / 1000 }, stages, limit).passes
  let low = round(MIN_DEPTH_M * 1000)
  let high = round(MAX_DEPTH_M * 1000)
  if (!passes(low)) return 0
  if (passes(high)) return MAX_DEPTH_M
  while (high - low > 1) {
    const middle = floor((low + high) / 2)
    if (passes(middle)) low = middle
    else high = middle
  }
  return low / 1000
}

/** The model lets an ordinary fridge pass five centimetres, but its air warms under a hot load: no deeper there [m]. */
export const MAX_FRIDGE_DEPTH_M = 0.04

/** The deepest tray to advise [m]: what keeps the rule, and in an ordinary fridge what good practice allows. */
export function mostDepthM(
  tray: Omit<Tray, 'depthM'>,
  stages: readonly CoolStage[],
  limit: CoolingLimit,
): { passingM: number; advisedM: number } {
  const passingM = largestPassingDepthM(tray, trayStages(stages), limit)
  const isFridge = stages.some((stage) => stage.place === 'fridge')
  return { passingM, advisedM: isFridge ? min(passingM, MAX_FRIDGE_DEPTH_M) : passingM }
}
