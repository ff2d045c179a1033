import { createRoute } from '@hono/zod-openapi'
import { Health } from 'contract/health'
import { json, newRouter } from '../http/context'
import { measureHealth } from './health'

const getHealth = createRoute({
  method: 'get',
  path: '/health',
  summary: 'Database, disk, migrations, clock and the last copy of the data, each by itself',
  responses: { 200: json(Health, 'Everything answers; a warning wants a look'), 503: json(Health, 'Something failed') },
})

export const healthRoutes = newRouter().openapi(getHealth, async (c) => {
  const health = await measureHealth(c.var.kitchen)
  return c.json(health, health.status === 'fail' ? 503 : 200)
})
