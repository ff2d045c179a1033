import { useSyncExternalStore } from 'react'
import { z } from 'zod'
import { forget, keep, onKeptElsewhere, readKept } from '../../device/storage'

/** A station that somebody at this device began to clean. */
const Cleaning = z.object({ kind: z.enum(['wipe', 'brush']), beganMs: z.number() })
export type Cleaning = z.infer<typeof Cleaning>

const PREFIX = 'okazu.cleaning/'
/** Begun longer ago it was forgotten, not done. */
const LONGEST_MS = 600_000
const listeners = new Set<() => void>()
const told = () => listeners.forEach((listener) => listener())

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  const stop = onKeptElsewhere(PREFIX, listener)
  return () => {
    stop()
    listeners.delete(listener)
  }
}

export function beginCleaning(stationId: string, cleaning: Cleaning): void {
  keep(PREFIX + stationId, JSON.stringify(cleaning))
  told()
}

export function endCleaning(stationId: string): void {
  forget(PREFIX + stationId)
  told()
}

/**
 * What was begun at a station and not said to be done: whatever the plan says next meanwhile, and after a reload. What was
 * cooked there since has ended it.
 */
export function useCleaning(stationId: string, usedUntilMs: number | null, nowMs: number): Cleaning | null {
  const kept = useSyncExternalStore(subscribe, () => readKept(PREFIX + stationId))
  const read = cleaningOf(kept)
  if (!read || nowMs - read.beganMs > LONGEST_MS) return null
  return usedUntilMs !== null && usedUntilMs > read.beganMs ? null : read
}

function cleaningOf(kept: string | null): Cleaning | null {
  try {
    return Cleaning.safeParse(JSON.parse(kept ?? 'null')).data ?? null
  } catch {
    return null
  }
}
