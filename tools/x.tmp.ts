import { chromium } from '@playwright/test'
import { LAUNCH } from '../e2e/launch'
import { openPage, kitchenAt } from './shotKitchen'
const k = await kitchenAt('x', 18, 42)
const browser = await chromium.launch(LAUNCH)
const page = await openPage(browser, k.clock, 'phone', 'dark')
await page.goto(k.url + '/line')
await page.waitForTimeout(2000)
for (let n = 0; n < 2; n += 1) {
  await page.getByRole('button', { name: /^Go to/ }).click()
  await page.waitForTimeout(800)
  await page.screenshot({ path: `/tmp/who${n}a.png` })
  console.log(n, await page.getByRole('button', { name: /^Who is here/ }).count())
  await page.getByRole('button', { name: /^Who is here/ }).first().click({ timeout: 5000 }).catch((e) => console.log(String(e).slice(0, 600)))
  await page.waitForTimeout(800)
  await page.screenshot({ path: `/tmp/who${n}b.png` })
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('radio', { name: n ? /^Odalys/ : /^Wen/ }).click({ timeout: 5000 })
  for (const f of n ? '4826' : '5124') await sheet.getByRole('button', { name: f, exact: true }).click()
  await sheet.getByRole('button', { name: 'Sign in' }).click()
  await page.waitForTimeout(1500)
  await page.screenshot({ path: `/tmp/who${n}c.png` })
}
await browser.close(); await k.stop(); process.exit(0)
