import { useEffect } from 'react'
import type * as Screens from '../screens'

/** The line is drawn and still by then; a phone that is slow has nothing else to do [ms]. */
const AFTER_MS = 5000
let later: Promise<typeof Screens> | null = null

/** The screens behind the line, once the line stands; anew where they could not be fetched. */
export function laterScreens(): Promise<typeof Screens> {
  later ??= new Promise((resolve) => setTimeout(resolve, AFTER_MS))
    .then(() => import('../screens'))
    .catch((failure: unknown) => {
      later = null
      throw failure
    })
  return later
}

/** Loads the screens behind the line while nobody waits for them, so that the first of them opens at once. */
export function usePreloadedScreens(): void {
  useEffect(() => {
    laterScreens().catch(() => undefined)
  }, [])
}
