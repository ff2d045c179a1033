import { rowsAs } from '../../db/rows'
import { DemandRow, RicePlanEdits } from 'contract/riceHouse'
import type { Demand, SoldOut } from 'core/rice/plan/demand'
import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../../db/pool'

const NO_EDITS: RicePlanEdits = { portions: {}, event: null }

export async function findPlan(
  db: Db,
  kitchenId: string,
  day: string,
  lock = false,
): Promise<{ version: number; edits: RicePlanEdits }> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT version, body FROM rice_plan WHERE kitchen_id = ? AND day = ? ${lock ? 'FOR UPDATE' : ''}`,
    [kitchenId, day],
  )
  if (!rows[0]) return { version: 0, edits: NO_EDITS }
  return { version: Number(rows[0]['version']), edits: RicePlanEdits.parse(rows[0]['body']) }
}

export async function savePlan(
  connection: PoolConnection,
  kitchenId: string,
  day: string,
  version: number,
  edits: RicePlanEdits,
): Promise<void> {
  await connection.execute(
    `INSERT INTO rice_plan (kitchen_id, day, version, body) VALUES (?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE version = VALUES(version), body = VALUES(body)`,
    [kitchenId, day, version, JSON.stringify(edits)],
  )
}

/** Portions on record from a day to before another. */
export async function listDemand(db: Db, kitchenId: string, fromDay: string, toDay: string): Promise<Demand[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT DATE_FORMAT(day, '%Y-%m-%d') AS day, minute, dish_id AS dishId, portions FROM rice_demand
      WHERE kitchen_id = ? AND day >= ? AND day < ? ORDER BY day, minute, dish_id`,
    [kitchenId, fromDay, toDay],
  )
  return rows.map((row) => DemandRow.parse(row))
}

/** A mark of the portions on record from a day to before another: another mark where any of them changed. */
export async function demandMark(db: Db, kitchenId: string, fromDay: string, toDay: string): Promise<string> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT CONCAT(COUNT(*), ' ', COALESCE(SUM(CRC32(CONCAT_WS('|', day, minute, dish_id, portions))), 0)) AS mark
       FROM rice_demand WHERE kitchen_id = ? AND day >= ? AND day < ?`,
    [kitchenId, fromDay, toDay],
  )
  return String(rows[0]?.['mark'])
}

/** Services that sold out from a day to before another. */
export async function listSoldOut(db: Db, kitchenId: string, fromDay: string, toDay: string): Promise<SoldOut[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT DATE_FORMAT(day, '%Y-%m-%d') AS day, body FROM rice_plan WHERE kitchen_id = ? AND day >= ? AND day < ?`,
    [kitchenId, fromDay, toDay],
  )
  return rows.flatMap((row) =>
    Object.keys(RicePlanEdits.parse(row['body']).soldOut ?? {}).map((service) => ({
      day: String(row['day']),
      service,
    })),
  )
}

/** The last day whose tickets were written to the record of demand, or null. */
export async function lastTicketDay(db: Db, kitchenId: string): Promise<string | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT DATE_FORMAT(MAX(day), '%Y-%m-%d') AS day FROM rice_demand WHERE kitchen_id = ? AND source = 'tickets'`,
    [kitchenId],
  )
  return (rows[0]?.['day'] as string | null | undefined) ?? null
}

export type AskedPortions = { promisedAtMs: number; dishId: string; portions: number }

/** Portions of tickets promised between two instants, without the cancelled. */
export async function listAsked(db: Db, kitchenId: string, fromMs: number, toMs: number): Promise<AskedPortions[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT ticket.promised_at_ms AS promisedAtMs, item.dish_id AS dishId, item.portions
       FROM ticket JOIN ticket_item AS item ON item.kitchen_id = ticket.kitchen_id AND item.ticket_id = ticket.id
      WHERE ticket.kitchen_id = ? AND ticket.promised_at_ms >= ? AND ticket.promised_at_ms < ? AND NOT ticket.is_cancelled`,
    [kitchenId, fromMs, toMs],
  )
  return rowsAs<AskedPortions>(rows)
}

/** Adds portions to the record of demand; what the slot and dish had from the same source is replaced. */
export async function saveDemand(
  connection: PoolConnection,
  kitchenId: string,
  rows: readonly Demand[],
  source: 'tickets' | 'file' | 'demo',
): Promise<void> {
  const PAGE = 500
  for (let from = 0; from < rows.length; from += PAGE) {
    await connection.query(
      `INSERT INTO rice_demand (kitchen_id, day, minute, dish_id, portions, source) VALUES ?
       ON DUPLICATE KEY UPDATE portions = VALUES(portions), source = VALUES(source)`,
      [rows.slice(from, from + PAGE).map((row) => [kitchenId, row.day, row.minute, row.dishId, row.portions, source])],
    )
  }
}

/** Portions of open tickets that no run has taken on, by promise. */
export async function listUnfired(db: Db, kitchenId: string): Promise<AskedPortions[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT ticket.promised_at_ms AS promisedAtMs, item.dish_id AS dishId,
            item.portions - COALESCE((SELECT SUM(part.portions) FROM run_part AS part
              JOIN run ON run.kitchen_id = part.kitchen_id AND run.id = part.run_id
             WHERE part.kitchen_id = item.kitchen_id AND part.item_id = item.id AND run.state <> 'stopped'), 0) AS portions
       FROM ticket JOIN ticket_item AS item ON item.kitchen_id = ticket.kitchen_id AND item.ticket_id = ticket.id
      WHERE ticket.kitchen_id = ? AND ticket.is_open`,
    [kitchenId],
  )
  return rowsAs<AskedPortions>(rows)
    .map((row) => ({ ...row, portions: Number(row.portions) }))
    .filter((row) => row.portions > 0)
}
