import type { BrowserContext } from '@playwright/test'
import { cookSaid, expect, fireFirst, shellKept, step, test } from './kitchen'
import { WIDE_PX } from './width'
import { isSaidIn, lotPaths, SCREENS, settled, WAITING, WIDE_SCREENS } from './said'

test.use({ serviceWorkers: 'allow', isNewDevice: true })

/** A question that nobody answers is given up after eight seconds, and asked again after two: twice, on a starved machine. */
const PATIENT_MS = 40_000

/** What may be said without a network and is not said with one: that there is none, what it waits for, and ways to go. */
const NO_NETWORK =
  /^(Rice|Mise|Wok|Line|Record|Book|Set-up|No network|the run goes on; \d+ kept here|The kitchen’s server does not answer|Nothing is lost\. Check the network; it goes on by itself as soon as it is back\.|Try again|That did not work|The kitchen does not answer: this device asks again by itself\.)$/

test.describe('every screen', () => {
  test.use({ evenings: 1 })
  test('opened cold and without a network says nothing that is false', async ({ kitchen, open, context }) => {
    test.setTimeout(420_000)
    const first = await open('/setup')
    await shellKept(first)
    await expect(first.getByRole('heading').first()).toBeVisible()
    const isWide = first.viewportSize()!.width > WIDE_PX
    const paths = isWide
      ? [...WIDE_SCREENS, '/record', '/book', '/mise/count', '/rice/past', '/setup']
      : [...SCREENS, ...(await lotPaths(kitchen)).slice(0, 2), '/wok/0197c000-0000-7000-8000-000000000000']
    const saidAt = async (path: string) => {
      await first.goto(kitchen.url + path)
      await expect(first.locator('body')).toHaveText(/\w/, { useInnerText: true })
      await first.waitForTimeout(400)
      return settled(first)
    }
    await context.setOffline(true)
    const offline = new Map<string, string[]>()
    for (const path of paths) offline.set(path, await saidAt(path))
    await context.setOffline(false)
    const wrong: string[] = []
    for (const path of paths) {
      const online = await saidAt(path)
      const isKnown = (text: string) => isSaidIn(online, text) || WAITING.test(text) || NO_NETWORK.test(text)
      const said = offline.get(path)!
      if (said.length === 0) wrong.push(`${path}: nothing at all`)
      wrong.push(...said.filter((text) => !isKnown(text)).map((text) => `${path}: ${text}`))
    }
    expect(wrong).toEqual([])
  })
})

test(
  'a reload without a network shows the run at its step after six seconds and after an hour',
  { tag: '@phone' },
  async ({ kitchen, open, context }) => {
    const page = await open('/line')
    await shellKept(page)
    await fireFirst(page)
    await kitchen.pass(context, 36)
    await expect(step(page)).toHaveText('Egg in')
    await context.setOffline(true)
    // Long enough for every question that is asked again to have failed.
    await page.waitForTimeout(6000)
    const before = await step(page).textContent()
    await page.reload()
    await expect(step(page)).toHaveText(before ?? '')
    await kitchen.pass(context, 3600)
    await page.reload()
    await expect(step(page)).not.toHaveText('')
    await expect(page.getByText('The kitchen’s server does not answer')).toBeHidden()
    await expect(page.getByText('Duck and pickled greens')).toBeVisible()
  },
)

test.describe('a device that keeps nothing', { tag: '@phone' }, () => {
  const forbid = (context: BrowserContext, what: 'full' | 'forbidden') =>
    context.addInitScript((why) => {
      const refuse = () => {
        throw new DOMException('no', why === 'full' ? 'QuotaExceededError' : 'SecurityError')
      }
      Storage.prototype.setItem = refuse
      if (why === 'forbidden') IDBFactory.prototype.open = refuse
    }, what)

  for (const [what, title] of [
    ['full', 'This device is full'],
    ['forbidden', 'This page may keep nothing on this device'],
  ] as const)
    test(`${what}: Done works, and the screen says what is not kept`, async ({ kitchen, open, context }) => {
      await forbid(context, what)
      const page = await open('/line')
      const runId = await fireFirst(page)
      await kitchen.pass(context, 36)
      await expect(step(page)).toHaveText('Egg in')
      await page.getByRole('button', { name: /^Done/ }).click()
      await expect(step(page)).toHaveText('Egg out')
      await expect.poll(async () => cookSaid(await kitchen.run(runId)).map((event) => event.kind)).toEqual(['done'])
      await context.setOffline(true)
      await page.getByRole('button', { name: /^Yes, it is/ }).click()
      await expect(page.getByText(title)).toBeVisible()
      await expect(page.getByText(/lost if this page is closed/)).toBeVisible()
      await context.setOffline(false)
      await kitchen.pass(context, 5)
      await expect.poll(async () => cookSaid(await kitchen.run(runId)).length, { timeout: PATIENT_MS }).toBe(2)
    })
})

test.describe('a clock that is set', { tag: '@phone' }, () => {
  for (const [name, byMs] of [
    ['ten minutes forward', 600_000],
    ['ten minutes back', -600_000],
    ['two days forward', 172_800_000],
    ['two days back', -172_800_000],
  ] as const)
    test(`${name}, in mid-run and without a network: the run goes on, also after a reload`, async ({
      kitchen,
      open,
      context,
    }) => {
      const page = await open('/line')
      await shellKept(page)
      const runId = await fireFirst(page)
      await kitchen.pass(context, 36)
      await expect(step(page)).toHaveText('Egg in')
      await context.setOffline(true)
      await context.clock.setSystemTime(kitchen.now() + byMs)
      await page.waitForTimeout(1500)
      await expect(step(page)).toHaveText('Egg in')
      await page.getByRole('button', { name: /^Done/ }).click()
      await expect(step(page)).toHaveText('Egg out')
      await page.reload()
      await expect(step(page)).toHaveText('Egg out')
      await context.setOffline(false)
      await expect
        .poll(async () => cookSaid(await kitchen.run(runId)).map((event) => event.kind), { timeout: PATIENT_MS })
        .toEqual(['done'])
      const run = await kitchen.run(runId)
      const [event] = cookSaid(run)
      expect(event!.atMs).toBeGreaterThanOrEqual(run.firedAtMs)
      // A clock that is believed is ten minutes off at least; a slow machine needs a part of a minute to get here.
      expect(Math.abs(event!.atMs - kitchen.now())).toBeLessThan(300_000)
    })
})
