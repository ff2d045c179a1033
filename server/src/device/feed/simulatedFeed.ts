import type { Dish } from 'contract/dish'
import type { NewTicketBody } from 'contract/ticket'
import type { TicketFeed } from '../devices'
import { boatWave } from './boatWave'

/** The stand-in that ships: a wave of orders with every boat, the same for the same seed. */
export function simulatedFeed(
  seed: number,
  startedAtMs: number,
  boatEveryMin: number,
  dishes: readonly Dish[],
): TicketFeed<NewTicketBody> {
  const boatOf = (ms: number) => Math.max(0, Math.floor((ms - startedAtMs) / (boatEveryMin * 60_000)))
  return {
    take: (afterMs, upToMs) =>
      [...new Set([boatOf(afterMs), boatOf(upToMs)])]
        .flatMap((boat) => boatWave(seed, boat, boatEveryMin, startedAtMs, dishes))
        .filter(({ atMs }) => startedAtMs + atMs > afterMs && startedAtMs + atMs <= upToMs)
        .map(({ ticket }) => ticket),
  }
}
