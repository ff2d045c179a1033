import { chance } from './chance'
import { mirror, type Instance } from './instance'
import { listByKeys, ruleOrders } from './order'
import { place, type PlacedJobs } from './place'

/** Smaller is better: first by the first figure, then by the second. */
export type Worth = readonly [number, number]
/** The state of the improvement: the best order so far, and what it costs. */
export type Search = {
  instance: Instance
  worthOf: (startS: readonly number[]) => Worth
  passes: number
  seed: number
  /** Lists to begin with, before the priority rules. */
  orders?: readonly (readonly number[])[]
  /** A first figure that nothing can be below. */
  boundS: number
}

const BROKEN_COSTS = 1e9
const isBetter = (a: Worth, b: Worth) => a[0] < b[0] - 1e-9 || (a[0] <= b[0] + 1e-9 && a[1] < b[1] - 1e-9)

/**
 * The best placing found: priority rules, each justified to and fro until that no longer helps; then lists near the best one,
 * drawn by the seed, as many passes as asked. Ends early where the bound is met. The same asked gives the same plan.
 */
export function searchPlacing({ instance, worthOf, passes, seed, orders = [], boundS }: Search): PlacedJobs {
  const mirrored = mirror(instance)
  const random = chance(seed)
  let best = place(
    instance,
    listByKeys(
      instance,
      instance.durationS.map(() => 0),
    ),
  )
  let worth = judged(best, worthOf)
  let left = passes
  const attempt = (order: readonly number[]) => {
    let placed = place(instance, order)
    let own = judged(placed, worthOf)
    left -= 1
    for (;;) {
      if (isBetter(own, worth)) {
        best = placed
        worth = own
      }
      const justified = justify(instance, mirrored, placed)
      if (!justified) break
      const now = judged(justified, worthOf)
      if (!isBetter(now, own)) break
      placed = justified
      own = now
    }
  }
  for (const order of orders) attempt(order)
  for (const order of ruleOrders(instance)) if (left > 0) attempt(order)
  const count = instance.durationS.length
  while (left > 0 && count > 1 && worth[0] > boundS + 1e-9) attempt(near(instance, best, random))
  return best
}

function judged(placed: PlacedJobs, worthOf: Search['worthOf']): Worth {
  const [first, second] = worthOf(placed.startS)
  return placed.broken ? [first + BROKEN_COSTS, second] : [first, second]
}

/** All to the right as far as the end allows, the last first; then all to the left again, the first first. */
function justify(instance: Instance, mirrored: Instance, placed: PlacedJobs): PlacedJobs | null {
  const { durationS } = instance
  const endS = placed.startS.map((startS, job) => startS + durationS[job]!)
  const lastS = endS.reduce((last, atS) => Math.max(last, atS), -Infinity)
  if (!Number.isFinite(lastS)) return null
  const right = place(
    { ...mirrored, notBeforeS: durationS.map(() => -lastS) },
    listByKeys(
      mirrored,
      endS.map((atS) => -atS),
    ),
  )
  const keys = right.startS.map((startS, job) => -startS - durationS[job]!)
  return keys.some((key) => !Number.isFinite(key)) ? null : place(instance, listByKeys(instance, keys))
}

const MAX_NOISE = 0.3

/** A list near a placing: its starts shaken a little, or one job moved to the time of another. */
function near(instance: Instance, { startS }: PlacedJobs, random: () => number): number[] {
  const count = startS.length
  const keys = startS.slice()
  if (random() < 0.5) {
    const moves = 1 + Math.floor(random() * 3)
    for (let move = 0; move < moves; move += 1) {
      const job = Math.floor(random() * count)
      keys[job] = startS[Math.floor(random() * count)]! + (random() - 0.5)
    }
    return listByKeys(instance, keys)
  }
  const finite = startS.filter(Number.isFinite)
  const spanS = Math.max(...finite) - Math.min(...finite)
  const noise = spanS * MAX_NOISE * random()
  return listByKeys(
    instance,
    keys.map((key) => key + noise * (random() - 0.5)),
  )
}
