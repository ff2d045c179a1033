import { chromium } from '@playwright/test'
import { LAUNCH } from './launch'
const [, , base, out, ...jobs] = process.argv
const b = await chromium.launch(LAUNCH)
let i = 0
for (const job of jobs) {
  const [size, path, script] = job.split('|')
  const wide = size!.startsWith('w')
  const ctx = await b.newContext({ viewport: wide ? { width: 1280, height: 800 } : { width: 390, height: 844 }, deviceScaleFactor: 1, colorScheme: size!.endsWith('l') ? 'light' : 'dark', ...(wide ? {} : { isMobile: true, hasTouch: true }) })
  const page = await ctx.newPage()
  page.on('console', (m) => { if (m.type() === 'error') console.log('console', m.text().slice(0, 300)) })
  page.on('pageerror', (e) => console.log('pageerror', e.message.slice(0, 300)))
  await page.goto(base + path!)
  await page.waitForTimeout(3500)
  for (const step of (script ?? '').split(';;').filter(Boolean)) {
    const [verb, arg] = [step.slice(0, step.indexOf('=')), step.slice(step.indexOf('=') + 1)]
    if (verb === 'click') await page.getByRole('button', { name: new RegExp(arg!) }).first().click()
    if (verb === 'radio') await page.getByRole('radio', { name: new RegExp(arg!) }).first().click()
    if (verb === 'scroll') await page.mouse.wheel(0, Number(arg))
    if (verb === 'key') await page.keyboard.press(arg!)
    if (verb === 'wait') await page.waitForTimeout(Number(arg))
  }
  await page.waitForTimeout(800)
  await page.screenshot({ path: `${out}-${i++}.png` })
  await ctx.close()
}
await b.close()
