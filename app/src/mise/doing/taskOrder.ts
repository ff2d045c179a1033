import type { MiseTask } from '../useKitchenPlan'

/** Tasks of one person, or of anyone where nobody is named: what is under way, then what is next, by planned start. */
export function tasksOf(tasks: readonly MiseTask[], personId: string | null): { now: MiseTask[]; next: MiseTask[] } {
  const withHands = tasks.filter((task) => task.hands > 0 && task.status !== 'done')
  const isMine = (task: MiseTask) => {
    const who = task.status === 'underway' ? task.who : (task.at?.who ?? [])
    return personId === null || who.includes(personId)
  }
  const mine = withHands.filter(isMine)
  return {
    now: mine.filter((task) => task.status === 'underway').sort(byBegin),
    next: mine.filter((task) => task.status === 'open' && task.at !== null && isFree(task, tasks)).sort(byStart),
  }
}

const byBegin = (a: MiseTask, b: MiseTask) => (a.beganMs ?? 0) - (b.beganMs ?? 0)
export const byStart = (a: MiseTask, b: MiseTask) =>
  (a.at?.startMs ?? Infinity) - (b.at?.startMs ?? Infinity) || (a.id < b.id ? -1 : 1)

/** Everything that it needs is done, but for waits that end by themselves before it begins. */
function isFree(task: MiseTask, tasks: readonly MiseTask[]): boolean {
  return task.needs.every(({ taskId }) => {
    const before = tasks.find((one) => one.id === taskId)
    return !before || before.status !== 'open'
  })
}

/** What goes on without hands now, soonest over first. */
export const waitsOf = (tasks: readonly MiseTask[]): MiseTask[] =>
  tasks
    .filter((task) => task.hands === 0 && task.status === 'underway')
    .sort((a, b) => (a.at?.endMs ?? 0) - (b.at?.endMs ?? 0))

/** The wait that begins by itself when this task is done. */
export const waitAfter = (task: MiseTask, tasks: readonly MiseTask[]): MiseTask | null =>
  tasks.find((one) => one.hands === 0 && one.status === 'open' && one.needs.some(({ taskId }) => taskId === task.id)) ??
  null

/** When a task that somebody has begun should be over. */
export const dueMs = (task: MiseTask): number => (task.beganMs ?? 0) + task.durationS * 1000
