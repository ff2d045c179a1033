import { useEffect } from 'react'

/** The line is drawn and still by then; a phone that is slow has nothing else to do [ms]. */
const AFTER_MS = 5000

/** Loads the screens behind the line while nobody waits for them, so that the first of them opens at once. */
export function usePreloadedScreens(): void {
  useEffect(() => {
    const timer = setTimeout(() => void import('../screens').catch(() => undefined), AFTER_MS)
    return () => clearTimeout(timer)
  }, [])
}
