import { allocateRice } from 'core/rice/lot/allocate'
import { useMemo } from 'react'
import { useOnHand } from '../rice/useLots'
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
