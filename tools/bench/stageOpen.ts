import { chromium, type Page } from '@playwright/test'
import { LAUNCH } from '../../e2e/launch'
import { report } from './report'
import { percentile } from './percentile'
import { openAsDevice } from '../toolDevice'

const STAGES = ['Rice', 'Mise', 'Wok', 'Line', 'Record', 'Book', 'Setup'] as const
const ROUNDS = 5
/** The screen before has its answers, and the sheet of names stands still. */
const SETTLE_MS = 1500
const SHEET_MS = 300
/** A screen says something once it has this much text; before, it is the empty frame. */
const LEAST_TEXT = 8

/** From the tap on a stage's name to its screen, on a phone where every stage was opened before: as it is, and on a slower processor. */
export async function stageOpen(url: string): Promise<void> {
  const browser = await chromium.launch(LAUNCH)
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true })
  await openAsDevice(context)
  // The loader of TypeScript names functions by a helper that a page does not have.
  await context.addInitScript({ content: 'globalThis.__name = (named) => named' })
  const page = await context.newPage()
  await page.goto(`${url}/line`)
  for (const stage of STAGES) await open(page, stage)
  const session = await context.newCDPSession(page)
  for (const rate of [1, 4]) {
    await session.send('Emulation.setCPUThrottlingRate', { rate })
    const tookMs: number[] = []
    for (let round = 0; round < ROUNDS; round += 1) for (const stage of STAGES) tookMs.push(await open(page, stage))
    report(
      `a stage opens on a warm phone${rate === 1 ? '' : `, ${rate}x slower processor`}`,
      `median ${Math.round(percentile(tookMs, 0.5))} ms, p95 ${Math.round(percentile(tookMs, 0.95))} ms`,
      '<= 150 ms after the tap',
    )
  }
  await browser.close()
}

/** Opens a stage by the bar under the thumb; ms from the tap on its name until its screen was painted. */
async function open(page: Page, stage: string): Promise<number> {
  await page.waitForTimeout(SETTLE_MS)
  await page.getByRole('button', { name: /^Go to/ }).click()
  const link = page.getByRole('link', { name: stage, exact: true })
  await link.waitFor()
  await page.waitForTimeout(SHEET_MS)
  await page.evaluate((leastText) => {
    const marks = window as unknown as { paintedMs?: number | undefined }
    const before = document.querySelector('main')
    marks.paintedMs = undefined
    const tapped = (event: Event) => {
      const look = () => {
        const main = document.querySelector('main')
        if (main === before || (main?.textContent ?? '').length < leastText) requestAnimationFrame(look)
        else requestAnimationFrame(() => (marks.paintedMs = performance.now() - event.timeStamp))
      }
      requestAnimationFrame(look)
    }
    window.addEventListener('pointerup', tapped, { capture: true, once: true })
  }, LEAST_TEXT)
  await link.click()
  const painted = await page.waitForFunction(() => (window as unknown as { paintedMs?: number }).paintedMs)
  return (await painted.jsonValue()) ?? Number.NaN
}
