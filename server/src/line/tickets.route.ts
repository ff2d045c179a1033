import { z } from '@hono/zod-openapi'
import { TicketId } from 'contract/ids'
import { NewTickets, OpenTickets, Pass, Ticket, TicketEvents, TicketList, type NewTicket } from 'contract/ticket'
import { may } from 'core/people/roles'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { listDishes } from '../book/dishes.sql'
import { placeInTime } from '../http/clockAhead'
import { json, jsonBody, newRouter } from '../http/context'
import { Problem } from '../http/problems'
import { kitchenOf } from '../setup/kitchenOf'
import { checkTicket } from './checkTicket'
import { listPass } from './pass.sql'
import { placeTickets } from './placeTickets'
import { withIds } from './ticketIds'
import {
  addTicketEvents,
  countOpenTickets,
  findTicket,
  listOpenTickets,
  lockTicket,
  type TicketKey,
} from './tickets.sql'
import type { Session } from '../people/sessions.sql'
import { mayNot, onlyFor, saidFor, spokenAll } from '../people/onlyFor'

const TicketCursor = z.string().regex(/^\d{1,15}_\d{1,15}$/, 'hand back "after" of the page before')

const getTickets = onlyFor('read', {
  method: 'get',
  path: '/tickets',
  request: {
    query: z.object({ after: TicketCursor.optional(), limit: z.coerce.number().int().min(1).max(1000).default(100) }),
  },
  responses: { 200: json(OpenTickets, 'Tickets with a portion still to be served, oldest promise first, by pages') },
})

const postTickets = onlyFor('takeOrders', {
  method: 'post',
  path: '/tickets',
  request: { body: jsonBody(NewTickets) },
  responses: { 201: json(TicketList, 'The tickets as placed; one sent twice is placed once') },
})

const postTicketEvents = saidFor('tell', {
  method: 'post',
  path: '/tickets/{id}/events',
  request: {
    params: z.object({ id: TicketId }),
    body: jsonBody(TicketEvents),
  },
  responses: { 200: json(Ticket, 'The ticket afterwards') },
})

const getPass = onlyFor('read', {
  method: 'get',
  path: '/pass',
  responses: { 200: json(Pass, 'Tickets with something up that were not handed over, or a moment ago') },
})

const cursorOf = ({ promisedAtMs, number }: TicketKey): string => `${promisedAtMs}_${number}`
const keyOf = (after = '0_0'): TicketKey => {
  const [promisedAtMs = 0, number = 0] = after.split('_').map(Number)
  return { promisedAtMs, number }
}

export const ticketRoutes = newRouter()
  .openapi(getTickets, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const { after, limit } = c.req.valid('query')
    const tickets = await listOpenTickets(pool, kitchenId, keyOf(after), limit)
    const last = tickets.at(-1)
    const later = last && tickets.length === limit ? await countOpenTickets(pool, kitchenId, last) : null
    return c.json({ tickets, later: later && last ? { ...later, after: cursorOf(last) } : null }, 200)
  })
  .openapi(getPass, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    return c.json({ tickets: await listPass(pool, kitchenId, now()) }, 200)
  })
  .openapi(postTickets, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const body = c.req.valid('json')
    const tickets = (Array.isArray(body) ? body : [body]).map((ticket) =>
      withIds(withWordOfLead(ticket, c.var.session)),
    )
    const dishes = await listDishes(pool, kitchenId)
    const kitchen = await kitchenOf(pool, kitchenId)
    const known = new Set<string>()
    for (const ticket of tickets) if (await findTicket(pool, kitchenId, ticket.id)) known.add(ticket.id)
    tickets.filter((ticket) => !known.has(ticket.id)).forEach((ticket) => checkTicket(ticket, dishes, kitchen, now()))
    const placed = await inTransaction(pool, (connection) => placeTickets(connection, kitchenId, tickets, now()))
    changed()
    return c.json({ tickets: placed }, 201)
  })
  .openapi(postTicketEvents, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const { id } = c.req.valid('param')
    const { events } = c.req.valid('json')
    await spokenAll(c, events, ({ kind }) => (kind === 'cancelled' || kind === 'restored' ? 'decide' : 'tell'))
    const ticket = await inTransaction(pool, async (connection) => {
      if (!(await lockTicket(connection, kitchenId, id))) throw new Problem('not-found', { detail: `no ticket ${id}` })
      const placed = events.map((event) => ({ ...event, atMs: placeInTime(event.atMs, now()) }))
      await addTicketEvents(connection, kitchenId, id, placed, now())
      await announce(connection, kitchenId, now(), [{ topic: 'tickets', key: id }])
      return findTicket(connection, kitchenId, id)
    })
    changed()
    if (!ticket) throw new Problem('not-found', { detail: `no ticket ${id}` })
    return c.json(ticket, 200)
  })

/** Whoever takes on what a dish may contain is the lead who is signed in, whatever the ticket says. @throws {Problem} may-not */
function withWordOfLead(ticket: NewTicket, session: Session): NewTicket {
  if (ticket.items.every(({ allowedBy }) => allowedBy === null)) return ticket
  const { person } = session
  if (!person || !may(person.role, 'accept')) throw mayNot(session, 'accept')
  return {
    ...ticket,
    items: ticket.items.map((item) => ({ ...item, allowedBy: item.allowedBy === null ? null : person.id })),
  }
}
