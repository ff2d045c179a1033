import { z } from '@hono/zod-openapi'
import {
  Lot,
  LotId,
  LotList,
  LotPage,
  NewLot,
  Portioning,
  SaidOfLots,
  Trace,
  type LotRow,
  type SaidOfLot,
} from 'contract/rice'
import type { Context } from 'hono'
import type { PoolConnection } from 'mysql2/promise'
import { inTransaction } from '../db/pool'
import { json, jsonBody, newRouter, type RequestEnv } from '../http/context'
import { Problem } from '../http/problems'
import { beginLot } from './beginLot'
import { findLot, listOpenLots, listPastLots, type LotPageKey } from './lots.sql'
import { portionLot } from './portionLot'
import { riceKitchen } from './riceKitchen'
import { takeLotEvents, unknownLot } from './takeLotEvents'
import { traceLot, traceTicket } from './trace.sql'
import { noteChange } from '../people/audit.sql'
import { byOf, onlyFor, saidFor, spokenAll, spokenBy } from '../people/onlyFor'

const PAGE_SIZE = 40
const params = z.object({ id: LotId })
const before = z
  .string()
  .regex(/^\d+_[0-9a-z-]{1,64}$/, 'hand back "next" of the page before')
  .optional()

const getLots = onlyFor('read', {
  method: 'get',
  path: '/rice/lots',
  responses: { 200: json(LotList, 'Lots that are not over, with everything said of them') },
})
const getPast = onlyFor('read', {
  method: 'get',
  path: '/rice/lots/past',
  request: { query: z.object({ before }) },
  responses: { 200: json(LotPage, 'Lots that are over, newest first') },
})
const getLot = onlyFor('read', {
  method: 'get',
  path: '/rice/lots/{id}',
  request: { params },
  responses: { 200: json(Lot, 'One lot with everything said of it') },
})
const postLot = saidFor('prepare', {
  method: 'post',
  path: '/rice/lots',
  request: { body: jsonBody(NewLot) },
  responses: { 201: json(Lot, 'The lot has begun; sent twice, it is the same lot') },
})
const postEvents = saidFor('prepare', {
  method: 'post',
  path: '/rice/lots/{id}/events',
  request: { params, body: jsonBody(SaidOfLots) },
  responses: { 200: json(Lot, 'The lot with the events, each id taken once') },
})
const postPortioning = onlyFor('prepare', {
  method: 'post',
  path: '/rice/lots/{id}/portion',
  request: { params, body: jsonBody(Portioning) },
  responses: { 200: json(Lot, 'The lot after rice of it went to another lot') },
})
const getTrace = onlyFor('read', {
  method: 'get',
  path: '/rice/lots/{id}/trace',
  request: { params },
  responses: { 200: json(Trace, 'Who got rice of this lot') },
})
const getTicketTrace = onlyFor('read', {
  method: 'get',
  path: '/rice/trace',
  request: { query: z.object({ ticket: z.coerce.number().int().positive() }) },
  responses: { 200: json(Trace, 'Which lots this ticket had, and who else got of them') },
})

export const lotRoutes = newRouter()
  .openapi(getLots, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json({ lots: await listOpenLots(pool, kitchenId) }, 200)
  })
  .openapi(getPast, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const lots = await listPastLots(pool, kitchenId, readKey(c.req.valid('query').before), PAGE_SIZE + 1)
    const last = lots.length > PAGE_SIZE ? lots[PAGE_SIZE - 1] : undefined
    return c.json({ lots: lots.slice(0, PAGE_SIZE), next: last ? keyOf(last) : null }, 200)
  })
  .openapi(getLot, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const { id } = c.req.valid('param')
    const lot = await findLot(pool, kitchenId, id)
    if (!lot) throw unknownLot(id)
    return c.json(lot, 200)
  })
  .openapi(postLot, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const begun = c.req.valid('json')
    await spokenBy(c, 'prepare', begun.atMs)
    const { kitchen, house } = await riceKitchen(pool, kitchenId)
    const lot = await inTransaction(pool, (connection) => beginLot(connection, kitchen, house, begun, now()))
    changed()
    return c.json(lot, 201)
  })
  .openapi(postEvents, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const { id } = c.req.valid('param')
    const said = c.req.valid('json').events
    const events = await spokenAll(c, said, ({ kind }) => (kind === 'accepted' ? 'accept' : 'prepare'))
    if (events.some((event) => event.lotId !== id))
      throw new Problem('invalid', { detail: 'an event names another lot: send it to that lot' })
    const { kitchen, house } = await riceKitchen(pool, kitchenId)
    const taken = await inTransaction(pool, async (connection) => {
      const result = await takeLotEvents(connection, kitchen, house, id, events, now())
      if (result.kind === 'taken') await noteAccepted(c, connection, result.lot, events)
      return result
    })
    changed()
    if (taken.kind === 'refused') throw taken.problem
    return c.json(taken.lot, 200)
  })
  .openapi(postPortioning, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const { id } = c.req.valid('param')
    const input = c.req.valid('json')
    const { kitchen, house } = await riceKitchen(pool, kitchenId)
    const lot = await inTransaction(pool, (connection) => portionLot(connection, kitchen, house, id, input, now()))
    changed()
    return c.json(lot, 200)
  })
  .openapi(getTrace, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json(await traceLot(pool, kitchenId, c.req.valid('param').id), 200)
  })
  .openapi(getTicketTrace, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const { ticket } = c.req.valid('query')
    const trace = await traceTicket(pool, kitchenId, ticket)
    if (!trace) throw new Problem('not-found', { detail: `no ticket ${ticket}: look at the number on its label` })
    return c.json(trace, 200)
  })
const keyOf = (row: LotRow) => `${row.bornAtMs}_${row.id}`

function readKey(text: string | undefined): LotPageKey | null {
  const [bornAtMs, id] = text?.split('_') ?? []
  return bornAtMs && id ? { bornAtMs: Number(bornAtMs), id } : null
}

/** That somebody accepted what the log does not prove is written down, with the reason. */
async function noteAccepted(
  c: Context<RequestEnv>,
  connection: PoolConnection,
  lot: Lot,
  said: readonly SaidOfLot[],
): Promise<void> {
  const { kitchenId, now } = c.var.kitchen
  for (const one of said)
    if (one.kind === 'accepted') {
      const change = { id: one.id, what: 'lotAccepted' as const, subject: lot.name, became: one.reason }
      await noteChange(connection, kitchenId, byOf(c), change, now())
    }
}
