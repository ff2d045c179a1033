import type { Run } from 'contract/run'
import { riceReadOf } from 'core/rice/reading/riceReading'
import { runState } from 'core/wok/run'
import type { Pool, PoolConnection } from 'mysql2/promise'
import { announce, type Change } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { learnFrom } from './learnFrom'
import { findRun, listOpenRuns, lockRun, saveRunState } from './runs.sql'

/** What changes on screen when a run begins, moves or ends. */
export const changesOfRun = (run: Pick<Run, 'id'>): Change[] => [
  { topic: 'runs', key: run.id },
  { topic: 'tickets', key: '' },
]

/** Folds a run's events up to now and writes the state they come to. The caller holds the run's lock. */
export async function settleRun(connection: PoolConnection, kitchenId: string, run: Run, nowMs: number): Promise<Run> {
  const { status, endedMs, checks } = runState(run, run.events, nowMs)
  const state = status === 'finished' || status === 'stopped' ? status : 'open'
  const endedAtMs = endedMs === null ? null : Math.round(endedMs)
  if (state === run.state && endedAtMs === run.endedAtMs) return run
  const ofRice = run.score.steps.filter(({ check }) => check?.food === 'rice').map(({ id }) => id)
  const read = riceReadOf(checks.filter(({ stepId }) => ofRice.includes(stepId)))
  await saveRunState(connection, kitchenId, run.id, state, endedAtMs, read)
  if (state === 'finished') await learnFrom(connection, kitchenId, run, nowMs)
  return { ...run, state, endedAtMs }
}

/** Closes every open run that has come to its end by itself. Any number of servers may do so at once. */
export async function settleOpenRuns(pool: Pool, kitchenId: string, nowMs: number): Promise<number> {
  const open = await listOpenRuns(pool, kitchenId)
  const over = open.filter((run) => runState(run, run.events, nowMs).endedMs !== null)
  for (const { id } of over) {
    await inTransaction(pool, async (connection) => {
      await lockRun(connection, kitchenId, id)
      const run = await findRun(connection, kitchenId, id)
      if (run?.state !== 'open') return
      await settleRun(connection, kitchenId, run, nowMs)
      await announce(connection, kitchenId, nowMs, changesOfRun(run))
    })
  }
  return over.length
}
