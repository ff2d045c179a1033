import type { CoolingLimit } from '../../safety/coolingLimits'

export type Curve = { timesS: readonly number[]; coreC: readonly number[] }

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

export type StepForecast = {
  tempC: number
  /** On the clock of the curve [s]; null where it lies beyond the curve. */
  reachedS: number | null
  /** Null where the step before is never reached and the clock of this one never starts. */
  limitS: number | null
  passes: boolean
}
export type CurveJudgement = { startS: number | null; steps: StepForecast[]; passes: boolean }

/** A predicted curve against a cooling rule; reaching a temperature in the very second of the limit passes. */
export function judgeCurve(curve: Curve, limit: CoolingLimit): CurveJudgement {
  const startS = coolsToS(curve, limit.startC)
  const steps: StepForecast[] = []
  let clockS = startS
  for (const step of limit.steps) {
    const reachedS = coolsToS(curve, step.tempC)
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
  return { startS, steps, passes: steps.every((step) => step.passes) }
}
