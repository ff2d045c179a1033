import type { FrozenTimes } from './frozen'
import type { LineInstance } from './instance'
import type { Piece } from './pieces'

/** Time enough for any order [s]: from the last thing that is waited for (`wantedS`: a start that is asked for), everything one after the other. */
export function horizonS(
  instance: LineInstance,
  pieces: readonly Piece[],
  frozen: readonly FrozenTimes[],
  wantedS: number,
): number {
  const { stations, tickets, setup, dishes } = instance
  const lastS = Math.max(
    instance.now,
    wantedS,
    ...tickets.map(({ at: atS, due, kind }) => (kind === 'take' ? Math.max(atS, due) : atS)),
    ...stations.flatMap(({ from, down }) => [from, ...down.map(([, to]) => to)]),
    ...frozen.map(({ end }) => end),
  )
  const washS = Math.max(0, ...Object.values(setup).map(({ wash }) => wash))
  const longest = new Map(
    dishes.map((dish) => [
      dish.id,
      Math.max(
        0,
        ...Object.values(dish.on).flatMap(({ cap, phases }) => phases.reduce((sum, { a, b }) => sum + a + b * cap, 0)),
      ) + dish.split,
    ]),
  )
  const workS = pieces.reduce((sum, { dish }) => sum + washS + 3 * instance.grid + (longest.get(dish.id) ?? 0), 0)
  return lastS + workS
}
