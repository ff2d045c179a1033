import { useSyncExternalStore } from 'react'

let isReachable = true
const listeners = new Set<() => void>()

/** Whether the kitchen's server answered the last time it was asked. */
export function noteReachable(reachable: boolean): void {
  if (reachable === isReachable) return
  isReachable = reachable
  listeners.forEach((listener) => listener())
}

export const isReachableNow = (): boolean => isReachable

export function onReachable(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export function useIsReachable(): boolean {
  return useSyncExternalStore(onReachable, () => isReachable)
}
