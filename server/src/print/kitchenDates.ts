import type { Kitchen } from 'contract/kitchen'

/** Instants as the kitchen writes them on paper: its zone and its locale, the day always with its name. */
export function kitchenDates({ timeZone, locale }: Pick<Kitchen, 'timeZone' | 'locale'>) {
  const of = (options: Intl.DateTimeFormatOptions) => {
    const format = new Intl.DateTimeFormat(locale, { timeZone, hourCycle: 'h23', ...options })
    return (ms: number) => format.format(ms)
  }
  const dayFields = { weekday: 'short', day: 'numeric', month: 'short' } as const
  const timeFields = { hour: '2-digit', minute: '2-digit' } as const
  return { day: of(dayFields), time: of(timeFields), dayTime: of({ ...dayFields, ...timeFields }) }
}
