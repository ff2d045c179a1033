import { chromium } from '@playwright/test'
import { LAUNCH } from '../e2e/launch'
import { kitchenAt, openPage } from './shotKitchen'
const kitchen = await kitchenAt(`shots_${Date.now()}`, 18, 42)
const by = await chromium.launch(LAUNCH)
for (const size of ['phone', 'wide'] as const) {
  const page = await openPage(by, kitchen.clock, size, 'light')
  page.on('console', (m) => m.type() === 'error' && console.log(m.text()))
  await page.goto(kitchen.url + '/line'); await page.waitForTimeout(900); await page.screenshot({ path: `/tmp/s-line0-${size}.png` })
  const t = Date.now(); await page.getByRole('button', { name: /^Fire / }).last().waitFor(); console.log(size, 'fire there after', Date.now() - t)
  await page.waitForTimeout(4500); await page.screenshot({ path: `/tmp/s-line-${size}.png` })
  await page.goto(kitchen.url + '/book/duck'); await page.waitForTimeout(3000)
  await page.screenshot({ path: `/tmp/s-dish-${size}.png`, fullPage: true })
  if (size === 'phone') { const h = page.getByRole('heading', { name: /Score of one batch/ }); await h.scrollIntoViewIfNeeded(); await page.waitForTimeout(300); await page.mouse.wheel(0, 500); await page.waitForTimeout(300); await page.screenshot({ path: `/tmp/s-score-phone.png` }) }
  await page.goto(kitchen.url + '/book/kimchi/edit'); await page.waitForTimeout(2500)
  const schools = page.getByRole('button', { name: /^Schools/ }); await schools.click(); await page.waitForTimeout(500); await schools.scrollIntoViewIfNeeded()
  await page.getByRole('button', { name: /^Egg/ }).first().click().catch(() => console.log('no egg')); await page.waitForTimeout(400)
  await page.screenshot({ path: `/tmp/s-schools-${size}.png` })
}
await by.close(); await kitchen.stop(); process.exit(0)
