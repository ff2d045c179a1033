import { isAbove, isBelow, type TempLimit, type Temperature } from '../../measure/temperature'
import type { CoolingLimit } from '../../safety/coolingLimits'

/** A temperature that was read at an instant. */
export type TimedReading = Temperature & { atMs: number }

/**
 * How one step of a rule stands by the log alone:
 * - `broken`: a reading above it at or after the limit, also after one that was below;
 * - `met`: at or below it no later than the limit, and no reading above it since;
 * - `unproven`: at or below it, but the reading that shows it came after the limit;
 * - `overdue`: the limit is past and nobody has looked.
 */
export type StepVerdict = 'open' | 'met' | 'broken' | 'overdue' | 'unproven'
/** What the log says of one step of the rule. */
export type StepLog = TempLimit & { limitMs: number | null; reachedMs: number | null; verdict: StepVerdict }
/** What the log says of a whole rule. */
export type CoolingLog = { startMs: number | null; steps: StepLog[] }

/**
 * Readings of a lot while it cooled against a cooling rule, on the careful side: the clock starts at the last reading at or
 * above the start temperature (or when cooling began), a temperature counts as reached at the first reading that shows it
 * with none above it after. Limits are compared in the unit that was read.
 */
export function judgeReadings(
  readings: readonly TimedReading[],
  limit: CoolingLimit,
  beganMs: number,
  nowMs: number,
): CoolingLog {
  const sorted = [...readings].sort((a, b) => a.atMs - b.atMs)
  const startMs = clockStartMs(sorted, { tempC: limit.startC, tempF: limit.startF }, beganMs)
  let fromMs = startMs
  const steps = limit.steps.map((step): StepLog => {
    const stepFromMs = step.from === 'start' ? startMs : fromMs
    const limitMs = stepFromMs === null ? null : stepFromMs + step.withinS * 1000
    const log = judgeStep(sorted, step, limitMs, nowMs)
    fromMs = log.reachedMs
    return log
  })
  return { startMs, steps }
}

function clockStartMs(sorted: readonly TimedReading[], start: TempLimit, beganMs: number): number | null {
  const first = sorted.findIndex((reading) => isBelow(reading, start))
  if (first > 0) return sorted[first - 1]!.atMs
  if (first === 0) return beganMs
  return sorted.at(-1)?.atMs ?? beganMs
}

function judgeStep(sorted: readonly TimedReading[], limit: TempLimit, limitMs: number | null, nowMs: number): StepLog {
  const lastAbove = sorted.reduce((last, one, i) => (isAbove(one, limit) ? i : last), -1)
  const reachedMs = sorted[lastAbove + 1]?.atMs ?? null
  const log = { tempC: limit.tempC, tempF: limit.tempF, limitMs, reachedMs }
  if (limitMs === null) return { ...log, verdict: 'open' }
  if (sorted.some((one) => one.atMs >= limitMs && isAbove(one, limit))) return { ...log, verdict: 'broken' }
  if (reachedMs !== null) return { ...log, verdict: reachedMs <= limitMs ? 'met' : 'unproven' }
  return { ...log, verdict: nowMs > limitMs ? 'overdue' : 'open' }
}

const WORST_FIRST: readonly StepVerdict[] = ['broken', 'unproven', 'overdue', 'open', 'met']

/** The worst of several verdicts decides. */
export function worstOf(verdicts: readonly StepVerdict[]): StepVerdict {
  return WORST_FIRST.find((verdict) => verdicts.includes(verdict)) ?? 'open'
}
