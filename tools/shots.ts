import { chromium, type Browser, type Page } from '@playwright/test'
import pino from 'pino'
import { prepareDemo } from '../server/src/db/demo/prepareDemo'
import { migrate } from '../server/src/db/migrate'
import { openPool } from '../server/src/db/pool'
import { testClock } from '../server/src/http/testClock'
import { startServer } from '../server/src/server'
import { LAUNCH } from '../e2e/launch'

const FOLDER = 'docs/screenshots'
const [, , socketPath = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
const address = { socketPath, user: 'root', database: 'shots' }
const evening = new Date()
evening.setUTCHours(18, 24, 10, 0)

await migrate(address, new URL('../server/src/db/migrations/', import.meta.url))
const pool = openPool(address)
const clock = testClock()
clock.moveToMs(evening.getTime())
const kitchenId = await prepareDemo(pool, clock.now())
const server = await startServer({
  pool,
  kitchenId,
  port: 0,
  webFolder: 'app/dist',
  log: pino({ level: 'silent' }),
  clock,
})
const url = `http://127.0.0.1:${server.port}`
const browser = await chromium.launch(LAUNCH)
await takeAll(browser)
await browser.close()
await server.stop()
await pool.end()

async function takeAll(by: Browser): Promise<void> {
  const phone = await openPage(by, 'phone', 'dark')
  const wide = await openPage(by, 'wide', 'dark')
  const paper = await openPage(by, 'wide', 'light')

  await rice(phone, paper)
  await take(wide, '/line', 'line-wide')
  await take(phone, '/line', 'line-phone')
  await phone
    .getByRole('button', { name: /^Fire / })
    .last()
    .click()
  await phone.waitForURL(/\/wok\//)
  await phone.waitForTimeout(1000)
  const cookPath = new URL(phone.url()).pathname
  const stepNow = () => phone.getByRole('heading', { level: 1 }).innerText()
  while ((await stepNow()) !== 'Rice in') {
    await pass(phone, paper, 22)
    if (/out$|\?$/.test(await stepNow())) await phone.keyboard.press('Space')
    await phone.waitForTimeout(500)
  }
  await pass(phone, paper, 38)
  await shoot(phone, 'wok-phone')
  await take(paper, cookPath, 'wok-wide')
  await phone.getByRole('button', { name: 'Trouble' }).click()
  await shoot(phone, 'trouble-phone')

  const { runs } = (await (await fetch(`${url}/api/record/runs`)).json()) as {
    runs: { id: string; actualS: number; plannedS: number; portions: number }[]
  }
  const late = runs.find((run) => run.actualS - run.plannedS > 14 && run.portions > 1) ?? runs[0]
  await take(phone, `/record/${late?.id}`, 'record-run-phone')
  await take(wide, '/record', 'record-wide')
  await phone.goto(`${url}/line/add`)
  await phone.getByRole('button', { name: /^Duck/ }).first().click()
  await phone.getByRole('button', { name: /^Duck/ }).first().click()
  await phone.getByRole('checkbox', { name: 'none' }).click()
  await shoot(phone, 'ticket-add-phone')
  await book(phone, paper)
  await take(phone, '/setup', 'setup-phone')
}

/** The book, a dish at both sizes, its editor with a line in doubt, and the answer to a tasting. */
async function book(phone: Page, paper: Page): Promise<void> {
  await take(phone, '/book', 'book-phone')
  await take(phone, '/book/duck', 'dish-phone')
  await take(paper, '/book/duck', 'dish-wide')
  await take(phone, '/book/duck/taste', 'taste-phone')
  await phone.goto(`${url}/book/duck/edit`)
  const amount = phone.getByRole('textbox', { name: 'How much, line 8' })
  await amount.fill('3 tbsp (90 g)')
  await amount.evaluate((field) => field.scrollIntoView({ block: 'center' }))
  await shoot(phone, 'dish-edit-phone')
}

/** The shelf, tomorrow's plan, a tray that cools too slowly and a load to be weighed. */
async function rice(phone: Page, paper: Page): Promise<void> {
  const lots = await openLots()
  const pageOf = (name: string) => `/rice/${lots.find((lot) => lot.name === name)?.id}`
  await take(phone, '/rice', 'rice-shelf-phone')
  await take(phone, '/rice/tomorrow', 'rice-tomorrow-phone')
  await take(phone, pageOf('R-21'), 'rice-cooling-phone')
  await take(paper, pageOf('R-20'), 'rice-cooling-wide')
  await phone.goto(`${url}/rice/tomorrow`)
  await phone
    .getByRole('button', { name: /^Start / })
    .last()
    .click()
  await phone.waitForURL(/\/rice\/[0-9a-f-]{36}/)
  await shoot(phone, 'rice-load-phone')
}

async function openLots(): Promise<{ id: string; name: string }[]> {
  return ((await (await fetch(`${url}/api/rice/lots`)).json()) as { lots: { id: string; name: string }[] }).lots
}

async function openPage(by: Browser, size: 'phone' | 'wide', colorScheme: 'dark' | 'light'): Promise<Page> {
  const isPhone = size === 'phone'
  const viewport = isPhone ? { width: 390, height: 844 } : { width: 1280, height: 800 }
  const context = await by.newContext({
    viewport,
    colorScheme,
    isMobile: isPhone,
    hasTouch: isPhone,
    timezoneId: 'UTC',
  })
  await context.clock.install({ time: clock.now() })
  return context.newPage()
}

/** Lets seconds pass for the kitchen and two pages. */
async function pass(a: Page, b: Page, seconds: number): Promise<void> {
  await Promise.all([a, b].map((page) => page.context().clock.fastForward(seconds * 1000)))
  await fetch(`${url}/api/test-clock`, { method: 'PUT', body: JSON.stringify({ nowMs: clock.now() + seconds * 1000 }) })
  await a.waitForTimeout(500)
}

async function take(page: Page, path: string, name: string): Promise<void> {
  await page.goto(url + path)
  await page.getByRole('heading', { level: 1 }).first().waitFor()
  await shoot(page, name)
}

async function shoot(page: Page, name: string): Promise<void> {
  await page.waitForTimeout(name.startsWith('rice') ? 3000 : 1200)
  await page.screenshot({ path: `${FOLDER}/${name}.png` })
}
