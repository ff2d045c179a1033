import { chromium } from '@playwright/test'
import { LAUNCH } from '../../e2e/launch'
import { openAsDevice } from '../toolDevice'
import { report } from './report'

const TAPS = 15
const BETWEEN_MS = 1300

/** On the cook screen, from a finger that lifts off *+10 s* to the page saying what moved: arithmetic and drawing. */
export async function tapShown(url: string): Promise<void> {
  const browser = await chromium.launch(LAUNCH)
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
  await openAsDevice(context)
  const page = await context.newPage()
  await page.goto(`${url}/line`)
  await page
    .getByRole('button', { name: /^Fire / })
    .last()
    .click()
  await page.getByRole('timer').waitFor()
  const later = page.getByRole('button', { name: '+10 s', exact: true })
  const shownMs: number[] = []
  for (let tap = 0; tap < TAPS; tap += 1) {
    await page.waitForTimeout(BETWEEN_MS)
    await page.evaluate(() => {
      const watched = window as unknown as { shownMs: number | null }
      watched.shownMs = null
      let liftedMs = Infinity
      const observer = new MutationObserver((records) => {
        const says = records.some(({ target, addedNodes }) =>
          [target, ...addedNodes].some((node) => /moves to/.test(node.textContent ?? '')),
        )
        if (!says || watched.shownMs !== null) return
        watched.shownMs = performance.now() - liftedMs
        observer.disconnect()
      })
      document.addEventListener(
        'pointerup',
        () => {
          liftedMs = performance.now()
          observer.observe(document.body, { subtree: true, childList: true, characterData: true })
        },
        { capture: true, once: true },
      )
    })
    await later.click()
    await page.waitForFunction(() => (window as unknown as { shownMs: number | null }).shownMs !== null, undefined, {
      timeout: 5000,
    })
    shownMs.push(await page.evaluate(() => (window as unknown as { shownMs: number }).shownMs))
  }
  await browser.close()
  const [median, worst] = [shownMs.sort((a, b) => a - b)[Math.floor(TAPS / 2)]!, shownMs.at(-1)!]
  report(
    `a tap on the cook screen, until the page says what moved (${TAPS})`,
    `median ${median.toFixed(0)} ms, worst ${worst.toFixed(0)} ms`,
    '<= 16 ms',
  )
}
