import { z } from '@hono/zod-openapi'
import { RunId } from 'contract/ids'
import { FireRun, Run, RunEvents, RunList } from 'contract/run'
import { inTransaction } from '../db/pool'
import { csvAttachment } from '../http/attachment'
import { json, jsonBody, newRouter } from '../http/context'
import { Problem } from '../http/problems'
import { runCsv } from '../record/runs.csv'
import { kitchenOf } from '../setup/kitchenOf'
import { fireDerived } from './deriveScore'
import { fireRun } from './fireRun'
import { findRun, listOpenRuns } from './runs.sql'
import { takeEvents } from './takeEvents'
import { onlyFor, saidFor, spokenAll, spokenBy } from '../people/onlyFor'

const params = z.object({ id: RunId })

const getRuns = onlyFor('read', {
  method: 'get',
  path: '/runs',
  responses: { 200: json(RunList, 'Runs that are at a station now') },
})

const getRun = onlyFor('read', {
  method: 'get',
  path: '/runs/{id}',
  request: { params },
  responses: { 200: json(Run, 'One run with everything said of it') },
})

const getRunCsv = onlyFor('read', {
  method: 'get',
  path: '/runs/{id}/steps.csv',
  request: { params },
  responses: {
    200: {
      content: { 'text/csv': { schema: z.string() } },
      description: 'One run, a line for each thing that went in, out or back',
    },
  },
})

const postRun = saidFor('cook', {
  method: 'post',
  path: '/runs',
  request: { body: jsonBody(FireRun) },
  responses: { 201: json(Run, 'The batch is fired; sent twice, it is the same run') },
})

const postRunEvents = saidFor('cook', {
  method: 'post',
  path: '/runs/{id}/events',
  request: { params, body: jsonBody(RunEvents) },
  responses: { 200: json(Run, 'The run with the events, each id taken once') },
})

export const runRoutes = newRouter()
  .openapi(getRuns, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json({ runs: await listOpenRuns(pool, kitchenId) }, 200)
  })
  .openapi(getRun, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const { id } = c.req.valid('param')
    const run = await findRun(pool, kitchenId, id)
    if (!run) throw new Problem('unknown-run', { detail: `no run ${id}: look for it in the record` })
    return c.json(run, 200)
  })
  .openapi(getRunCsv, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    const { id } = c.req.valid('param')
    const run = await findRun(pool, kitchenId, id)
    if (!run) throw new Problem('unknown-run', { detail: `no run ${id}: look for it in the record` })
    return c.text(runCsv(run, now()), 200, csvAttachment(`okazu-run-${id}.csv`))
  })
  .openapi(postRun, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const sent = c.req.valid('json')
    const fire = { ...sent, cookId: await spokenBy(c, 'cook', sent.firedAtMs) }
    const kitchen = await kitchenOf(pool, kitchenId)
    const run = await fireDerived(kitchen, (score) =>
      inTransaction(pool, (connection) => fireRun(connection, kitchen, fire, now(), score)),
    )
    changed()
    return c.json(run, 201)
  })
  .openapi(postRunEvents, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const { id } = c.req.valid('param')
    const { events } = c.req.valid('json')
    const strangers = events.filter((event) => event.runId !== id)
    if (strangers.length > 0)
      throw new Problem('invalid', { detail: 'an event names another run: send it to that run' })
    await spokenAll(c, events, () => 'cook')
    const taken = await inTransaction(pool, (connection) => takeEvents(connection, kitchenId, id, events, now()))
    changed()
    if (taken.kind === 'refused') throw taken.problem
    return c.json(taken.run, 200)
  })
