import { startTransition, useCallback, useEffect, useState, useSyncExternalStore } from 'react'
import type { EditedDish, DraftLine } from './draft'
import { DraftStore } from './draftStore'
import type { Edit } from './history'

/** The page follows once typing rests this long. */
const SETTLE_MS = 150

/** A draft's store, the way to edit it, and its history as it stood when typing last rested. */
export function useHistory(initial: () => EditedDish) {
  const [store] = useState(() => new DraftStore(initial()))
  const [history, setHistory] = useState(store.history)
  const edit = useCallback((one: Edit) => store.edit(one, performance.now()), [store])
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined
    const settle = () => startTransition(() => setHistory(store.history))
    const stop = store.subscribe(() => {
      clearTimeout(timer)
      if (store.history.last === null) settle()
      else timer = setTimeout(settle, SETTLE_MS)
    })
    return () => {
      clearTimeout(timer)
      stop()
    }
  }, [store])
  return { store, history, edit }
}

/** A line as it is typed; `fallback` where it was just taken out. */
export const useLine = (store: DraftStore, fallback: DraftLine): DraftLine =>
  useSyncExternalStore(store.subscribe, () => store.line(fallback.key) ?? fallback)

export const useHead = (store: DraftStore) => useSyncExternalStore(store.subscribe, store.head)
