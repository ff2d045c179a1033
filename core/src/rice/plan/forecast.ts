import { weekdayOf } from '../../time/localTime'
import { normalQuantile } from './normal'

/** Portions that one service sold on one day: `day` as 2026-11-26. */
export type ServiceDay = { day: string; service: string; portions: number }

export type Forecast = {
  expected: number
  /** Four days in five fall between these. */
  low: number
  high: number
  spread: number
  /** Days of this service that it rests on. */
  days: number
}

/** Smoothing of the level and of a weekday's factor, and how much a weekday is held to the rest until it has been seen. */
const LEVEL_SHARE = 0.2
const FACTOR_SHARE = 0.25
const FACTOR_HELD_DAYS = 1.5
const SPREAD_SHARE = 0.15
/** Spread of a day around the forecast before there is a record of misses, by the forecast. */
const FIRST_SPREAD = 0.25
/** A day that misses by more than this factor is a feast, a storm or a slip: it moves the forecast no further. */
const MOST_SURPRISE = 2
const LOW_SHARE = 0.1

/**
 * Portions to expect from a service on a day: a smoothed level times a smoothed factor of the weekday, and the spread of
 * past misses (never less than chance alone, √portions). Days without a record say nothing; outliers are trimmed, so that
 * neither a gap nor a feast makes it jump. Null without any record.
 */
export function forecastPortions(history: readonly ServiceDay[], day: string, service: string): Forecast | null {
  const days = history
    .filter((one) => one.service === service && one.day < day)
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
  if (days.length === 0) return null
  let level = median(days.slice(0, 7).map((one) => one.portions))
  const factors = Array.from({ length: 8 }, () => ({ value: 1, seen: 0 }))
  let variance = FIRST_SPREAD * FIRST_SPREAD
  for (const { day: past, portions } of days) {
    const factor = factors[weekdayOf(past)]!
    const expected = level * factor.value
    if (expected <= 0) {
      level += LEVEL_SHARE * (portions - level)
      continue
    }
    const trimmed = Math.min(Math.max(portions, expected / MOST_SURPRISE), expected * MOST_SURPRISE)
    const miss = (trimmed - expected) / expected
    variance += SPREAD_SHARE * (miss * miss - variance)
    const seasonal = trimmed / level
    level += LEVEL_SHARE * (trimmed / factor.value - level)
    factor.seen += 1
    factor.value += Math.max(FACTOR_SHARE, 1 / (factor.seen + FACTOR_HELD_DAYS)) * (seasonal - factor.value)
    level *= normalise(factors)
  }
  const expected = level * factors[weekdayOf(day)]!.value
  const spread = Math.sqrt(Math.max(variance * expected * expected, expected))
  const half = normalQuantile(1 - LOW_SHARE) * spread
  return { expected, low: Math.max(0, expected - half), high: expected + half, spread, days: days.length }
}

/** Keeps the mean of the factors seen at 1; returns what the level takes over. */
function normalise(factors: { value: number; seen: number }[]): number {
  const seen = factors.filter((factor) => factor.seen > 0)
  const mean = seen.reduce((sum, factor) => sum + factor.value, 0) / seen.length
  for (const factor of seen) factor.value /= mean
  return mean
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = sorted.length / 2
  return sorted.length % 2 ? sorted[Math.floor(middle)]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}
