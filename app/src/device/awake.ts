import { activateKeepAwakeAsync, deactivateKeepAwake } from 'expo-keep-awake'
import { useEffect } from 'react'

const TAG = 'run'

/** Keeps the screen on while it is shown; a browser lets go when the page is hidden, so it is asked again on return. */
export function useAwake(): void {
  useEffect(() => {
    // A browser without wake locks (or out of battery) refuses: the run is led all the same.
    const hold = () => {
      if (document.visibilityState === 'visible') void activateKeepAwakeAsync(TAG).catch(() => undefined)
    }
    hold()
    document.addEventListener('visibilitychange', hold)
    return () => {
      document.removeEventListener('visibilitychange', hold)
      void deactivateKeepAwake(TAG).catch(() => undefined)
    }
  }, [])
}
