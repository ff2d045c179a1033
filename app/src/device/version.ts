import { startTransition, useEffect, useState } from 'react'

/** Counts the changes of something that React does not know. */
export type Version = {
  raise: () => void
  /**
   * A number that is another one whenever something changed. What that changes is drawn in between what the cook does: a better answer is
   * never worth a tap that waits.
   */
  useVersion: () => number
}

/** A count of changes of its own. */
export function newVersion(): Version {
  let version = 0
  const listeners = new Set<() => void>()
  return {
    raise: () => {
      version += 1
      listeners.forEach((listener) => listener())
    },
    useVersion: () => {
      const [shown, setShown] = useState(version)
      useEffect(() => {
        const listener = () => startTransition(() => setShown(version))
        listeners.add(listener)
        listener()
        return () => void listeners.delete(listener)
      }, [])
      return shown
    },
  }
}
