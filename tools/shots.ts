import { chromium, type Browser, type Page } from '@playwright/test'
import { LAUNCH } from '../e2e/launch'
import { ComplaintList } from '../contract/src/faults'
import { writeBeside } from './beside'
import { shootHouse } from './houseShots'
import { shootMise } from './miseShots'
import { kitchenAt, openPage } from './shotKitchen'
import { ask } from './toolDevice'

const FOLDER = 'docs/screenshots'
const { url, clock, stop } = await kitchenAt('shots', 18, 24)
const browser = await chromium.launch(LAUNCH)
await shootHouse(browser, url, clock, FOLDER)
await takeAll(browser)
await shootMise(browser, FOLDER)
await browser.close()
await stop()

async function takeAll(by: Browser): Promise<void> {
  const phone = await openPage(by, clock, 'phone', 'dark')
  const wide = await openPage(by, clock, 'wide', 'dark')
  const paper = await openPage(by, clock, 'wide', 'light')

  await rice(phone, wide)
  for (const [page, name] of [
    [wide, 'line-wide'],
    [phone, 'line-phone'],
  ] as const) {
    await page.goto(`${url}/line`)
    await page
      .getByRole('button', { name: /^Fire .* k?g$/, disabled: false })
      .last()
      .waitFor()
    await page.waitForTimeout(2500)
    await shoot(page, name)
  }
  await take(wide, '/record', 'record-wide')
  await take(wide, '/setup/station/ring-b', 'station-wide')
  await whatIf(wide)
  const duck = phone.getByRole('button', { name: /^Duck and pickled greens, [2-9] portions, Ring A, up/ })
  if ((await duck.count()) > 0) await duck.first().click()
  await phone
    .getByRole('button', { name: /^Fire / })
    .last()
    .click()
  await phone.waitForURL(/\/wok\//)
  await phone.waitForTimeout(1000)
  const cookPath = new URL(phone.url()).pathname
  const stepNow = () => phone.getByRole('heading', { level: 1 }).innerText()
  while ((await stepNow()) !== 'Rice in') {
    const yes = phone.getByRole('button', { name: /^Yes, it is/ })
    if (await yes.isVisible()) await yes.click()
    else await pass(phone, paper, 12)
    await phone.waitForTimeout(500)
  }
  await pass(phone, paper, 38)
  await shoot(phone, 'wok-phone')
  await phone.getByRole('button', { name: 'Trouble' }).click()
  await shoot(phone, 'trouble-phone')
  await phone.getByRole('button', { name: /^Go on/ }).click()
  await take(paper, cookPath, 'wok-wide')
  const { complaints } = ComplaintList.parse(await (await ask(`${url}/api/complaints`)).json())
  const [runId = ''] = complaints.flatMap(({ of }) => (of.kind === 'run' ? [of.runId] : []))
  const run = await pictureOf(phone, `/record/${runId}`)
  await writeBeside(by, [run, await fault(phone, runId)], `${FOLDER}/record-phones.png`)
  await writeBeside(by, await book(phone, paper), `${FOLDER}/book-phones.png`)
}

/** The book, a dish at both sizes, its score as it is edited. */
async function book(phone: Page, paper: Page): Promise<Buffer[]> {
  const dish = await pictureOf(phone, '/book/duck')
  await take(paper, '/book/duck', 'dish-wide')
  await phone.goto(`${url}/book/duck/edit`)
  await phone.getByRole('button', { name: 'Hold garlic in its place' }).click()
  await phone
    .getByRole('radiogroup', { name: 'Where garlic goes in' })
    .getByRole('radio', { name: 'off the flame' })
    .click()
  await phone.getByText('kept', { exact: true }).waitFor()
  await phone.getByRole('button', { name: 'Hold garlic in its place' }).click()
  await phone.getByRole('heading', { name: /^Score on Ring A/ }).evaluate((one) => one.scrollIntoView())
  await phone.waitForTimeout(1200)
  return [dish, await phone.screenshot()]
}

/** What a guest complained of, with what may be behind it. */
async function fault(phone: Page, runId: string): Promise<Buffer> {
  await phone.goto(`${url}/record/fault/${runId}`)
  await phone.getByText('Likely because').waitFor()
  await phone.waitForTimeout(1200)
  return phone.screenshot()
}

/** A dish on less flame, beside what it does today. */
async function whatIf(wide: Page): Promise<void> {
  await wide.goto(`${url}/book/duck/what-if`)
  await wide.getByText('As long as today.').waitFor()
  for (let presses = 0; presses < 3; presses += 1)
    await wide.getByRole('spinbutton', { name: 'Flame' }).press('PageDown')
  await wide.getByText(/later than today/).waitFor()
  await wide.getByRole('heading', { level: 1 }).evaluate((one) => one.scrollIntoView())
  await wide.waitForTimeout(2000)
  await shoot(wide, 'what-if-wide')
}

/** The shelf and trays that cool. */
async function rice(phone: Page, wide: Page): Promise<void> {
  const lots = await openLots()
  const pageOf = (name: string) => `/rice/${lots.find((lot) => lot.name === name)?.id}`
  await take(phone, '/rice', 'rice-shelf-phone')
  await take(phone, pageOf('R-21'), 'rice-cooling-phone')
  await take(wide, '/rice', 'rice-wide')
}

async function openLots(): Promise<{ id: string; name: string }[]> {
  return ((await (await ask(`${url}/api/rice/lots`)).json()) as { lots: { id: string; name: string }[] }).lots
}

/** Lets seconds pass for the kitchen and two pages. */
async function pass(a: Page, b: Page, seconds: number): Promise<void> {
  await Promise.all([a, b].map((page) => page.context().clock.fastForward(seconds * 1000)))
  await ask(`${url}/api/test-clock`, { method: 'PUT', body: JSON.stringify({ nowMs: clock.now() + seconds * 1000 }) })
  await a.waitForTimeout(500)
}

async function take(page: Page, path: string, name: string): Promise<void> {
  await open(page, path)
  await shoot(page, name)
}

async function pictureOf(page: Page, path: string): Promise<Buffer> {
  await open(page, path)
  await page.waitForTimeout(1200)
  return page.screenshot()
}

async function open(page: Page, path: string): Promise<void> {
  await page.goto(url + path)
  await page.getByRole('heading', { level: 1 }).first().waitFor()
}

async function shoot(page: Page, name: string): Promise<void> {
  await page.waitForTimeout(name.startsWith('rice') ? 3000 : 1200)
  await page.screenshot({ path: `${FOLDER}/${name}.png` })
}
