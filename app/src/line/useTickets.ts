import { useQuery } from '@tanstack/react-query'
import {
  NewTicket,
  OpenTickets,
  TicketEvents,
  type NewTicketBody,
  type Ticket,
  type TicketEvent,
} from 'contract/ticket'
import { compareEvents } from 'core/event/eventOrder'
import { useMemo } from 'react'
import { getJson } from '../device/http'
import { newId, stampNow } from '../device/ids'
import { post, useOutbox, type Parcel } from '../device/outbox'

/** A ticket of the kitchen, or one that this device has not been able to send yet (number null). */
export type ShownTicket = Omit<Ticket, 'number'> & { number: number | null }

/** The open tickets that are promised first, and how many stand behind them; with what this device has said of them and not yet sent. */
export function useTickets() {
  const query = useQuery({ queryKey: ['tickets'], queryFn: ({ signal }) => getJson('/tickets', OpenTickets, signal) })
  const parcels = useOutbox()
  const tickets = useMemo(() => withParcels(query.data?.tickets ?? [], parcels), [query.data, parcels])
  return { ...query, tickets, later: query.data?.later ?? null }
}

export function withParcels(tickets: readonly Ticket[], parcels: readonly Parcel[]): ShownTicket[] {
  const unsent = parcels.filter((parcel) => parcel.kind === 'ticket' && parcel.refusal === null)
  const placed = unsent.filter((parcel) => !tickets.some((ticket) => ticket.id === parcel.subjectId)).flatMap(shownOf)
  return [...tickets, ...placed].map((ticket) => {
    const said = parcels.filter((parcel) => parcel.kind === 'ticketEvents' && parcel.subjectId === ticket.id)
    const last = said
      .flatMap((parcel) => TicketEvents.safeParse(parcel.body).data?.events ?? [])
      .filter(({ kind }) => kind === 'cancelled' || kind === 'restored')
      .sort(compareEvents)
      .at(-1)
    return last ? { ...ticket, isCancelled: last.kind === 'cancelled' } : ticket
  })
}

/** A parcel from an older version of this page may hold what is no ticket any more: it is passed over, not fatal. */
function shownOf(parcel: Parcel): ShownTicket[] {
  const parsed = NewTicket.safeParse(parcel.body)
  if (!parsed.success) return []
  const { id, items, source, ...ticket } = parsed.data
  return [
    {
      ...ticket,
      id: id ?? (parcel.subjectId as Ticket['id']),
      source,
      number: null,
      placedAtMs: ticket.promisedAtMs,
      isCancelled: false,
      items: items.map((item) => ({
        ...item,
        id: item.id ?? (parcel.id as Ticket['items'][number]['id']),
        firedPortions: 0,
        donePortions: 0,
      })),
    },
  ]
}

export function placeTicket(ticket: NewTicketBody & { id: string }): void {
  post({ kind: 'ticket', subjectId: ticket.id, path: '/tickets', body: ticket })
}

export function sayOfTicket(ticketId: string, kind: TicketEvent['kind']): void {
  const event = { id: newId(), kind, ...stampNow() }
  post({ kind: 'ticketEvents', subjectId: ticketId, path: `/tickets/${ticketId}/events`, body: { events: [event] } })
}
