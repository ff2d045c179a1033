import { z } from '@hono/zod-openapi'
import { RunFilter, RunPage, type RunRow } from 'contract/run'
import { Evening } from 'contract/evening'
import { Day } from 'contract/ids'
import { csvAttachment } from '../http/attachment'
import { json, newRouter } from '../http/context'
import { daySpan } from './daySpan'
import { findEvening } from './evening.sql'
import { listPastRuns, type RunPageKey } from './record.sql'
import { runsCsv } from './runs.csv'
import { onlyFor } from '../people/onlyFor'

const PAGE_SIZE = 40
const MAX_CSV_RUNS = 20_000

const before = z
  .string()
  .regex(/^\d+_[0-9a-f-]{36}$/, 'hand back "next" of the page before')
  .optional()

const getPage = onlyFor('read', {
  method: 'get',
  path: '/record/runs',
  request: { query: RunFilter.extend({ before }) },
  responses: { 200: json(RunPage, 'Runs that are over, newest first') },
})

const csv = { content: { 'text/csv': { schema: z.string() } } }
const getCsv = onlyFor('read', {
  method: 'get',
  path: '/record/runs.csv',
  responses: { 200: { ...csv, description: 'Runs that are over, a line a run, at most the newest 20,000' } },
})

const getEvening = onlyFor('read', {
  method: 'get',
  path: '/record/evenings/{day}',
  request: { params: z.object({ day: Day }) },
  responses: { 200: json(Evening, 'The line on a day of the kitchen: its tickets, its runs, and what was decided') },
})

export const recordRoutes = newRouter()
  .openapi(getPage, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const { before: key, day, dish, station, cook, trouble } = c.req.valid('query')
    const filter = {
      dishId: dish,
      stationId: station,
      cookId: cook,
      isTrouble: trouble !== undefined,
      span: day === undefined ? undefined : await daySpan(pool, kitchenId, day),
    }
    const runs = await listPastRuns(pool, kitchenId, readKey(key), PAGE_SIZE + 1, filter)
    const last = runs.length > PAGE_SIZE ? runs[PAGE_SIZE - 1] : undefined
    return c.json({ runs: runs.slice(0, PAGE_SIZE), next: last ? keyOf(last) : null }, 200)
  })
  .openapi(getCsv, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const runs = await listPastRuns(pool, kitchenId, null, MAX_CSV_RUNS)
    return c.text(runsCsv(runs), 200, csvAttachment('okazu-runs.csv'))
  })
  .openapi(getEvening, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    const span = await daySpan(pool, kitchenId, c.req.valid('param').day)
    return c.json(await findEvening(pool, kitchenId, span), 200)
  })

const keyOf = (row: RunRow) => `${row.firedAtMs}_${row.id}`

function readKey(text: string | undefined): RunPageKey | null {
  const [firedAtMs, id] = text?.split('_') ?? []
  return firedAtMs && id ? { firedAtMs: Number(firedAtMs), id } : null
}
