import { chromium } from '@playwright/test'
import { LAUNCH } from '../e2e/launch'
import { kitchenAt, openPage } from './shotKitchen'
const { url, clock, stop } = await kitchenAt('shots', 18, 24)
const browser = await chromium.launch(LAUNCH)
for (const id of ['ring-a', 'ring-b', 'griddle']) { const r = await (await fetch(`${url}/api/learned/station/${id}`)).json() as any; console.log(id, r.factor, r.runs, r.recent.length) }
for (const id of ['duck', 'plain', 'crab', 'kimchi']) { const r = await (await fetch(`${url}/api/learned/dish/${id}`)).json() as any; console.log(id, r.factor, r.runs) }
console.log(JSON.stringify((await (await fetch(`${url}/api/kitchen`)).json() as any).stations.map((s: any) => s.learned)))
for (const size of ['wide', 'phone'] as const) {
  const page = await openPage(browser, clock, size, 'dark')
  page.on('pageerror', (m) => console.log(m.message))
  await page.goto(`${url}/setup/station/ring-b`)
  await page.getByText('What its runs say').scrollIntoViewIfNeeded()
  await page.waitForTimeout(2500)
  await page.screenshot({ path: `/tmp/l-${size}.png` })
}
await browser.close()
await stop()
