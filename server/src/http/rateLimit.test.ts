import { OpenAPIHono } from '@hono/zod-openapi'
import type { RequestEnv } from './context'
import type { Problem } from './problems'
import { limitRequests } from './rateLimit'

test('an address that asks without end is told to wait', async () => {
  const app = new OpenAPIHono<RequestEnv>()
  app.use('*', limitRequests(3))
  app.get('/', (c) => c.text('here'))
  app.onError((error, c) => c.json({ code: (error as Problem).code }, (error as Problem).status as 429))
  const statuses: number[] = []
  for (let n = 0; n < 5; n += 1) statuses.push((await app.request('/')).status)
  expect(statuses).toEqual([200, 200, 200, 429, 429])
})
