import type { PassTicket } from 'contract/ticket'
import { allergyMarksOf } from 'core/line/allergyMarks'
import type { RowDataPacket } from 'mysql2'
import type { Db } from '../db/pool'
import { rowsAs } from '../db/rows'
import { listTickets } from './tickets.sql'

const HOUR_MS = 3_600_000
/** Food that came up longer ago does not stand on a pass any more: common practice. */
const KEPT_MS = 2 * HOUR_MS
/** What was handed over so short ago can be called back. */
const RECALL_MS = 10 * 60_000
/** No run lasts longer. */
const LONGEST_RUN_MS = HOUR_MS

type UpRow = Omit<PassTicket['ups'][number], 'marks'> & {
  ticketId: string
  handedOverAtMs: number | null
  marks: string[] | null
}

/** Tickets with something up that were not handed over, or only a moment ago. */
export async function listPass(db: Db, kitchenId: string, nowMs: number): Promise<PassTicket[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT part.ticket_id AS ticketId, part.item_id AS itemId, run.dish_id AS dishId, part.portions,
            run.ended_at_ms AS upAtMs, run.marks, ticket.handed_over_at_ms AS handedOverAtMs
       FROM run
       JOIN run_part AS part ON part.kitchen_id = run.kitchen_id AND part.run_id = run.id
       JOIN ticket ON ticket.kitchen_id = part.kitchen_id AND ticket.id = part.ticket_id
      WHERE run.kitchen_id = ? AND run.fired_at_ms > ? AND run.state = 'finished' AND run.ended_at_ms > ?
        AND NOT ticket.is_cancelled AND (ticket.handed_over_at_ms IS NULL OR ticket.handed_over_at_ms > ?)
      ORDER BY run.ended_at_ms`,
    [kitchenId, nowMs - KEPT_MS - LONGEST_RUN_MS, nowMs - KEPT_MS, nowMs - RECALL_MS],
  )
  const ups = rowsAs<UpRow>(rows)
  const tickets = await listTickets(db, kitchenId, [...new Set(ups.map(({ ticketId }) => ticketId))])
  return tickets.map((ticket) => {
    const own = ups.filter(({ ticketId }) => ticketId === ticket.id)
    return {
      ticket,
      handedOverAtMs: own[0]?.handedOverAtMs ?? null,
      ups: own.map(({ itemId, dishId, portions, upAtMs, marks }) => ({
        itemId,
        dishId,
        portions,
        upAtMs,
        marks: allergyMarksOf(marks ?? []),
      })),
    }
  })
}
