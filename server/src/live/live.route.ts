import { z } from '@hono/zod-openapi'
import type { LiveChange } from 'contract/run'
import { streamSSE } from 'hono/streaming'
import { changesAfter, newestChangeNo, oldestChangeNo } from '../db/outbox'
import { newRouter } from '../http/context'
import { mayOnly, onlyFor } from '../people/onlyFor'
import { findSession } from '../people/sessions.sql'
import type { Followers } from './follower'

const HEARTBEAT_MS = 15_000
/** A screen that was away for more changes than this asks for everything again. */
const MAX_GAP = 5_000

const getLive = onlyFor('read', {
  method: 'get',
  path: '/live',
  summary: 'Every committed change as server-sent events, from now on or from the last one seen',
  request: {
    query: z.object({ after: z.string().regex(/^\d+$/).optional().openapi({ description: 'the last number seen' }) }),
    headers: z.object({ 'last-event-id': z.string().optional() }),
  },
  responses: {
    200: {
      description: 'events "hello" (the newest number and the time), "change" (topic and key) and "beat" (the time)',
      content: { 'text/event-stream': { schema: z.string() } },
    },
  },
})

/**
 * Every committed change as server-sent events. The id is the outbox number: a screen that lost the stream resumes from
 * the last number it saw (`Last-Event-ID`, or `?after=`). The event `hello` carries the newest number and the time.
 */
export function liveRoutes(followers: Followers) {
  const router = newRouter()
  const { middleware: _middleware, ...described } = getLive
  router.openAPIRegistry.registerPath(described)
  return router.get('/live', mayOnly('read'), async (c) => {
    c.header('x-accel-buffering', 'no')
    const lastSeen = Number(c.req.header('last-event-id') ?? c.req.query('after') ?? Number.NaN)
    const { pool, kitchenId, now } = c.var.kitchen
    const { tokenHash } = c.var.session
    const { follower, started } = followers.of(kitchenId)
    await started
    return streamSSE(c, async (stream) => {
      const queue: LiveChange[] = []
      let wake: () => void = () => undefined
      let isOpen = true
      const stopListening = follower.listen((change) => {
        queue.push(change)
        wake()
      })
      stream.onAbort(() => {
        isOpen = false
        stopListening()
        wake()
      })
      const newest = await newestChangeNo(pool, kitchenId)
      const oldest = await oldestChangeNo(pool, kitchenId)
      const isTrimmed = lastSeen < newest && (oldest === null || oldest > lastSeen + 1)
      const hasGap = Number.isFinite(lastSeen) && (newest - lastSeen > MAX_GAP || lastSeen > newest || isTrimmed)
      let lastNo = Number.isFinite(lastSeen) && !hasGap ? lastSeen : newest
      await stream.writeSSE({
        event: 'hello',
        id: String(lastNo),
        data: JSON.stringify({ nowMs: now(), isReset: hasGap }),
      })
      while (isOpen && lastNo < newest) {
        const missed = await changesAfter(pool, kitchenId, lastNo)
        for (const change of missed) {
          await stream.writeSSE({ event: 'change', id: String(change.no), data: JSON.stringify(change) })
          lastNo = change.no
        }
        if (missed.length === 0) break
      }
      while (isOpen) {
        const change = queue.shift()
        if (change && change.no > lastNo) {
          lastNo = change.no
          // Whoever was shut out or signed in anew hears nothing more by this stream.
          if (change.topic === 'people' && !(await findSession(pool, tokenHash, now()))) break
          await stream.writeSSE({ event: 'change', id: String(change.no), data: JSON.stringify(change) })
        } else if (!change) {
          const isQuiet = await waitFor((resolve) => (wake = resolve), HEARTBEAT_MS)
          if (isOpen && isQuiet) await stream.writeSSE({ event: 'beat', data: String(now()) })
        }
      }
    })
  })
}

/** Resolves to true after `ms`, or to false as soon as it is woken. */
function waitFor(onReady: (wake: () => void) => void, ms: number): Promise<boolean> {
  return new Promise((resolve) => {
    const timer = setTimeout(() => resolve(true), ms)
    onReady(() => {
      clearTimeout(timer)
      resolve(false)
    })
  })
}
