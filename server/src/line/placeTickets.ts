import type { NewTicket, Ticket } from 'contract/ticket'
import { ItemId, TicketId } from 'contract/ids'
import type { PoolConnection } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { announce } from '../db/outbox'
import { codeOf } from '../db/pool'
import { Problem } from '../http/problems'
import { findTicket, insertTicket, lockKitchen } from './tickets.sql'

/** A ticket with every id in place, so that a retried transaction writes the same one. */
export function withIds(ticket: NewTicket) {
  return {
    ...ticket,
    id: ticket.id ?? TicketId.parse(newId()),
    items: ticket.items.map((item) => ({ ...item, id: item.id ?? ItemId.parse(newId()) })),
  }
}
type TicketWithIds = Omit<ReturnType<typeof withIds>, 'source'> & { source: Ticket['source'] }

/** Places tickets in the caller's transaction; one that was placed before is answered as it is. */
export async function placeTickets(
  connection: PoolConnection,
  kitchenId: string,
  tickets: readonly TicketWithIds[],
  nowMs: number,
): Promise<Ticket[]> {
  await lockKitchen(connection, kitchenId)
  const placed: Ticket[] = []
  for (const ticket of tickets) {
    if (!(await findTicket(connection, kitchenId, ticket.id))) {
      await insertNew(connection, kitchenId, ticket, nowMs)
      await announce(connection, kitchenId, nowMs, [{ topic: 'tickets', key: ticket.id }])
    }
    const saved = await findTicket(connection, kitchenId, ticket.id)
    if (saved) placed.push(saved)
  }
  return placed
}

async function insertNew(connection: PoolConnection, kitchenId: string, ticket: TicketWithIds, nowMs: number) {
  try {
    await insertTicket(connection, kitchenId, { ...ticket, placedAtMs: nowMs })
  } catch (error) {
    if (codeOf(error) !== 'ER_DUP_ENTRY') throw error
    throw new Problem('id-taken', {
      detail: 'an item id of this ticket belongs to another ticket: make new ids (UUIDv7)',
    })
  }
}
