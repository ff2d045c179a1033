import { TZDate, tzOffset } from '@date-fns/tz'
import { addDays } from 'date-fns/addDays'
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays'
import { endOfDay } from 'date-fns/endOfDay'
import { formatISO } from 'date-fns/formatISO'
import { getISODay } from 'date-fns/getISODay'

const MINUTE_MS = 60_000
const DAY_MS = 86_400_000

/** Calendar days (2026-11-26) and minutes of a kitchen's zone; instants are ms since 1970, UTC. */
const dateOf = (day: string) => new TZDate(`${day}T00:00:00Z`, 'UTC')
const isoDay = (date: Date) => formatISO(date, { representation: 'date' })

/** The day in the zone: 2026-11-26. */
export const localDay = (ms: number, timeZone: string): string => isoDay(new TZDate(ms, timeZone))

/** Minutes since the zone's midnight by its wall clock. */
export function localMinute(ms: number, timeZone: string): number {
  const wall = new TZDate(ms, timeZone)
  return wall.getHours() * 60 + wall.getMinutes()
}

/** A day so many days later. */
export const dayAfter = (day: string, days = 1): string => isoDay(addDays(dateOf(day), days))

/** Days from one day to a later one. */
export const daysBetween = (from: string, to: string): number => differenceInCalendarDays(dateOf(to), dateOf(from))

/** Monday is 1, Sunday 7. */
export const weekdayOf = (day: string): number => getISODay(dateOf(day))

/**
 * The instant at which the zone's wall clock shows a minute of a day. Where summer time skips it, the instant after the
 * gap; where it comes twice, the first.
 */
export function instantOf(day: string, minute: number, timeZone: string): number {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number)
  const instant = new TZDate(year, month - 1, date, 0, minute, timeZone).getTime()
  const offsetMin = (ms: number) => tzOffset(timeZone, new Date(ms))
  const first = instant - (offsetMin(instant - DAY_MS) - offsetMin(instant)) * MINUTE_MS
  return first < instant && localMinute(first, timeZone) === localMinute(instant, timeZone) ? first : instant
}

/** The last millisecond of the day in the zone on which an instant falls, so many days later. */
export const endOfLocalDay = (ms: number, timeZone: string, daysLater = 0): number =>
  endOfDay(addDays(new TZDate(ms, timeZone), daysLater)).getTime()
