import { useEffect, useId, useSyncExternalStore } from 'react'

const unsaved = new Set<string>()
let waiting: (() => void) | null = null
const listeners = new Set<() => void>()

const ask = (go: (() => void) | null) => {
  waiting = go
  listeners.forEach((listener) => listener())
}

/** Goes at once, or asks first where something typed would be lost. */
export function leave(go: () => void): void {
  if (unsaved.size === 0) go()
  else ask(go)
}

/** While true, leaving the screen, closing the sheet or the tab asks first. */
export function useUnsaved(isUnsaved: boolean): void {
  const id = useId()
  useEffect(() => {
    if (!isUnsaved) return
    const warn = (event: BeforeUnloadEvent) => event.preventDefault()
    unsaved.add(id)
    window.addEventListener('beforeunload', warn)
    return () => {
      unsaved.delete(id)
      window.removeEventListener('beforeunload', warn)
    }
  }, [id, isUnsaved])
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** What waits for the answer whether to leave; null while nothing was asked. */
export function useLeaving(): { go: (() => void) | null; stay: () => void; goAnyway: () => void } {
  const go = useSyncExternalStore(subscribe, () => waiting)
  return {
    go,
    stay: () => ask(null),
    goAnyway: () => {
      unsaved.clear()
      ask(null)
      go?.()
    },
  }
}
