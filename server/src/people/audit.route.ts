import { z } from '@hono/zod-openapi'
import { AsideList, AuditPage, DecideAside } from 'contract/people'
import { stringify } from 'csv-stringify/sync'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { csvAttachment } from '../http/attachment'
import { csvText } from '../http/csv'
import { file, json, jsonBody, newRouter } from '../http/context'
import { Problem } from '../http/problems'
import { decideAside, listAside } from './aside.sql'
import { listAudit, noteChange, type AuditKey } from './audit.sql'
import { byOf, onlyFor } from './onlyFor'

const PAGE_SIZE = 50
const MOST_IN_FILE = 100_000
const before = z
  .string()
  .regex(/^\d+_[0-9a-f-]{36}$/, 'hand back "next" of the page before')
  .optional()

const getAudit = onlyFor('people', {
  method: 'get',
  path: '/audit',
  request: { query: z.object({ before }) },
  responses: { 200: json(AuditPage, 'Who changed what, newest first') },
})
const getAuditCsv = onlyFor('people', {
  method: 'get',
  path: '/audit.csv',
  responses: file('text/csv', 'Who changed what, a line each, newest first'),
})
const getAside = onlyFor('decide', {
  method: 'get',
  path: '/kept-aside',
  responses: { 200: json(AsideList, 'What somebody said who was not allowed to') },
})
const postAside = onlyFor('decide', {
  method: 'post',
  path: '/kept-aside/{id}',
  request: { params: z.object({ id: z.uuid() }), body: jsonBody(DecideAside) },
  responses: { 200: json(AsideList, 'What is left to decide; taken or left once, for good') },
})

export const auditRoutes = newRouter()
  .openapi(getAudit, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const entries = await listAudit(pool, kitchenId, readKey(c.req.valid('query').before), PAGE_SIZE + 1)
    const last = entries.length > PAGE_SIZE ? entries[PAGE_SIZE - 1] : undefined
    return c.json({ entries: entries.slice(0, PAGE_SIZE), next: last ? `${last.atMs}_${last.id}` : null }, 200)
  })
  .openapi(getAuditCsv, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const rows = (await listAudit(pool, kitchenId, null, MOST_IN_FILE)).map((one) => [
      new Date(one.atMs).toISOString(),
      one.staffId ?? '',
      csvText(one.deviceName ?? ''),
      one.what,
      csvText(one.subject),
      csvText(one.was ?? ''),
      csvText(one.became ?? ''),
    ])
    const columns = ['at_utc', 'who', 'device', 'what', 'subject', 'was', 'became']
    return c.text(
      stringify(rows, { header: true, columns, record_delimiter: 'windows' }),
      200,
      csvAttachment('okazu-changes.csv'),
    )
  })
  .openapi(getAside, async (c) => c.json({ aside: await listAside(c.var.kitchen.pool, c.var.kitchen.kitchenId) }, 200))
  .openapi(postAside, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const { id } = c.req.valid('param')
    const { isTaken } = c.req.valid('json')
    const by = byOf(c)
    await inTransaction(pool, async (connection) => {
      const path = await decideAside(connection, kitchenId, id, { isTaken, by: by.staffId }, now())
      if (path === null)
        throw new Problem('not-found', { detail: 'it was taken or left already: look at the list again' })
      const what = isTaken ? ('asideTaken' as const) : ('asideLeft' as const)
      await noteChange(connection, kitchenId, by, { what, subject: path }, now())
      await announce(connection, kitchenId, now(), [{ topic: 'people', key: '' }])
    })
    changed()
    return c.json({ aside: await listAside(pool, kitchenId) }, 200)
  })

function readKey(text: string | undefined): AuditKey | null {
  const [atMs, id] = text?.split('_') ?? []
  return atMs && id ? { atMs: Number(atMs), id } : null
}
