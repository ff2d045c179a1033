import { chromium } from '@playwright/test'
import { LAUNCH } from '../../e2e/launch'
import { report } from './report'
import { percentile } from './percentile'
import { ask, openAsDevice } from '../toolDevice'

const TICKETS = 60

/** Resolves to the page's time when the heading counts other portions than now. */
const SEE_NEXT_COUNT = `new Promise((resolve) => {
  const heading = () => document.querySelector('[aria-level="1"], h1')?.textContent
  const before = heading()
  const observer = new MutationObserver(() => {
    if (heading() === before) return
    observer.disconnect()
    resolve(Date.now())
  })
  observer.observe(document.body, { childList: true, subtree: true, characterData: true })
})`

/** From the post of a ticket to the count of another open screen, in the page's own clock. */
export async function liveDelay(url: string): Promise<void> {
  const browser = await chromium.launch(LAUNCH)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await openAsDevice(page.context())
  await page.goto(`${url}/line`)
  await page.getByRole('button', { name: 'Add ticket' }).first().waitFor()
  await page.waitForTimeout(1500)
  const delays: number[] = []
  for (let n = 0; n < TICKETS; n += 1) {
    const portions = 1 + (n % 4)
    const seen = page.evaluate<number>(SEE_NEXT_COUNT)
    await page.waitForTimeout(40)
    const sentMs = Date.now()
    await ask(`${url}/api/tickets`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ items: [{ dishId: 'plain', portions }], promisedAtMs: Date.now() + 1_200_000 }),
    })
    delays.push((await seen) - sentMs)
  }
  await browser.close()
  report(
    `ticket posted -> on another screen (${TICKETS})`,
    `p50 ${percentile(delays, 0.5)} ms, p95 ${percentile(delays, 0.95)} ms`,
    'p95 <= 300 ms',
  )
}
