import type { Dish } from 'contract/dish'
import { useEffect, useRef, useState } from 'react'
import { newId } from '../../device/ids'
import { blankDraft, draftOfDish, type EditedDish } from './draft'
import type { DraftStore } from './draftStore'
import type { Edit } from './history'
import { dropDraft, keepDraft, readDraft } from './keptDraft'
import { useHistory } from './useHistory'

const KEEP_MS = 300

export type Editor = {
  /** As it stood when typing last rested; `store` has the last letter. */
  draft: EditedDish
  store: DraftStore
  /** The dish as it was when this edit began. */
  base: Dish | null
  edit: (edit: Edit) => void
  canUndo: boolean
  canRedo: boolean
  /** Whether this began from changes that an earlier visit left here. */
  isKept: boolean
  discard: () => void
  /** The edit goes on from another state of the dish. */
  rebase: (dish: Dish) => void
  done: () => void
}

/** An edit of a dish: undone and redone, kept on this device until it is saved or thrown away. */
export function useEditor(dish: Dish | null, currency: string): Editor {
  const id = dish?.id ?? null
  const [start] = useState(() => {
    const kept = readDraft(id)
    const fresh = dish ? draftOfDish(dish, currency, newId) : blankDraft(newId())
    return { kept: kept !== null, base: kept ? kept.base : dish, draft: kept?.draft ?? fresh }
  })
  const [base, setBase] = useState(start.base)
  const [isKept, setIsKept] = useState(start.kept)
  const { store, history, edit } = useHistory(() => start.draft)
  const isDone = useRef(false)
  const { present, past, future } = history
  useEffect(() => {
    // The store has the last letter before this has been drawn: a page that is left in that moment keeps it all the same.
    const write = () => {
      const isChanged = store.history.past.length > 0 || isKept
      if (isChanged && !isDone.current) keepDraft(id, { base, draft: store.history.present })
    }
    const timer = setTimeout(write, KEEP_MS)
    window.addEventListener('pagehide', write)
    return () => {
      clearTimeout(timer)
      window.removeEventListener('pagehide', write)
      write()
    }
  }, [present, store, base, id, isKept])

  return {
    draft: present,
    store,
    base,
    edit,
    canUndo: past.length > 0,
    canRedo: future.length > 0,
    isKept,
    discard: () => {
      setIsKept(false)
      setBase(dish)
      edit({ kind: 'all', draft: dish ? draftOfDish(dish, currency, newId) : blankDraft(newId()) })
      dropDraft(id)
    },
    rebase: setBase,
    done: () => {
      isDone.current = true
      dropDraft(id)
    },
  }
}
