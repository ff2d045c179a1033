import { rowsAs } from '../db/rows'
import { compareEvents } from 'core/event/eventOrder'
import { Ticket, type LaterTickets, type TicketEvent } from 'contract/ticket'
import type { ResultSetHeader, RowDataPacket } from 'mysql2'
import type { PoolConnection } from 'mysql2/promise'
import type { Db } from '../db/pool'
import { checkSameEvent } from '../db/sameEvent'

const takenPortions = (states: string) => `
  COALESCE((SELECT SUM(part.portions) FROM run_part AS part
              JOIN run ON run.kitchen_id = part.kitchen_id AND run.id = part.run_id
             WHERE part.kitchen_id = item.kitchen_id AND part.item_id = item.id AND run.state IN (${states})), 0)`

const ITEMS = `
  SELECT item.ticket_id AS ticketId, item.id, item.dish_id AS dishId, item.portions, item.modifiers, item.allergies,
         item.allowed_by AS allowedBy, ${takenPortions("'open', 'finished'")} AS firedPortions, ${takenPortions("'finished'")} AS donePortions
    FROM ticket_item AS item`

const HEADS = `
  SELECT id, number, placed_at_ms AS placedAtMs, promised_at_ms AS promisedAtMs, kind, place, source,
         is_cancelled AS isCancelled FROM ticket`

/** Where a page of open tickets ends: they stand by promise, those of one promise by number. */
export type TicketKey = { promisedAtMs: number; number: number }
const IS_AFTER = `ticket.kitchen_id = ? AND ticket.is_open = 1
  AND (ticket.promised_at_ms > ? OR (ticket.promised_at_ms = ? AND ticket.number > ?))`
const afterValues = (kitchenId: string, { promisedAtMs, number }: TicketKey) => [
  kitchenId,
  promisedAtMs,
  promisedAtMs,
  number,
]

/** A page of the tickets with a portion still to be cooked or in the wok, oldest promise first. */
export async function listOpenTickets(db: Db, kitchenId: string, after: TicketKey, limit: number): Promise<Ticket[]> {
  const [heads] = await db.query<RowDataPacket[]>(
    `${HEADS} WHERE ${IS_AFTER} ORDER BY promised_at_ms, number LIMIT ?`,
    [...afterValues(kitchenId, after), limit],
  )
  return withItems(db, kitchenId, heads)
}

/** Tickets by their ids, in the order of their promises. */
export async function listTickets(db: Db, kitchenId: string, ids: readonly string[]): Promise<Ticket[]> {
  if (ids.length === 0) return []
  const [heads] = await db.query<RowDataPacket[]>(
    `${HEADS} WHERE kitchen_id = ? AND id IN (?) ORDER BY promised_at_ms, number`,
    [kitchenId, ids],
  )
  return withItems(db, kitchenId, heads)
}

async function withItems(db: Db, kitchenId: string, heads: readonly RowDataPacket[]): Promise<Ticket[]> {
  if (heads.length === 0) return []
  const [items] = await db.query<RowDataPacket[]>(
    `${ITEMS} WHERE item.kitchen_id = ? AND item.ticket_id IN (?) ORDER BY item.position`,
    [kitchenId, heads.map((head) => String(head['id']))],
  )
  const byTicket = new Map<string, RowDataPacket[]>(heads.map((head) => [String(head['id']), []]))
  for (const item of items) byTicket.get(String(item['ticketId']))?.push(item)
  return heads.map((head) => ticketOf(head, byTicket.get(String(head['id'])) ?? []))
}

/** What stands behind a page; null where nothing does. */
export async function countOpenTickets(
  db: Db,
  kitchenId: string,
  after: TicketKey,
): Promise<Omit<LaterTickets, 'after'> | null> {
  const values = afterValues(kitchenId, after)
  const [heads] = await db.query<RowDataPacket[]>(
    `SELECT COUNT(*) AS tickets, MIN(promised_at_ms) AS firstPromisedAtMs FROM ticket WHERE ${IS_AFTER}`,
    values,
  )
  const tickets = Number(heads[0]?.['tickets'] ?? 0)
  if (tickets === 0) return null
  const [sums] = await db.query<RowDataPacket[]>(
    `SELECT SUM(item.portions) AS portions FROM ticket JOIN ticket_item AS item
         ON item.kitchen_id = ticket.kitchen_id AND item.ticket_id = ticket.id
      WHERE ${IS_AFTER}`,
    values,
  )
  const [fired] = await db.query<RowDataPacket[]>(
    `SELECT SUM(part.portions) AS portions FROM run JOIN run_part AS part
         ON part.kitchen_id = run.kitchen_id AND part.run_id = run.id
       JOIN ticket ON ticket.kitchen_id = part.kitchen_id AND ticket.id = part.ticket_id
      WHERE run.state IN ('open', 'finished') AND ${IS_AFTER}`,
    values,
  )
  return {
    tickets,
    portions: Number(sums[0]?.['portions'] ?? 0) - Number(fired[0]?.['portions'] ?? 0),
    firstPromisedAtMs: Number(heads[0]?.['firstPromisedAtMs']),
  }
}

/** One ticket, open or not, or null. */
export async function findTicket(db: Db, kitchenId: string, id: string): Promise<Ticket | null> {
  const [heads] = await db.execute<RowDataPacket[]>(`${HEADS} WHERE kitchen_id = ? AND id = ?`, [kitchenId, id])
  if (!heads[0]) return null
  const [items] = await db.execute<RowDataPacket[]>(
    `${ITEMS} WHERE item.kitchen_id = ? AND item.ticket_id = ? ORDER BY item.position`,
    [kitchenId, id],
  )
  return ticketOf(heads[0], items)
}

function ticketOf(head: RowDataPacket, items: RowDataPacket[]): Ticket {
  return Ticket.parse({
    ...head,
    isCancelled: Boolean(head['isCancelled']),
    items: items.map(({ ticketId: _ticketId, ...item }) => ({
      ...item,
      firedPortions: Number(item['firedPortions']),
      donePortions: Number(item['donePortions']),
    })),
  })
}

type TicketToPlace = Omit<Ticket, 'number' | 'isCancelled' | 'items'> & {
  items: Omit<Ticket['items'][number], 'firedPortions' | 'donePortions'>[]
}

/** Places a ticket under the kitchen's next number. */
export async function insertTicket(
  connection: PoolConnection,
  kitchenId: string,
  ticket: TicketToPlace,
): Promise<void> {
  const [result] = await connection.execute<ResultSetHeader>(
    'UPDATE kitchen SET next_ticket_number = LAST_INSERT_ID(next_ticket_number) + 1 WHERE id = ?',
    [kitchenId],
  )
  await connection.execute(
    `INSERT INTO ticket (kitchen_id, id, number, source, kind, place, placed_at_ms, promised_at_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      kitchenId,
      ticket.id,
      result.insertId,
      ticket.source,
      ticket.kind,
      ticket.place,
      ticket.placedAtMs,
      ticket.promisedAtMs,
    ],
  )
  for (const [position, item] of ticket.items.entries()) {
    await connection.execute(
      `INSERT INTO ticket_item (kitchen_id, id, ticket_id, position, dish_id, portions, modifiers, allergies,
                                allowed_by)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
      [
        kitchenId,
        item.id,
        ticket.id,
        position,
        item.dishId,
        item.portions,
        JSON.stringify(item.modifiers),
        JSON.stringify(item.allergies),
        item.allowedBy,
      ],
    )
  }
}

/** Adds what was said of a ticket, each id once, and writes the ticket's state anew from all of it. */
export async function addTicketEvents(
  connection: PoolConnection,
  kitchenId: string,
  ticketId: string,
  events: readonly TicketEvent[],
  nowMs: number,
): Promise<void> {
  for (const event of events) {
    const [result] = await connection.execute<ResultSetHeader>(
      `INSERT IGNORE INTO ticket_event (kitchen_id, id, ticket_id, kind, at_ms, counter, received_at_ms)
       VALUES (?, ?, ?, ?, ?, ?, ?)`,
      [kitchenId, event.id, ticketId, event.kind, event.atMs, event.counter, nowMs],
    )
    if (result.affectedRows === 0)
      await checkSameEvent(connection, 'ticket_event', kitchenId, { ...event, subjectId: ticketId })
  }
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT id, kind, at_ms AS atMs, counter FROM ticket_event WHERE kitchen_id = ? AND ticket_id = ?',
    [kitchenId, ticketId],
  )
  const said = rowsAs<TicketEvent>(rows).sort(compareEvents)
  const isCancelled =
    said.filter(({ kind }) => kind === 'cancelled' || kind === 'restored').at(-1)?.kind === 'cancelled'
  const passed = said.filter(({ kind }) => kind === 'handedOver' || kind === 'recalled').at(-1)
  await connection.execute(
    'UPDATE ticket SET is_cancelled = ?, handed_over_at_ms = ? WHERE kitchen_id = ? AND id = ?',
    [isCancelled, passed?.kind === 'handedOver' ? passed.atMs : null, kitchenId, ticketId],
  )
  const ticket = await findTicket(connection, kitchenId, ticketId)
  const isDone = ticket?.items.every((item) => item.donePortions >= item.portions) ?? true
  await connection.execute('UPDATE ticket SET is_open = ? WHERE kitchen_id = ? AND id = ?', [
    !isDone && !isCancelled,
    kitchenId,
    ticketId,
  ])
}

/** Locks the ticket's row until commit. */
export async function lockTicket(connection: PoolConnection, kitchenId: string, id: string): Promise<boolean> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    'SELECT id FROM ticket WHERE kitchen_id = ? AND id = ? FOR UPDATE',
    [kitchenId, id],
  )
  return rows.length > 0
}
