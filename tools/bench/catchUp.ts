import { chromium, type BrowserContext, type Page } from '@playwright/test'
import type { Pool } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { LAUNCH } from '../../e2e/launch'
import { report } from './report'
import { ask, openAsDevice } from '../toolDevice'

const TICKETS_A_DAY = 400
const A_POST = 100
const DAY_MS = 86_400_000

/** A phone that lay in a drawer for a day of orders: from the network's return until it shows the newest ticket. */
export async function catchUp(url: string, pool: Pool): Promise<void> {
  const browser = await chromium.launch(LAUNCH)
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true })
  await openAsDevice(context)
  const page = await context.newPage()
  await page.goto(`${url}/line`)
  await page
    .getByText(/ in hand| late|on time/)
    .first()
    .waitFor()
  const tookMs = [await away(context, page, url, async () => Promise.resolve())]
  tookMs.push(
    await away(context, page, url, () => pool.query('DELETE FROM outbox WHERE no < (SELECT MAX(no) FROM outbox)')),
  )
  await browser.close()
  report(
    `a phone away for ${TICKETS_A_DAY} tickets shows the newest`,
    `${tookMs[0]} ms, ${tookMs[1]} ms where the changes are no longer kept`,
    '<= 3 s',
  )
}

async function away(
  context: BrowserContext,
  page: Page,
  url: string,
  meanwhile: () => Promise<unknown>,
): Promise<number> {
  await context.setOffline(true)
  for (let from = 0; from < TICKETS_A_DAY; from += A_POST) {
    const tickets = Array.from({ length: A_POST }, () => ticket(newId(), Date.now() + DAY_MS))
    await post(`${url}/api/tickets`, tickets)
    for (const { id } of tickets)
      await post(`${url}/api/tickets/${id}/events`, {
        events: [{ id: newId(), kind: 'cancelled', atMs: Date.now(), counter: 1 }],
      })
  }
  const placed = (await post(`${url}/api/tickets`, ticket(newId(), Date.now() + 60_000))) as {
    tickets: { number: number }[]
  }
  await meanwhile()
  const startedMs = performance.now()
  await context.setOffline(false)
  await page.getByText(String(placed.tickets[0]!.number), { exact: true }).waitFor()
  return Math.round(performance.now() - startedMs)
}

const ticket = (id: string, promisedAtMs: number) => ({
  id,
  promisedAtMs,
  items: [{ id: newId(), dishId: 'plain', portions: 1 }],
})

async function post(url: string, body: unknown): Promise<unknown> {
  const answer = await ask(url, {
    method: 'POST',
    body: JSON.stringify(body),
    headers: { 'content-type': 'application/json' },
  })
  if (!answer.ok) throw new Error(`${url} refused: ${await answer.text()}`)
  return answer.json()
}
