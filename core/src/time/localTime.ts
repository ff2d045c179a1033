/** Calendar days and minutes of a kitchen's zone; instants are ms since 1970, UTC. */
const MINUTE_MS = 60_000
const DAY_MS = 86_400_000

const formats = new Map<string, Intl.DateTimeFormat>()

function formatOf(timeZone: string): Intl.DateTimeFormat {
  const known = formats.get(timeZone)
  if (known) return known
  const made = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
  })
  formats.set(timeZone, made)
  return made
}

/** The zone's wall clock at an instant, written as if it were UTC [ms]. */
function wallMs(ms: number, timeZone: string): number {
  const part: Record<string, number> = {}
  for (const { type, value } of formatOf(timeZone).formatToParts(ms)) part[type] = Number(value)
  const { year = 0, month = 1, day = 1, hour = 0, minute = 0, second = 0 } = part
  return Date.UTC(year, month - 1, day, hour, minute, second)
}

/** The day in the zone: 2026-11-26. */
export function localDay(ms: number, timeZone: string): string {
  return new Date(wallMs(ms, timeZone)).toISOString().slice(0, 10)
}

/** Minutes since the zone's midnight by its wall clock. */
export function localMinute(ms: number, timeZone: string): number {
  return Math.floor((wallMs(ms, timeZone) % DAY_MS) / MINUTE_MS)
}

/** A day so many days later. */
export function dayAfter(day: string, days = 1): string {
  return new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10)
}

/** Monday is 1, Sunday 7. */
export function weekdayOf(day: string): number {
  return new Date(`${day}T00:00:00Z`).getUTCDay() || 7
}

/**
 * The instant at which the zone's wall clock shows a minute of a day. Where summer time skips it, the instant after the
 * gap; where it comes twice, the first.
 */
export function instantOf(day: string, minute: number, timeZone: string): number {
  const wanted = Date.parse(`${day}T00:00:00Z`) + minute * MINUTE_MS
  const early = wanted - (wallMs(wanted - DAY_MS, timeZone) - (wanted - DAY_MS))
  const late = wanted - (wallMs(wanted + DAY_MS, timeZone) - (wanted + DAY_MS))
  for (const candidate of [Math.min(early, late), Math.max(early, late)])
    if (wallMs(candidate, timeZone) === wanted) return candidate
  return Math.max(early, late)
}

/** The last millisecond of the day in the zone on which an instant falls, so many days later. */
export function endOfLocalDay(ms: number, timeZone: string, daysLater = 0): number {
  return instantOf(dayAfter(localDay(ms, timeZone), daysLater + 1), 0, timeZone) - 1
}
