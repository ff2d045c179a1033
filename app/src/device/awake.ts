import { activateKeepAwakeAsync, deactivateKeepAwake } from 'expo-keep-awake'
import { useEffect } from 'react'

const TAG = 'run'
let holders = 0

/** Whether a run is on screen: a device that is kept awake for it does not sleep. */
export const isKeptAwake = (): boolean => holders > 0

/** Keeps the screen on while it is shown; a browser lets go when the page is hidden, so it is asked again on return. */
export function useAwake(): void {
  useEffect(() => {
    // A browser without wake locks (or out of battery) refuses: the run is led all the same.
    const hold = () => {
      if (document.visibilityState === 'visible') void activateKeepAwakeAsync(TAG).catch(() => undefined)
    }
    holders += 1
    hold()
    document.addEventListener('visibilitychange', hold)
    return () => {
      holders -= 1
      document.removeEventListener('visibilitychange', hold)
      void deactivateKeepAwake(TAG).catch(() => undefined)
    }
  }, [])
}
