import type { Schedule } from './scheduleDay'

/** One difference between two schedules, as a person should hear it. */
export type PlanChange =
  | { taskId: string; kind: 'later' | 'sooner'; byS: number; startMs: number }
  | { taskId: string; kind: 'person'; from: string[]; to: string[] }
  | { taskId: string; kind: 'new' | 'gone' }
  | { taskId: string; kind: 'late'; lateS: number }
  | { taskId: string; kind: 'inTime' }

const NOTICED_S = 300

/** What a plan made of the one before it: who got what, what moved by five minutes or more, what is late now or no longer. */
export function planChanges(before: Schedule, after: Schedule): PlanChange[] {
  const was = new Map(before.tasks.map((task) => [task.id, task]))
  const is = new Map(after.tasks.map((task) => [task.id, task]))
  const changes: PlanChange[] = []
  for (const task of after.tasks) {
    const old = was.get(task.id)
    if (!old) {
      changes.push({ taskId: task.id, kind: 'new' })
      continue
    }
    if (task.isFixed) continue
    if (task.lateS > 60 && old.lateS <= 60) changes.push({ taskId: task.id, kind: 'late', lateS: task.lateS })
    if (task.lateS <= 60 && old.lateS > 60) changes.push({ taskId: task.id, kind: 'inTime' })
    if (task.who.join() !== old.who.join() && task.who.length > 0)
      changes.push({ taskId: task.id, kind: 'person', from: old.who, to: task.who })
    const byS = (task.startMs - old.startMs) / 1000
    if (Math.abs(byS) >= NOTICED_S)
      changes.push({ taskId: task.id, kind: byS > 0 ? 'later' : 'sooner', byS: Math.abs(byS), startMs: task.startMs })
  }
  for (const task of before.tasks) if (!is.has(task.id)) changes.push({ taskId: task.id, kind: 'gone' })
  return changes
}
