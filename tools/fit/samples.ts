import { axesOf, majorChoices, minorChanges } from '../../core/src/wok/sequence/choices'
import { derive, startDeriving } from '../../core/src/wok/sequence/derive'
import { movesOf } from '../../core/src/wok/sequence/grammar'
import type { Move } from '../../core/src/wok/sequence/moves'
import type { Parts } from '../../core/src/wok/sequence/parts'
import type { Run, Station } from '../../core/src/wok/sequence/run'
import { simulate } from '../../core/src/wok/sequence/simulate'
import { figures } from '../../core/src/wok/quick/figures'
import { preparedWay } from '../../core/src/wok/quick/preparedWay'
import { walk } from '../../core/src/wok/quick/walk'
import { drawBatch } from './drawBatch'

/** Figures of a move, and ln(seconds + 1) that it took in the model. */
export type Sample = { x: Float64Array; logS: number }

/** Moves of dishes drawn by chance: of each the way that is derived, the same with less of it, and a way drawn by chance. */
export function drawSamples(dishes: number, random: () => number): Sample[] {
  const samples: Sample[] = []
  const pick = <T>(some: readonly T[]): T => some[Math.floor(random() * some.length)]!
  for (let n = 0; n < dishes; n += 1) {
    const input = drawBatch(random)
    for (const part of [1, 0.4 + 0.5 * random()]) {
      const derived = derive({ ...input, batchMassG: input.batchMassG * part })
      if (derived.kind === 'derived')
        keep(samples, derived.best.run, derived.best.moves, derived.parts, derived.station)
    }
    const { dish, parts, station } = startDeriving(input)
    const axes = axesOf(dish.schools, parts, station)
    const major = pick(majorChoices(axes, {}))
    const choice = random() < 0.5 ? pick([major, ...minorChanges(major, axes)]) : major
    const moves = movesOf(parts, choice)
    keep(samples, simulate(parts, choice, moves, station, 'fine'), moves, parts, station)
  }
  return samples
}

function keep(samples: Sample[], run: Run, moves: readonly Move[], parts: Parts, station: Station): void {
  if (run.preheatS === null || run.rice.doneS === null) return
  const way = preparedWay(moves, parts)
  walk(way, station, run.choice, 1, (index) => {
    const { startS, endS, waitedS } = run.moves[index]!
    const tookS = way[index]!.waits ? endS - startS : waitedS
    samples.push({ x: Float64Array.from(figures), logS: Math.log(Math.max(0, tookS) + 1) })
    return tookS
  })
}
