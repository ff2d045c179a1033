import { useEffect, useEffectEvent, useRef, useState } from 'react'

/** `isBehind`: the answer is of an earlier question; `hasFailed`: this one could not be worked out. */
export type Newest<T> = { value: T | null; isBehind: boolean; hasFailed: boolean }

/**
 * The answer to the newest question: while one is being worked out, of those asked meanwhile only the last is asked next. The
 * answer before stands until then. Null until the first one.
 */
export function useNewest<T>(key: string, ask: (() => Promise<T>) | null): Newest<T> {
  const [answer, setAnswer] = useState<{ key: string; value: T } | null>(null)
  const [failedKey, setFailedKey] = useState<string | null>(null)
  const isBusy = useRef(false)
  const isGone = useRef(false)
  const next = useEffectEvent(() => {
    if (isBusy.current || isGone.current || !ask || answer?.key === key || failedKey === key) return
    isBusy.current = true
    ask().then(
      (value) => {
        isBusy.current = false
        setAnswer({ key, value })
      },
      () => {
        isBusy.current = false
        setFailedKey(key)
      },
    )
  })
  // Asked again when the question changed, or the last one was answered or failed.
  useEffect(() => next(), [key, answer, failedKey])
  useEffect(() => {
    isGone.current = false
    return () => {
      isGone.current = true
    }
  }, [])
  return { value: answer?.value ?? null, isBehind: answer?.key !== key, hasFailed: failedKey === key }
}
