import type { Run } from 'contract/run'
import type { RowDataPacket } from 'mysql2'
import type { Db } from '../db/pool'
import { RUNS, withPartsAndEvents } from './runs.sql'

/** The runs that are over and fried something of a ticket, oldest first. */
export async function listRunsOfTicket(db: Db, kitchenId: string, ticketId: string): Promise<Run[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `${RUNS} WHERE kitchen_id = ? AND state <> 'open'
        AND id IN (SELECT part.run_id FROM run_part AS part WHERE part.kitchen_id = ? AND part.ticket_id = ?)
      ORDER BY fired_at_ms, id`,
    [kitchenId, kitchenId, ticketId],
  )
  return withPartsAndEvents(db, kitchenId, rows)
}

/** The newest runs that are over of those fired from an instant to before another, newest first. */
export async function listRunsBetween(
  db: Db,
  kitchenId: string,
  { fromMs, toMs }: { fromMs: number; toMs: number },
  most: number,
): Promise<Run[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `${RUNS} WHERE kitchen_id = ? AND fired_at_ms >= ? AND fired_at_ms < ? AND state <> 'open'
      ORDER BY fired_at_ms DESC, id DESC LIMIT ?`,
    [kitchenId, fromMs, toMs, most],
  )
  return withPartsAndEvents(db, kitchenId, rows)
}

/**
 * The newest finished runs of a dish, up no later than so long after their promise, with no trouble said of them and nothing
 * complained of them, of their tickets or of their evening, but some.
 */
export async function listRunsGoneWell(
  db: Db,
  kitchenId: string,
  dishId: string,
  except: { ids: readonly string[]; span: { fromMs: number; toMs: number } | null },
  lateS: number,
  most: number,
): Promise<Run[]> {
  const { fromMs, toMs } = except.span ?? { fromMs: 0, toMs: 0 }
  const [rows] = await db.query<RowDataPacket[]>(
    `${RUNS} WHERE kitchen_id = ? AND dish_id = ? AND state = 'finished' AND id NOT IN (?)
        AND NOT (fired_at_ms >= ? AND fired_at_ms < ?)
        AND ROUND((ended_at_ms - promised_at_ms) / 1000) <= ?
        AND NOT EXISTS (SELECT 1 FROM run_event AS said
                         WHERE said.kitchen_id = run.kitchen_id AND said.run_id = run.id AND said.kind = 'trouble')
        AND NOT EXISTS (SELECT 1 FROM complaint AS word
                         WHERE word.kitchen_id = run.kitchen_id AND word.run_id = run.id AND word.taken_back_at_ms IS NULL)
        AND NOT EXISTS (SELECT 1 FROM run_part AS part
                          JOIN complaint AS word ON word.kitchen_id = part.kitchen_id AND word.ticket_id = part.ticket_id
                         WHERE part.kitchen_id = run.kitchen_id AND part.run_id = run.id AND word.taken_back_at_ms IS NULL)
        AND NOT EXISTS (SELECT 1 FROM complaint AS word
                         WHERE word.kitchen_id = run.kitchen_id AND word.day_from_ms <= run.fired_at_ms
                           AND word.day_to_ms > run.fired_at_ms AND (word.dish_id IS NULL OR word.dish_id = run.dish_id)
                           AND word.taken_back_at_ms IS NULL)
      ORDER BY fired_at_ms DESC, id DESC LIMIT ?`,
    [kitchenId, dishId, except.ids, fromMs, toMs, lateS, most],
  )
  return withPartsAndEvents(db, kitchenId, rows)
}
