import { useEffect, useState, useSyncExternalStore } from 'react'

/** The kitchen's time less this device's [ms]; measured on every answer, the quickest answer counts most. */
let skewMs = 0
let bestTripMs = Number.POSITIVE_INFINITY
const listeners = new Set<() => void>()

/** A device this far off [ms] is told so. */
const SHOWN_SKEW_MS = 60_000
const TRIP_AGES_MS = 50

/** The kitchen's time [ms]. */
export function kitchenNowMs(): number {
  return Date.now() + skewMs
}

/** Takes the server's time from an answer that left at `sentMs` and arrived at `receivedMs` by this device's clock. */
export function noteServerTime(serverNowMs: number, sentMs: number, receivedMs: number): void {
  const tripMs = receivedMs - sentMs
  const measuredMs = serverNowMs - (sentMs + receivedMs) / 2
  bestTripMs += TRIP_AGES_MS
  const isJump = Math.abs(measuredMs - skewMs) > tripMs + 1000
  if (tripMs > bestTripMs && !isJump) return
  bestTripMs = tripMs
  skewMs = measuredMs
  listeners.forEach((listener) => listener())
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Minutes this device's clock is off, or null where that does not matter. */
export function useClockOffMin(): number | null {
  const offMs = useSyncExternalStore(subscribe, () => skewMs)
  return Math.abs(offMs) < SHOWN_SKEW_MS ? null : Math.round(-offMs / 60_000)
}

/** The kitchen's time, again at every full second (or every `everyMs`). */
export function useNowMs(everyMs = 1000): number {
  const [nowMs, setNowMs] = useState(kitchenNowMs)
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>
    const tick = () => {
      const now = kitchenNowMs()
      setNowMs(now)
      timer = setTimeout(tick, everyMs - (now % everyMs))
    }
    tick()
    return () => clearTimeout(timer)
  }, [everyMs])
  return nowMs
}
