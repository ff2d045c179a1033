import type { FiredRun, RunState } from './run'

/** Where each step stands now: those ended at their true times, the step in hand and the rest as they are due [ms]. */
export function projectedStartsMs(
  run: FiredRun,
  state: RunState,
  nowMs: number,
): { stepId: string; startMs: number; endMs: number }[] {
  const projected = state.times.map(({ stepId, startMs, endMs }) => ({
    stepId,
    startMs,
    endMs: endMs ?? Math.max(state.dueMs, nowMs),
  }))
  if (state.endedMs !== null) return projected
  let startMs = projected.at(-1)?.endMs ?? run.firedAtMs
  for (const step of state.steps.slice(state.stepIndex + 1)) {
    const endMs = startMs + step.durationS * 1000
    projected.push({ stepId: step.id, startMs, endMs })
    startMs = endMs
  }
  return projected
}
