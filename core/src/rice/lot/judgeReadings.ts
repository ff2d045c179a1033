import type { CoolingLimit } from '../../safety/coolingLimits'

export type TimedReading = { atMs: number; tempC: number }

/**
 * How one step of a rule stands by the log alone:
 * - `met`: a reading at or below the temperature, no later than the limit;
 * - `broken`: a reading above it at or after the limit;
 * - `overdue`: the limit is past and nobody has looked;
 * - `unproven`: the first reading at or below it came after the limit, with none between.
 */
export type StepVerdict = 'open' | 'met' | 'broken' | 'overdue' | 'unproven'
export type StepLog = { tempC: number; limitMs: number | null; reachedMs: number | null; verdict: StepVerdict }
export type CoolingLog = { startMs: number | null; steps: StepLog[] }

/**
 * Readings against a cooling rule, on the careful side: the clock starts at the last reading at or above the start
 * temperature (or when cooling began), a temperature counts as reached at the first reading that shows it.
 */
export function judgeReadings(
  readings: readonly TimedReading[],
  limit: CoolingLimit,
  beganMs: number,
  nowMs: number,
): CoolingLog {
  const sorted = [...readings].sort((a, b) => a.atMs - b.atMs)
  const startMs = clockStartMs(sorted, limit.startC, beganMs)
  let fromMs = startMs
  const steps = limit.steps.map((step): StepLog => {
    const stepFromMs = step.from === 'start' ? startMs : fromMs
    const limitMs = stepFromMs === null ? null : stepFromMs + step.withinS * 1000
    const log = judgeStep(sorted, step.tempC, limitMs, nowMs)
    fromMs = log.reachedMs === null ? null : lastAbove(sorted, step.tempC, log.reachedMs, beganMs)
    return log
  })
  return { startMs, steps }
}

function clockStartMs(sorted: readonly TimedReading[], startC: number, beganMs: number): number | null {
  const first = sorted.findIndex((reading) => reading.tempC < startC)
  if (first > 0) return sorted[first - 1]!.atMs
  if (first === 0) return beganMs
  return sorted.at(-1)?.atMs ?? beganMs
}

function lastAbove(sorted: readonly TimedReading[], tempC: number, reachedMs: number, beganMs: number): number {
  return sorted.filter((one) => one.atMs < reachedMs && one.tempC > tempC).at(-1)?.atMs ?? beganMs
}

function judgeStep(sorted: readonly TimedReading[], tempC: number, limitMs: number | null, nowMs: number): StepLog {
  const reached = sorted.find((one) => one.tempC <= tempC)
  const reachedMs = reached?.atMs ?? null
  const log = { tempC, limitMs, reachedMs }
  if (limitMs === null) return { ...log, verdict: 'open' }
  if (reachedMs !== null && reachedMs <= limitMs) return { ...log, verdict: 'met' }
  if (sorted.some((one) => one.tempC > tempC && one.atMs >= limitMs && one.atMs < (reachedMs ?? Infinity)))
    return { ...log, verdict: 'broken' }
  if (reachedMs !== null) return { ...log, verdict: 'unproven' }
  return { ...log, verdict: nowMs > limitMs ? 'overdue' : 'open' }
}

/** The worst of several verdicts decides. */
export function worstVerdict(logs: readonly CoolingLog[]): StepVerdict {
  const order: readonly StepVerdict[] = ['broken', 'unproven', 'overdue', 'open', 'met']
  const verdicts = logs.flatMap((log) => log.steps.map((step) => step.verdict))
  return order.find((verdict) => verdicts.includes(verdict)) ?? 'open'
}
