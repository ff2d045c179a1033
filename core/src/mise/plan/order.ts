import type { Instance } from './instance'

/** A list of all jobs, each after what it needs, otherwise by key, smallest first, then by number. */
export function listByKeys(instance: Instance, keys: readonly number[]): number[] {
  const { before, after } = instance
  const waiting = before.map((links) => links.length)
  const heap: number[] = []
  const isFirst = (a: number, b: number) => keys[a]! < keys[b]! || (keys[a] === keys[b] && a < b)
  const push = (job: number) => {
    let i = heap.length
    heap.push(job)
    while (i > 0) {
      const parent = (i - 1) >> 1
      if (!isFirst(heap[i]!, heap[parent]!)) break
      ;[heap[i], heap[parent]] = [heap[parent]!, heap[i]!]
      i = parent
    }
  }
  const pop = (): number => {
    const top = heap[0]!
    const last = heap.pop()!
    if (heap.length > 0) heap[0] = last
    for (let i = 0; ;) {
      const left = 2 * i + 1
      if (left >= heap.length) break
      const right = left + 1
      const child = right < heap.length && isFirst(heap[right]!, heap[left]!) ? right : left
      if (!isFirst(heap[child]!, heap[i]!)) break
      ;[heap[i], heap[child]] = [heap[child]!, heap[i]!]
      i = child
    }
    return top
  }
  waiting.forEach((count, job) => {
    if (count === 0) push(job)
  })
  const order: number[] = []
  while (heap.length > 0) {
    const job = pop()
    order.push(job)
    for (const link of after[job]!) {
      waiting[link.job]! -= 1
      if (waiting[link.job] === 0) push(link.job)
    }
  }
  return order
}

/** Longest way from each job's start to the end of all, by durations and least lags alone [s]. */
export function tailS(instance: Instance): number[] {
  const { durationS, after } = instance
  const tails = new Array<number>(durationS.length).fill(0)
  const order = listByKeys(instance, new Array<number>(durationS.length).fill(0))
  for (const job of order.reverse()) {
    let longest = 0
    for (const link of after[job]!) longest = Math.max(longest, link.minLagS + tails[link.job]!)
    tails[job] = durationS[job]! + longest
  }
  return tails
}

/**
 * Lists by the classic priority rules: the longest way to the end first (which is the latest start), the latest finish, the
 * most that waits for it, and the greatest rank weight of itself and what follows at once.
 */
export function ruleOrders(instance: Instance): number[][] {
  const { durationS, after, notBeforeS } = instance
  const tails = tailS(instance)
  const latestFinish = tails.map((tail, job) => durationS[job]! - tail)
  const followers = countFollowers(instance)
  const rank = durationS.map((own, job) => -own - after[job]!.reduce((sum, link) => sum + durationS[link.job]!, 0))
  const early = tails.map((tail, job) => Math.max(notBeforeS[job]!, -1e12) - tail)
  return [tails.map((tail) => -tail), latestFinish, followers.map((count) => -count), rank, early].map((keys) =>
    listByKeys(instance, keys),
  )
}

function countFollowers({ after }: Instance): number[] {
  return after.map((_, root) => {
    const seen = new Set<number>([root])
    const open = [root]
    while (open.length > 0) {
      for (const link of after[open.pop()!]!) {
        if (seen.has(link.job)) continue
        seen.add(link.job)
        open.push(link.job)
      }
    }
    return seen.size
  })
}
