import { daysBetween, weekdayOf } from '../../time/localTime'
import type { ForecastNote } from './forecastNote'
import { normalQuantile } from './normal'

/** Portions that one service sold on one day: `day` as 2026-11-26. */
export type ServiceDay = {
  day: string
  service: string
  portions: number
  /** Sold out before its end: more was asked for than is on record. */
  isSoldOut?: boolean
}
/** What the record expects of a service, with its spread. */
export type Forecast = {
  expected: number
  /** Four days in five fall between these. */
  low: number
  high: number
  spread: number
  /** Days of this service that it rests on. */
  days: number
  notes: ForecastNote[]
}

/** Smoothing of the level and of a weekday's factor, and how much a weekday is held to the rest until it has been seen. */
const LEVEL_SHARE = 0.2
const FACTOR_SHARE = 0.25
const FACTOR_HELD_DAYS = 1.5
const SPREAD_SHARE = 0.15
/** Spread of a day around the forecast before there is a record of misses, by the forecast. */
const FIRST_SPREAD = 0.25
/** A day that misses by more than this factor is a feast, a storm or a slip: it moves the forecast no further. */
const MAX_SURPRISE = 2
const LOW_SHARE = 0.1
/** So few days are no season: the range is wider, and widest after one. */
const FEW_DAYS = 7
const FEW_DAYS_WIDTH = 5
/** A record that ended so long ago says less with every four weeks. */
const OLD_AFTER_DAYS = 56
const OLDER_DAYS = 28

/** Between which portions most days fall: one in ten stays below, one in ten goes above. */
export function likelyRange(expected: number, spread: number): { low: number; high: number } {
  const half = normalQuantile(1 - LOW_SHARE) * spread
  return { low: Math.max(0, expected - half), high: expected + half }
}

/**
 * Portions to expect from a service on a day: a smoothed level times a smoothed factor of the weekday, and the spread of
 * past misses (never less than chance alone, √portions). Days without a record say nothing; outliers are trimmed, so that
 * neither a gap nor a feast makes it jump; a day that sold out is a lower bound. It never leaves what was seen, and widens
 * where the record is short or old. Null without any record.
 */
export function forecastPortions(history: readonly ServiceDay[], day: string, service: string): Forecast | null {
  const days = history
    .filter((one) => one.service === service && one.day < day)
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
  const last = days.at(-1)
  if (!last) return null
  const state = { level: median(days.slice(0, 7).map((one) => one.portions)), variance: FIRST_SPREAD * FIRST_SPREAD }
  const factors = Array.from({ length: 8 }, () => ({ value: 1, seen: 0 }))
  let hasOutlier = days.length <= FEW_DAYS && spansTooMuch(days)
  for (const { day: past, portions, isSoldOut } of days) {
    const factor = factors[weekdayOf(past)]!
    const expected = state.level * factor.value
    if (isSoldOut && portions < expected) continue
    if (expected <= 0) {
      state.level += LEVEL_SHARE * (portions - state.level)
      continue
    }
    const trimmed = Math.min(Math.max(portions, expected / MAX_SURPRISE), expected * MAX_SURPRISE)
    if (trimmed !== portions && past === last.day) hasOutlier = true
    const miss = (trimmed - expected) / expected
    state.variance += SPREAD_SHARE * (miss * miss - state.variance)
    const seasonal = trimmed / state.level
    state.level += LEVEL_SHARE * (trimmed / factor.value - state.level)
    factor.seen += 1
    factor.value += Math.max(FACTOR_SHARE, 1 / (factor.seen + FACTOR_HELD_DAYS)) * (seasonal - factor.value)
    state.level *= normalise(factors)
  }
  const seen = days.map((one) => one.portions)
  const most = days.some((one) => one.isSoldOut) ? Infinity : Math.max(...seen)
  const expected = Math.min(most, Math.max(Math.min(...seen), state.level * factors[weekdayOf(day)]!.value))
  const ageDays = daysBetween(last.day, day)
  const isOld = ageDays > OLD_AFTER_DAYS
  const width = 1 + FEW_DAYS_WIDTH / days.length ** 2
  const ageWidth = isOld ? Math.sqrt(1 + (ageDays - OLD_AFTER_DAYS) / OLDER_DAYS) : 1
  const apart = days.length <= FEW_DAYS ? deviation(seen) : 0
  const spread = ageWidth * Math.max(apart, Math.sqrt(Math.max(state.variance * width * expected * expected, expected)))
  const notes: ForecastNote[] = [
    ...(days.length < FEW_DAYS ? (['fewDays'] as const) : []),
    ...(isOld ? (['old'] as const) : []),
    ...(hasOutlier ? (['outlier'] as const) : []),
    ...(days.some((one) => one.isSoldOut) ? (['soldOut'] as const) : []),
  ]
  return { expected, ...likelyRange(expected, spread), spread, days: days.length, notes }
}

/** Days so few and so far apart that one of them is a slip or a feast, and nobody can say which. */
function spansTooMuch(days: readonly ServiceDay[]): boolean {
  const seen = days.map((one) => one.portions)
  return Math.max(...seen) > 2 * MAX_SURPRISE * Math.max(1, Math.min(...seen))
}

/** Standard deviation of a few values. */
function deviation(values: readonly number[]): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length)
}

/** Keeps the mean of the factors seen at 1; returns what the level takes over. */
function normalise(factors: { value: number; seen: number }[]): number {
  const known = factors.filter((factor) => factor.seen > 0)
  const mean = known.reduce((sum, factor) => sum + factor.value, 0) / known.length
  for (const factor of known) factor.value /= mean
  return mean
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = sorted.length / 2
  return sorted.length % 2 ? sorted[Math.floor(middle)]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}
