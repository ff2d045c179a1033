import { runState, type FiredRun, type RunState } from '../wok/run'
import type { RunEvent } from '../wok/runEvent'
import type { Step } from '../wok/score'

export type StepRecord = {
  step: Step
  plannedStartS: number
  actualStartS: number | null
  actualEndS: number | null
  /** Actual start against plan [s]; positive is late. Null where the run ended before the step. */
  lateS: number | null
  endedBy: 'score' | 'cook' | null
}

export type RunRecord = {
  state: RunState
  steps: StepRecord[]
  plannedS: number
  actualS: number | null
  lateS: number | null
}

/** Plan beside what happened, step by step, in seconds from the firing. */
export function runRecord(run: FiredRun, events: readonly RunEvent[], nowMs: number): RunRecord {
  const state = runState(run, events, nowMs)
  const times = new Map(state.times.map((one) => [one.stepId, one]))
  const steps = run.score.steps.map((step): StepRecord => {
    const time = times.get(step.id)
    const actualStartS = time ? sinceS(run, time.startMs) : null
    return {
      step,
      plannedStartS: step.startS,
      actualStartS,
      actualEndS: time?.endMs === null || time === undefined ? null : sinceS(run, time.endMs),
      lateS: actualStartS === null ? null : actualStartS - step.startS,
      endedBy: time?.endedBy ?? null,
    }
  })
  const actualS = state.endedMs === null ? null : sinceS(run, state.endedMs)
  const plannedS = run.score.totalS
  const lateS = state.status === 'finished' && actualS !== null ? actualS - plannedS : null
  return { state, steps, plannedS, actualS, lateS }
}

function sinceS(run: FiredRun, ms: number): number {
  return Math.round((ms - run.firedAtMs) / 100) / 10
}
