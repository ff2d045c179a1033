import type { Move } from './moves'
import type { Parts } from './parts'

/** What a list of moves costs before it is simulated: hands, entries and the seconds that its stages need. [C] */
const ESTIMATE = { takeOut: 12, wipe: 6, entry: 0.8, perS: 0.1, eggS: 30, late: 10, overlap: 0.35 } as const

/** Ranks lists of moves of one dish against each other; says nothing about whether they work. */
export function estimate(moves: readonly Move[], parts: Parts): number {
  let cost = 0
  let isBase = false
  let isPastVegetables = false
  for (const move of moves) {
    if (move.kind === 'out') cost += ESTIMATE.takeOut
    if (move.kind === 'wipe') cost += ESTIMATE.wipe
    if (move.kind !== 'in') continue
    cost += ESTIMATE.entry
    const some = move.ids.flatMap((id) => parts.byId.get(id) ?? [])
    const need = Math.max(0, ...some.map((one) => (one.place === 'egg' ? ESTIMATE.eggS : parts.needS(one))))
    if (move.slot === 'base') {
      cost += ESTIMATE.perS * need * (isBase ? ESTIMATE.overlap : 1)
      isBase = true
      if (isPastVegetables && some.some(({ place }) => place === 'quick')) cost += ESTIMATE.late
      if (some.some(({ place }) => place === 'crisp')) isPastVegetables = true
    } else if (move.slot !== 'rice' && move.slot !== 'finish' && move.slot !== 'dry') cost += ESTIMATE.perS * need
  }
  return cost
}
