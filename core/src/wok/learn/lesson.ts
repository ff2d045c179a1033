import { runState, type FiredRun } from '../run'
import type { RunEvent } from '../runEvent'

/** What a finished run says of the model: how long its steps were to take, and took [s]. */
export type Lesson = {
  stationId: string
  dishId: string
  atMs: number
  plannedS: number
  actualS: number
  /** The factor that was in the plan already. */
  factor: number
}

/** A check that is answered so soon after its time was on time: somebody has to look first [s]. */
const REACTION_S = 5
/** A step that takes longer than so many times its plan was left alone; less planned than this says nothing [s]. */
const LEFT = { timesPlan: 4, orS: 600, leastS: 40 } as const

type RunOf = FiredRun & { stationId: string; dishId: string }

/**
 * What a run teaches of its station and its dish; null where it teaches nothing: stopped, left open, or by house figures. Only
 * steps whose seconds come from the model count, with the flame on and without a trouble; what the rest was worked out again
 * for is not held against the model.
 */
export function lessonOf(run: RunOf, events: readonly RunEvent[], nowMs: number): Lesson | null {
  const state = runState(run, events, nowMs)
  if (state.status !== 'finished' || state.endedMs === null || !run.score.basis) return null
  const troubled = new Set(state.troubles.map(({ stepId }) => stepId))
  const retimed = new Set(
    events.flatMap((event) => (event.kind === 'retimed' ? event.steps.map(({ stepId }) => stepId) : [])),
  )
  const flames = new Set(state.flames.map(({ stepId }) => stepId))
  let plannedS = 0
  let actualS = 0
  for (const step of run.score.steps) {
    const times = state.times.find(({ stepId }) => stepId === step.id)
    if (!times || times.endMs === null || step.figure !== 'model' || step.heat === 'off') continue
    if (troubled.has(step.id) || retimed.has(step.id) || flames.has(step.id)) continue
    const tookS = (times.endMs - times.startMs) / 1000
    if (tookS > Math.max(LEFT.orS, LEFT.timesPlan * step.durationS)) return null
    const overS = tookS - step.durationS
    plannedS += step.durationS
    actualS += step.check !== null && overS > 0 ? step.durationS + Math.max(0, overS - REACTION_S) : tookS
  }
  if (plannedS < LEFT.leastS || actualS <= 0) return null
  const { stationId, dishId } = run
  return { stationId, dishId, atMs: state.endedMs, plannedS, actualS, factor: run.score.basis.learned ?? 1 }
}
