import { useEffect, useEffectEvent, useReducer, useRef, useState } from 'react'

/** `isBehind`: the answer is of an earlier question; `hasFailed`: this one could not be worked out. */
export type Newest<T> = { value: T | null; isBehind: boolean; hasFailed: boolean }

/** Given up on the way, because another question was asked meanwhile. */
export const SUPERSEDED = Symbol('superseded')
type Ask<T> = (isNewest: () => boolean) => Promise<T | typeof SUPERSEDED>

/**
 * The answer to the newest question: while one is being worked out, of those asked meanwhile only the last is asked next. The
 * answer before stands until then. Null until the first one. A long answer in parts asks between them whether it is still the
 * newest.
 */
export function useNewest<T>(key: string, ask: Ask<T> | null): Newest<T> {
  const [answer, setAnswer] = useState<{ key: string; value: T } | null>(null)
  const [failedKey, setFailedKey] = useState<string | null>(null)
  const [givenUp, giveUp] = useReducer((times: number) => times + 1, 0)
  const newestKey = useRef(key)
  const isBusy = useRef(false)
  const isGone = useRef(false)
  const next = useEffectEvent(() => {
    if (isBusy.current || isGone.current || !ask || answer?.key === key || failedKey === key) return
    isBusy.current = true
    ask(() => newestKey.current === key && !isGone.current).then(
      (value) => {
        isBusy.current = false
        if (value === SUPERSEDED) giveUp()
        else setAnswer({ key, value })
      },
      () => {
        isBusy.current = false
        setFailedKey(key)
      },
    )
  })
  // Asked again when the question changed, or the last one was answered, given up or failed.
  useEffect(() => {
    newestKey.current = key
    next()
  }, [key, answer, givenUp, failedKey])
  useEffect(() => {
    isGone.current = false
    return () => {
      isGone.current = true
    }
  }, [])
  return { value: answer?.value ?? null, isBehind: answer?.key !== key, hasFailed: failedKey === key }
}
