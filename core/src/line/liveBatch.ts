import type { BatchInput } from '../book/batchComponents'
import type { Dish } from '../book/dish'
import type { CookRules } from '../safety/limits'
import type { HeatStation } from '../wok/heat/vessel'
import { liveChoiceOf, type LiveBatch } from '../wok/live/liveCooking'
import type { Score } from '../wok/score'
import { startDeriving } from '../wok/sequence/derive'
import { orderedBatch } from './orderedBatch'
import { sequenceInput } from './batchScore'

/**
 * A fired batch as the heat model goes on with it: what its score was derived from, at the station as it is now. Null for a
 * score by house figures, or a batch that the dish does not have like this: then the run goes on by its plan.
 */
export function liveBatch(
  dish: Dish,
  input: BatchInput,
  score: Score,
  station: HeatStation,
  rules: CookRules,
): LiveBatch | null {
  const choice = liveChoiceOf(score)
  const ordered = orderedBatch(dish, input, rules)
  if (!score.basis || !choice || ordered.kind === 'refused') return null
  const { handling, riceTempC, riceWaterFraction, riceLumpMm, stationVersion } = score.basis
  const heat = { station, stationVersion, handling, riceTempC, riceWaterFraction, riceLumpMm }
  const { components, station: at } = startDeriving(sequenceInput(dish, ordered.batch, heat, rules))
  return { components, station: at, choice }
}
