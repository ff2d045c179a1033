import { assign } from './assign'
import { chainStarts, endBoundS } from './bounds'
import { compile, mirror, type Instance } from './instance'
import { listByKeys } from './order'
import { place, type PlacedJobs } from './place'
import { searchPlacing, type Worth } from './search'
import { slackOf } from './slack'
import type { Infeasible, Plan, PlanInput, PlannedTask, PlanTask } from './task'

const MAX_PASSES = 60
const PASSED_TASKS = 4500
/** Passes that a plan gets unless told otherwise: fewer for more tasks, by their number alone, never by the clock. */
export const usualPasses = (tasks: number): number =>
  Math.max(8, Math.min(MAX_PASSES, Math.round(PASSED_TASKS / Math.max(1, tasks))))

/**
 * The prep plan. First back from the service: every task as late as it can be, so that the first begins as late as possible;
 * these are the latest starts. Then forward from now over the same people and tools: tasks begin up to `aheadS` before their
 * latest start as hands come free, which is the slack. Where the latest start has passed, forward from now with the least
 * weight late. What is under way or done stays where it is.
 */
export function planPrep(input: PlanInput): Plan {
  const { instance, tasks, crews, infeasible } = compile(input)
  const fixed = input.tasks.flatMap(asItIs)
  if (tasks.length === 0)
    return { tasks: fixed.sort(byStart), firstStartS: null, lowerBoundS: 0, isProven: true, infeasible, chain: [] }
  const seed = input.seed ?? 1
  const passes = input.passes ?? usualPasses(tasks.length)
  const backward = mirror(instance)
  const boundS = endBoundS(backward)
  const earlier = orderOf(
    input.before,
    tasks.map(({ id }) => id),
  )
  const late = searchPlacing({
    instance: backward,
    worthOf: (startS) => worthOfEnds(startS, instance.durationS),
    passes,
    seed,
    boundS,
    orders: earlier
      ? [
          listByKeys(
            backward,
            earlier.map((startS, job) => -startS - instance.durationS[job]!),
          ),
        ]
      : [],
  })
  const latestS = late.startS.map((startS, job) => -startS - instance.durationS[job]!)
  const lastEndS = late.startS.reduce(
    (last, startS, job) => Math.max(last, startS + instance.durationS[job]!),
    -Infinity,
  )
  const firstStartS = -lastEndS
  const planned = planForward(instance, latestS, input, { firstStartS, passes, seed, earlier })
  const slackS = slackOf(instance, planned.startS)
  const had = (job: number) => input.tasks.find((task) => task.id === tasks[job]!.id)?.personId
  const who = assign(crews, planned, instance.durationS, (job) => [had(job) ?? ''])
  const unplaced: Infeasible[] = tasks.flatMap((task, job) =>
    planned.startS[job] === Infinity
      ? [{ taskId: task.id, why: 'no-hours', neededS: task.durationS, longestS: 0 }]
      : [],
  )
  if (planned.broken) {
    const { job, first, lagS, maxLagS } = planned.broken
    unplaced.push({ taskId: tasks[job]!.id, why: 'max-lag', name: tasks[first]!.id, lagS, maxLagS })
  }
  const shown = tasks.flatMap((task, job): PlannedTask[] => {
    const startS = planned.startS[job]!
    if (startS === Infinity) return []
    const endS = startS + task.durationS
    const lateS = Math.max(0, endS - instance.notAfterS[job]!)
    const critical = slackS[job]! < 1 || lateS > 0
    const latestStartS = latestS[job]!
    return [
      {
        id: task.id,
        startS,
        endS,
        who: who[job]!,
        latestStartS,
        slackS: slackS[job]!,
        critical,
        lateS,
        isFixed: false,
      },
    ]
  })
  return {
    tasks: [...fixed, ...shown].sort(byStart),
    firstStartS: Number.isFinite(firstStartS) ? firstStartS : null,
    lowerBoundS: Number.isFinite(boundS) ? boundS : 0,
    isProven: lastEndS <= boundS + 1e-6,
    infeasible: [...infeasible, ...unplaced, ...dueAgainstLag(instance, tasks, input.nowS)],
    chain: chainOf(instance, late, latestS, slackS).map((job) => tasks[job]!.id),
  }
}

/** What is under way or done stands in the plan as it is. */
function asItIs({ id, fixed, dueS = 0 }: PlanTask): PlannedTask[] {
  if (!fixed) return []
  const { startS, endS, who } = fixed
  const lateS = Math.max(0, endS - dueS)
  return [{ id, startS, endS, who: [...who], latestStartS: startS, slackS: 0, critical: false, lateS, isFixed: true }]
}

const byStart = (a: PlannedTask, b: PlannedTask) => a.startS - b.startS || (a.id < b.id ? -1 : 1)

const worthOfEnds = (startS: readonly number[], durationS: readonly number[]): Worth => {
  let last = -Infinity
  let sum = 0
  startS.forEach((atS, job) => {
    const endS = atS + durationS[job]!
    if (endS > last) last = endS
    sum += endS
  })
  return [last, sum]
}

type Forward = { firstStartS: number; passes: number; seed: number; earlier: number[] | null }

function planForward(instance: Instance, latestS: readonly number[], input: PlanInput, from: Forward): PlacedJobs {
  const { nowS, aheadS = Infinity } = input
  const leastS =
    nowS ?? (Number.isFinite(from.firstStartS) ? from.firstStartS : Math.min(...latestS.filter(Number.isFinite)))
  const forward: Instance = {
    ...instance,
    notBeforeS: instance.notBeforeS.map((notBeforeS, job) => {
      const aheadFromS = latestS[job]! - aheadS
      return Math.max(notBeforeS, leastS, Number.isFinite(aheadFromS) ? aheadFromS : -Infinity)
    }),
  }
  const worthOf = (startS: readonly number[]): Worth => {
    let lateS = 0
    let sum = 0
    startS.forEach((atS, job) => {
      const overS = atS + instance.durationS[job]! - instance.notAfterS[job]!
      if (overS > 0) lateS += overS * instance.weight[job]!
      sum += atS
    })
    return [lateS, sum]
  }
  const inOrder = place(forward, listByKeys(forward, latestS))
  if (!inOrder.broken && worthOf(inOrder.startS)[0] <= 1e-6) return inOrder
  const orders = [latestS, ...(from.earlier ? [from.earlier] : [])].map((keys) => listByKeys(forward, keys))
  return searchPlacing({ instance: forward, worthOf, passes: from.passes, seed: from.seed, boundS: 0, orders })
}

/** Starts of an earlier plan as keys; null where it knows none of the tasks. */
function orderOf(before: PlanInput['before'], ids: readonly string[]): number[] | null {
  if (!before || !ids.some((id) => before.has(id))) return null
  return ids.map((id) => before.get(id) ?? 0)
}

/**
 * The chain that decides, first to last: from the task that must begin first, on to what begins as it ends (what needs it, or
 * wants its people or tools then), the one with the least slack each time, until one that its own due time, the service or
 * somebody's hours hold.
 */
function chainOf(
  instance: Instance,
  late: PlacedJobs,
  latestS: readonly number[],
  slackS: readonly number[],
): number[] {
  const { durationS, equipmentFor, after, notAfterS } = instance
  const endS = latestS.map((startS, job) => startS + durationS[job]!)
  const placed = latestS.flatMap((startS, job) => (Number.isFinite(startS) ? [job] : []))
  const crewsOf = (job: number) => late.takes[job]!.map(({ crew }) => crew)
  const meets = <T>(a: readonly T[], b: readonly T[]) => a.some((one) => b.includes(one))
  const tighter = (a: number, b: number) => slackS[a]! - slackS[b]! || latestS[a]! - latestS[b]! || a - b
  const isDue = (job: number) => Math.abs(endS[job]! - notAfterS[job]!) < 1
  let here = [...placed].sort((a, b) => latestS[a]! - latestS[b]! || tighter(a, b))[0]
  const chain: number[] = []
  while (here !== undefined) {
    const job: number = here
    chain.push(job)
    if (isDue(job)) break
    const waiting = after[job]!.filter((link) => endS[job]! + link.minLagS >= latestS[link.job]! - 1).map(
      (link) => link.job,
    )
    const inTheWay = placed.filter(
      (other) =>
        Math.abs(endS[job]! - latestS[other]!) < 1 &&
        (meets(crewsOf(other), crewsOf(job)) || meets(equipmentFor[other]!, equipmentFor[job]!)),
    )
    here = [...waiting, ...inTheWay].filter((other) => latestS[other]! > latestS[job]!).sort(tighter)[0]
  }
  return chain
}

/** What is due so early that what needs it soon after cannot begin in time: the two contradict each other. */
function dueAgainstLag(instance: Instance, tasks: readonly PlanTask[], nowS = -Infinity): Infeasible[] {
  if (!instance.hasMaxLags) return []
  const soonestS = chainStarts({
    ...instance,
    notBeforeS: instance.notBeforeS.map((atS) => Math.max(atS, nowS)),
  })
  return tasks.flatMap((task, job) =>
    instance.before[job]!.flatMap(({ job: first, maxLagS }): Infeasible[] => {
      const overS = soonestS[job]! - (tasks[first]!.dueS ?? Infinity) - maxLagS
      return overS > 0 && overS < Infinity
        ? [{ taskId: task.id, why: 'due-max-lag', name: tasks[first]!.id, maxLagS, overS }]
        : []
    }),
  )
}
