import { useSyncExternalStore } from 'react'

/** Why this device keeps nothing more: no room, or not allowed (a private window, a forbidden store). */
export type StoreTrouble = 'full' | 'forbidden'
/** What was said here and not sent yet, or what was seen of the kitchen: each may be kept while the other is not. */
type Store = 'said' | 'seen'

const troubles: Record<Store, StoreTrouble | null> = { said: null, seen: null }
const listeners = new Set<() => void>()
/** What the device refused to keep: it stands here until it is sent, or until the page is closed. */
const unkept = new Map<string, string>()

export function noteStore(store: Store, error: unknown): void {
  const trouble = error === null ? null : isQuota(error) ? 'full' : 'forbidden'
  if (troubles[store] === trouble) return
  troubles[store] = trouble
  listeners.forEach((listener) => listener())
}

const isQuota = (error: unknown) => error instanceof DOMException && error.name === 'QuotaExceededError'

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** What the device does not keep of a store, or null where it keeps everything. */
export const useStoreTrouble = (store: Store): StoreTrouble | null =>
  useSyncExternalStore(subscribe, () => troubles[store])

/** Small things this device keeps: written before anything is sent, so that a reload in the same second loses nothing. */
export function readKept(key: string): string | null {
  const here = unkept.get(key)
  if (here !== undefined) return here
  try {
    return localStorage.getItem(key)
  } catch {
    return null
  }
}

/** False where the device keeps nothing (private window, full disk): it then holds until the page is closed, and says so. */
export function keep(key: string, value: string): boolean {
  try {
    localStorage.setItem(key, value)
    unkept.delete(key)
    if (unkept.size === 0) noteStore('said', null)
    return true
  } catch (error) {
    unkept.set(key, value)
    noteStore('said', error)
    return false
  }
}

/** Keeps what can be made again: where there is no room for it, nobody needs to know. */
export function keepIfRoom(key: string, value: string): void {
  try {
    localStorage.setItem(key, value)
  } catch {
    // Without it the device does the same work again.
  }
}

export function forget(key: string): void {
  unkept.delete(key)
  try {
    localStorage.removeItem(key)
  } catch {
    // A device that keeps nothing has nothing to forget.
  }
  // There may be room now for what found none.
  for (const [other, value] of [...unkept]) if (!keep(other, value)) break
  if (unkept.size === 0) noteStore('said', null)
}

/** Keys kept under a prefix, sorted. */
export function keptKeys(prefix: string): string[] {
  const keys = [...unkept.keys(), ...storedKeys()].filter((key) => key.startsWith(prefix))
  return [...new Set(keys)].sort()
}

function storedKeys(): string[] {
  try {
    return Object.keys(localStorage)
  } catch {
    return []
  }
}

/** Calls back when another tab of this device wrote a key that begins like this. */
export function onKeptElsewhere(prefix: string, listener: () => void): () => void {
  const heard = (event: StorageEvent) => {
    if (event.key === null || event.key.startsWith(prefix)) listener()
  }
  window.addEventListener('storage', heard)
  return () => window.removeEventListener('storage', heard)
}
