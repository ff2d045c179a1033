import { crewsOf, type Crew } from './crews'
import { Profile } from './profile'
import type { Infeasible, PlanInput, PlanTask } from './task'
import { ableTo, sift } from './sift'

/** A job that must come before, with its lags [s]. */
export type Link = { job: number; minLagS: number; maxLagS: number }

/** Tasks as numbers, for placing them many times over; time runs forward, or mirrored backward from the service. */
export type Instance = {
  durationS: number[]
  hands: number[]
  /** Crews that may do the job, the least wanted by others first. */
  crewsFor: number[][]
  equipmentFor: number[][]
  before: Link[][]
  after: Link[][]
  notBeforeS: number[]
  /** When it should have ended; placing does not enforce it. */
  notAfterS: number[]
  weight: number[]
  crews: Profile[]
  equipment: Profile[]
  hasMaxLags: boolean
}

/** Tasks as numbered jobs over numbered crews, and what cannot be placed at all. */
export type Compiled = { instance: Instance; tasks: PlanTask[]; crews: Crew[]; infeasible: Infeasible[] }

/** Sifts out what cannot be planned, with the reason, and numbers the rest; what is fixed only takes its people and tools. */
export function compile(input: PlanInput): Compiled {
  const { feasible, infeasible } = sift(input)
  const crews = crewsOf(input.people, input.tasks)
  const tasks = feasible.filter((task) => !task.fixed)
  const fixed = new Map(input.tasks.flatMap((task) => (task.fixed ? [[task.id, task.fixed] as const] : [])))
  const jobOf = new Map(tasks.map((task, job) => [task.id, job]))
  const equipment = input.equipment.map(({ count, down = [] }) => {
    const profile = Profile.constant(count)
    for (const { fromS, toS, count: broken } of down) profile.take(fromS, toS, broken)
    return profile
  })
  const equipmentNo = new Map(input.equipment.map(({ id }, no) => [id, no]))
  for (const task of input.tasks) {
    if (!task.fixed) continue
    for (const id of task.equipment) {
      const no = equipmentNo.get(id)
      if (no !== undefined) equipment[no]!.take(task.fixed.startS, task.fixed.endS, 1)
    }
  }
  const before: Link[][] = tasks.map(() => [])
  const after: Link[][] = tasks.map(() => [])
  const notBeforeS = tasks.map((task) => task.notBeforeS ?? -Infinity)
  const notAfterS = tasks.map((task) => task.dueS ?? 0)
  let hasMaxLags = false
  tasks.forEach((task, job) => {
    for (const { taskId, minLagS = 0, maxLagS = Infinity } of task.needs) {
      const ended = fixed.get(taskId)
      if (ended) {
        notBeforeS[job] = Math.max(notBeforeS[job]!, ended.endS + minLagS)
        notAfterS[job] = Math.min(notAfterS[job]!, ended.endS + maxLagS + task.durationS)
        continue
      }
      const first = jobOf.get(taskId)!
      before[job]!.push({ job: first, minLagS, maxLagS })
      after[first]!.push({ job, minLagS, maxLagS })
      hasMaxLags ||= maxLagS < Infinity
    }
  })
  const crewsFor = tasks.map((task) => crewsAble(task, crews, input))
  const wanted = crews.map((_, crew) =>
    crewsFor.reduce((sum, able, job) => sum + (able.includes(crew) ? tasks[job]!.durationS : 0), 0),
  )
  for (const able of crewsFor) able.sort((a, b) => wanted[a]! - wanted[b]! || a - b)
  const instance: Instance = {
    durationS: tasks.map((task) => task.durationS),
    hands: tasks.map((task) => task.hands),
    crewsFor,
    equipmentFor: tasks.map((task) => task.equipment.map((id) => equipmentNo.get(id)!)),
    before,
    after,
    notBeforeS,
    notAfterS,
    weight: tasks.map((task) => task.weight ?? 1),
    crews: crews.map((crew) => crew.profile),
    equipment,
    hasMaxLags,
  }
  return { instance, tasks, crews, infeasible }
}

function crewsAble(task: PlanTask, crews: readonly Crew[], { people }: PlanInput): number[] {
  if (task.hands === 0) return []
  const able = new Set(ableTo(task, people).map(({ id }) => id))
  return crews.flatMap((crew, no) => (able.has(crew.people[0] ?? '') ? [no] : []))
}

/** The same instance with time running the other way: what was to end by then may not begin before. */
export function mirror(instance: Instance): Instance {
  const { notBeforeS, notAfterS, before, after, crews, equipment } = instance
  return {
    ...instance,
    before: after,
    after: before,
    notBeforeS: notAfterS.map((atS) => -atS),
    notAfterS: notBeforeS.map((atS) => -atS),
    crews: crews.map((profile) => profile.mirrored()),
    equipment: equipment.map((profile) => profile.mirrored()),
  }
}
