import type { CoolingLimit } from '../../safety/coolingLimits'

/** Core temperatures over time: seconds and °C, point by point. */
export type Curve = { timesS: readonly number[]; coreC: readonly number[] }

const SAME_WITHIN_K = 1e-6

/** When the core first stands at or below a temperature [s], straight between points; null if it never does. */
export function coolsToS({ timesS, coreC }: Curve, tempC: number, fromS = 0): number | null {
  for (let i = 0; i < timesS.length; i += 1) {
    const hereC = coreC[i]!
    if (hereC > tempC || timesS[i]! < fromS) continue
    if (i === 0 || timesS[i - 1]! < fromS) return timesS[i]!
    const beforeC = coreC[i - 1]!
    if (beforeC <= tempC) return timesS[i]!
    return timesS[i - 1]! + ((beforeC - tempC) / (beforeC - hereC)) * (timesS[i]! - timesS[i - 1]!)
  }
  return null
}

/** When a curve reaches the temperature of a step, and whether that is in time. */
export type CurveStep = {
  tempC: number
  /** On the clock of the curve [s]; null where it lies beyond the curve. */
  reachedS: number | null
  /** Null where the step before is never reached and the clock of this one never starts. */
  limitS: number | null
  passes: boolean
}
/** A curve judged by the steps of a rule. */
export type CurveJudgement = {
  /** Null where the rice is below the rule's start temperature from the beginning: for how long, nobody knows. */
  startS: number | null
  steps: CurveStep[]
  /** Once cold, no warmer again to the end of the curve. */
  staysCold: boolean
  passes: boolean
}

/**
 * A predicted curve against a cooling rule; reaching a temperature in the very second of the limit passes, and passing means
 * staying cold to the end.
 */
export function judgeCurve(curve: Curve, limit: CoolingLimit): CurveJudgement {
  const startS = curve.coreC[0]! < limit.startC ? null : coolsToS(curve, limit.startC)
  const steps: CurveStep[] = []
  let clockS = startS
  for (const step of limit.steps) {
    const reachedS = startS === null ? null : coolsToS(curve, step.tempC)
    const fromS = step.from === 'start' ? startS : clockS
    const limitS = fromS === null ? null : fromS + step.withinS
    steps.push({
      tempC: step.tempC,
      reachedS,
      limitS,
      passes: reachedS !== null && limitS !== null && reachedS <= limitS,
    })
    clockS = reachedS
  }
  const coldC = limit.steps.at(-1)!.tempC
  const coldS = steps.at(-1)!.reachedS
  const staysCold =
    coldS !== null && curve.timesS.every((timeS, i) => timeS <= coldS || curve.coreC[i]! <= coldC + SAME_WITHIN_K)
  return { startS, steps, staysCold, passes: staysCold && steps.every((step) => step.passes) }
}
