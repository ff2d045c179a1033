import { crewsOf } from './crews'
import { Profile } from './profile'
import type { Infeasible, PlanInput, PlanTask } from './task'

/**
 * Tasks that can be planned at all, and those that cannot with the first reason found: a loop, a need or tool that is not
 * there, nobody, somebody who is not there, no skill, fewer hands than it takes, no stretch of hours long enough; and
 * whatever waits for one of those.
 */
export function sift(input: PlanInput): { feasible: PlanTask[]; infeasible: Infeasible[] } {
  const byId = new Map(input.tasks.map((task) => [task.id, task]))
  const faults = new Map<string, Infeasible>()
  const loops = loopsIn(input.tasks, byId)
  const longest = longestStretches(input)
  for (const task of input.tasks) {
    if (task.fixed) continue
    const fault = loops.get(task.id) ?? ownFault(task, byId, input, longest)
    if (fault) faults.set(task.id, fault)
  }
  let isGrowing = faults.size > 0
  while (isGrowing) {
    isGrowing = false
    for (const task of input.tasks) {
      if (task.fixed || faults.has(task.id)) continue
      const waits = task.needs.find(({ taskId }) => faults.has(taskId))
      if (!waits) continue
      faults.set(task.id, { taskId: task.id, why: 'needs-infeasible', name: waits.taskId })
      isGrowing = true
    }
  }
  return {
    feasible: input.tasks.filter((task) => !faults.has(task.id)),
    infeasible: input.tasks.flatMap((task) => faults.get(task.id) ?? []),
  }
}

function ownFault(
  task: PlanTask,
  byId: ReadonlyMap<string, PlanTask>,
  { people, equipment }: PlanInput,
  longestS: (task: PlanTask) => number,
): Infeasible | null {
  const taskId = task.id
  const missing = task.needs.find((need) => !byId.has(need.taskId))
  if (missing) return { taskId, why: 'unknown-need', name: missing.taskId }
  const tool = task.equipment.find((id) => !equipment.some((one) => one.id === id && one.count > 0))
  if (tool !== undefined) return { taskId, why: 'unknown-equipment', name: tool }
  if (task.personId !== undefined && !people.some(({ id }) => id === task.personId))
    return { taskId, why: 'unknown-person', name: task.personId }
  if (task.hands === 0) return null
  if (people.length === 0) return { taskId, why: 'no-people' }
  const able = ableTo(task, people)
  if (able.length === 0) return { taskId, why: 'no-skill', name: task.skill ?? '' }
  if (able.length < task.hands) return { taskId, why: 'too-few-hands', hands: task.hands, people: able.length }
  const stretchS = longestS(task)
  return stretchS < task.durationS ? { taskId, why: 'no-hours', neededS: task.durationS, longestS: stretchS } : null
}

/** Who may do it: whom it is handed to, or all that have the skill. */
export const ableTo = <P extends PlanInput['people'][number]>(task: PlanTask, people: readonly P[]): P[] =>
  people.filter(({ id, skills }) =>
    task.personId !== undefined && task.hands === 1
      ? id === task.personId
      : task.skill === undefined || skills.includes(task.skill),
  )

/** The longest time that as many of those who may do it are here together, each answer worked out once. */
function longestStretches({ people, tasks }: PlanInput) {
  const known = new Map<string, number>()
  return (task: PlanTask): number => {
    const able = ableTo(task, people)
    const key = `${able.map(({ id }) => id).join(' ')} ${task.hands}`
    const before = known.get(key)
    if (before !== undefined) return before
    const together = crewsOf(
      able,
      tasks.filter((one) => !one.fixed),
    ).reduce((sum, crew) => sum.plus(crew.profile), Profile.constant(0))
    const longestS = together.longestS(task.hands)
    known.set(key, longestS)
    return longestS
  }
}

/** Every task on a loop, with the way round from itself to itself. */
function loopsIn(tasks: readonly PlanTask[], byId: ReadonlyMap<string, PlanTask>): Map<string, Infeasible> {
  const found = new Map<string, Infeasible>()
  const state = new Map<string, 'open' | 'closed'>()
  for (const root of tasks) {
    if (state.has(root.id)) continue
    const path: { id: string; next: number }[] = [{ id: root.id, next: 0 }]
    state.set(root.id, 'open')
    while (path.length > 0) {
      const here = path.at(-1)!
      const need = byId.get(here.id)?.needs[here.next]
      if (!need) {
        state.set(here.id, 'closed')
        path.pop()
        continue
      }
      here.next += 1
      const seen = state.get(need.taskId)
      if (seen === 'open') {
        const round = path.slice(path.findIndex((one) => one.id === need.taskId)).map((one) => one.id)
        round.forEach((taskId, i) => {
          found.set(taskId, { taskId, why: 'loop', path: [...round.slice(i), ...round.slice(0, i), taskId] })
        })
      } else if (seen === undefined && byId.has(need.taskId)) {
        state.set(need.taskId, 'open')
        path.push({ id: need.taskId, next: 0 })
      }
    }
  }
  return found
}
