import { percentile } from './percentile'

const WARM_UP = 5
const TIMES = 25

/** What a piece of work takes, warm: the median of 25 times [ms]. */
export function medianMs(work: () => unknown): number {
  for (let n = 0; n < WARM_UP; n += 1) work()
  const times = Array.from({ length: TIMES }, () => {
    const startMs = performance.now()
    work()
    return performance.now() - startMs
  })
  return percentile(times, 0.5)
}
