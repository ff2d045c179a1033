import type { Context, MiddlewareHandler } from 'hono'
import type { RequestEnv } from './context'
import { Problem } from './problems'

/** Names that this machine always goes by to itself. */
export const LOOPBACK_NAMES: readonly string[] = ['127.0.0.1', 'localhost', '[::1]']

const READS: readonly string[] = ['GET', 'HEAD', 'OPTIONS']
const OWN_SITES: readonly string[] = ['same-origin', 'none']

/**
 * Answers only under the names the server goes by, so that a foreign name that points here is no way in, and takes changes
 * and live streams only from its own pages and from programs, which send no origin.
 * @throws {Problem} foreign-host, foreign-page
 */
export function onlyOwnPages(names: readonly string[] = LOOPBACK_NAMES): MiddlewareHandler<RequestEnv> {
  return async (c, next) => {
    const host = c.req.header('host') ?? new URL(c.req.url).host
    if (!names.includes(nameIn(host)))
      throw new Problem('foreign-host', {
        detail: `this server does not go by the name ${nameIn(host)}: open it under ${names.join(' or ')}, or start it with OKAZU_NAMES`,
        values: { host: nameIn(host) },
      })
    if ((!READS.includes(c.req.method) || c.req.path === '/api/live') && !isOwnPage(c, host))
      throw new Problem('foreign-page', { detail: 'a page of another site sent this: only pages of this server may' })
    return next()
  }
}

/** A host without its port; an address of IPv6 keeps its brackets. */
const nameIn = (host: string): string => host.replace(/:\d+$/, '').toLowerCase()

function isOwnPage(c: Context<RequestEnv>, host: string): boolean {
  const site = c.req.header('sec-fetch-site')
  if (site !== undefined && !OWN_SITES.includes(site)) return false
  const origin = c.req.header('origin')
  if (origin === undefined) return true
  return URL.canParse(origin) && new URL(origin).host === host.toLowerCase()
}
