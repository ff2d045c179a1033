import type { Pin } from 'core/line/plan/wishes'
import { useEffect, useRef, useState } from 'react'
import { kitchenNowMs } from '../../device/clock'
import type { Line } from '../useLinePlan'
import { pinPrice } from './wishing'

/** What somebody may wish, under a name of its own. */
export type Wanted = { key: string; pin: Pin }

/**
 * What each of several wishes costs all tickets [s], by its name: worked out one after the other, with a pause for the finger
 * between. What is not worked out yet is missing. Worked out again when the batch or the plan is another one.
 */
export function usePrices(line: Line, batchKey: string, wanted: readonly Wanted[]): ReadonlyMap<string, number> {
  const question = `${batchKey} ${line.basis.key}`
  const [answer, setAnswer] = useState<{ question: string; prices: ReadonlyMap<string, number> } | null>(null)
  const latest = useRef({ line, wanted })
  useEffect(() => void (latest.current = { line, wanted }))
  useEffect(() => {
    const priceNext = (prices: ReadonlyMap<string, number>) => {
      const { line: now, wanted: all } = latest.current
      const next = all.find(({ key }) => !prices.has(key))
      if (!next) return
      const more = new Map([...prices, [next.key, pinPrice(now, next.pin, kitchenNowMs()).moreS]])
      setAnswer({ question, prices: more })
      timer = setTimeout(() => priceNext(more), 0)
    }
    let timer = setTimeout(() => priceNext(new Map()), 0)
    return () => clearTimeout(timer)
  }, [question])
  return answer?.question === question ? answer.prices : NONE
}
const NONE: ReadonlyMap<string, number> = new Map()
