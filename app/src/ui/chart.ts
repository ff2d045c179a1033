import { utcMinute } from 'd3-time'
import { dayAfter, instantOf, localDay, localMinute } from 'core/time/localTime'

const MINUTE_MS = 60_000

/** What the kitchen's wall clock shows at an instant, written as if it were UTC [ms]. */
const wallMs = (ms: number, timeZone: string) =>
  Date.parse(`${localDay(ms, timeZone)}T00:00:00Z`) + localMinute(ms, timeZone) * MINUTE_MS

/** Instants between two at which the kitchen's clock shows a multiple of so many minutes. */
export function clockTicks(fromMs: number, toMs: number, everyMin: number, timeZone: string): number[] {
  const every = utcMinute.every(everyMin)
  if (!every) return []
  const walls = every.range(new Date(wallMs(fromMs, timeZone)), new Date(wallMs(toMs, timeZone) + MINUTE_MS))
  return walls
    .map((wall) => instantOf(wall.toISOString().slice(0, 10), wall.getUTCHours() * 60 + wall.getUTCMinutes(), timeZone))
    .filter((ms, i, all) => ms >= fromMs && ms <= toMs && ms !== all[i - 1])
}

/** Midnights of the kitchen between two instants, the latest first. */
export function midnights(fromMs: number, toMs: number, timeZone: string): number[] {
  const found: number[] = []
  for (let day = localDay(toMs, timeZone); ; day = dayAfter(day, -1)) {
    const ms = instantOf(day, 0, timeZone)
    if (ms < fromMs) return found
    found.push(ms)
  }
}
