import { chromium, type BrowserContext } from '@playwright/test'
import { v7 as newId } from 'uuid'
import { LAUNCH } from '../../e2e/launch'
import { report } from './report'
import { percentile } from './percentile'
import { ask, openAsDevice } from '../toolDevice'

const TICKETS = 4000
const A_POST = 100
const DISHES = ['plain', 'duck', 'crab', 'mushroom', 'chicken', 'kimchi']
const ROUNDS = 5
const WATCH_MS = 12_000
const EVERY_MS = 9000

/** The line with four thousand open tickets on a phone: until it is drawn, and the longest task then and while it stands open. */
export async function manyTickets(url: string): Promise<void> {
  await placeTickets(url)
  const browser = await chromium.launch(LAUNCH)
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true })
  await openAsDevice(context)
  // The loader of TypeScript names functions by a helper that a page does not have.
  await context.addInitScript({ content: 'globalThis.__name = (named) => named' })
  await context.addInitScript(() => {
    const marks = window as unknown as { tasks: number[] }
    marks.tasks = []
    new PerformanceObserver((list) => list.getEntries().forEach((one) => marks.tasks.push(one.duration))).observe({
      type: 'longtask',
    })
  })
  const opened: number[] = []
  for (const rate of [1, 4]) {
    const tasks: number[] = []
    for (let round = 0; round < ROUNDS; round += 1) {
      const { openMs, taskMs } = await openLine(context, url, rate)
      if (rate === 1) opened.push(openMs)
      tasks.push(taskMs)
    }
    report(
      `${TICKETS} open tickets on a phone, ${rate === 1 ? 'longest task' : `${rate}x slower processor, longest task`}`,
      `median ${Math.round(percentile(tasks, 0.5))} ms, worst ${Math.round(Math.max(...tasks))} ms`,
      rate === 1 ? 'no task over 100 ms' : 'no task over 300 ms',
    )
  }
  report(
    `${TICKETS} open tickets on a phone: the line is drawn`,
    `median ${Math.round(percentile(opened, 0.5))} ms, worst ${Math.round(Math.max(...opened))} ms`,
    '<= 2 s',
  )
  await browser.close()
}

async function openLine(context: BrowserContext, url: string, rate: number) {
  const page = await context.newPage()
  const session = await context.newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate })
  const startedMs = performance.now()
  await page.goto(`${url}/line`)
  await page
    .getByText(/ in hand| late|on time/)
    .first()
    .waitFor()
  const openMs = performance.now() - startedMs
  await page.waitForTimeout(WATCH_MS)
  const tasks = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks)
  await page.close()
  return { openMs, taskMs: Math.max(0, ...tasks) }
}

export async function placeTickets(url: string, count = TICKETS): Promise<void> {
  const firstMs = Date.now() + 600_000
  for (let from = 0; from < count; from += A_POST) {
    const tickets = Array.from({ length: Math.min(A_POST, count - from) }, (_, i) => ({
      id: newId(),
      promisedAtMs: firstMs + (from + i) * EVERY_MS,
      items: [0, 1].map((n) => ({ id: newId(), dishId: DISHES[(from + i + n) % DISHES.length]!, portions: 1 + n })),
    }))
    const body = JSON.stringify(tickets)
    const answer = await ask(`${url}/api/tickets`, {
      method: 'POST',
      body,
      headers: { 'content-type': 'application/json' },
    })
    if (!answer.ok) throw new Error(`tickets were not placed: ${await answer.text()}`)
  }
}
