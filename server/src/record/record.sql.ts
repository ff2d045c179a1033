import { RunRow } from 'contract/run'
import type { RowDataPacket } from 'mysql2'
import type { Db } from '../db/pool'

/** Troubles of a run that were not taken back. */
const STANDING_TROUBLE = `run_event AS said
  WHERE said.kitchen_id = run.kitchen_id AND said.run_id = run.id AND said.kind = 'trouble'
    AND NOT EXISTS (SELECT 1 FROM run_event AS back
                     WHERE back.kitchen_id = said.kitchen_id AND back.run_id = said.run_id AND back.kind = 'undone'
                       AND JSON_VALUE(back.body, '$.eventId') = said.id)`

const ROW = `
  SELECT id, dish_id AS dishId, dish_name AS dishName, station_id AS stationId, cook_id AS cookId, portions,
         (SELECT JSON_ARRAYAGG(lot.name ORDER BY lot.number) FROM run_lot
            JOIN rice_lot AS lot ON lot.kitchen_id = run_lot.kitchen_id AND lot.id = run_lot.lot_id
           WHERE run_lot.kitchen_id = run.kitchen_id AND run_lot.run_id = run.id) AS lots,
         ticket_numbers AS tickets, rice_mass_g AS riceMassG, fired_at_ms AS firedAtMs, ended_at_ms AS endedAtMs, state,
         (SELECT COUNT(*) FROM ${STANDING_TROUBLE}) AS troubles,
         planned_s AS plannedS, promised_at_ms AS promisedAtMs, allergies FROM run`

export type RunPageKey = { firedAtMs: number; id: string }

/** Which runs: of a dish, a station, a cook, fired between two instants, or only those that went wrong. */
export type PastRunFilter = {
  dishId?: string | undefined
  stationId?: string | undefined
  cookId?: string | undefined
  span?: { fromMs: number; toMs: number } | undefined
  isTrouble?: boolean
}

function narrowed({ dishId, stationId, cookId, span, isTrouble = false }: PastRunFilter) {
  const parts: [string, (string | number)[]][] = []
  if (dishId !== undefined) parts.push(['dish_id = ?', [dishId]])
  if (stationId !== undefined) parts.push(['station_id = ?', [stationId]])
  if (cookId !== undefined) parts.push(['cook_id = ?', [cookId]])
  if (span) parts.push(['fired_at_ms >= ? AND fired_at_ms < ?', [span.fromMs, span.toMs]])
  if (isTrouble)
    parts.push([
      `(state = 'stopped' OR ROUND((ended_at_ms - promised_at_ms) / 1000) > ? OR EXISTS (SELECT 1 FROM ${STANDING_TROUBLE}))`,
      [LATE_S],
    ])
  return { where: parts.map(([sql]) => ` AND ${sql}`).join(''), values: parts.flatMap(([, values]) => values) }
}

/** Whole seconds, as a row of the record says it. */
const LATE_S = 30

/** Runs that are over, newest firing first, from just before a key. */
export async function listPastRuns(
  db: Db,
  kitchenId: string,
  before: RunPageKey | null,
  limit: number,
  filter: PastRunFilter = {},
): Promise<RunRow[]> {
  const key = before ?? { firedAtMs: Number.MAX_SAFE_INTEGER, id: 'ffffffff-ffff-ffff-ffff-ffffffffffff' }
  const { where, values } = narrowed(filter)
  const [rows] = await db.execute<RowDataPacket[]>(
    `${ROW} WHERE kitchen_id = ? AND (fired_at_ms < ? OR (fired_at_ms = ? AND id < ?)) AND state <> 'open'${where}
      ORDER BY fired_at_ms DESC, id DESC LIMIT ${Math.trunc(limit)}`,
    [kitchenId, key.firedAtMs, key.firedAtMs, key.id, ...values],
  )
  return rows.map(toRow)
}

function toRow(row: RowDataPacket): RunRow {
  const { promisedAtMs, allergies, lots, ...rest } = row
  const endedAtMs = row['endedAtMs'] as number | null
  const isFinished = row['state'] === 'finished' && endedAtMs !== null
  return RunRow.parse({
    ...rest,
    lots: lotNames(lots),
    actualS: endedAtMs === null ? null : (endedAtMs - Number(row['firedAtMs'])) / 1000,
    afterPromiseS: isFinished ? Math.round((endedAtMs - Number(promisedAtMs)) / 1000) : null,
    troubles: Number(row['troubles']),
    hasAllergy: (allergies as string[]).length > 0,
  })
}

/** MariaDB answers an aggregated array as text, and as null where there is nothing in it. */
function lotNames(lots: unknown): unknown {
  return typeof lots === 'string' ? JSON.parse(lots) : (lots ?? [])
}
