import { z } from '@hono/zod-openapi'
import { Comparison, ComplaintList, ComplaintWord } from 'contract/faults'
import { Day, RunId, TicketId } from 'contract/ids'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { placeInTime } from '../http/clockAhead'
import { json, jsonBody, newRouter } from '../http/context'
import { onlyFor, saidFor, spokenBy } from '../people/onlyFor'
import { compareEvening, compareRun, compareTicket } from '../wok/comparison'
import { addComplaint, listComplaints, takeBackComplaint } from './complaints.sql'
import { daySpan } from './daySpan'

const ofRun = onlyFor('read', {
  method: 'get',
  path: '/runs/{id}/comparison',
  request: { params: z.object({ id: RunId }) },
  responses: { 200: json(Comparison, 'A run beside runs of the same dish that went well') },
})
const ofTicket = onlyFor('read', {
  method: 'get',
  path: '/tickets/{id}/comparison',
  request: { params: z.object({ id: TicketId }) },
  responses: { 200: json(Comparison, 'The runs of a ticket beside runs of their dishes that went well') },
})
const ofEvening = onlyFor('read', {
  method: 'get',
  path: '/record/evenings/{day}/comparison',
  request: { params: z.object({ day: Day }) },
  responses: { 200: json(Comparison, 'The runs of a day beside runs of their dishes that went well on other days') },
})
const getComplaints = onlyFor('read', {
  method: 'get',
  path: '/complaints',
  responses: { 200: json(ComplaintList, 'What was complained of, newest first') },
})
const postComplaint = saidFor('taste', {
  method: 'post',
  path: '/complaints',
  request: { body: jsonBody(ComplaintWord) },
  responses: { 200: json(ComplaintList, 'Kept once, however often it is sent') },
})

export const complaintRoutes = newRouter()
  .openapi(ofRun, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    return c.json(await compareRun(pool, kitchenId, c.req.valid('param').id, now()), 200)
  })
  .openapi(ofTicket, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    return c.json(await compareTicket(pool, kitchenId, c.req.valid('param').id, now()), 200)
  })
  .openapi(ofEvening, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    const span = await daySpan(pool, kitchenId, c.req.valid('param').day)
    return c.json(await compareEvening(pool, kitchenId, span, now()), 200)
  })
  .openapi(getComplaints, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json({ complaints: await listComplaints(pool, kitchenId) }, 200)
  })
  .openapi(postComplaint, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const said = c.req.valid('json')
    const staffId = await spokenBy(c, 'taste', said.atMs)
    const word = { ...said, atMs: placeInTime(said.atMs, now()) }
    await inTransaction(pool, async (connection) => {
      if (word.kind === 'complained') await addComplaint(connection, kitchenId, word, staffId, now())
      else await takeBackComplaint(connection, kitchenId, word, staffId)
      await announce(connection, kitchenId, now(), [{ topic: 'runs', key: '' }])
    })
    changed()
    return c.json({ complaints: await listComplaints(pool, kitchenId) }, 200)
  })
