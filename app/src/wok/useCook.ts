import { EventId } from 'contract/ids'
import type { Run } from 'contract/run'
import type { Temperature } from 'core/measure/temperature'
import { runState, type RunState } from 'core/wok/run'
import { TROUBLE_DELAY_S, type ComponentTrouble, type StandIn, type Trouble } from 'core/wok/runEvent'
import type { HeatLevel } from 'core/wok/score'
import { useEffect, useReducer, useRef } from 'react'
import { kitchenNowMs } from '../device/clock'
import { give } from '../device/signal'
import { REST_MS } from '../ui/useRest'
import type { SaidOfRun, sayOfRun } from './useRuns'
import type { RunStep } from './stepWords'

const SOON_S = 5
/** How often what goes by the clock is looked at again [ms]. */
export const LOOK_AGAIN_MS = 5000
const MIN_LOOK_MS = 30

export type Cook = {
  state: RunState
  step: RunStep
  nowMs: number
  /** For the step that is drawn: what has ended meanwhile, here or on another phone, stays ended. */
  done: () => string
  checked: (ok: boolean, read: Temperature | null) => string
  later: () => string
  trouble: (trouble: Exclude<Trouble, ComponentTrouble>) => { eventId: string; addedS: number }
  forgot: (componentId: string) => { eventId: string; addedS: number }
  /** It is left out of what is to come, or something stands in for it. */
  ranOut: (componentId: string, standIn: StandIn | null) => string
  turnFlame: (heat: HeatLevel) => string
  stop: () => string
  undo: (eventId: string) => void
  setHandsFree: (on: boolean) => void
}

type CookOptions = { voice: number; onSaid: (eventId: string) => void; sayOf: typeof sayOfRun }

/**
 * A run as it stands this second, and what its cook can say of it. Ear and hand are told when it moves, each station in a
 * voice of its own; `onSaid` hears of what may change the rest.
 */
export function useCook(run: Run, { voice, onSaid, sayOf }: CookOptions): Cook {
  /** Two taps may both be heard before the face changes: the second says nothing new. */
  const lastDone = useRef<{ stepId: string; eventId: string; atMs: number } | null>(null)
  const [, lookAgain] = useReducer((looks: number) => looks + 1, 0)
  const nowMs = kitchenNowMs()
  const state = runState(run, run.events, nowMs)
  const step = state.steps[state.stepIndex]
  if (!step) throw new RangeError(`run ${run.id} has no step ${state.stepIndex}`)

  useEffect(() => {
    if (state.endedMs !== null) return
    let timer: ReturnType<typeof setTimeout>
    const wait = () => (timer = setTimeout(look, nextLookMs(state.dueMs - kitchenNowMs())))
    const look = () => {
      const atMs = kitchenNowMs()
      if (isAsDrawn(runState(run, run.events, atMs), atMs, state, nowMs)) wait()
      else lookAgain()
    }
    wait()
    return () => clearTimeout(timer)
  })
  useRunSignals(state, step, nowMs, voice)

  const say = (said: SaidOfRun) => {
    const eventId = sayOf(run.id, said)
    onSaid(eventId)
    lookAgain()
    return eventId
  }
  return {
    state,
    step,
    nowMs,
    done: () => {
      const before = lastDone.current
      if (before?.stepId === step.id && performance.now() - before.atMs < REST_MS) return before.eventId
      const eventId = say({ kind: 'done', stepId: step.id })
      lastDone.current = { stepId: step.id, eventId, atMs: performance.now() }
      return eventId
    },
    checked: (ok, read) =>
      say({ kind: 'checked', stepId: step.id, ok, tempC: read?.tempC ?? null, tempF: read?.tempF ?? null }),
    later: () => say({ kind: 'later', stepId: step.id, delayS: 10 }),
    trouble: (trouble) => ({
      eventId: say({ kind: 'trouble', trouble, stepId: step.id }),
      addedS: TROUBLE_DELAY_S[trouble],
    }),
    forgot: (componentId) => ({
      eventId: say({ kind: 'trouble', trouble: 'forgot', stepId: step.id, componentId }),
      addedS: TROUBLE_DELAY_S.forgot,
    }),
    ranOut: (componentId, standIn) =>
      say({ kind: 'trouble', trouble: 'ranOut', stepId: step.id, componentId, ...(standIn && { standIn }) }),
    turnFlame: (heat) => say({ kind: 'flame', stepId: step.id, heat }),
    stop: () => say({ kind: 'stopped' }),
    undo: (eventId) => void say({ kind: 'undone', eventId: EventId.parse(eventId) }),
    setHandsFree: (on) => void say({ kind: 'handsFree', on }),
  }
}

/** Whether a run is where it was when it was drawn; what waits for its cook is drawn each second. */
function isAsDrawn(now: RunState, atMs: number, drawn: RunState, drawnMs: number): boolean {
  return (
    now.status === drawn.status &&
    now.status !== 'waiting' &&
    now.stepIndex === drawn.stepIndex &&
    now.dueMs === drawn.dueMs &&
    now.endedMs === drawn.endedMs &&
    isSoon(now, atMs) === isSoon(drawn, drawnMs)
  )
}

/** Whether a run is about to want its cook. */
const isSoon = ({ dueMs, endedMs }: RunState, nowMs: number) =>
  endedMs === null && dueMs - nowMs <= SOON_S * 1000 && dueMs > nowMs

/**
 * How long until the run must be looked at again [ms]: shortly before it is due, when it is due, and each second while
 * it waits; at most a few seconds, since the kitchen's time may be corrected. The countdown ticks by itself.
 */
function nextLookMs(untilDueMs: number): number {
  const untilSoonMs = untilDueMs - SOON_S * 1000
  const next = untilSoonMs > 0 ? untilSoonMs : untilDueMs > 0 ? untilDueMs : 1000
  return Math.min(LOOK_AGAIN_MS, Math.max(MIN_LOOK_MS, next + 4))
}

function useRunSignals(state: RunState, step: RunStep, nowMs: number, voice: number): void {
  const heard = useRef({ stepId: step.id, isOver: state.endedMs !== null, isWaiting: false, isSoon: false })
  const isSoonNow = isSoon(state, nowMs)
  useEffect(() => {
    const before = heard.current
    const isOver = state.endedMs !== null
    const isWaiting = state.status === 'waiting'
    if (isOver && !before.isOver) give('over', voice)
    else if (step.id !== before.stepId) give('next', voice)
    else if (isWaiting && !before.isWaiting) give('check', voice)
    else if (isSoonNow && !before.isSoon) give('soon', voice)
    heard.current = { stepId: step.id, isOver, isWaiting, isSoon: isSoonNow }
  }, [state.endedMs, state.status, step.id, isSoonNow, voice])
}
