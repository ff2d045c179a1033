const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS
/** House figures: a slip of this evening is found by the hour, an old one by the day. */
const HOURLY = 24
const DAILY = 14

/**
 * Which backups stay, by their instants [ms]: the newest of each of the last 24 hours that have one, of each of the last 14 days that
 * have one, and the newest of all. Hours and days are counted in UTC. What is from a clock that ran ahead stays.
 */
export function keptBackups(timesMs: readonly number[], nowMs: number): number[] {
  const newestFirst = [...new Set(timesMs)].sort((a, b) => b - a)
  const kept = new Set(newestFirst.filter((ms) => ms > nowMs))
  if (newestFirst[0] !== undefined) kept.add(newestFirst[0])
  for (const [periodMs, most] of [
    [HOUR_MS, HOURLY],
    [DAY_MS, DAILY],
  ] as const) {
    const seen = new Set<number>()
    for (const ms of newestFirst) {
      const period = Math.floor(ms / periodMs)
      if (ms > nowMs || seen.has(period)) continue
      if (seen.size >= most) break
      seen.add(period)
      kept.add(ms)
    }
  }
  return newestFirst.filter((ms) => kept.has(ms))
}
