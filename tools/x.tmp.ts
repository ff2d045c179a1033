import { chromium } from '@playwright/test'
import { writeFileSync } from 'node:fs'
import { LAUNCH } from '../e2e/launch'
import { startBenchServer } from './bench/server'
import { placeTickets } from './bench/manyTickets'
const server = await startBenchServer(0)
await placeTickets(server.url, 60)
const browser = await chromium.launch(LAUNCH)
for (const [name, viewport] of [['phone', { width: 390, height: 844 }], ['wide', { width: 1280, height: 800 }]] as const) {
  const page = await browser.newPage({ viewport })
  const session = await page.context().newCDPSession(page)
  await page.goto(`${server.url}/line`)
  await page.getByText(/ in hand| late|on time/).first().waitFor()
  await page.waitForTimeout(15000)
  await session.send('Profiler.enable')
  await session.send('Profiler.setSamplingInterval', { interval: 200 })
  await session.send('Profiler.start')
  await page.waitForTimeout(20000)
  const { profile } = await session.send('Profiler.stop')
  writeFileSync(`/tmp/line-${name}.cpuprofile`, JSON.stringify(profile))
  await page.close()
}
await browser.close(); await server.stop(); process.exit(0)
