import { useQueries } from '@tanstack/react-query'
import type { Dish } from 'contract/dish'
import type { Kitchen, Station } from 'contract/kitchen'
import type { BatchInput } from 'core/book/batchComponents'
import { heatOf } from 'core/line/batchHeat'
import type { BatchScore } from 'core/line/batchScore'
import type { Handling } from 'core/wok/heat/parameters'
import { workedOf, type Worked } from '../device/worked'
import { workedClient } from '../live/workedClient'
import { inWokWorker } from './wokWorker'

/** So many portions of a dish as written, or with a modifier. */
export const plainBatch = (portions: number, modifiers: string[] = []): BatchInput => ({
  modifiers,
  allergies: [],
  parts: [{ portions, modifiers }],
})

/** The station that a dish is looked at on: the first of its kind. */
export const stationOf = (kitchen: Kitchen, dish: Pick<Dish, 'stationKind'>): Station | undefined =>
  kitchen.stations.find((one) => one.kind === dish.stationKind)

/** Scores of batches of dishes at stations, worked out beside the interface; a dish without a station has none. */
export function useBatchScores(
  asked: readonly { dish: Dish; batch: BatchInput; station: Station | undefined; handling?: Handling }[],
  kitchen: Kitchen,
): Worked<BatchScore>[] {
  const { tools, ruleSet, isScottish } = kitchen
  const rules = { ruleSet, isScottish }
  const results = useQueries(
    {
      queries: asked.map(({ dish, batch, station, handling }) => ({
        queryKey: ['batchScore', dish, batch, station, handling, tools, rules],
        enabled: station !== undefined,
        queryFn: ({ signal }: { signal: AbortSignal }) =>
          inWokWorker<BatchScore>(async (work) => {
            const heat = heatOf(station!, undefined, dish.id)
            return work.batchScore(dish, batch, { ...heat, handling: handling ?? heat.handling }, tools, rules)
          }, signal),
        staleTime: Infinity,
      })),
    },
    workedClient,
  )
  return results.map((result, i) => workedOf({ ...result, isEnabled: asked[i]!.station !== undefined }))
}
