import { mirror, type Instance } from './instance'
import { listByKeys } from './order'
import { place } from './place'

/**
 * How much later each job may start with nothing due any later than it is now [s]: all pushed to the right, the last first,
 * people and tools and hours kept. What is late already may not become later.
 */
export function slackOf(instance: Instance, startS: readonly number[]): number[] {
  const { durationS, notAfterS } = instance
  const endS = startS.map((atS, job) => atS + durationS[job]!)
  const mirrored = mirror(instance)
  const right = place(
    { ...mirrored, notBeforeS: endS.map((atS, job) => -Math.max(atS, notAfterS[job]!)) },
    listByKeys(
      mirrored,
      endS.map((atS) => -atS),
    ),
  )
  return startS.map((atS, job) => Math.max(0, -right.startS[job]! - durationS[job]! - atS || 0))
}
