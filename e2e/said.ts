import type { Page } from '@playwright/test'
import { expect, type Kitchen } from './kitchen'

/** Every screen that stands without a thing of its own. */
export const SCREENS = [
  '/line',
  '/line/add',
  '/line/running',
  '/line/pass',
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
  '/setup/waves',
  '/setup/first',
  '/setup/kitchen',
  '/setup/stations',
  '/setup/rice',
  '/setup/sketches',
  '/setup/begin',
  '/setup/archive',
  '/setup/prep',
  '/setup/instruments',
  '/setup/people',
  '/setup/devices',
  '/setup/changes',
  '/setup/aside',
  '/pair',
  '/setup/station/ring-b',
  '/setup/station/ring-b/calibrate',
] as const

/** Those that are another drawing on a wide screen. */
export const WIDE_SCREENS = ['/line', '/rice', '/rice/tomorrow', '/mise', '/mise/ready', '/book/duck'] as const

/** What a screen may say while it waits: that it waits. */
export const WAITING = /^(–|…|Working .*|Fetching .*|Looking at .*|tonight is being worked out)$/

const TIME = /(\d+):(\d\d)(:\d\d)?/g
/** A minute may go by while the page is looked at. */
const AGO = /(\d+) min ago/g

/** Said again later: word for word, a clock a minute on, or a count-down further down. */
export function isSaidIn(later: readonly string[], text: string): boolean {
  const shape = (one: string) => one.replace(TIME, '#').replace(AGO, '# min ago')
  const minutes = (one: string) => [
    ...[...one.matchAll(TIME)].map(([, h, min]) => Number(h) * 60 + Number(min)),
    ...[...one.matchAll(AGO)].map(([, min]) => Number(min)),
  ]
  const was = minutes(text)
  const isNear = (now: number, i: number) => Math.abs(now - (was[i] ?? 0)) <= 1 || text.endsWith('in hand')
  return later.some((one) => shape(one) === shape(text) && minutes(one).every(isNear))
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
export async function settled(page: Page): Promise<string[]> {
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

export async function lotPaths(kitchen: Kitchen): Promise<string[]> {
  const { lots } = (await (await kitchen.fetch(`/rice/lots`)).json()) as { lots: { id: string }[] }
  return lots.map((lot) => `/rice/${lot.id}`)
}
