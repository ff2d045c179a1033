import { Evening } from 'contract/evening'
import { LineWish } from 'contract/line'
import { downsOf } from 'core/line/past/evening'
import type { RowDataPacket } from 'mysql2'
import type { Db } from '../db/pool'
import { rowsAs } from '../db/rows'

/** More runs than this are no evening of one kitchen. */
const MOST_RUNS = 400

type Of<T> = T & { ticketId: string }

/** The line between two instants: runs that were fired and are over, their tickets, and what was decided of stations and hands. */
export async function findEvening(
  db: Db,
  kitchenId: string,
  { fromMs, toMs }: { fromMs: number; toMs: number },
): Promise<Evening> {
  const [found] = await db.query<RowDataPacket[]>(
    `SELECT id, station_id AS stationId, dish_id AS dishId, dish_name AS dishName, fired_at_ms AS firedAtMs,
            ended_at_ms AS endedAtMs, planned_s AS plannedS, state = 'stopped' AS isStopped, told_station_id AS toldStationId
       FROM run WHERE kitchen_id = ? AND fired_at_ms >= ? AND fired_at_ms < ? AND state <> 'open' AND ended_at_ms IS NOT NULL
      ORDER BY fired_at_ms, id LIMIT ?`,
    [kitchenId, fromMs, toMs, MOST_RUNS + 1],
  )
  const runs = found.slice(0, MOST_RUNS)
  const { pairs, downs } = await decided(db, kitchenId, fromMs, toMs)
  if (runs.length === 0) return { tickets: [], runs: [], downs, pairs, isCut: false }
  const [parts] = await db.query<RowDataPacket[]>(
    `SELECT run_id AS runId, item_id AS itemId, ticket_id AS ticketId, portions FROM run_part
      WHERE kitchen_id = ? AND run_id IN (?)`,
    [kitchenId, runs.map((run) => String(run['id']))],
  )
  const ticketIds = [...new Set(parts.map((part) => String(part['ticketId'])))]
  return Evening.parse({
    tickets: await ticketsOf(db, kitchenId, ticketIds),
    runs: runs.map((run) => ({
      ...run,
      isStopped: Boolean(run['isStopped']),
      parts: parts
        .filter(({ runId }) => runId === run['id'])
        .map(({ itemId, portions }) => ({ itemId: String(itemId), portions: Number(portions) })),
    })),
    downs,
    pairs,
    isCut: found.length > MOST_RUNS,
  })
}

async function ticketsOf(db: Db, kitchenId: string, ids: readonly string[]) {
  if (ids.length === 0) return []
  const [heads] = await db.query<RowDataPacket[]>(
    `SELECT id, number, kind, placed_at_ms AS placedAtMs, promised_at_ms AS promisedAtMs,
            handed_over_at_ms AS handedOverAtMs
       FROM ticket WHERE kitchen_id = ? AND id IN (?) AND NOT is_cancelled ORDER BY placed_at_ms, number`,
    [kitchenId, ids],
  )
  const [items] = await db.query<RowDataPacket[]>(
    `SELECT ticket_id AS ticketId, id, dish_id AS dishId, portions, modifiers, allergies FROM ticket_item
      WHERE kitchen_id = ? AND ticket_id IN (?) ORDER BY position`,
    [kitchenId, ids],
  )
  return rowsAs<{ id: string }>(heads).map((head) => ({
    ...head,
    items: rowsAs<Of<object>>(items)
      .filter(({ ticketId }) => ticketId === head.id)
      .map(({ ticketId: _, ...item }) => item),
  }))
}

/** Of the hands the last word before the end; of stations the stretches in which they were down that reach into it. */
async function decided(
  db: Db,
  kitchenId: string,
  fromMs: number,
  toMs: number,
): Promise<Pick<Evening, 'downs' | 'pairs'>> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT wish FROM line_wish
      WHERE kitchen_id = ? AND (subject = 'hands' OR subject LIKE 'station %') AND at_ms < ? ORDER BY at_ms, id`,
    [kitchenId, toMs],
  )
  const wishes = rows.map((row) => LineWish.parse(row['wish']))
  const pairs = wishes.flatMap((wish) => (wish.kind === 'hands' ? [wish.pairs] : [])).at(-1) ?? null
  const downs = downsOf(wishes.flatMap((wish) => (wish.kind === 'station' ? [wish] : [])))
  return { pairs, downs: downs.filter((down) => down.toMs === null || down.toMs > fromMs) }
}
