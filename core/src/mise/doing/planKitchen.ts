import { dayAfter, instantOf, localDay, weekdayOf } from '../../time/localTime'
import type { ShiftPerson } from '../people'
import { foldDay, type DayState, type DrawnDay } from './foldDay'
import type { MiseEvent } from './miseEvent'
import { scheduleDay, type Schedule, type Tool, type Worker } from './scheduleDay'

/** The plan of one service, with everything said of it. */
export type SittingPlan = { id: string; fromMs: number; drawn: DrawnDay | null; events: readonly MiseEvent[] }
/** Everything that the kitchen's plan is placed over; instants in ms since 1970, UTC. */
export type KitchenInput = {
  plans: readonly SittingPlan[]
  people: readonly ShiftPerson[]
  equipment: readonly Tool[]
  timeZone: string
  nowMs: number
  aheadS: number
  /** Where absent, as many as the number of tasks allows. */
  passes?: number
  before?: ReadonlyMap<string, number>
}
/** All plans placed together over the same people and tools. */
export type KitchenPlan = { states: Map<string, DayState>; all: DayState; schedule: Schedule }

const DAYS_BACK = 1
const DAYS_AHEAD = 5
const MIN_MS = 60_000

/** People with the hours of their shifts around an instant, by the kitchen's wall clock. */
export function workersOf(people: readonly ShiftPerson[], timeZone: string, nowMs: number): Worker[] {
  const today = localDay(nowMs, timeZone)
  const days = Array.from({ length: DAYS_BACK + DAYS_AHEAD + 1 }, (_, i) => dayAfter(today, i - DAYS_BACK))
  const starts = new Map(days.map((day) => [day, instantOf(day, 0, timeZone)]))
  return people.map(({ staffId, skills, shifts }) => ({
    id: staffId,
    skills,
    hours: days.flatMap((day) =>
      shifts
        .filter((shift) => shift.weekdays.includes(weekdayOf(day)))
        .map((shift) => ({
          fromMs: starts.get(day)! + shift.fromMin * MIN_MS,
          toMs: starts.get(day)! + shift.toMin * MIN_MS,
        })),
    ),
  }))
}

/** All plans that were drawn as one: people and tools are the same, so tonight and tomorrow are placed together. */
export function planKitchen(input: KitchenInput): KitchenPlan {
  const { plans, people, equipment, timeZone, nowMs, aheadS, passes, before } = input
  const states = new Map(
    plans.flatMap((plan) => (plan.drawn ? [[plan.id, foldDay(plan.drawn, plan.events)] as const] : [])),
  )
  const all = together([...states.values()])
  const serviceMs = plans.find((plan) => plan.drawn !== null)?.fromMs ?? nowMs
  const schedule = scheduleDay({
    day: all,
    people: workersOf(people, timeZone, nowMs),
    equipment,
    serviceMs,
    nowMs,
    aheadS,
    ...(passes !== undefined && { passes }),
    ...(before && { before }),
  })
  return { states, all, schedule }
}

function together(days: readonly DayState[]): DayState {
  return {
    tasks: days.flatMap((day) => day.tasks),
    away: days.flatMap((day) => day.away),
    down: days.flatMap((day) => day.down),
    dropped: days.flatMap((day) => day.dropped),
    checked: new Map(days.flatMap((day) => [...day.checked])),
    delivered: days.flatMap((day) => day.delivered),
  }
}
