import type { RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import { Problem } from '../http/problems'

/** What is said of things, by table: what it is said of, and what kind of word it is. */
const SAID_OF = {
  run_event: { subject: 'run_id', kind: 'kind' },
  rice_event: { subject: 'lot_id', kind: 'kind' },
  ticket_event: { subject: 'ticket_id', kind: 'kind' },
  mise_event: { subject: 'plan_id', kind: 'kind' },
  station_event: { subject: 'station_id', kind: 'kind' },
  line_wish: { subject: 'subject', kind: "JSON_VALUE(wish, '$.kind')" },
  tasting: { subject: 'dish_id', kind: 'verdict' },
  complaint: { subject: 'COALESCE(CAST(run_id AS CHAR), CAST(ticket_id AS CHAR), CAST(day AS CHAR))', kind: 'what' },
} as const

/**
 * Asked where an id was there before: the same word sent again changes nothing; the id of another is refused rather than
 * answered as if it had been taken.
 * @throws {Problem} id-taken
 */
export async function checkSameEvent(
  connection: PoolConnection,
  table: keyof typeof SAID_OF,
  kitchenId: string,
  event: { id: string; subjectId: string; kind: string },
): Promise<void> {
  const { subject, kind } = SAID_OF[table]
  const [rows] = await connection.execute<RowDataPacket[]>(
    `SELECT ${subject} AS subjectId, ${kind} AS kind FROM ${table} WHERE kitchen_id = ? AND id = ?`,
    [kitchenId, event.id],
  )
  const [known] = rows
  if (!known || (known['subjectId'] === event.subjectId && known['kind'] === event.kind)) return
  throw new Problem('id-taken', {
    detail: `the event ${event.id} is "${known['kind']}" of ${known['subjectId']}, not "${event.kind}" of ${event.subjectId}: make a new id (UUIDv7)`,
  })
}
