import type { OpenAPIHono } from '@hono/zod-openapi'
import { z } from 'zod'

export type TestClock = { now: () => number; moveToMs: (nowMs: number) => void }

/** A clock that runs like the machine's, from wherever a test puts it. */
export function testClock(): TestClock {
  let offsetMs = 0
  return { now: () => Date.now() + offsetMs, moveToMs: (nowMs) => void (offsetMs = nowMs - Date.now()) }
}

/** Only for a server started with OKAZU_TEST_CLOCK=1: lets a browser test move the kitchen's time with the page's. */
export function mountTestClock(app: OpenAPIHono, clock: TestClock): void {
  app.put('/api/test-clock', async (c) => {
    const { nowMs } = z.object({ nowMs: z.number() }).parse(await c.req.json())
    clock.moveToMs(nowMs)
    return c.json({ nowMs: clock.now() })
  })
}
