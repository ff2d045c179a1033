import { rowsAs } from '../db/rows'
import type { RowDataPacket } from 'mysql2'
import type { Db } from '../db/pool'

export type FiredPortions = {
  dishId: string
  dishVersion: number
  firedAtMs: number
  modifiers: string[]
  parts: { portions: number; modifiers: string[] }[]
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
  const runs = new Map<string, FiredPortions>()
  type Row = Omit<FiredPortions, 'parts'> & { id: string; portions: number; partModifiers: string[] }
  for (const { id, portions, partModifiers, ...row } of rowsAs<Row>(rows)) {
    const run = runs.get(id) ?? { ...row, parts: [] }
    run.parts.push({ portions: Number(portions), modifiers: partModifiers })
    runs.set(id, run)
  }
  return [...runs.values()]
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
