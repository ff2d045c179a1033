import type { Dish } from '../book/dish'
import type { MeasureTools } from '../measure/practical'
import type { CookRules } from '../safety/limits'
import { batchSeconds } from '../wok/sequence/batchSeconds'
import type { Choice } from '../wok/sequence/vocabulary'
import { batchScore, orderedBatch, sequenceInput, type BatchHeat, type BatchScore } from './batchScore'

/**
 * How long a dish takes at a station by its portions: `seconds[n - 1]` is n portions as written. As many entries as portions
 * fit and fry, one at least: a single portion that is too much has to be cooked all the same. None where the dish cannot be
 * cooked there at all.
 */
export type StationTimes = { seconds: readonly number[] }

/**
 * The times of a dish at a station up to a cap of portions: one batch of middle size is derived in full, the others go the
 * same way by long steps. Estimates for the plan of the line, within some percent; a batch that is fired has a score of its own.
 */
export function stationTimes(
  dish: Dish,
  capPortions: number,
  heat: BatchHeat,
  tools: MeasureTools,
  rules: CookRules,
): StationTimes {
  const plain = (portions: number) => ({ modifiers: [], allergies: [], parts: [{ portions, modifiers: [] }] })
  const scored = (portions: number) => batchScore(dish, plain(portions), heat, tools, rules)
  const holds = (one: BatchScore) => one.kind === 'score' && one.score.basis?.warns.length === 0
  for (let middle = Math.ceil(capPortions / 2); middle >= 1; middle = Math.floor(middle / 2)) {
    const found = scored(middle)
    if (found.kind !== 'score') continue
    if (middle > 1 && !holds(found)) continue
    const choice = found.score.basis!.choice as Choice
    const roughly = (portions: number) => {
      const ordered = orderedBatch(dish, plain(portions), rules)
      return ordered.kind === 'batch' ? batchSeconds(sequenceInput(dish, ordered.batch, heat, rules), choice) : null
    }
    const offsetS = found.score.totalS - (roughly(middle)?.totalS ?? 0)
    const seconds: number[] = []
    for (let portions = 1; portions <= capPortions; portions += 1) {
      const rough = roughly(portions)
      if (portions !== middle && !rough?.fits) break
      seconds.push(portions === middle ? found.score.totalS : Math.round((rough?.totalS ?? 0) + offsetS))
    }
    while (seconds.length > middle && !holds(scored(seconds.length))) seconds.pop()
    return { seconds }
  }
  return { seconds: [] }
}
