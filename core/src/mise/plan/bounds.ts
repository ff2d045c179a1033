import type { Instance } from './instance'
import { listByKeys, tailS } from './order'
import { place } from './place'
import type { Profile } from './profile'

/**
 * The earliest moment by which all can have ended, whatever the order [s]: the longest chain with hours but nobody else in
 * the way, and for each tool and each set of people the work that only they can do, after the soonest it can begin and
 * before the least that must follow it. `instance` runs forward from its own zero.
 */
export function endBoundS(instance: Instance): number {
  const { durationS, equipmentFor, crewsFor, hands, crews, equipment } = instance
  if (durationS.length === 0) return -Infinity
  const alone = chainStarts(instance)
  const tails = tailS(instance)
  let boundS = alone.reduce((last, startS, job) => Math.max(last, startS + durationS[job]!), -Infinity)
  const work = (jobs: readonly number[], units: (job: number) => number, profile: Profile) => {
    if (jobs.length === 0) return
    const firstS = Math.min(...jobs.map((job) => alone[job]!))
    const leastTailS = Math.min(...jobs.map((job) => tails[job]! - durationS[job]!))
    const workS = jobs.reduce((sum, job) => sum + units(job) * durationS[job]!, 0)
    boundS = Math.max(boundS, -profile.mirrored().workedBackFrom(-firstS, workS) + leastTailS)
  }
  const all = durationS.map((_, job) => job)
  equipment.forEach((profile, no) => {
    const users = all.filter((job) => equipmentFor[job]!.includes(no))
    work(users, () => 1, profile)
  })
  const sets = new Map(crewsFor.map((able) => [[...able].sort((a, b) => a - b).join(' '), able]))
  for (const set of sets.values()) {
    const [first, ...others] = set.map((no) => crews[no]!)
    if (!first) continue
    const only = all.filter((job) => hands[job]! > 0 && crewsFor[job]!.every((no) => set.includes(no)))
    const together = others.reduce((sum, profile) => sum.plus(profile), first)
    work(only, (job) => hands[job]!, together)
  }
  return boundS
}

/** Starts where everybody had the kitchen to himself [s]. */
export function chainStarts(instance: Instance): number[] {
  const order = listByKeys(
    instance,
    instance.durationS.map(() => 0),
  )
  const startS: number[] = []
  for (const job of order) {
    const readyS = instance.before[job]!.map((link) => startS[link.job]! + instance.durationS[link.job]! + link.minLagS)
    const notBeforeS = instance.notBeforeS.slice()
    notBeforeS[job] = Math.max(notBeforeS[job]!, ...readyS)
    startS[job] = place({ ...instance, before: instance.before.map(() => []), notBeforeS, hasMaxLags: false }, [
      job,
    ]).startS[job]!
  }
  return startS
}
