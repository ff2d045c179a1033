import { ItemId, TicketId } from 'contract/ids'
import type { NewTicket, Ticket } from 'contract/ticket'
import { v7 as newId } from 'uuid'

/** A ticket with every id in place, so that a retried transaction writes the same one. */
export function withIds(ticket: NewTicket) {
  return {
    ...ticket,
    id: ticket.id ?? TicketId.parse(newId()),
    items: ticket.items.map((item) => ({ ...item, id: item.id ?? ItemId.parse(newId()) })),
  }
}
export type TicketWithIds = Omit<ReturnType<typeof withIds>, 'source'> & { source: Ticket['source'] }
