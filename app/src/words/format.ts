import { majorOf } from 'core/measure/currency'
import { fahrenheitOf, type TempUnit } from 'core/measure/temperature'

/** Numbers and times as they are shown. Units follow the kitchen, never the language. */
type ShownTemp = { tempC: number; tempF?: number | null | undefined }

const FRACTIONS: readonly [number, string][] = [
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [1 / 2, '½'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
]

/** A count as a kitchen writes it: 2½, ⅓, 3. */
export function formatCount(count: number): string {
  const whole = Math.floor(count + 1e-6)
  const rest = count - whole
  const fraction = FRACTIONS.find(([value]) => Math.abs(value - rest) < 0.02)?.[1]
  if (fraction) return whole === 0 ? fraction : `${whole}${fraction}`
  return String(Math.round(count * 10) / 10)
}

/** Seconds as a clock counts: 0:48, 12:05. Negative time runs on with a plus. */
export function formatClock(seconds: number): string {
  const whole = Math.abs(Math.trunc(seconds))
  const minutes = Math.floor(whole / 60)
  const rest = String(whole % 60).padStart(2, '0')
  return `${seconds <= -1 ? '+' : ''}${minutes}:${rest}`
}

/** A span as people say it, to its largest unit: 4 days, 10 min, 45 s. */
export function formatSpan(seconds: number): string {
  const hours = seconds / 3600
  if (hours >= 47.5) return `${Math.round(hours / 24)} days`
  if (hours >= 2) return `${Math.round(hours)} h`
  return seconds >= 120 ? `${Math.round(seconds / 60)} min` : `${Math.round(seconds)} s`
}

/** Lateness with its sign: +8 s, −3 s, +1:10. */
export function formatLate(seconds: number): string {
  const rounded = Math.round(seconds)
  const sign = rounded > 0 ? '+' : rounded < 0 ? '−' : ''
  const size = Math.abs(rounded)
  return size >= 60 ? `${sign}${formatClock(size)}` : `${sign}${size} s`
}

/** A temperature in the unit that the kitchen reads, as a number: what was read in °F stays as it was read. */
export function degrees({ tempC, tempF = null }: ShownTemp, readsIn: TempUnit): number {
  const value = readsIn === 'F' ? (tempF ?? fahrenheitOf(tempC)) : tempC
  return Math.round(value * 10) / 10
}

/** A temperature with its unit and a true minus: 41 °F, −18 °C. */
export function formatTemp(temp: ShownTemp, readsIn: TempUnit): string {
  return `${String(degrees(temp, readsIn)).replace('-', '−')} °${readsIn}`
}

/** An estimate of a temperature: whole degrees of the unit that is read, or the nearest ten of them. */
export function formatWholeTemp(tempC: number, readsIn: TempUnit, nearest = 1): string {
  const whole = Math.round(degrees({ tempC }, readsIn) / nearest) * nearest
  return `${String(whole).replace('-', '−')} °${readsIn}`
}

const formats = new Map<string, Intl.DateTimeFormat>()

function dateFormat(key: string, timeZone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const full = `${key} ${timeZone}`
  const known = formats.get(full)
  if (known) return known
  const made = new Intl.DateTimeFormat('en-GB', { timeZone, ...options })
  formats.set(full, made)
  return made
}

/** Time of day in the kitchen's zone: 18:25. */
export function formatTime(ms: number, timeZone: string): string {
  return dateFormat('time', timeZone, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }).format(ms)
}

/** Time of day to the second: 18:25:00. */
export function formatTimeS(ms: number, timeZone: string): string {
  return dateFormat('timeS', timeZone, {
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
    hourCycle: 'h23',
  }).format(ms)
}

/** Day in the kitchen's zone: Thu 26 Nov. */
export function formatDay(ms: number, timeZone: string): string {
  return dateFormat('day', timeZone, { weekday: 'short', day: 'numeric', month: 'short' }).format(ms)
}

/** First letter as a capital, for names from the book that begin a sentence. */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}

const money = new Map<string, Intl.NumberFormat>()

/** Money from its smallest unit: $2.86. */
export function formatMoney(minor: number, currency: string): string {
  const known = money.get(currency)
  const format = known ?? new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' })
  if (!known) money.set(currency, format)
  return format.format(majorOf(minor, currency))
}

/** A fraction as per cent with as many digits as matter: 1.05, 6.3, 41. */
export function formatPercent(fraction: number): string {
  const percent = fraction * 100
  return percent < 2 ? percent.toFixed(2) : percent < 10 ? percent.toFixed(1) : String(Math.round(percent))
}
