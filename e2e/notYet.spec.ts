import type { Page } from '@playwright/test'
import { expect, test } from './kitchen'
import { WIDE_PX } from './width'
import { isSaidIn, lotPaths, SCREENS, settled, WAITING, WIDE_SCREENS } from './said'

test.use({ evenings: 1, isNewDevice: true })

/** Every worker of the page keeps what it is asked until it is let go. */
async function holdWorkers(page: Page): Promise<void> {
  await page.addInitScript(() => {
    // A device that was here before would know what the workers are asked.
    localStorage.removeItem('okazu.times')
    const held: (() => void)[] = []
    const { value: post } = Object.getOwnPropertyDescriptor(Worker.prototype, 'postMessage') as {
      value: Worker['postMessage']
    }
    const window = globalThis as unknown as { letGo: boolean; letWorkersGo: () => number }
    window.letGo = false
    window.letWorkersGo = () => {
      window.letGo = true
      return held.splice(0).map((send) => send()).length
    }
    Worker.prototype.postMessage = function (this: Worker, ...args: unknown[]) {
      const send = () => Reflect.apply(post, this, args) as void
      if (window.letGo) send()
      else held.push(send)
    }
  })
}

test('while workers are held back, no screen says what is false once they have answered', async ({ kitchen, open }) => {
  test.setTimeout(300_000)
  const page = await open('/setup')
  await holdWorkers(page)
  const wrong: string[] = []
  let waited = 0
  const isWide = page.viewportSize()!.width > WIDE_PX
  for (const path of isWide ? WIDE_SCREENS : [...SCREENS, ...(await lotPaths(kitchen))]) {
    await page.goto(kitchen.url + path)
    await expect(page.getByRole('heading').or(page.getByText(WAITING)).first()).toBeVisible()
    const early = await settled(page)
    const held = await page.evaluate(() => (globalThis as unknown as { letWorkersGo: () => number }).letWorkersGo())
    if (held === 0) continue
    await page.waitForTimeout(300)
    const late = await settled(page)
    waited += Number(early.some((text) => WAITING.test(text)))
    wrong.push(
      ...early.filter((text) => !isSaidIn(late, text) && !WAITING.test(text)).map((text) => `${path}: ${text}`),
    )
  }
  expect(wrong).toEqual([])
  expect(waited).toBeGreaterThan(isWide ? 1 : 3)
})

/** A question of a screen whose answer is held back. */
const HELD = [
  ['/line', 'tickets'],
  ['/line', 'runs'],
  ['/line/add', 'tickets'],
  ['/wok', 'runs'],
  ['/rice', 'rice/lots'],
  ['/rice', 'rice/tonight'],
  ['/rice/past', 'rice/lots/past'],
  ['/mise', 'mise/plans'],
  ['/mise/count', 'mise/stock'],
  ['/record', 'record/runs'],
  ['/book', 'dishes'],
  ['/book/made-ahead', 'recipes'],
] as const

test(
  'while an answer is held back, no screen says what is false once it has come',
  { tag: '@phone' },
  async ({ kitchen, open }) => {
    test.setTimeout(300_000)
    const wrong: string[] = []
    for (const [path, question] of HELD) {
      const page = await open('/setup')
      let answer = (): void => undefined
      const held = new Promise<void>((resolve) => (answer = resolve))
      // Nothing is kept of the screens before; the deletion is done as soon as this page is left.
      await page.evaluate(async () => {
        localStorage.clear()
        for (const { name } of await indexedDB.databases()) if (name) indexedDB.deleteDatabase(name)
      })
      await page.route(new RegExp(`/api/${question}(\\?|$)`), async (route) => {
        await held
        await route.continue()
      })
      await page.goto(kitchen.url + path)
      await expect(page.getByRole('heading').or(page.getByText(WAITING)).first()).toBeVisible()
      const early = await settled(page)
      answer()
      await page.waitForTimeout(600)
      const late = await settled(page)
      wrong.push(
        ...early
          .filter((text) => !isSaidIn(late, text) && !WAITING.test(text))
          .map((text) => `${path} without ${question}: ${text}`),
      )
      await page.close()
    }
    expect(wrong).toEqual([])
  },
)
