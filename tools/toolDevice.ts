import type { BrowserContext } from '@playwright/test'
import { letIn } from '../server/src/people/test/letIn'
import { SESSION_COOKIE } from '../server/src/people/onlyFor'
import type { Pool } from 'mysql2/promise'

let token = ''
let inside: { pool: Pool; kitchenId: string; nowMs: number } | null = null

/** Lets this tool into a kitchen as a device at which the owner is signed in. */
export async function letToolIn(pool: Pool, kitchenId: string, nowMs: number): Promise<void> {
  inside = { pool, kitchenId, nowMs }
  token = await letIn(pool, kitchenId, 'odalys', nowMs, 'Tool')
}

/** Asks the kitchen as the device that was let in. */
export const ask = (url: string, init: RequestInit = {}): Promise<Response> =>
  fetch(url, { ...init, headers: { ...init.headers, ...asDevice() } })

/** The header that a device of a program shows. */
export const asDevice = (): { authorization: string } => ({ authorization: `Bearer ${token}` })

/** Pages of a context open as the device that was let in. */
export const openAsDevice = (context: BrowserContext): Promise<void> => showCookie(context, token)

/** Pages of a context open on a device of their own, at which somebody else is signed in. */
export async function openAsPerson(context: BrowserContext, staffId: string): Promise<void> {
  if (!inside) throw new Error('the tool was not let in')
  const { pool, kitchenId, nowMs } = inside
  await showCookie(context, await letIn(pool, kitchenId, staffId, nowMs, staffId))
}

const showCookie = (context: BrowserContext, value: string) =>
  context.addCookies([{ name: SESSION_COOKIE, value, domain: '127.0.0.1', path: '/api', httpOnly: true }])
