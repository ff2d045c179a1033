import type { OpenAPIHono } from '@hono/zod-openapi'
import { z } from 'zod'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import type { KitchenContext, RequestEnv } from './context'

export type TestClock = { now: () => number; moveToMs: (nowMs: number) => void }

/** A clock that runs like the machine's, from wherever a test puts it. */
export function testClock(beginsMs = Date.now()): TestClock {
  let offsetMs = beginsMs - Date.now()
  return { now: () => Date.now() + offsetMs, moveToMs: (nowMs) => void (offsetMs = nowMs - Date.now()) }
}

/**
 * Only for a server started with OKAZU_TEST_CLOCK=1: moves the kitchen's time, and lets every open screen ask again, so
 * that it takes the new time.
 */
export function mountTestClock(
  app: OpenAPIHono<RequestEnv>,
  clock: TestClock,
  { pool, kitchenId, changed }: Pick<KitchenContext, 'pool' | 'kitchenId' | 'changed'>,
): void {
  app.put('/api/test-clock', async (c) => {
    const { nowMs } = z.object({ nowMs: z.number() }).parse(await c.req.json())
    clock.moveToMs(nowMs)
    await inTransaction(pool, (connection) => announce(connection, kitchenId, nowMs, [{ topic: 'kitchen', key: '' }]))
    changed()
    return c.json({ nowMs: clock.now() })
  })
}
