import { RunRow } from 'contract/run'
import type { RowDataPacket } from 'mysql2'
import type { Db } from '../db/pool'

const ROW = `
  SELECT id, dish_id AS dishId, dish_name AS dishName, station_id AS stationId, cook_id AS cookId, portions,
         (SELECT JSON_ARRAYAGG(lot.name ORDER BY lot.number) FROM run_lot
            JOIN rice_lot AS lot ON lot.kitchen_id = run_lot.kitchen_id AND lot.id = run_lot.lot_id
           WHERE run_lot.kitchen_id = run.kitchen_id AND run_lot.run_id = run.id) AS lots,
         ticket_numbers AS tickets, rice_mass_g AS riceMassG, fired_at_ms AS firedAtMs, ended_at_ms AS endedAtMs, state,
         planned_s AS plannedS, promised_at_ms AS promisedAtMs, allergies FROM run`

export type PageKey = { firedAtMs: number; id: string }

/** Runs that are over, newest firing first, from just before a key. */
export async function listPastRuns(
  db: Db,
  kitchenId: string,
  before: PageKey | null,
  limit: number,
): Promise<RunRow[]> {
  const key = before ?? { firedAtMs: Number.MAX_SAFE_INTEGER, id: 'ffffffff-ffff-ffff-ffff-ffffffffffff' }
  const [rows] = await db.execute<RowDataPacket[]>(
    `${ROW} WHERE kitchen_id = ? AND (fired_at_ms < ? OR (fired_at_ms = ? AND id < ?)) AND state <> 'open'
      ORDER BY fired_at_ms DESC, id DESC LIMIT ${Math.trunc(limit)}`,
    [kitchenId, key.firedAtMs, key.firedAtMs, key.id],
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
    hasAllergy: (allergies as string[]).length > 0,
  })
}

/** MariaDB answers an aggregated array as text, and as null where there is nothing in it. */
function lotNames(lots: unknown): unknown {
  return typeof lots === 'string' ? JSON.parse(lots) : (lots ?? [])
}
