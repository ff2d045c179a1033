import { chromium, type Page } from '@playwright/test'
import { LAUNCH } from '../../e2e/launch'
import { placeTickets } from './manyTickets'
import { report } from './report'
import { percentile } from './percentile'
import { ask, openAsDevice } from '../toolDevice'

const OPEN_TICKETS = 60
const SETTLE_MS = 15_000
const WATCH_MS = 20_000
const POSTED = 30
const BETWEEN_MS = 1200

/** The line with sixty open tickets on a slow processor, and from the post of a ticket until another screen shows it planned. */
export async function lineScreen(url: string): Promise<void> {
  await placeTickets(url, OPEN_TICKETS)
  const browser = await chromium.launch(LAUNCH)
  for (const [name, viewport] of [
    ['phone', { width: 390, height: 844 }],
    ['wide', { width: 1280, height: 800 }],
  ] as const) {
    const page = await openLine(await browser.newPage({ viewport }), url, 4)
    const tasks = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks)
    report(
      `the line with ${OPEN_TICKETS} open tickets, ${name}, 4x slower processor, longest task in ${WATCH_MS / 1000} s`,
      `${Math.round(Math.max(0, ...tasks))} ms, ${tasks.length} over 50 ms`,
      'no task over 50 ms',
    )
    await page.close()
  }
  const page = await openLine(await browser.newPage({ viewport: { width: 1280, height: 800 } }), url, 1)
  const delays: number[] = []
  const open = (await (await ask(`${url}/api/tickets`)).json()) as { tickets: { number: number }[] }
  const firstNumber = 1 + Math.max(...open.tickets.map(({ number }) => number))
  for (let n = 0; n < POSTED; n += 1) delays.push(await untilPlanned(page, url, n, firstNumber + n))
  await browser.close()
  report(
    `ticket posted -> planned on another screen, ${OPEN_TICKETS} open (${POSTED})`,
    `p50 ${Math.round(percentile(delays, 0.5))} ms, p95 ${Math.round(percentile(delays, 0.95))} ms`,
    'p95 <= 600 ms',
  )
}

/** The line when it has been planned in full, its tasks counted from then on. */
async function openLine(page: Page, url: string, rate: number): Promise<Page> {
  await page.addInitScript({ content: 'globalThis.__name = (named) => named' })
  await openAsDevice(page.context())
  const session = await page.context().newCDPSession(page)
  await page.goto(`${url}/line`)
  await page
    .getByText(/ in hand| late|on time/)
    .first()
    .waitFor()
  await page.waitForTimeout(SETTLE_MS)
  await session.send('Emulation.setCPUThrottlingRate', { rate })
  await page.evaluate(() => {
    const marks = window as unknown as { tasks: number[] }
    marks.tasks = []
    new PerformanceObserver((list) => list.getEntries().forEach((one) => marks.tasks.push(one.duration))).observe({
      type: 'longtask',
    })
  })
  await page.waitForTimeout(rate === 1 ? 0 : WATCH_MS)
  return page
}

/** Resolves to the page's time when a ticket's label says how it stands to its promise. */
const seenPlanned = (number: number) => `new Promise((resolve) => {
  const isPlanned = () => [...document.querySelectorAll('[role="button"]')].some((one) =>
    (one.textContent ?? '').startsWith('${number}') && / in hand$| late$|on time$/.test(one.textContent ?? ''))
  const observer = new MutationObserver(() => {
    if (!isPlanned()) return
    observer.disconnect()
    resolve(Date.now())
  })
  observer.observe(document.body, { childList: true, subtree: true, characterData: true })
})`

/** A ticket that is wanted before all others, so that its label is on the screen [ms]. */
async function untilPlanned(page: Page, url: string, n: number, number: number): Promise<number> {
  const seen = page.evaluate<number>(seenPlanned(number))
  await page.waitForTimeout(50)
  const sentMs = Date.now()
  const answer = await ask(`${url}/api/tickets`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      items: [{ dishId: n % 2 ? 'plain' : 'duck', portions: 1 + (n % 3) }],
      promisedAtMs: sentMs + 60_000 - n * 1000,
    }),
  })
  const { tickets } = (await answer.json()) as { tickets: { id: string; number: number }[] }
  if (tickets[0]?.number !== number) throw new Error(`the ticket has the number ${tickets[0]?.number}, not ${number}`)
  const delayMs = (await seen) - sentMs
  await ask(`${url}/api/tickets/${tickets[0].id}/events`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ events: [{ id: crypto.randomUUID(), kind: 'cancelled', atMs: Date.now(), counter: 0 }] }),
  })
  await page.waitForTimeout(BETWEEN_MS)
  return delayMs
}
