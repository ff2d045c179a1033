import { Me } from 'contract/people'
import { may, type Action } from 'core/people/roles'
import { useSyncExternalStore } from 'react'
import { ME_KEY, noteMoved } from '../device/kitchenHere'
import { forget, keep, onKeptElsewhere, readKept } from '../device/storage'

/** Who this device is and who is signed in at it, as the kitchen last said: it holds without a network too. */
const listeners = new Set<() => void>()
let me = read()

function read(): Me | null {
  try {
    return Me.safeParse(JSON.parse(readKept(ME_KEY) ?? 'null')).data ?? null
  } catch {
    return null
  }
}

function changed(): void {
  listeners.forEach((listener) => listener())
}

onKeptElsewhere(ME_KEY, () => {
  me = read()
  changed()
})

export const currentMe = (): Me | null => me
/** The id of whoever is signed in here, for what this device says; the kitchen looks it up itself. */
export const currentPersonId = (): string | null => me?.person?.id ?? null

/** What the kitchen said of this device; null where it does not know it. */
export function noteMe(next: Me | null): void {
  if (JSON.stringify(next) === JSON.stringify(me)) return
  const isMoved = next !== null && me !== null && next.kitchen.id !== me.kitchen.id
  me = next
  if (next) keep(ME_KEY, JSON.stringify(next))
  else forget(ME_KEY)
  changed()
  if (isMoved) noteMoved()
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const useMe = (): Me | null => useSyncExternalStore(subscribe, currentMe)
export const usePersonId = (): string | null => useMe()?.person?.id ?? null

/** Whether whoever is signed in may do this; the kitchen decides it again. */
export const mayNow = (action: Action): boolean => may(me?.person?.role ?? null, action)
export const useMay = (action: Action): boolean => may(useMe()?.person?.role ?? null, action)
