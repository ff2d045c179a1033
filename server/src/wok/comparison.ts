import type { Comparison } from 'contract/faults'
import type { RunId, TicketId } from 'contract/ids'
import type { Run } from 'contract/run'
import { featuresOf } from 'core/record/faults/features'
import type { Db } from '../db/pool'
import { Problem } from '../http/problems'
import { mapInTurns } from '../http/turns'
import type { Span } from '../record/daySpan'
import { listRunsBetween, listRunsGoneWell, listRunsOfTicket } from './comparedRuns.sql'
import { findRun } from './runs.sql'

/** So many of the newest runs that went well are compared with. */
const MOST_COMPARED = 30
/** A run so much later than its promise did not go well [s]. */
const LATE_S = 120
/** So many runs of an evening are looked at, the newest: what they share shows in fewer. */
const MOST_SUSPECT = 120

/** A run beside runs of the same dish that went well. @throws {Problem} unknown-run */
export async function compareRun(db: Db, kitchenId: string, id: RunId, nowMs: number): Promise<Comparison> {
  const run = await findRun(db, kitchenId, id)
  if (!run) throw new Problem('unknown-run', { detail: `no run ${id}: look for it in the record` })
  return compare(db, kitchenId, [run], nowMs)
}

/** The runs that fried something of a ticket, those that are over, beside runs of their dishes that went well. */
export async function compareTicket(db: Db, kitchenId: string, id: TicketId, nowMs: number): Promise<Comparison> {
  return compare(db, kitchenId, await listRunsOfTicket(db, kitchenId, id), nowMs)
}

/** The runs that were fired in an evening beside runs of their dishes that went well on other days. */
export async function compareEvening(db: Db, kitchenId: string, span: Span, nowMs: number): Promise<Comparison> {
  const newest = await listRunsBetween(db, kitchenId, span, MOST_SUSPECT + 1)
  const isCut = newest.length > MOST_SUSPECT
  return compare(db, kitchenId, newest.slice(0, MOST_SUSPECT).reverse(), nowMs, { isCut, span })
}

/**
 * Runs beside those of their dishes that went well: finished in time, without a trouble, and nobody complained.
 * @param evening what was fired in its span went no better than the runs do
 */
async function compare(
  db: Db,
  kitchenId: string,
  runs: readonly Run[],
  nowMs: number,
  evening: { isCut: boolean; span: Span } | null = null,
): Promise<Comparison> {
  const except = { ids: runs.map(({ id }) => id), span: evening?.span ?? null }
  const good: Comparison['good'] = {}
  for (const dishId of new Set(runs.map((run) => run.dishId))) {
    const well = await listRunsGoneWell(db, kitchenId, dishId, except, LATE_S, MOST_COMPARED)
    good[dishId] = await mapInTurns(
      well.filter(({ score }) => score.basis),
      (one) => featuresOf(one, one.events, nowMs),
    )
  }
  return {
    runs: await mapInTurns(runs, (run) => ({
      runId: run.id,
      dishId: run.dishId,
      dishName: run.dishName,
      stationId: run.stationId,
      portions: run.parts.reduce((sum, { portions }) => sum + portions, 0),
      firedAtMs: run.firedAtMs,
      features: featuresOf(run, run.events, nowMs),
    })),
    good,
    isCut: evening?.isCut ?? false,
  }
}
