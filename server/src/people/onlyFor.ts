import { createRoute, type RouteConfig } from '@hono/zod-openapi'
import { may, type Action } from 'core/people/roles'
import type { Context, MiddlewareHandler } from 'hono'
import { getCookie } from 'hono/cookie'
import type { RequestEnv } from '../http/context'
import { Problem } from '../http/problems'
import { keepAside } from './aside.sql'
import { digest } from './secrets'
import { findSpeaker, rolesSince, type Session } from './sessions.sql'

export const SESSION_COOKIE = 'okazu_session'
/** A phone that was away for longer says what it has to say in the name of whoever is signed in. */
const LONG_AWAY_MS = 7 * 86_400_000

/** A route of the API and the row of the table of rights that it stands under. */
export const onlyFor = <P extends string, R extends Omit<RouteConfig, 'path'> & { path: P }>(
  action: Action,
  route: R,
) => createRoute({ ...route, 'x-okazu-may': action, middleware: [mayOnly(action)] as const })

/**
 * The same for what devices keep until they reach the kitchen: it is judged by who was signed in when it was said
 * (`spokenBy`), and what was not allowed then is kept for the lead.
 */
export const saidFor = <P extends string, R extends Omit<RouteConfig, 'path'> & { path: P }>(
  action: Action,
  route: R,
) => createRoute({ ...route, 'x-okazu-may': action, middleware: [mayOnly(action, 'said')] as const })

/** Lets through who may, with `session` and `kitchen` of theirs. @throws {Problem} not-paired, may-not, kept-aside */
export const mayOnly =
  (action: Action, kind: 'asked' | 'said' = 'asked'): MiddlewareHandler<RequestEnv> =>
  async (c, next) => {
    const session = await enter(c)
    const role = session.person?.role ?? null
    if (kind === 'asked') {
      if (!may(role, action)) throw mayNot(session, action)
      return next()
    }
    if (!may(role, action) && !(await mightThen(c, session, action))) {
      await setAside(c, session)
      throw keptAside()
    }
    await next()
    if (c.error instanceof Problem && c.error.code === 'kept-aside') await setAside(c, session)
  }

/** The session that a request comes with: a browser's cookie, or a program's bearer token. @throws {Problem} not-paired */
async function enter(c: Context<RequestEnv>): Promise<Session> {
  const token = getCookie(c, SESSION_COOKIE) ?? c.req.header('authorization')?.replace(/^Bearer /i, '')
  const session = token ? await c.var.sessions.find(digest(token), c.var.kitchen.now()) : null
  if (!session) throw notPaired()
  c.set('session', session)
  c.set('kitchen', c.var.kitchenOf(session.kitchen.id))
  return session
}

export const notPaired = () =>
  new Problem('not-paired', {
    detail: 'let this device in with a code: an owner finds it in Setup, Devices; npm start prints one as well',
  })

export function mayNot({ person, device }: Session, action: Action): Problem {
  const who = person ? `${person.name} (${person.role})` : `nobody is signed in at ${device.name}, who`
  return new Problem('may-not', {
    detail: `${who} may not do this: somebody signs in who may (${action}), or a lead does it`,
    values: { action, name: person?.name ?? '' },
  })
}

const keptAside = () =>
  new Problem('kept-aside', { detail: 'whoever said it may not: it is kept, and a lead takes it or leaves it' })

async function mightThen(c: Context<RequestEnv>, session: Session, action: Action): Promise<boolean> {
  const { pool, now } = c.var.kitchen
  const roles = await rolesSince(pool, session.kitchen.id, session.device.id, now() - LONG_AWAY_MS)
  return roles.some((role) => may(role, action))
}

async function setAside(c: Context<RequestEnv>, session: Session): Promise<void> {
  const { pool, now } = c.var.kitchen
  const body = await c.req.text()
  if (body === '') return
  const path = c.req.path.replace(/^\/api/, '')
  const { device, person, kitchen } = session
  await keepAside(pool, kitchen.id, { deviceId: device.id, staffId: person?.id ?? null, path, body }, now())
}

/**
 * In whose name something was said at an instant: the person who was signed in at this device then.
 * @throws {Problem} kept-aside where that person might not say it
 */
export async function spokenBy(c: Context<RequestEnv>, action: Action, atMs: number): Promise<string> {
  const { session, kitchen } = c.var
  const { id: staffId = null, role = null } = session.person ?? {}
  // What a lead takes of what was kept aside is said in the lead's own name.
  const isTaken = c.req.query('taken') !== undefined && may(role, 'decide')
  const isOfNow = isTaken || (session.person !== null && atMs >= session.startedAtMs)
  const then = isOfNow ? undefined : await findSpeaker(kitchen.pool, kitchen.kitchenId, session.device.id, atMs)
  const speaker = then ?? { staffId, role }
  if (!may(speaker.role, action) || speaker.staffId === null) throw keptAside()
  return speaker.staffId
}

/** Things that were said, each in the name of whoever was signed in at its time. @throws {Problem} kept-aside */
export async function spokenAll<T extends { atMs: number }>(
  c: Context<RequestEnv>,
  said: readonly T[],
  actionOf: (one: T) => Action,
): Promise<(T & { staffId: string })[]> {
  const spoken = []
  for (const one of said) spoken.push({ ...one, staffId: await spokenBy(c, actionOf(one), one.atMs) })
  return spoken
}

/** In whose name the request is made. */
export const byOf = (c: Context<RequestEnv>) => ({
  staffId: c.var.session.person?.id ?? null,
  deviceId: c.var.session.device.id,
})
