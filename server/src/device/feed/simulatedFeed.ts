import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import type { NewTicketBody } from 'contract/ticket'
import { nextWaves, wavesBetween, type Wave } from 'core/line/waves'
import type { TicketFeed } from '../devices'
import { boatWave, WAVE_MS } from './boatWave'

const MIN_MS = 60_000
/** A boat that lands when the feed is switched on stays so long at least. */
const LEAST_STAY_MS = 12 * MIN_MS

/**
 * The stand-in that ships: a wave of orders with every boat of the kitchen's timetable, the same for the same seed. One boat lands
 * when it is switched on, and leaves with the first of the timetable that leaves no sooner than it could be served.
 */
export function simulatedFeed(
  seed: number,
  startedAtMs: number,
  { waves, timeZone }: Pick<Kitchen, 'waves' | 'timeZone'>,
  dishes: readonly Dish[],
): TicketFeed<NewTicketBody> {
  const first = (): Wave => {
    const leaves = nextWaves(waves, startedAtMs + LEAST_STAY_MS, 1, timeZone).map(({ leavesMs }) => leavesMs)
    return { landsMs: startedAtMs, leavesMs: Math.min(leaves[0] ?? Infinity, startedAtMs + 2 * LEAST_STAY_MS) }
  }
  return {
    take: (afterMs, upToMs) => {
      const fromMs = Math.max(startedAtMs + 1, afterMs - WAVE_MS)
      const boats = upToMs >= fromMs ? wavesBetween(waves, fromMs, upToMs + 1, timeZone) : []
      if (afterMs <= startedAtMs + WAVE_MS) boats.unshift(first())
      return boats
        .flatMap((boat) => boatWave(seed, boat, dishes))
        .filter(({ atMs }) => atMs > afterMs && atMs <= upToMs)
        .map(({ ticket }) => ticket)
    },
  }
}
