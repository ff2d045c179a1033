import { Problem } from './problems'

/** A device's corrected clock may be ahead of the server's by this much [ms]. */
const CLOCK_AHEAD_MS = 30_000

export function refuseFuture(atMs: number, nowMs: number): void {
  if (atMs <= nowMs + CLOCK_AHEAD_MS) return
  throw new Problem('clock-ahead', {
    detail: `this device's time is ${Math.round((atMs - nowMs) / 1000)} s ahead of the kitchen's: reload the page, it then takes the kitchen's time`,
    values: { aheadS: Math.round((atMs - nowMs) / 1000) },
  })
}
