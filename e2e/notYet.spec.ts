import type { Page } from '@playwright/test'
import { expect, test, type Kitchen } from './kitchen'
import { WIDE_PX } from './looks'

test.use({ evenings: 1 })

const SCREENS = [
  '/line',
  '/line/add',
  '/wok',
  '/rice',
  '/rice/tomorrow',
  '/rice/add',
  '/rice/past',
  '/mise',
  '/mise/all',
  '/mise/ready',
  '/mise/count',
  '/mise/services',
  '/book',
  '/book/duck',
  '/book/duck/edit',
  '/book/duck/taste',
  '/book/made-ahead',
  '/book/ingredients/onion',
  '/record',
  '/setup',
] as const

/** Those that are another drawing on a wide screen. */
const WIDE_SCREENS = ['/line', '/rice', '/rice/tomorrow', '/mise', '/mise/ready', '/book/duck'] as const

/** What a screen may say while it waits: that it waits. */
const WAITING = /^(–|…|Working .*|Fetching .*|Looking at .*|tonight is being worked out)$/

const TIME = /(\d+):(\d\d)(:\d\d)?/g

/** Said again later: word for word, a clock a minute on, or a count-down further down. */
function isSaidIn(later: readonly string[], text: string): boolean {
  const shape = (one: string) => one.replace(TIME, '#')
  const minutes = (one: string) => [...one.matchAll(TIME)].map(([, h, min]) => Number(h) * 60 + Number(min))
  const was = minutes(text)
  const isNear = (now: number, i: number) => Math.abs(now - (was[i] ?? 0)) <= 1 || text.endsWith('in hand')
  return later.some((one) => shape(one) === shape(text) && minutes(one).every(isNear))
}

/** Every worker of the page keeps what it is asked until it is let go. */
async function holdWorkers(page: Page): Promise<void> {
  await page.addInitScript(() => {
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

/** What the page says, clause by clause, each once. */
const saidOn = (page: Page) =>
  page.evaluate(() => {
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    const said = new Set<string>()
    while (walker.nextNode()) {
      const parent = walker.currentNode.parentElement
      const text = (walker.currentNode.textContent ?? '').trim()
      if (text !== '' && parent && !parent.closest('script, style, noscript') && parent.getClientRects().length > 0)
        for (const clause of text.split(/, | · /)) said.add(clause)
    }
    return [...said]
  })

/** The same twice, 300 ms apart: nothing more is coming in. */
async function settled(page: Page): Promise<string[]> {
  let before: string[] = []
  await expect
    .poll(
      async () => {
        const now = await saidOn(page)
        const isSame = now.join('\n') === before.join('\n')
        before = now
        return isSame
      },
      { intervals: [300], timeout: 20_000 },
    )
    .toBe(true)
  return before
}

async function lotPaths(kitchen: Kitchen): Promise<string[]> {
  const { lots } = (await (await fetch(`${kitchen.url}/api/rice/lots`)).json()) as { lots: { id: string }[] }
  return lots.map((lot) => `/rice/${lot.id}`)
}

test('while workers are held back, no screen says what is false once they have answered', async ({ kitchen, open }) => {
  test.setTimeout(240_000)
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
