import type { Looseness } from './looseness'
import type { LotEvent } from './lotEvent'

/** How well a lot is loosened after these words of it, in their order; null where nobody said so since it was frozen or joined. */
export const loosenessAfter = (events: readonly LotEvent[]): Looseness | null =>
  events.reduce<Looseness | null>((now, event) => {
    if (event.kind === 'loosened') return event.looseness
    const isNewToAll = event.kind === 'took' || (event.kind === 'moved' && event.place === 'freezer')
    return isNewToAll ? null : now
  }, null)
