import { planChanges, type PlanChange } from 'core/mise/doing/planChanges'
import type { Schedule } from 'core/mise/doing/scheduleDay'
import { useSyncExternalStore } from 'react'
import { keep, readKept } from '../device/storage'

type Seen = { key: string; schedule: Schedule }
const KEY = 'okazu.mise.seen'
const listeners = new Set<() => void>()
let seen: Seen | null = read()

function read(): Seen | null {
  try {
    return JSON.parse(readKept(KEY) ?? 'null') as Seen | null
  } catch {
    return null
  }
}

/** What was shown of the plan is what the next one is held against. */
export function markSeen(key: string, schedule: Schedule): void {
  seen = { key, schedule }
  keep(KEY, JSON.stringify(seen))
  listeners.forEach((listener) => listener())
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** What the plan made of what was said since somebody here last looked; nothing where only time passed. */
export function usePlanChanges(key: string, schedule: Schedule | null): PlanChange[] {
  const before = useSyncExternalStore(subscribe, () => seen)
  if (!schedule || !before || before.key === key) return []
  return planChanges(before.schedule, schedule).filter((change) => change.kind !== 'gone')
}
