import { useCallback, useReducer } from 'react'
import type { Draft } from './draft'
import { edited, historyOf, type Edit } from './history'

/** A draft with its past and future. */
export function useHistory(initial: () => Draft) {
  const [history, dispatch] = useReducer(
    (before: ReturnType<typeof historyOf>, [edit, atMs]: readonly [Edit, number]) => edited(before, edit, atMs),
    null,
    () => historyOf(initial()),
  )
  const edit = useCallback((one: Edit) => dispatch([one, performance.now()]), [])
  return { history, edit }
}
