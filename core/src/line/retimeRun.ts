import type { BatchInput } from '../book/batchComponents'
import type { Dish } from '../book/dish'
import type { CookRules } from '../safety/limits'
import type { HeatStation } from '../wok/heat/vessel'
import { retime, type Retimed } from '../wok/live/retime'
import { runState, type FiredRun } from '../wok/run'
import type { RunEvent } from '../wok/runEvent'
import { liveBatch } from './liveBatch'

/** A run with the order that it was fired for. */
export type OrderedRun = FiredRun & BatchInput & { dishVersion: number }

/**
 * The rest of a run at `nowMs`, worked out again from what was truly done. Null where nothing can be said: the run is over, the
 * dish is another version by now, or its score stands on house figures. Then the run goes on by its last plan.
 */
export function retimeRun(
  dish: Dish,
  run: OrderedRun,
  events: readonly RunEvent[],
  station: HeatStation,
  rules: CookRules,
  nowMs: number,
): Retimed | null {
  if (dish.version !== run.dishVersion) return null
  const batch = liveBatch(dish, run, run.score, station, rules)
  const state = runState(run, events, nowMs)
  if (!batch || state.endedMs !== null) return null
  const atS = (ms: number) => (ms - run.firedAtMs) / 1000
  const inHand = state.times.at(-1)
  const step = state.steps[state.stepIndex]
  if (!inHand || !step) return null
  return retime(batch, run.score, {
    steps: state.steps,
    stepIndex: state.stepIndex,
    times: state.times.map(({ stepId, startMs, endMs }) => ({
      stepId,
      startS: atS(startMs),
      endS: endMs === null ? null : atS(endMs),
    })),
    flames: state.flames.map(({ stepId, heat, atMs }) => ({ stepId, heat, atS: atS(atMs) })),
    nowS: atS(nowMs),
    isHeld: state.dueMs > inHand.startMs + step.durationS * 1000,
  })
}
