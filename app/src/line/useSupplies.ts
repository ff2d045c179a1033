import { allocateRice } from 'core/rice/lot/allocate'
import { allergenListOf } from 'core/book/allergens'
import { miseEnds, type MiseEnd } from 'core/line/plan/miseEnds'
import { riceEnd, type RiceEnd } from 'core/line/plan/riceEnd'
import { useMemo } from 'react'
import { useStock } from '../mise/useMise'
import { onHandOf, useLots, useOnHand } from '../rice/useLots'
import type { Line, ShownBatch } from './useLinePlan'

/** Which lots a batch will draw on when the batches before it are fired first, and what is missing [g]. */
export function useBatchRice(line: Line, batch: ShownBatch | null): { names: string[]; shortG: number } {
  const lots = useOnHand()
  return useMemo(() => {
    const index = line.batches.findIndex((one) => one.key === batch?.key)
    const allocation = allocateRice(
      lots,
      line.batches.map((one) => one.riceMassG),
    )[index]
    if (!allocation) return { names: [], shortG: 0 }
    const names = allocation.draws.map((draw) => lots.find((lot) => lot.id === draw.lotId)?.name ?? '')
    return { names, shortG: allocation.shortG }
  }, [lots, line.batches, batch?.key])
}

/** The plan is held against the mise for so long. */
const AHEAD_MS = 30 * 60_000

/** What of the mise ends within the next half hour; nothing while nobody knows what is there. */
export function useMiseEnds({ batches, kitchen, atMs }: Line): MiseEnd[] {
  const { data, rows } = useStock()
  return useMemo(
    () => (data ? miseEnds(rows, batches, allergenListOf(kitchen.ruleSet), atMs + AHEAD_MS) : []),
    [data, rows, batches, kitchen.ruleSet, atMs],
  )
}

/** The ticket that the rice on hand ends with; null where it lasts, and while nobody knows what is on hand. */
export function useRiceEnd({ batches }: Line): RiceEnd | null {
  const { lots, isReady } = useLots()
  return useMemo(() => (isReady ? riceEnd(lots.flatMap(onHandOf), batches) : null), [lots, isReady, batches])
}
