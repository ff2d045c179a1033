import { useEffect, useState } from 'react'

/** As long as it takes to see that the face has changed [ms]. */
export const REST_MS = 800

/** Whether a face has only just come: what is tapped now was meant for the one before. */
export function useRest(face: string): boolean {
  const [seen, setSeen] = useState<string | null>(null)
  const isResting = seen !== face
  useEffect(() => {
    if (!isResting) return
    const timer = setTimeout(() => setSeen(face), REST_MS)
    return () => clearTimeout(timer)
  }, [face, isResting])
  return isResting
}
