import { useEffect, useEffectEvent, useRef, useState } from 'react'

/**
 * The answer to the newest question: while one is being worked out, of those asked meanwhile only the last is asked next. The
 * answer before stands until then. Null until the first one.
 */
export function useNewest<T>(key: string, ask: (() => Promise<T>) | null): { value: T | null; isBehind: boolean } {
  const [answer, setAnswer] = useState<{ key: string; value: T } | null>(null)
  const isBusy = useRef(false)
  const isGone = useRef(false)
  const next = useEffectEvent(() => {
    if (isBusy.current || isGone.current || !ask || answer?.key === key) return
    isBusy.current = true
    ask()
      .then(
        (value) => setAnswer({ key, value }),
        () => undefined,
      )
      .finally(() => {
        isBusy.current = false
      })
  })
  // Asked again when the question or the last answer changed.
  useEffect(() => next(), [key, answer])
  useEffect(() => {
    isGone.current = false
    return () => {
      isGone.current = true
    }
  }, [])
  return { value: answer?.value ?? null, isBehind: answer?.key !== key }
}
