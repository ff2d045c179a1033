import { getConnInfo } from '@hono/node-server/conninfo'
import type { Context } from 'hono'
import { rateLimiter } from 'hono-rate-limiter'
import type { RequestEnv } from './context'
import { Problem } from './problems'

const WINDOW_MS = 10_000
/** A busy device asks a few times a second; this leaves room for a whole kitchen behind one address. */
const MAX_REQUESTS = 3_000

/** Stops an address that asks without end before it slows the others: status 429, and the app tries again. */
export const limitRequests = (limit = MAX_REQUESTS) =>
  rateLimiter<RequestEnv>({
    windowMs: WINDOW_MS,
    limit,
    keyGenerator: addressOf,
    handler: () => {
      throw new Problem('too-many', {
        detail: `at most ${limit} requests in ${WINDOW_MS / 1000} seconds from one address: wait and send it again`,
      })
    },
  })

const TRIES_WINDOW_MS = 60_000
const MOST_TRIES = 20

/** Stops an address that guesses codes. */
export const limitTries = (limit = MOST_TRIES) =>
  rateLimiter<RequestEnv>({
    windowMs: TRIES_WINDOW_MS,
    limit,
    keyGenerator: addressOf,
    handler: () => {
      throw new Problem('too-many', { detail: `at most ${limit} codes a minute: wait a minute and try again` })
    },
  })

/** The address that asks; a request made in this process has none. */
function addressOf(c: Context<RequestEnv>): string {
  const env = c.env as { incoming?: unknown } | undefined
  return env?.incoming ? (getConnInfo(c).remote.address ?? 'unknown') : 'here'
}
