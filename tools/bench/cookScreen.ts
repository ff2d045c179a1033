import { chromium } from '@playwright/test'
import { LAUNCH } from '../../e2e/launch'
import { report } from './report'
import { openAsDevice } from '../toolDevice'

const SLOWER = 4
const SETTLE_MS = 4000
const WATCH_MS = 20_000

/** The cook screen on a phone's processor: the longest task while the countdown runs. */
export async function cookScreen(url: string): Promise<void> {
  const browser = await chromium.launch(LAUNCH)
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true })
  await openAsDevice(context)
  const page = await context.newPage()
  await page.goto(`${url}/line`)
  await page
    .getByRole('button', { name: /^Fire / })
    .last()
    .click()
  await page.getByRole('timer').waitFor()
  const session = await context.newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
  await page.waitForTimeout(SETTLE_MS)
  const tasks = await page.evaluate(
    (ms) =>
      new Promise<number[]>((resolve) => {
        const found: number[] = []
        const observer = new PerformanceObserver((list) =>
          list.getEntries().forEach((entry) => found.push(entry.duration)),
        )
        observer.observe({ type: 'longtask' })
        setTimeout(() => resolve(found), ms)
      }),
    WATCH_MS,
  )
  await browser.close()
  report(
    `cook screen, ${SLOWER}x slower processor, ${WATCH_MS / 1000} s`,
    `${tasks.length} tasks over 50 ms, longest ${Math.round(Math.max(0, ...tasks))} ms`,
    'no task over 50 ms',
  )
}
