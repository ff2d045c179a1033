import { startTransition, useEffect, useState, useSyncExternalStore } from 'react'
import { z } from 'zod'
import { isKeptAwake } from './awake'
import { keep, readKept } from './storage'

/** What is kept of the clock: a device that is ten minutes off is so after a reload without a network, too. */
const Kept = z.object({ skewMs: z.number(), kitchenMs: z.number() })
const KEY = 'okazu.clock'

/** The kitchen's time less this device's [ms]; measured on every answer, the quickest answer counts most. */
let skewMs = readSkew()
let bestTripMs = Number.POSITIVE_INFINITY
const listeners = new Set<() => void>()

/** A device this far off [ms] is told so. */
const SHOWN_SKEW_MS = 60_000
const TRIP_AGES_MS = 50
const KEPT_EVERY_MS = 5000
const WATCH_MS = 500
/** Wall clock and running time part by more than this [ms] only where somebody set the clock, or the device slept. */
const SET_MS = 2000

/** The kitchen's time [ms]. */
export function kitchenNowMs(): number {
  return Date.now() + skewMs
}

/** What was kept, moved on where this device's clock was set back meanwhile: the kitchen's time does not run back. */
function readSkew(): number {
  try {
    const kept = Kept.parse(JSON.parse(readKept(KEY) ?? 'null'))
    return Math.max(kept.skewMs, kept.kitchenMs - Date.now())
  } catch {
    return 0
  }
}

const keepSkew = () => keep(KEY, JSON.stringify({ skewMs, kitchenMs: kitchenNowMs() }))

function setSkew(ms: number): void {
  skewMs = ms
  keepSkew()
  listeners.forEach((listener) => listener())
}

/**
 * Sees a clock that is set while the page is open, also without a network: wall clock and running time part. Set forward
 * looks like sleep, after which the wall clock is right; only while a run keeps the device awake it cannot be that. The
 * server is asked at once (`onJump`), and settles it in any case.
 */
export function watchClock(onJump: () => void): () => void {
  let wallMs = Date.now()
  let runningMs = performance.now()
  let keptMs = runningMs
  let wasHidden = false
  const hide = () => void (wasHidden ||= document.visibilityState === 'hidden')
  const look = () => {
    const jumpMs = Date.now() - wallMs - (performance.now() - runningMs)
    wallMs = Date.now()
    runningMs = performance.now()
    const isJump = Math.abs(jumpMs) > SET_MS
    const couldSleep = wasHidden || !isKeptAwake()
    wasHidden = document.visibilityState === 'hidden'
    if (isJump && (jumpMs < 0 || !couldSleep)) setSkew(skewMs - jumpMs)
    if (isJump) onJump()
    else if (runningMs - keptMs > KEPT_EVERY_MS) {
      keptMs = runningMs
      keepSkew()
    }
  }
  const timer = setInterval(look, WATCH_MS)
  document.addEventListener('visibilitychange', hide)
  return () => {
    clearInterval(timer)
    document.removeEventListener('visibilitychange', hide)
  }
}

/** Takes the server's time from an answer that left at `sentMs` and arrived at `receivedMs` by this device's clock. */
export function noteServerTime(serverNowMs: number, sentMs: number, receivedMs: number): void {
  const tripMs = receivedMs - sentMs
  const measuredMs = serverNowMs - (sentMs + receivedMs) / 2
  bestTripMs += TRIP_AGES_MS
  const isJump = Math.abs(measuredMs - skewMs) > tripMs + 1000
  if (tripMs > bestTripMs && !isJump) return
  bestTripMs = tripMs
  setSkew(measuredMs)
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Seconds that this device's clock is ahead of the kitchen's (behind it: below 0), or null where that does not matter. */
export function useClockAheadS(): number | null {
  const offMs = useSyncExternalStore(subscribe, () => skewMs)
  return Math.abs(offMs) < SHOWN_SKEW_MS ? null : -offMs / 1000
}

/** The kitchen's time, again at every full second (or every `everyMs`). */
export const useNowMs = (everyMs = 1000): number => useTickMs(everyMs, false)

/** The same for what takes long to draw: it is drawn in slices, and what the cook does comes between. */
export const useNowMsInSlices = (everyMs: number): number => useTickMs(everyMs, true)

function useTickMs(everyMs: number, isSliced: boolean): number {
  const [nowMs, setNowMs] = useState(kitchenNowMs)
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>
    const tick = () => {
      const now = kitchenNowMs()
      if (isSliced) startTransition(() => setNowMs(now))
      else setNowMs(now)
      timer = setTimeout(tick, everyMs - (now % everyMs))
    }
    tick()
    return () => clearTimeout(timer)
  }, [everyMs, isSliced])
  return nowMs
}
