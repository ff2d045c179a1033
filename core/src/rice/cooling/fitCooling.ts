import { coolTray, type Tray } from './coolTray'
import type { CoolStage } from './coolingPlace'
import type { Curve } from './judgeCurve'
import { trayStages } from './predictCooling'

const { exp, log, max, min, sqrt } = Math

/** A core temperature, in seconds from the beginning of cooling. */
export type Reading = { timeS: number; tempC: number }
/** How fast a tray cools against the model, and how sure that is. */
export type CoolingFit = {
  /** By how much the surfaces take heat away faster (above 1) or slower than planned. */
  surfaceFactor: number
  /** One standard deviation of its natural logarithm. */
  logSpread: number
}

const MIN_FACTOR = 0.15
const MAX_FACTOR = 5
/** What is known of a place before any reading: ± 35 %; and how well a hand-held probe finds the warmest point. */
const PRIOR_LOG_SPREAD = 0.35
const READING_SPREAD_K = 1.5
const GOLDEN = (sqrt(5) - 1) / 2
const LOG_TOLERANCE = 0.01
const SLOPE_STEP = 0.05

/**
 * The one uncertain coefficient from readings of the core: a bounded search for the surface factor that fits best, held
 * by what is known beforehand; its spread from how much the readings say. Without readings: as planned, ± 35 %.
 */
export function fitCooling(tray: Tray, stages: readonly CoolStage[], readings: readonly Reading[]): CoolingFit {
  if (readings.length === 0) return { surfaceFactor: 1, logSpread: PRIOR_LOG_SPREAD }
  const lastS = max(...readings.map((reading) => reading.timeS))
  const until = cutAt(stages, lastS)
  const predicted = (logFactor: number) => {
    const curve = coolTray(tray, trayStages(until, exp(logFactor)))
    return readings.map((reading) => tempAtC(curve, reading.timeS))
  }
  const misfit = (logFactor: number) =>
    predicted(logFactor).reduce(
      (sum, tempC, i) => sum + ((tempC - readings[i]!.tempC) / READING_SPREAD_K) ** 2,
      (logFactor / PRIOR_LOG_SPREAD) ** 2,
    )
  const best = minimum(misfit, log(MIN_FACTOR), log(MAX_FACTOR))
  const above = predicted(best + SLOPE_STEP)
  const below = predicted(best - SLOPE_STEP)
  const information = above.reduce(
    (sum, tempC, i) => sum + ((tempC - below[i]!) / (2 * SLOPE_STEP * READING_SPREAD_K)) ** 2,
    1 / PRIOR_LOG_SPREAD ** 2,
  )
  return { surfaceFactor: exp(best), logSpread: 1 / sqrt(information) }
}

function cutAt(stages: readonly CoolStage[], endS: number): CoolStage[] {
  const cut: CoolStage[] = []
  let leftS = endS
  for (const [index, stage] of stages.entries()) {
    const durationS = index === stages.length - 1 ? leftS : min(stage.durationS, leftS)
    if (durationS > 0) cut.push({ ...stage, durationS })
    leftS -= durationS
  }
  return cut
}

/** A curve at an instant [°C], straight between points. */
export function tempAtC({ timesS, coreC }: Curve, timeS: number): number {
  const next = timesS.findIndex((one) => one >= timeS)
  if (next === -1) return coreC.at(-1) ?? Number.NaN
  if (next === 0) return coreC[0]!
  const share = (timeS - timesS[next - 1]!) / (timesS[next]! - timesS[next - 1]!)
  return coreC[next - 1]! + share * (coreC[next]! - coreC[next - 1]!)
}

/** Golden-section search. */
function minimum(value: (x: number) => number, low: number, high: number): number {
  let a = high - GOLDEN * (high - low)
  let b = low + GOLDEN * (high - low)
  let atA = value(a)
  let atB = value(b)
  while (high - low > LOG_TOLERANCE) {
    if (atA < atB) {
      high = b
      b = a
      atB = atA
      a = high - GOLDEN * (high - low)
      atA = value(a)
    } else {
      low = a
      a = b
      atA = atB
      b = low + GOLDEN * (high - low)
      atB = value(b)
    }
  }
  return (low + high) / 2
}
