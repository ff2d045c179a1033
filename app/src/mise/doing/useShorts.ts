import { outlookOf, shortsOf, type ItemOutlook, type Short } from 'core/mise/doing/shorts'
import { useMemo } from 'react'
import type { Mise } from '../useKitchenPlan'

/** What there will be of every item of the next service, and what is short of it. */
export function useShorts({ next, states }: Pick<Mise, 'next' | 'states'>): {
  outlook: ItemOutlook[]
  shorts: Short[]
} {
  return useMemo(() => {
    const day = next ? states.get(next.id) : undefined
    if (!next?.drawn || !day) return { outlook: [], shorts: [] }
    const outlook = outlookOf(next.drawn.items, day)
    return { outlook, shorts: shortsOf(outlook) }
  }, [next, states])
}
