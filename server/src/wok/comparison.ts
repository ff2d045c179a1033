import type { RunComparison } from 'contract/faults'
import type { RunId } from 'contract/ids'
import { featuresOf } from 'core/record/faults/features'
import type { Db } from '../db/pool'
import { Problem } from '../http/problems'
import { findRun, listRunsGoneWell } from './runs.sql'

/** So many of the newest runs that went well are compared with. */
const MOST_COMPARED = 30
/** A run so much later than its promise did not go well [s]. */
const LATE_S = 120

/** A run beside runs of the same dish that went well: finished in time, without a trouble. @throws {Problem} unknown-run */
export async function comparisonOf(db: Db, kitchenId: string, id: RunId, nowMs: number): Promise<RunComparison> {
  const run = await findRun(db, kitchenId, id)
  if (!run) throw new Problem('unknown-run', { detail: `no run ${id}: look for it in the record` })
  const well = await listRunsGoneWell(db, kitchenId, run.dishId, id, LATE_S, MOST_COMPARED)
  return {
    runId: id,
    run: featuresOf(run, run.events, nowMs),
    good: well.filter(({ score }) => score.basis).map((one) => featuresOf(one, one.events, nowMs)),
  }
}
