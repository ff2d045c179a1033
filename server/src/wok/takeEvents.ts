import type { Run, RunEvent } from 'contract/run'
import { inOrder } from 'core/event/eventOrder'
import { standing } from 'core/event/struckOut'
import { forgotStepId } from 'core/wok/forgot'
import { runState } from 'core/wok/run'
import type { PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { Problem } from '../http/problems'
import { placeSince } from '../http/clockAhead'
import { findRun, insertEvent, keepRefused, lockRun, openRunIdAt } from './runs.sql'
import { changesOfRun, settleRun } from './settle'
import { standInProblem } from './standInProblem'

export type Taken = { kind: 'taken'; run: Run } | { kind: 'refused'; problem: Problem }

/**
 * Takes what was said of a run: each id once, in any order. What was said after the end is refused, and kept aside
 * (`refused_event`), so that nothing is lost; taking back a stop is the one word that a stopped run still hears.
 */
export async function takeEvents(
  connection: PoolConnection,
  kitchenId: string,
  runId: string,
  said: readonly RunEvent[],
  nowMs: number,
): Promise<Taken> {
  await lockRun(connection, kitchenId, runId)
  const run = await findRun(connection, kitchenId, runId)
  if (!run) return refuse(connection, kitchenId, said, unknownRun(runId), nowMs)
  const lost = said.filter((event) => 'stepId' in event && !hasStep(run, event.stepId))
  if (lost.length > 0) return refuse(connection, kitchenId, said, unknownStep(run), nowMs)
  const events = said.map((event) => ({ ...event, atMs: placeSince(run.firedAtMs, event.atMs, nowMs) }))

  const known = new Set(run.events.map((event) => event.id))
  const fresh = events.filter((event) => !known.has(event.id))
  const unfit = await standInProblem(connection, kitchenId, run, fresh)
  if (unfit) return refuse(connection, kitchenId, said, unfit, nowMs)
  const { endedMs } = runState(run, run.events, nowMs)
  const stationRunId = await openRunIdAt(connection, kitchenId, run.stationId)
  const isStationFree = stationRunId === null || stationRunId === runId
  const tooLate = fresh.filter(
    (event) => endedMs !== null && event.atMs > endedMs && !(isStationFree && takesBackStop(event, run)),
  )
  const again = fresh.filter((event, index) => isSaidBefore(event, [...run.events, ...fresh.slice(0, index)]))
  const inTime = fresh.filter((event) => !tooLate.includes(event) && !again.includes(event))
  for (const event of again) await keepRefused(connection, kitchenId, event, SAID_BEFORE, nowMs)
  for (const event of inTime) await insertEvent(connection, kitchenId, event, nowMs)
  const settled = await settleRun(connection, kitchenId, { ...run, events: [...run.events, ...inTime] }, nowMs)
  if (inTime.length > 0) await announce(connection, kitchenId, nowMs, changesOfRun(run))
  if (tooLate.length > 0) return refuse(connection, kitchenId, tooLate, runOver(settled), nowMs)
  return { kind: 'taken', run: settled }
}

/** Why an event was kept aside although nothing is wrong with it. */
const SAID_BEFORE = 'said-before'

/**
 * A device that said once more what it had said of a step: its first word was refused for its time, the cook tapped again,
 * and then sent the first as said now. It changes nothing and is kept aside, so that the record has each Done once.
 */
function isSaidBefore(event: RunEvent, events: readonly RunEvent[]): boolean {
  return (
    event.kind === 'done' &&
    standing(inOrder(events)).some(
      (one) => one.kind === 'done' && one.stepId === event.stepId && one.deviceId === event.deviceId,
    )
  )
}

function takesBackStop(event: RunEvent, run: Run): boolean {
  return event.kind === 'undone' && run.events.some((one) => one.kind === 'stopped' && one.id === event.eventId)
}

async function refuse(
  connection: PoolConnection,
  kitchenId: string,
  events: readonly RunEvent[],
  problem: Problem,
  nowMs: number,
): Promise<Taken> {
  for (const event of events) await keepRefused(connection, kitchenId, event, problem.code, nowMs)
  return { kind: 'refused', problem }
}

/** A step of the score, or the putting in of something that was forgotten. */
const hasStep = ({ score }: Run, stepId: string): boolean =>
  score.steps.some(
    (step) => step.id === stepId || step.entries.some(({ componentId }) => stepId === forgotStepId(componentId)),
  )

const unknownStep = (run: Run) =>
  new Problem('unknown-step', {
    detail: `${run.dishName} has no such step: what you sent is kept aside; read the run again`,
    values: { dish: run.dishName },
  })

const unknownRun = (runId: string) =>
  new Problem('unknown-run', {
    detail: `no run ${runId}: what you sent is kept aside; open the line and fire the batch again`,
  })

const runOver = (run: Run) =>
  new Problem('run-over', {
    detail: `${run.dishName} is ${run.state}: what you sent is kept aside and changes nothing; see the record`,
    values: { dish: run.dishName, runId: run.id },
  })
