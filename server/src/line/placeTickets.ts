import type { Ticket } from 'contract/ticket'
import type { PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { codeOf } from '../db/pool'
import { Problem } from '../http/problems'
import { checkSameTicket } from './sameTicket'
import type { TicketWithIds } from './ticketIds'
import { lockKitchen } from '../setup/kitchen.sql'
import { findTicket, insertTicket } from './tickets.sql'

/** Places tickets in the caller's transaction; one that was placed before is answered as it is. @throws {Problem} id-taken */
export async function placeTickets(
  connection: PoolConnection,
  kitchenId: string,
  tickets: readonly TicketWithIds[],
  nowMs: number,
): Promise<Ticket[]> {
  await lockKitchen(connection, kitchenId)
  const placed: Ticket[] = []
  for (const ticket of tickets) {
    const known = await findTicket(connection, kitchenId, ticket.id)
    if (known) checkSameTicket(known, ticket)
    else {
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
