import type { TracedRun } from 'contract/rice'
import { Trace } from 'contract/rice'
import type { RowDataPacket } from 'mysql2'
import type { Db } from '../db/pool'

const MAX_RUNS = 500

/** Every run that drew on a lot, with the tickets that got of it. */
export async function traceLot(db: Db, kitchenId: string, lotId: string): Promise<Trace> {
  return trace(db, kitchenId, [lotId])
}

/** The lots that a ticket's rice came from, and everybody else who got of them; null for an unknown number. */
export async function traceTicket(db: Db, kitchenId: string, number: number): Promise<Trace | null> {
  const [tickets] = await db.execute<RowDataPacket[]>(
    'SELECT id FROM ticket WHERE kitchen_id = ? AND number = ? ORDER BY placed_at_ms DESC LIMIT 1',
    [kitchenId, number],
  )
  if (!tickets[0]) return null
  const [lots] = await db.execute<RowDataPacket[]>(
    `SELECT DISTINCT run_lot.lot_id AS id FROM run_part
       JOIN run_lot ON run_lot.kitchen_id = run_part.kitchen_id AND run_lot.run_id = run_part.run_id
      WHERE run_part.kitchen_id = ? AND run_part.ticket_id = ?`,
    [kitchenId, tickets[0]['id']],
  )
  return trace(
    db,
    kitchenId,
    lots.map((lot) => String(lot['id'])),
  )
}

async function trace(db: Db, kitchenId: string, lotIds: readonly string[]): Promise<Trace> {
  if (lotIds.length === 0) return { lots: [], runs: [] }
  const [lots] = await db.query<RowDataPacket[]>(
    `SELECT id, name, stage, cooked_at_ms AS cookedAtMs FROM rice_lot WHERE kitchen_id = ? AND id IN (?) ORDER BY number`,
    [kitchenId, lotIds],
  )
  const [runs] = await db.query<RowDataPacket[]>(
    `SELECT run_lot.run_id AS runId, run_lot.lot_id AS lotId, run_lot.mass_g AS massG, run.dish_name AS dishName,
            run.fired_at_ms AS firedAtMs
       FROM run_lot JOIN run ON run.kitchen_id = run_lot.kitchen_id AND run.id = run_lot.run_id
      WHERE run_lot.kitchen_id = ? AND run_lot.lot_id IN (?)
      ORDER BY run.fired_at_ms, run.id LIMIT ${MAX_RUNS}`,
    [kitchenId, lotIds],
  )
  if (runs.length === 0) return Trace.parse({ lots, runs: [] })
  const [parts] = await db.query<RowDataPacket[]>(
    `SELECT run_part.run_id AS runId, ticket.number, ticket.place, SUM(run_part.portions) AS portions
       FROM run_part JOIN ticket ON ticket.kitchen_id = run_part.kitchen_id AND ticket.id = run_part.ticket_id
      WHERE run_part.kitchen_id = ? AND run_part.run_id IN (?)
      GROUP BY run_part.run_id, ticket.number, ticket.place ORDER BY ticket.number`,
    [kitchenId, runs.map((run) => run['runId'] as string)],
  )
  const byRun = new Map<string, TracedRun['tickets']>()
  for (const { runId, number, place, portions } of parts) {
    const list = byRun.get(String(runId)) ?? []
    list.push({ number: Number(number), place: String(place), portions: Number(portions) })
    byRun.set(String(runId), list)
  }
  return Trace.parse({ lots, runs: runs.map((run) => ({ ...run, tickets: byRun.get(String(run['runId'])) ?? [] })) })
}
