import { planPrep } from '../plan/planPrep'
import type { Infeasible, Plan, PlanInput, PlanPerson, PlanTask, Span } from '../plan/task'
import type { DayState, TaskState } from './foldDay'

/** Somebody with skills and the hours they are there. */
export type Worker = { id: string; skills: readonly string[]; hours: readonly { fromMs: number; toMs: number }[] }
/** Equipment that tasks share, and how many there are. */
export type Tool = { id: string; count: number }
/** A day's tasks, who and what is there, and the time. */
export type ScheduleInput = {
  day: DayState
  people: readonly Worker[]
  equipment: readonly Tool[]
  serviceMs: number
  nowMs: number
  aheadS: number
  passes?: number
  /** Starts of the plan before this one. */
  before?: ReadonlyMap<string, number>
}
/** A task with its start, end, people and slack. */
export type ScheduledTask = {
  id: string
  startMs: number
  endMs: number
  who: string[]
  latestStartMs: number | null
  slackS: number
  critical: boolean
  lateS: number
  /** How late it or what is made of it will be; the rails do without. */
  lateAheadS: number
  isFixed: boolean
}
/** The tasks placed in time, the chain that decides, and what cannot be. */
export type Schedule = {
  serviceMs: number
  nowMs: number
  tasks: ScheduledTask[]
  firstStartMs: number | null
  lowerBoundS: number
  isProven: boolean
  infeasible: Infeasible[]
  chain: string[]
}

/** A wait that should be over goes on until somebody says so; hands at work past their time need a little more. */
const OVER_S = 60

/** The day's tasks over the people and tools there are, back from the service; what is under way or done stays. */
export function scheduleDay(input: ScheduleInput): Schedule {
  const { day, serviceMs, nowMs } = input
  const toS = (ms: number) => Math.round((ms - serviceMs) / 1000)
  const toMs = (atS: number) => serviceMs + atS * 1000
  const nowS = toS(nowMs)
  const people = peopleOf(input, toS)
  const tasks = day.tasks.map((task) => planTaskOf(withHandsHere(task, people, toS), toS, nowS))
  const planOf = (all: readonly PlanTask[]) =>
    planPrep({
      tasks: all,
      people,
      equipment: equipmentOf(input, toS),
      nowS,
      aheadS: input.aheadS,
      ...(input.passes !== undefined && { passes: input.passes }),
      ...(input.before && { before: new Map([...input.before].map(([id, ms]) => [id, toS(ms)])) }),
    })
  const whole = planOf(tasks)
  const freed = withoutLate(tasks, day, whole)
  const plan = freed ? planOf(freed) : whole
  const lateAhead = lateAheadOf(day.tasks, plan)
  const scheduled = plan.tasks.map((task): ScheduledTask => ({
    id: task.id,
    startMs: toMs(task.startS),
    endMs: toMs(task.endS),
    who: task.who,
    latestStartMs: task.isFixed || !Number.isFinite(task.latestStartS) ? null : toMs(task.latestStartS),
    slackS: task.slackS,
    critical: task.critical,
    lateS: task.isFixed ? 0 : task.lateS,
    lateAheadS: task.isFixed ? 0 : (lateAhead.get(task.id) ?? task.lateS),
    isFixed: task.isFixed,
  }))
  return {
    serviceMs,
    nowMs,
    tasks: scheduled,
    firstStartMs: plan.firstStartS === null ? null : toMs(plan.firstStartS),
    lowerBoundS: plan.lowerBoundS,
    isProven: plan.isProven,
    infeasible: plan.infeasible,
    chain: plan.chain,
  }
}

/** The rails do not wait for what cannot be in time: they are set without it. Null where nothing is to be freed. */
function withoutLate(tasks: readonly PlanTask[], day: DayState, plan: Plan): PlanTask[] | null {
  const late = new Set(plan.tasks.filter((task) => task.lateS > 0 && !task.isFixed).map((task) => task.id))
  plan.infeasible.forEach((fault) => late.add(fault.taskId))
  const rails = new Set(day.tasks.filter((task) => task.kind === 'rails').map((task) => task.id))
  const isHeld = tasks.some(
    (task) => rails.has(task.id) && late.has(task.id) && task.needs.some((need) => late.has(need.taskId)),
  )
  if (!isHeld) return null
  return tasks.map((task) =>
    rails.has(task.id) ? { ...task, needs: task.needs.filter((need) => !late.has(need.taskId)) } : task,
  )
}

/** The worst lateness of a task and of all that is made of it. */
function lateAheadOf(tasks: readonly TaskState[], plan: Plan): Map<string, number> {
  const open = plan.tasks.filter((task) => !task.isFixed)
  const ahead = new Map(open.map((task) => [task.id, task.lateS]))
  const later = [...open].sort((a, b) => b.startS - a.startS)
  const byId = new Map(tasks.map((task) => [task.id, task]))
  for (const { id } of later) {
    const task = byId.get(id)
    if (!task || task.kind === 'rails') continue
    for (const { taskId } of task.needs)
      if (ahead.has(taskId)) ahead.set(taskId, Math.max(ahead.get(taskId)!, ahead.get(id) ?? 0))
  }
  return ahead
}

function planTaskOf(task: TaskState, toS: (ms: number) => number, nowS: number): PlanTask {
  const durationS = lengthS(task)
  const common = {
    id: task.id,
    durationS,
    hands: task.hands,
    equipment: task.equipment,
    needs: task.needs.map(({ taskId, minLagS, maxLagS }) => ({
      taskId,
      minLagS,
      ...(maxLagS !== null && { maxLagS }),
    })),
    weight: Math.max(1, task.portions),
    ...(task.skill !== null && { skill: task.skill }),
    ...(task.personId !== null && task.hands === 1 && { personId: task.personId }),
    ...(task.notBeforeMs !== null && { notBeforeS: toS(task.notBeforeMs) }),
    ...(task.dueMs !== null && { dueS: toS(task.dueMs) }),
  }
  if (task.status === 'open' || task.beganMs === null) return common
  const startS = toS(task.beganMs)
  const endS = task.endedMs === null ? Math.max(startS + durationS, nowS + OVER_S) : toS(task.endedMs)
  return { ...common, fixed: { startS, endS, who: task.status === 'done' ? [] : task.who } }
}

/** The rails are set by whoever is here then: one less is one less, not a plan that fails. */
function withHandsHere(task: TaskState, people: readonly PlanPerson[], toS: (ms: number) => number): TaskState {
  if (task.kind !== 'rails' || task.dueMs === null) return task
  const dueS = toS(task.dueMs)
  const here = people.filter(({ hours = [] }) =>
    hours.some((span) => span.fromS <= dueS - task.durationS && span.toS >= dueS),
  )
  return { ...task, hands: Math.max(1, Math.min(task.hands, here.length)) }
}

const MIN_SHARE = 0.2

/** Less to do takes less time; setting up stays. */
const lengthS = (task: TaskState) =>
  Math.round(task.hands > 0 ? task.durationS * Math.max(MIN_SHARE, task.share) : task.durationS)

function peopleOf({ people, day }: ScheduleInput, toS: (ms: number) => number): PlanPerson[] {
  return people.map(({ id, skills, hours }) => {
    const away = day.away.filter((one) => one.staffId === id)
    const here = hours.flatMap((span) => without(span, away))
    return { id, skills, hours: here.map((span): Span => ({ fromS: toS(span.fromMs), toS: toS(span.toMs) })) }
  })
}

type SpanMs = { fromMs: number; toMs: number }

/** What is left of a span when others are cut out of it. */
export function without(span: SpanMs, cuts: readonly SpanMs[]): SpanMs[] {
  return cuts.reduce<SpanMs[]>(
    (left, cut) =>
      left.flatMap(({ fromMs, toMs }) =>
        [
          { fromMs, toMs: Math.min(toMs, cut.fromMs) },
          { fromMs: Math.max(fromMs, cut.toMs), toMs },
        ].filter((one) => one.toMs > one.fromMs),
      ),
    [{ fromMs: span.fromMs, toMs: span.toMs }],
  )
}

function equipmentOf({ equipment, day }: ScheduleInput, toS: (ms: number) => number): PlanInput['equipment'] {
  return equipment.map(({ id, count }) => ({
    id,
    count,
    down: day.down
      .filter((one) => one.equipmentId === id)
      .map((one) => ({ count: one.count, fromS: toS(one.fromMs), toS: toS(one.toMs) })),
  }))
}
