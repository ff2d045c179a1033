import { rowsAs } from '../db/rows'
import type { RowDataPacket } from 'mysql2'
import type { RanOut } from 'core/mise/stock/usage'
import type { Db } from '../db/pool'

export type FiredPortions = {
  dishId: string
  dishVersion: number
  firedAtMs: number
  modifiers: string[]
  parts: { portions: number; modifiers: string[] }[]
  ranOut: RanOut[]
}

/** What the wok fired since an instant, without what was stopped, with what each part had asked for. */
export async function listFired(db: Db, kitchenId: string, fromMs: number): Promise<FiredPortions[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT run.id, run.dish_id AS dishId, run.dish_version AS dishVersion, run.fired_at_ms AS firedAtMs, run.modifiers,
            part.portions, item.modifiers AS partModifiers
       FROM run
       JOIN run_part AS part ON part.kitchen_id = run.kitchen_id AND part.run_id = run.id
       JOIN ticket_item AS item ON item.kitchen_id = part.kitchen_id AND item.id = part.item_id
      WHERE run.kitchen_id = ? AND run.fired_at_ms >= ? AND run.state <> 'stopped'`,
    [kitchenId, fromMs],
  )
  const ranOut = await listRanOut(db, kitchenId, fromMs)
  const runs = new Map<string, FiredPortions>()
  type Row = Omit<FiredPortions, 'parts' | 'ranOut'> & { id: string; portions: number; partModifiers: string[] }
  for (const { id, portions, partModifiers, ...row } of rowsAs<Row>(rows)) {
    const run = runs.get(id) ?? { ...row, parts: [], ranOut: ranOut.get(id) ?? [] }
    run.parts.push({ portions: Number(portions), modifiers: partModifiers })
    runs.set(id, run)
  }
  return [...runs.values()]
}

/** What ran out in runs fired since an instant, by run, in their order; what was taken back did not. */
async function listRanOut(db: Db, kitchenId: string, fromMs: number): Promise<Map<string, RanOut[]>> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT said.run_id AS runId, JSON_VALUE(said.body, '$.componentId') AS componentId,
            JSON_VALUE(said.body, '$.standIn.ingredientId') AS ingredientId
       FROM run
       JOIN run_event AS said ON said.kitchen_id = run.kitchen_id AND said.run_id = run.id AND said.kind = 'trouble'
      WHERE run.kitchen_id = ? AND run.fired_at_ms >= ? AND JSON_VALUE(said.body, '$.trouble') = 'ranOut'
        AND NOT EXISTS (SELECT 1 FROM run_event AS back
                         WHERE back.kitchen_id = said.kitchen_id AND back.run_id = said.run_id AND back.kind = 'undone'
                           AND JSON_VALUE(back.body, '$.eventId') = said.id)
      ORDER BY said.at_ms, said.counter`,
    [kitchenId, fromMs],
  )
  const byRun = new Map<string, RanOut[]>()
  for (const { runId, componentId, ingredientId } of rowsAs<RanOut & { runId: string }>(rows))
    byRun.set(runId, [...(byRun.get(runId) ?? []), { componentId, ingredientId }])
  return byRun
}

/** The dishes as they were when they were fired, by id and version. */
export async function listDishVersionsOf(db: Db, kitchenId: string, runs: readonly FiredPortions[]) {
  const wanted = [...new Set(runs.map((run) => `${run.dishId}@${run.dishVersion}`))].map((key) => key.split('@'))
  if (wanted.length === 0) return new Map<string, unknown>()
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT dish_id AS dishId, version, body FROM dish_version WHERE kitchen_id = ? AND (dish_id, version) IN (?)`,
    [kitchenId, wanted],
  )
  return new Map(rows.map((row) => [`${row['dishId']}@${row['version']}`, row['body'] as unknown]))
}
