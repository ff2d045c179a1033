import { RestoredKitchen } from 'contract/archive'
import { Recovery } from 'contract/people'
import { useSyncExternalStore } from 'react'
import { z } from 'zod'

/** What an owner has to write on paper. The server says it once. */
const Paper = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('code'), code: Recovery.shape.code }),
  z.object({ kind: z.literal('restored'), kitchen: RestoredKitchen }),
])
export type Paper = z.infer<typeof Paper>

const KEY = 'okazu.paper'
const listeners = new Set<() => void>()
let paper = read()

/** This tab alone keeps it, and only until somebody says that it was written down: a reload does not lose the way in. */
function read(): Paper | null {
  try {
    return Paper.parse(JSON.parse(sessionStorage.getItem(KEY) ?? 'null'))
  } catch {
    return null
  }
}

export function keepPaper(next: Paper | null): void {
  paper = next
  try {
    if (next) sessionStorage.setItem(KEY, JSON.stringify(next))
    else sessionStorage.removeItem(KEY)
  } catch {
    // A tab that keeps nothing shows it until it is closed.
  }
  listeners.forEach((listener) => listener())
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const usePaper = (): Paper | null =>
  useSyncExternalStore(
    subscribe,
    () => paper,
    () => null,
  )
