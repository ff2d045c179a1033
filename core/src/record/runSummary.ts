import { runState, type FiredRun, type RunState } from '../wok/run'
import type { RunEvent } from '../wok/runEvent'
import type { Step } from '../wok/score'

/** A step as it was planned and as it went, in seconds from the firing. */
export type StepRecord = {
  step: Step
  /** Null for a step that was put in on the way. */
  plannedStartS: number | null
  actualStartS: number | null
  actualEndS: number | null
  /** Actual start against plan [s]; positive is late. Null where the run ended before the step. */
  lateS: number | null
  endedBy: 'score' | 'cook' | null
  /** Answers to its safety check, in their order. */
  checks: RunState['checks']
}

/** A run against its plan. */
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
  const isPutIn = (step: Step) => !run.score.steps.some((one) => one.id === step.id)
  const times = new Map(state.times.map((one) => [one.stepId, one]))
  const steps = state.steps.map((step): StepRecord => {
    const time = times.get(step.id)
    const actualStartS = time ? sinceS(run, time.startMs) : null
    return {
      step,
      plannedStartS: isPutIn(step) ? null : step.startS,
      actualStartS,
      actualEndS: time?.endMs === null || time === undefined ? null : sinceS(run, time.endMs),
      lateS: actualStartS === null || isPutIn(step) ? null : actualStartS - step.startS,
      endedBy: time?.endedBy ?? null,
      checks: state.checks.filter((check) => check.stepId === step.id),
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
