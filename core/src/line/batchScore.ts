import type { Batch, BatchInput } from '../book/batchComponents'
import type { Dish } from '../book/dish'
import type { MeasureTools } from '../measure/practical'
import type { CookRules } from '../safety/limits'
import type { Score } from '../wok/score'
import { dishFromBook } from '../wok/sequence/fromBook'
import { scoreOf } from '../wok/sequence/scoreOf'
import { sequenceBatch, type Finding, type Sequenced } from '../wok/sequence/sequenceBatch'
import type { BatchHeat } from './batchHeat'
import { orderedBatch, type BatchRefused } from './orderedBatch'

/** The score of a batch, or why it cannot be cooked as ordered, or not at this station. */
export type BatchScore =
  | {
      kind: 'score'
      score: Score
      batch: Batch
      derived: Pick<Sequenced, 'rejected' | 'runnerUp' | 'pins'>
      /** How much sooner it is up on metal that rested (`RESTS_S`), where that was worked out [s]. */
      soonerS?: readonly number[]
    }
  | { kind: 'infeasible'; finding: Finding; batch: Batch; pins: Sequenced['pins'] }
  | BatchRefused

/**
 * The score of a batch at a station: what all portions get alike is derived from its heat, and at the end comes what only
 * some of them get. More than the station can fry well is scored all the same, with its warning. Some tens of milliseconds: never inside a transaction, and on a screen in a worker.
 */
export function batchScore(
  dish: Dish,
  input: BatchInput,
  heat: BatchHeat,
  tools: MeasureTools,
  rules: CookRules,
): BatchScore {
  const ordered = orderedBatch(dish, input, rules)
  if (ordered.kind === 'refused') return ordered
  const { batch } = ordered
  const derived = sequenceBatch(sequenceInput(dish, batch, heat, rules))
  const { choice, handling, finding, steps, rejected, runnerUp, pins, warns } = derived
  if (finding !== null || choice === null || handling === null)
    return { kind: 'infeasible', finding: finding ?? { bad: [], change: null }, batch, pins }
  const { stationVersion, riceTempC, riceWaterFraction, riceLumpMm, learned } = heat
  const basis = {
    ...{ stationVersion, handling, riceTempC, riceWaterFraction, choice, warns },
    ...(riceLumpMm !== undefined && { riceLumpMm }),
    ...(learned !== undefined && { learned }),
  }
  const score = scoreOf(steps, batch, basis, tools)
  return { kind: 'score', score, batch, derived: { rejected, runnerUp, pins } }
}

/** What the engine is asked for a batch: what all portions share. */
export const sequenceInput = (dish: Dish, batch: Batch, heat: BatchHeat, rules: CookRules) => ({
  dish: dishFromBook(
    dish,
    batch.shared.map(({ component }) => component),
    batch.riceMassG,
    batch.eggWish,
  ),
  station: heat.station,
  handling: heat.handling,
  batchMassG: batch.riceMassG,
  riceTempC: heat.riceTempC,
  riceWaterFraction: heat.riceWaterFraction,
  riceLumpMm: heat.riceLumpMm,
  rules,
  keepsTooMuch: true,
})
