import { chromium } from '@playwright/test'
import { coolTray } from '../../core/src/rice/cooling/coolTray'
import { largestPassingDepthM, trayStages } from '../../core/src/rice/cooling/predictCooling'
import { COOLING_LIMITS } from '../../core/src/safety/coolingLimits'
import { LAUNCH } from '../../e2e/launch'
import { medianMs } from './medianMs'
import { report } from './report'
import { steadyReads } from './steadyReads'
import { ask, openAsDevice } from '../toolDevice'

const FRIDGE = trayStages([{ durationS: 6 * 3600, place: 'fridge', covered: false }])
/** The cooling model: one forecast, and the search for the deepest tray that keeps the rule. */
export function coolingModel(): void {
  const forecastMs = medianMs(() => coolTray({ depthM: 0.05, startTempC: 95 }, FRIDGE))
  report('cooling forecast, 6 h, 5 cm', `median ${forecastMs.toFixed(1)} ms`, '<= 20 ms')
  const depthMs = medianMs(() => largestPassingDepthM({ startTempC: 95 }, FRIDGE, COOLING_LIMITS.us))
  report('largest depth that passes', `median ${depthMs.toFixed(0)} ms`, '<= 300 ms, in a worker')
}

const SETTLE_MS = 3000
const WATCH_MS = 6000

/** A tray on screen while it is read: what its model takes from the interface thread. */
export async function coolingScreen(url: string): Promise<void> {
  const { lots } = (await (await ask(`${url}/api/rice/lots`)).json()) as { lots: { id: string; name: string }[] }
  const cooling = lots.find((lot) => lot.name === 'R-21')
  const browser = await chromium.launch(LAUNCH)
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } })
  await openAsDevice(page.context())
  await page.goto(`${url}/rice/${cooling?.id}`)
  await page.getByRole('img', { name: /^Cooling of/ }).waitFor()
  await page.getByRole('button', { name: 'Less °C' }).click()
  await page.waitForTimeout(SETTLE_MS)
  await page.evaluate(`window.longest = 0
    new PerformanceObserver((list) => list.getEntries().forEach((one) => (window.longest = Math.max(window.longest, one.duration))))
      .observe({ type: 'longtask' })`)
  await page.getByRole('button', { name: /^Log/ }).last().click()
  await page.waitForTimeout(WATCH_MS)
  const longest = await page.evaluate<number>('window.longest')
  await browser.close()
  report('a reading logged: longest task on the interface', `${Math.round(longest)} ms`, 'no model on this thread')
}

const RATE_PER_S = 50
const SECONDS = 8

/** Lists and traces with a year of lots behind them. */
export async function riceReads(url: string): Promise<void> {
  const page = (await (await ask(`${url}/api/rice/lots/past`)).json()) as { next: string }
  const record = (await (await ask(`${url}/api/record/runs`)).json()) as { runs: { tickets: number[] }[] }
  const ticket = record.runs[0]?.tickets[0]
  for (const [name, path] of [
    ['past lots of a year, first page', '/api/rice/lots/past'],
    ['past lots of a year, next page', `/api/rice/lots/past?before=${page.next}`],
    ['open lots with a year of past ones', '/api/rice/lots'],
    ['ticket to lot to tickets', `/api/rice/trace?ticket=${ticket}`],
  ] as const) {
    const { p95Ms, ok, failed } = await steadyReads(url + path, RATE_PER_S, SECONDS)
    report(name, `p95 ${p95Ms.toFixed(1)} ms, ${ok} ok, ${failed} failed`, 'p95 <= 50 ms')
  }
}
