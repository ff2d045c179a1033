import { createRoute, z } from '@hono/zod-openapi'
import { TicketId } from 'contract/ids'
import { NewTickets, Ticket, TicketEvents, TicketList } from 'contract/ticket'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { listDishes } from '../book/dishes.sql'
import { placeInTime } from '../http/clockAhead'
import { json, jsonBody, newRouter } from '../http/context'
import { Problem } from '../http/problems'
import { kitchenOf } from '../setup/kitchenOf'
import { checkTicket } from './checkTicket'
import { placeTickets } from './placeTickets'
import { withIds } from './ticketIds'
import { addTicketEvents, findTicket, listOpenTickets, lockTicket } from './tickets.sql'

const getTickets = createRoute({
  method: 'get',
  path: '/tickets',
  responses: { 200: json(TicketList, 'Tickets with a portion still to be served, oldest promise first') },
})

const postTickets = createRoute({
  method: 'post',
  path: '/tickets',
  request: { body: jsonBody(NewTickets) },
  responses: { 201: json(TicketList, 'The tickets as placed; one sent twice is placed once') },
})

const postTicketEvents = createRoute({
  method: 'post',
  path: '/tickets/{id}/events',
  request: {
    params: z.object({ id: TicketId }),
    body: jsonBody(TicketEvents),
  },
  responses: { 200: json(Ticket, 'The ticket afterwards') },
})

export const ticketRoutes = newRouter()
  .openapi(getTickets, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json({ tickets: await listOpenTickets(pool, kitchenId) }, 200)
  })
  .openapi(postTickets, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const body = c.req.valid('json')
    const tickets = (Array.isArray(body) ? body : [body]).map(withIds)
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
