import type { BrowserContext } from '@playwright/test'
import { letIn } from '../server/src/people/test/letIn'
import { SESSION_COOKIE } from '../server/src/people/onlyFor'
import type { Pool } from 'mysql2/promise'

let token = ''

/** Lets this tool into a kitchen as a device at which the owner is signed in. */
export async function letToolIn(pool: Pool, kitchenId: string, nowMs: number): Promise<void> {
  token = await letIn(pool, kitchenId, 'odalys', nowMs, 'Tool')
}

/** Asks the kitchen as the device that was let in. */
export const ask = (url: string, init: RequestInit = {}): Promise<Response> =>
  fetch(url, { ...init, headers: { ...init.headers, ...asDevice() } })

/** The header that a device of a program shows. */
export const asDevice = (): { authorization: string } => ({ authorization: `Bearer ${token}` })

/** Pages of a context open as the device that was let in. */
export async function openAsDevice(context: BrowserContext): Promise<void> {
  await context.addCookies([{ name: SESSION_COOKIE, value: token, domain: '127.0.0.1', path: '/api', httpOnly: true }])
}
