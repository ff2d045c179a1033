import type { CoolingLimit } from '../../safety/coolingLimits'
import { coolTray } from '../cooling/coolTray'
import type { CoolingPlace } from '../cooling/coolingPlace'
import { coolsToS } from '../cooling/judgeCurve'
import { trayStages } from '../cooling/predictCooling'
import type { StepForecast } from './lotForecast'

/** What would cool a tray in time. */
export type Remedy = { kind: 'uncover' | 'thinner' | 'move' | 'thinnerMove'; place: CoolingPlace; depthM: number }
/** The least remedy that helps, and when each step is then met. */
export type Advice = { remedy: Remedy; reachedMs: number[] }

/** Depths that can be spread with a scraper [m]. */
const DEPTHS_M = [0.03, 0.02, 0.01] as const
const HORIZON_S = 10 * 3600
/** Spread while people do it [s]: the clock goes on. */
const HANDLING_S = 300

/** A tray at risk, and the places it could go to. */
export type AdviceInput = {
  tempC: number
  nowMs: number
  depthM: number
  place: CoolingPlace
  covered: boolean
  airTempC: number | null
  /** Of the place it stands in, from its readings. */
  surfaceFactor: number
  /** Other places of the kitchen, the best at hand first. */
  places: readonly { kind: CoolingPlace; airTempC: number | null }[]
  steps: readonly StepForecast[]
  limit: CoolingLimit
}

/**
 * The least that brings a slow lot inside its rule again: the cover off, a thinner layer, another place, or both; null
 * where nothing does. The rice is taken as warm throughout as it was read, which is on the careful side.
 */
export function adviseCooling(input: AdviceInput): Advice | null {
  const { place, depthM, covered } = input
  const thinner = DEPTHS_M.filter((one) => one < depthM - 0.004)
  const others = input.places.filter((one) => one.kind !== place)
  const remedies: Remedy[] = [
    ...(covered ? [{ kind: 'uncover' as const, place, depthM }] : []),
    ...thinner.map((one) => ({ kind: 'thinner' as const, place, depthM: one })),
    ...others.map(({ kind }) => ({ kind: 'move' as const, place: kind, depthM })),
    ...others.flatMap(({ kind }) => thinner.map((one) => ({ kind: 'thinnerMove' as const, place: kind, depthM: one }))),
  ]
  for (const remedy of remedies) {
    const reachedMs = tryRemedy(input, remedy)
    if (reachedMs) return { remedy, reachedMs }
  }
  return null
}

function tryRemedy(input: AdviceInput, remedy: Remedy): number[] | null {
  const airTempC =
    remedy.place === input.place
      ? input.airTempC
      : (input.places.find((one) => one.kind === remedy.place)?.airTempC ?? null)
  const stage = { durationS: HORIZON_S, place: remedy.place, covered: false, airTempC: airTempC ?? undefined }
  const factor = remedy.place === input.place ? input.surfaceFactor : 1
  const curve = coolTray({ depthM: remedy.depthM, startTempC: input.tempC }, trayStages([stage], factor))
  const reachedMs: number[] = []
  let beforeMs: number | null = null
  for (const [i, step] of input.steps.entries()) {
    const rule = input.limit.steps[i]!
    const limitMs: number | null =
      rule.from === 'step' && beforeMs !== null ? beforeMs + rule.withinS * 1000 : step.limitMs
    beforeMs = step.reachedMs
    if (step.isRead) continue
    const timeS = coolsToS(curve, step.tempC)
    if (timeS === null || limitMs === null) return null
    beforeMs = input.nowMs + (HANDLING_S + timeS) * 1000
    if (beforeMs > limitMs) return null
    reachedMs.push(beforeMs)
  }
  return reachedMs
}
