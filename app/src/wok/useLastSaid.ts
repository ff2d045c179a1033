import { useEffect, useState } from 'react'

/** How long the last word can be taken back in one tap [ms]. */
const TAKE_BACK_MS = 6000

export type LastSaid = { eventId: string; what: string }

/** The last thing this device said of a run, for as long as it can be taken back. */
export function useLastSaid(): [LastSaid | null, (said: LastSaid | null) => void] {
  const [last, setLast] = useState<LastSaid | null>(null)
  useEffect(() => {
    if (!last) return
    const timer = setTimeout(() => setLast(null), TAKE_BACK_MS)
    return () => clearTimeout(timer)
  }, [last])
  return [last, setLast]
}
