import type { Run } from 'contract/run'
import { EventId } from 'contract/ids'
import type { Retimed } from 'core/wok/live/retime'
import { heatOf } from 'core/line/batchHeat'
import { runState } from 'core/wok/run'
import { useEffect, useEffectEvent, useRef, useState } from 'react'
import { useDishes } from '../book/useDishes'
import { kitchenNowMs } from '../device/clock'
import { useKitchen } from '../setup/useKitchen'
import type { sayOfRun } from './useRuns'
import { inLiveWorker } from './liveWorker'

/** While a step is overdue its rest is looked at again so often [ms]. */
const OVERDUE_MS = 4000

export type LiveRest = {
  /** What is seen coming, soonest first. */
  warnings: Retimed['warnings']
  /** The rest cannot be worked out here: the run goes on by its last plan. */
  isUnable: boolean
  /** Works the rest out again because of what was just said on this device, and says so to every other. */
  follow: (causeId: string) => void
}
const QUIET: Pick<LiveRest, 'warnings' | 'isUnable'> = { warnings: [], isUnable: false }

/**
 * The rest of a run from the true state of its food, in the worker. Every device looks ahead for itself; only the one on which
 * something was said writes the new rest into the run.
 */
export function useLiveRest(run: Run, sayOf: typeof sayOfRun): LiveRest {
  const dish = useDishes().data?.dishes.find((one) => one.id === run.dishId)
  const kitchen = useKitchen().data
  const station = kitchen?.stations.find((one) => one.id === run.stationId)
  const [seen, setSeen] = useState(QUIET)
  const cause = useRef<string | null>(null)
  const answered = useRef(0)
  const nowMs = kitchenNowMs()
  const state = runState(run, run.events, nowMs)
  const isOpen = state.endedMs === null
  const overdue = isOpen ? Math.max(0, Math.floor((nowMs - state.dueMs) / OVERDUE_MS)) : 0
  const lastId = run.events.at(-1)?.id ?? ''

  const answer = useEffectEvent((rest: Retimed | null, no: number) => {
    if (no !== answered.current) return
    setSeen(rest ? { warnings: rest.warnings, isUnable: false } : { warnings: [], isUnable: true })
    const causeId = cause.current
    if (!causeId || !run.events.some(({ id }) => id === causeId)) return
    cause.current = null
    const step = state.steps[state.stepIndex]
    if (!rest || rest.steps.length === 0 || !step) return
    const { steps, why, componentId } = rest
    sayOf(run.id, { kind: 'retimed', stepId: step.id, steps, why, componentId, causeId: EventId.parse(causeId) })
  })
  const ask = useEffectEvent(() => {
    const no = (answered.current += 1)
    if (!dish || !station || !kitchen || !isOpen) return
    const plate = heatOf(station, undefined, dish.id).station
    const askedMs = kitchenNowMs()
    inLiveWorker(async (work) => work.retimeRun(dish, run, run.events, plate, kitchen, askedMs)).then(
      (rest) => answer(rest, no),
      () => answer(null, no),
    )
  })
  useEffect(() => ask(), [run.id, lastId, run.events.length, state.stepIndex, overdue, isOpen, dish, station, kitchen])
  return {
    ...seen,
    follow: (causeId) => {
      cause.current = causeId
    },
  }
}
