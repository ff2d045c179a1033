import { inOrder } from '../../event/eventOrder'
import { standing } from '../../event/struckOut'
import type { ItemNeed } from '../need/netNeeds'
import type { PrepTask } from '../need/prepTask'
import type { MiseEvent } from './miseEvent'

/** A task as it stands: who is at it, since when, and what came out. */
export type TaskState = PrepTask & {
  status: 'open' | 'underway' | 'done'
  beganMs: number | null
  endedMs: number | null
  who: string[]
  /** Handed to this person. */
  personId: string | null
  /** What came out where it ended [g]. */
  doneG: number | null
  /** The share of what was planned that what it works on allows, after what was done short before it [0–1]. */
  share: number
}

/** Somebody who is not there [ms since 1970, UTC]. */
export type Away = { staffId: string; fromMs: number; toMs: number }
/** Equipment that is broken, and how many of it. */
export type Down = { equipmentId: string; count: number; fromMs: number; toMs: number }
/** A day's mise as it stands after everything that was said. */
export type DayState = {
  tasks: TaskState[]
  away: Away[]
  down: Down[]
  dropped: string[]
  checked: Map<string, number>
  delivered: { itemId: string; orderedG: number | null; massG: number; atMs: number }[]
}

/** What a day needs to know of an item of its plan. */
export type DrawnItem = Pick<ItemNeed, 'itemId' | 'name' | 'grossG' | 'onHandG' | 'netG' | 'uses' | 'isServed'>
/** A plan as it was drawn, before anything was said of it. */
export type DrawnDay = { tasks: readonly PrepTask[]; items: readonly DrawnItem[] }

/** The day as it stands: the tasks as drawn, and all that was said since. Events of tasks that were drawn away say nothing. */
export function foldDay({ tasks: drawn, items }: DrawnDay, said: readonly MiseEvent[]): DayState {
  const events = standing(inOrder(said))
  const dropped = new Set<string>()
  let tasks = new Map<string, TaskState>(drawn.map((task) => [task.id, opened(task)]))
  const day: DayState = { tasks: [], away: [], down: [], dropped: [], checked: new Map(), delivered: [] }
  for (const event of events) {
    switch (event.kind) {
      case 'split':
        tasks = splitTask(tasks, event.taskId)
        break
      case 'began':
      case 'ended':
      case 'handed':
      case 'slow':
        for (const task of partsOf(tasks, event.taskId)) sayOfTask(task, event)
        break
      case 'away':
        day.away.push(event)
        break
      case 'down':
        day.down.push(event)
        break
      case 'dropped':
        dropped.add(event.dishId)
        break
      case 'checked':
        day.checked.set(event.checkId, event.atMs)
        break
      case 'delivered':
        day.delivered.push(event)
        break
      case 'counted':
      case 'settled':
      case 'wasted':
      case 'undone':
        break
    }
  }
  day.dropped = [...dropped]
  day.tasks = withShares(
    [...tasks.values()].filter((task) => isWanted(task, dropped)),
    suppliesOf(items, day.delivered),
  )
  return day
}

const opened = (task: PrepTask): TaskState => ({
  ...task,
  status: 'open',
  beganMs: null,
  endedMs: null,
  who: [],
  personId: null,
  doneG: null,
  share: 1,
})

/** A task, or its halves where somebody else split it before this was heard. */
function partsOf(tasks: ReadonlyMap<string, TaskState>, taskId: string): TaskState[] {
  const task = tasks.get(taskId)
  if (task) return [task]
  return [`${taskId}~1`, `${taskId}~2`].flatMap((id) => (tasks.has(id) ? partsOf(tasks, id) : []))
}

/** Of items that were delivered, the share of what is taken that there is. What has not come yet is taken to come. */
function suppliesOf(items: readonly DrawnItem[], delivered: DayState['delivered']): Map<string, number> {
  return new Map(
    items.flatMap(({ itemId, onHandG, grossG }) => {
      const came = delivered.filter((one) => one.itemId === itemId)
      if (came.length === 0 || grossG <= 0) return []
      const haveG = onHandG + came.reduce((sum, one) => sum + one.massG, 0)
      return [[itemId, Math.min(1, haveG / grossG)] as const]
    }),
  )
}

function sayOfTask(task: TaskState, event: Extract<MiseEvent, { kind: 'began' | 'ended' | 'handed' | 'slow' }>): void {
  switch (event.kind) {
    case 'began':
      if (task.status !== 'open') return
      Object.assign(task, { status: 'underway', beganMs: event.atMs, who: event.staffIds })
      return
    case 'ended':
      if (task.status === 'done') return
      task.beganMs ??= event.atMs
      Object.assign(task, { status: 'done', endedMs: event.atMs, doneG: doneOf(task, event.taskId, event.massG) })
      return
    case 'handed':
      if (task.status === 'done') return
      task.personId = event.staffId
      if (task.status === 'underway' && event.staffId !== null) task.who = [event.staffId]
      return
    case 'slow':
      if (task.status !== 'done') task.durationS += event.moreS
  }
}

/** What came out; said of a whole that was split meanwhile, half of it. */
const doneOf = (task: TaskState, saidOf: string, massG: number | null) =>
  massG === null ? task.massG : task.id === saidOf ? massG : massG / 2

/** Two halves side by side; what waited for the whole waits for both. What is done or split already stays. */
function splitTask(tasks: ReadonlyMap<string, TaskState>, taskId: string): Map<string, TaskState> {
  const whole = tasks.get(taskId)
  if (!whole || whole.status === 'done' || whole.hands === 0) return new Map(tasks)
  const half = (part: 1 | 2): TaskState => ({
    ...whole,
    id: `${taskId}~${part}`,
    massG: whole.massG / 2,
    durationS: Math.ceil(whole.durationS / 2),
    gives: whole.gives && { ...whole.gives, massG: whole.gives.massG / 2 },
    takes: whole.takes.map((take) => ({ ...take, massG: take.massG / 2 })),
    ...(part === 2 && { status: 'open' as const, beganMs: null, who: [], personId: null }),
  })
  const next = new Map<string, TaskState>()
  for (const [id, task] of tasks) {
    if (id === taskId) {
      for (const part of [half(1), half(2)]) next.set(part.id, part)
      continue
    }
    const needs = task.needs.flatMap((need) =>
      need.taskId === taskId
        ? [
            { ...need, taskId: `${taskId}~1` },
            { ...need, taskId: `${taskId}~2` },
          ]
        : [need],
    )
    next.set(id, { ...task, needs })
  }
  return next
}

/** A task whose every dish left the menu is not needed any more, unless somebody is at it. */
function isWanted(task: TaskState, dropped: ReadonlySet<string>): boolean {
  if (task.status !== 'open' || task.dishIds.length === 0) return true
  return task.dishIds.some((id) => !dropped.has(id))
}

/**
 * What was done short makes what comes after it shorter too: of several halves and parts, by what came out of them against
 * what was planned, and the scarcest part decides.
 */
function withShares(tasks: TaskState[], supplies: ReadonlyMap<string, number>): TaskState[] {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const shares = new Map<string, number>()
  const shareOf = (task: TaskState): number => {
    const known = shares.get(task.id)
    if (known !== undefined) return known
    shares.set(task.id, 1)
    const byItem = new Map<string, { g: number; ofG: number }>()
    for (const { taskId } of task.needs) {
      const before = byId.get(taskId)
      if (!before || before.itemId === null || task.itemId === null) continue
      const sum = byItem.get(before.itemId) ?? { g: 0, ofG: 0 }
      sum.g += outOf(before)
      sum.ofG += before.massG
      byItem.set(before.itemId, sum)
    }
    const supplied = task.takes.reduce((least, { itemId }) => Math.min(least, supplies.get(itemId) ?? 1), 1)
    const share = [...byItem.values()].reduce(
      (least, { g, ofG }) => (ofG > 0 ? Math.min(least, g / ofG) : least),
      supplied,
    )
    shares.set(task.id, share)
    return share
  }
  const outOf = (task: TaskState) => task.doneG ?? task.massG * shareOf(task)
  return tasks.map((task) => {
    const share = task.status === 'done' ? 1 : shareOf(task)
    return {
      ...task,
      share,
      needs: task.needs.filter(({ taskId }) => byId.has(taskId)),
    }
  })
}
