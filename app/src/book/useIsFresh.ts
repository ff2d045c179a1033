import { useState } from 'react'

type Answered = { dataUpdatedAt: number; errorUpdatedAt: number }

/**
 * Whether each query was answered since this screen opened, by the kitchen or by its silence. What the device remembers is
 * put back under its old time, so it does not count.
 */
export function useIsFresh(...queries: readonly Answered[]): boolean {
  const [openedAtMs] = useState(Date.now)
  return queries.every((one) => Math.max(one.dataUpdatedAt, one.errorUpdatedAt) >= openedAtMs)
}
