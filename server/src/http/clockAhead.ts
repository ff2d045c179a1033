import { Problem } from './problems'

/** A device's corrected clock may be ahead of the server's by this much [ms]. */
const CLOCK_AHEAD_MS = 30_000
/** And behind the beginning of what it speaks of by this much [ms]: two devices measure the kitchen's time by themselves. */
const CLOCK_BEHIND_MS = 10_000

/**
 * The time at which something is stored: as it was said, but never in the future.
 * @throws {Problem} clock-ahead where the device's clock must be wrong
 */
export function placeInTime(atMs: number, nowMs: number): number {
  if (atMs <= nowMs) return atMs
  if (atMs <= nowMs + CLOCK_AHEAD_MS) return Math.floor(nowMs)
  const aheadS = Math.round((atMs - nowMs) / 1000)
  throw new Problem('clock-ahead', {
    detail: `this device's time is ${aheadS} s ahead of the kitchen's: say when it was`,
    values: { aheadS },
  })
}

/**
 * As above, and never before the beginning of what it speaks of.
 * @throws {Problem} clock-ahead, clock-behind
 */
export function placeSince(beganAtMs: number, atMs: number, nowMs: number): number {
  const placedMs = placeInTime(atMs, nowMs)
  if (placedMs >= beganAtMs) return placedMs
  if (placedMs >= beganAtMs - CLOCK_BEHIND_MS) return beganAtMs
  const behindS = Math.round((beganAtMs - placedMs) / 1000)
  throw new Problem('clock-behind', {
    detail: `it is of ${behindS} s before the beginning: this device's time was wrong; say when it was`,
    values: { behindS },
  })
}
