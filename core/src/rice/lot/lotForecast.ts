import type { TempLimit } from '../../measure/temperature'
import { COOLING_LIMITS } from '../../safety/coolingLimits'
import type { RuleSet } from '../../safety/limits'
import { coolTray, type Tray } from '../cooling/coolTray'
import type { CoolingPlace, CoolStage } from '../cooling/coolingPlace'
import { fitCooling, tempAtC, type CoolingFit, type Reading } from '../cooling/fitCooling'
import { growthLog10 } from '../cooling/growth'
import { coolsToS, type Curve } from '../cooling/judgeCurve'
import { trayStages, untilDecided } from '../cooling/predictCooling'
import type { LotState } from './lotState'

/** A lot on its trays as the model sees it: from when it was last spread to a depth, with what was read since. */
export type LotOnTray = { fromMs: number; tray: Tray; stages: CoolStage[]; readings: Reading[] }
/** When a lot reaches a step of its rule, by reading or by forecast. */
export type StepForecast = TempLimit & {
  limitMs: number | null
  /**
   * Read already, or where the model crosses it, also where that lies in the past: what nobody read is not proven. Null where
   * it never gets there.
   */
  reachedMs: number | null
  isRead: boolean
  /** As the fit's spread allows; null where the slow curve never gets there. */
  soonestMs: number | null
  latestMs: number | null
}
/** Where a cooling lot goes: its curve with a band, and each step of the rule. */
export type LotForecast = {
  fromMs: number
  curve: Curve
  fast: Curve
  slow: Curve
  planned: Curve
  fit: CoolingFit
  steps: StepForecast[]
  massLossFraction: number
  growth: { bacillusCereus: number; clostridiumPerfringens: number }
}

const FOREVER_S = 12 * 3600
const USUAL_DEPTH_M = 0.04

/**
 * The tray to compute with, or null for a lot that was never spread. Spreading to another depth mixes the rice: the model
 * starts anew there, from the last temperature read (or, without one, from the first). What follows the place it stands
 * in is taken from the kitchen's plan, as long as the lot has followed it; trays stand and are made as the plan says.
 */
export function lotOnTray(state: LotState, plan: readonly CoolStage[], nowMs: number): LotOnTray | null {
  const stages = state.stages.filter((stage) => stage.place !== 'bench' && stage.place !== 'freezer')
  if (state.spreadAtMs === null || stages.length === 0) return null
  let first = 0
  stages.forEach((stage, i) => {
    if (i > 0 && stage.depthM !== stages[i - 1]!.depthM) first = i
  })
  const counted = state.readings.filter((one) => one.doubt === null)
  const fromMs = stages[first]!.fromMs
  const before = counted.filter((one) => one.atMs <= fromMs).at(-1) ?? counted[0]
  if (!before) return null
  const tray: Tray = { depthM: stages[first]!.depthM ?? USUAL_DEPTH_M, startTempC: Math.min(before.tempC, 100) }
  const own = stages.slice(first)
  const last = own.at(-1)!
  const lasting = ongoing(stages, plan, last.fromMs, nowMs)
  return {
    fromMs,
    tray,
    stages: own.flatMap((stage, i) => {
      const next = own[i + 1]
      const coolStage = {
        place: stage.place as CoolingPlace,
        covered: stage.covered,
        airTempC: stage.airTempC ?? undefined,
        stack: plan.at(-1)?.stack,
        material: plan.at(-1)?.material,
      }
      if (next) return [{ ...coolStage, durationS: Math.max(1, (next.fromMs - stage.fromMs) / 1000) }]
      return [{ ...coolStage, durationS: lasting.durationS }, ...lasting.after]
    }),
    readings: counted
      .filter((one) => one.atMs > fromMs)
      .map((one) => ({ timeS: (one.atMs - fromMs) / 1000, tempC: one.tempC })),
  }
}

function ongoing(
  stages: readonly LotState['stages'][number][],
  plan: readonly CoolStage[],
  lastMs: number,
  nowMs: number,
) {
  const followed = stages.every((stage, i) => plan[i]?.place === stage.place)
  const planned = plan[stages.length - 1]
  if (!followed || !planned || stages.length === plan.length) return { durationS: FOREVER_S, after: [] }
  return { durationS: Math.max(planned.durationS, (nowMs - lastMs) / 1000 + 1), after: plan.slice(stages.length) }
}

/** Where a lot's core goes, from the one fitted coefficient: the curve, its spread, and each step of the rule. */
export function forecastLot(lot: LotOnTray, state: LotState, ruleSet: RuleSet): LotForecast {
  const limit = COOLING_LIMITS[ruleSet]
  const fit = fitCooling(lot.tray, lot.stages, lot.readings)
  const stages = untilDecided(lot.stages)
  const run = (factor: number) => coolTray(lot.tray, trayStages(stages, factor))
  const middle = run(fit.surfaceFactor)
  const fast = run(fit.surfaceFactor * Math.exp(fit.logSpread))
  const slow = run(fit.surfaceFactor * Math.exp(-fit.logSpread))
  const at = (curve: Curve, tempC: number, fromMs = 0) => {
    const timeS = coolsToS(curve, tempC, Math.max(0, (fromMs - lot.fromMs) / 1000))
    return timeS === null ? null : lot.fromMs + timeS * 1000
  }
  const counted = state.readings.filter((one) => one.doubt === null && one.atMs >= (state.spreadAtMs ?? 0))
  const log = state.logs.find((one) => one.ruleSet === ruleSet)?.log
  const isStarted = counted.some((one) => one.tempC < limit.startC)
  const startMs = isStarted && log ? log.startMs : at(middle, limit.startC)
  let clockMs = startMs
  const steps = limit.steps.map((step, i): StepForecast => {
    const logged = log?.steps[i]
    const from = step.from === 'start' ? startMs : clockMs
    const readMs = logged?.reachedMs ?? null
    const aboveMs = counted.filter((one) => one.tempC > step.tempC).at(-1)?.atMs ?? lot.fromMs
    const crossingMs = (curve: Curve) => readMs ?? at(curve, step.tempC, aboveMs)
    const reachedMs = crossingMs(middle)
    clockMs = reachedMs
    return {
      tempC: step.tempC,
      tempF: step.tempF,
      limitMs: (isStarted ? logged?.limitMs : null) ?? (from === null ? null : from + step.withinS * 1000),
      reachedMs,
      isRead: readMs !== null,
      soonestMs: crossingMs(fast),
      latestMs: crossingMs(slow),
    }
  })
  return {
    fromMs: lot.fromMs,
    curve: { timesS: middle.timesS, coreC: middle.coreC },
    fast: { timesS: fast.timesS, coreC: fast.coreC },
    slow: { timesS: slow.timesS, coreC: slow.coreC },
    planned: plannedCurve(lot, stages),
    fit,
    steps,
    massLossFraction: middle.massLossFraction,
    growth: {
      bacillusCereus: growthLog10('bacillusCereus', middle.growthIntegral.bacillusCereus),
      clostridiumPerfringens: growthLog10('clostridiumPerfringens', middle.growthIntegral.clostridiumPerfringens),
    },
  }
}

function plannedCurve({ tray }: LotOnTray, stages: readonly CoolStage[]): Curve {
  const { timesS, coreC } = coolTray(tray, trayStages(stages))
  return { timesS, coreC }
}

/** What the model expects of the core at an instant [°C]. */
export function expectedC({ fromMs, curve }: Pick<LotForecast, 'fromMs' | 'curve'>, atMs: number): number {
  return tempAtC(curve, Math.max(0, (atMs - fromMs) / 1000))
}

/** By how much more than wanted a lot is on its way to miss a step: the first one, or null where it makes them all. */
export function stepAtRisk(steps: readonly StepForecast[]): StepForecast | null {
  return (
    steps.find((step) => !step.isRead && step.limitMs !== null && (step.reachedMs ?? Infinity) > step.limitMs) ?? null
  )
}

/** So long before a limit a reading decides [ms]. */
const NEAR_LIMIT_MS = 20 * 60_000

/** Whether the next reading decides about a lot: near or past a limit, overdue or unproven, in doubt, or where the model crossed unread. */
export function readingDecides(
  state: Pick<LotState, 'judged' | 'readings'>,
  steps: readonly StepForecast[],
  nowMs: number,
): boolean {
  if (state.judged === 'overdue' || state.judged === 'unproven') return true
  if (state.readings.at(-1)?.doubt) return true
  return steps.some(
    (step) =>
      !step.isRead &&
      ((step.limitMs !== null && nowMs >= step.limitMs - NEAR_LIMIT_MS) ||
        (step.reachedMs !== null && step.reachedMs <= nowMs)),
  )
}
