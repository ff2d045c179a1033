import { dayAfter, instantOf, localDay, localMinute, weekdayOf } from '../time/localTime'

/** Waves of orders on some weekdays (Monday is 1): the first, the last at the latest, and how far apart, in minutes of the day. */
export type WaveSpan = { weekdays: readonly number[]; fromMin: number; toMin: number; everyMin: number }
/** When the kitchen's waves of orders come, and how long a wave stays: what is taken away is due when it leaves. */
export type Waves = { spans: readonly WaveSpan[]; stayMin: number }
/** A wave: guests come, and those who take away leave. */
export type Wave = { landsMs: number; leavesMs: number }

const MIN_MS = 60_000
const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS
/** No zone moves its clock by more. */
const CLOCK_MOVES_MS = 2 * HOUR_MS

/** Minutes of a weekday at which a wave comes, each once, in their order. */
export function waveMinutes({ spans }: Pick<Waves, 'spans'>, weekday: number): number[] {
  const minutes = new Set<number>()
  for (const { weekdays, fromMin, toMin, everyMin } of spans)
    if (weekdays.includes(weekday)) for (let min = fromMin; min <= toMin; min += everyMin) minutes.add(min)
  return [...minutes].sort((a, b) => a - b)
}

/** The waves that come from one instant until before another, by the wall clock of the kitchen's zone. */
export function wavesBetween(waves: Waves, fromMs: number, toMs: number, timeZone: string): Wave[] {
  const found: Wave[] = []
  const last = localDay(toMs, timeZone)
  for (let day = localDay(fromMs, timeZone); day <= last; day = dayAfter(day)) {
    const midnightMs = instantOf(day, 0, timeZone)
    for (const min of waveMinutes(waves, weekdayOf(day))) {
      const roughMs = midnightMs + min * MIN_MS
      if (roughMs < fromMs - CLOCK_MOVES_MS || roughMs > toMs + CLOCK_MOVES_MS) continue
      const landsMs = instantOf(day, min, timeZone)
      // In the night when the clock goes forward an hour has no waves.
      if (localMinute(landsMs, timeZone) !== min) continue
      if (landsMs >= fromMs && landsMs < toMs) found.push({ landsMs, leavesMs: landsMs + waves.stayMin * MIN_MS })
    }
  }
  return found
}

/** The next waves that have not left at an instant, the soonest to leave first; fewer where no more come within eight days. */
export function nextWaves(waves: Waves, nowMs: number, count: number, timeZone: string): Wave[] {
  const fromMs = nowMs - waves.stayMin * MIN_MS
  for (const aheadMs of [2 * HOUR_MS, DAY_MS, 8 * DAY_MS]) {
    const coming = wavesBetween(waves, fromMs, nowMs + aheadMs, timeZone).filter(({ leavesMs }) => leavesMs > nowMs)
    if (coming.length >= count || aheadMs === 8 * DAY_MS) return coming.slice(0, count)
  }
  return []
}
