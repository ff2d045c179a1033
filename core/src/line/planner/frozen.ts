import { sameDish, type FrozenBatch, type LineDish, type LineInstance } from './instance'
import type { Piece } from './pieces'

/** A frozen batch with the times that it takes hands, and when it is up [s]. */
export type FrozenTimes = { batch: FrozenBatch; hands: [number, number][]; end: number }

const NEAR = 1e-6

/** When a frozen batch takes hands and when it is up [s]; `late` is more of its last part. */
export function frozenTimes(instance: LineInstance, pieces: readonly Piece[], batch: FrozenBatch): FrozenTimes {
  const own = pieces.filter(({ id }) => batch.parts.includes(id))
  const kind = instance.stations.find(({ id }) => id === batch.station)?.kind ?? ''
  const dish = own[0]?.dish
  const on = dish?.on[kind]
  if (!dish || !on) return { batch, hands: [], end: batch.start + (batch.late ?? 0) }
  const load = own.reduce((sum, { n }) => sum + n, 0)
  const ways = new Set(
    own.map(({ item }) =>
      item.mods
        .filter((mod) => dish.mods[mod]?.merge === 'late')
        .sort()
        .join(),
    ),
  )
  const grid = (s: number) => Math.ceil(s / instance.grid - NEAR) * instance.grid
  const phases = on.phases.map(({ hands, a, b }) => ({ hands, s: grid(a + b * load) }))
  const last = phases.at(-1)
  if (last) last.s += batch.late ?? 0
  if (ways.size > 1) phases.push({ hands: true, s: grid(dish.split * (ways.size - 1)) })
  const setUp = setUpBefore(instance, pieces, batch, dish, kind)
  const hands: [number, number][] = setUp > 0 ? [[batch.start - setUp, batch.start]] : []
  let end = batch.start
  for (const phase of phases) {
    const before = hands.at(-1)
    if (phase.hands && before && before[1] === end) before[1] = end + phase.s
    else if (phase.hands && phase.s > 0) hands.push([end, end + phase.s])
    end += phase.s
  }
  return { batch, hands, end }
}

/** The set-up that a frozen batch had, after what its station fried before it [s]. */
function setUpBefore(
  { frozen, stations, dishes, setup }: LineInstance,
  pieces: readonly Piece[],
  batch: FrozenBatch,
  dish: LineDish,
  kind: string,
): number {
  const times = setup[kind]!
  if (batch.wash) return times.wash
  const earlier = frozen
    .filter((one) => one.station === batch.station && one.start < batch.start)
    .sort((a, b) => b.start - a.start)[0]
  const before = earlier
    ? pieces.find(({ id }) => earlier.parts.includes(id))?.dish.id
    : stations.find(({ id }) => id === batch.station)?.last?.dish
  if (before === undefined || before === null) return 0
  const fried = dishes.find(({ id }) => id === before)
  if (fried && sameDish(fried) === sameDish(dish)) return 0
  return fried?.base === dish.base ? times.base : times.other
}
