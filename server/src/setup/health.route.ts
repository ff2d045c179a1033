import { createRoute } from '@hono/zod-openapi'
import { Health } from 'contract/kitchen'
import { json, newRouter } from '../http/context'
import { Problem } from '../http/problems'
import { isDatabaseUp } from './kitchen.sql'

const getHealth = createRoute({
  method: 'get',
  path: '/health',
  responses: { 200: json(Health, 'Server and database answer') },
})

export const healthRoutes = newRouter().openapi(getHealth, async (c) => {
  const { pool, now } = c.var.kitchen
  if (!(await isDatabaseUp(pool))) throw new Problem('database', { detail: 'the database does not answer' })
  return c.json({ status: 'ok' as const, database: 'ok' as const, nowMs: now() }, 200)
})
