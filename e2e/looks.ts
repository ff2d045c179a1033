import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, type Kitchen } from './kitchen'
import { WIDE_PX } from './width'

/** Opens the page again with other settings of its device. */
export async function settings(page: Page, changes: object): Promise<void> {
  await page.addInitScript((kept) => localStorage.setItem('okazu.settings', JSON.stringify(kept)), changes)
  await page.reload()
  await ready(page)
}

/**
 * What axe finds on steel, and what it finds of the contrast on paper, where nothing else differs; colours are the same
 * on a wide screen, so paper is judged on the phone.
 */
export async function seriousFindings(page: Page): Promise<string[]> {
  const judge = () => new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] })
  const onSteel = (await judge().analyze()).violations
  if ((page.viewportSize()?.width ?? 0) > WIDE_PX) return onSteel.filter(isSerious).map(inWords)
  await ground(page, 'paper')
  const onPaper = (await judge().withRules(['color-contrast']).analyze()).violations
  await ground(page, 'steel')
  return [...onSteel, ...onPaper].filter(isSerious).map(inWords)
}

type Finding = Awaited<ReturnType<AxeBuilder['analyze']>>['violations'][number]
const isSerious = (one: Finding) => one.impact === 'serious' || one.impact === 'critical'
const inWords = (one: Finding) =>
  `${one.id}: ${one.nodes
    .slice(0, 3)
    .map((node) => `${node.target.join(' ')} ${node.failureSummary ?? ''}`)
    .join(' | ')}`

const ground = (page: Page, theme: 'steel' | 'paper') =>
  page.evaluate((to) => void (document.documentElement.dataset['theme'] = to), theme)

/** A screen has its heading, and the browser's title names it. */
export async function ready(page: Page): Promise<void> {
  const heading = page.getByRole('heading', { level: 1 }).first()
  await expect(heading).toBeVisible()
  // The name of the app behind it has other letters in the locale that is two fifths longer.
  const namesPage = async () => (await page.title()).startsWith(`${await heading.textContent()} · `)
  await expect.poll(namesPage, 'the title names the page').toBe(true)
}

/**
 * Goes to an address within the page, as its own links do: nothing is loaded again, so that many screens are looked at in
 * little time. The new screen is there once it has given the page its title.
 */
export async function goWithin(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    document.title = ''
    history.pushState(null, '', to)
    dispatchEvent(new PopStateEvent('popstate'))
  }, path)
  await expect.poll(() => page.title(), `${path} names the page`).toMatch(/ · /)
}

/** What is data and not the interface's words: names of the kitchen's own, as the API gives them. */
export async function dataWords(kitchen: Kitchen): Promise<Set<string>> {
  const texts = await Promise.all(
    [
      '/kitchen',
      '/dishes',
      '/recipes',
      '/ingredients',
      '/styles',
      '/tickets',
      '/record/runs',
      '/rice/lots',
      '/rice/house',
      '/mise/house',
      '/mise/plans',
      '/mise/stock',
      '/people',
      '/paired-devices',
      '/audit',
      '/sketches',
    ].map(async (path) => (await kitchen.fetch(`${path}`)).text()),
  )
  return new Set((texts.join(' ').match(/[A-Za-z]+/g) ?? []).map((word) => word.toLowerCase()))
}
/** Roles and states stand in a CSV letter for letter, so the book shows them as they are typed. */
export async function wordsToType(kitchen: Kitchen): Promise<string[]> {
  const document = await (await kitchen.fetch(`/openapi.json`)).text()
  const lists = [...document.matchAll(/"enum":\[([^\]]*)\]/g)].map((match) => match[1] ?? '')
  return (
    lists
      .join(' ')
      .match(/[A-Za-z]+/g)
      ?.map((word) => word.toLowerCase()) ?? []
  )
}

const UNITS = ['g', 'kg', 'cm', 's', 'mL', 'tbsp', 'mg', 'kJ', 'C', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Sept', 'Oct', 'Nov', 'Dec']

export async function strangeWords(page: Page, known: Set<string>): Promise<string[]> {
  const texts = await page.evaluate(() => {
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    const found: string[] = []
    while (walker.nextNode()) {
      const parent = walker.currentNode.parentElement
      if (parent?.closest('script, style, noscript')) continue
      found.push(walker.currentNode.textContent ?? '')
    }
    document.querySelectorAll('[aria-label]').forEach((one) => found.push(one.getAttribute('aria-label') ?? ''))
    return found
  })
  const words = texts.flatMap((text) => text.match(/(?<![\p{L}])[A-Za-z]{2,}(?![\p{L}])…?/gu) ?? [])
  const allowed = new Set([...UNITS, ...MONTHS])
  // The label of a score is cut where its channel ends: "pickled gre…".
  const isKnown = (word: string) =>
    word.endsWith('…')
      ? [...known].some((one) => one.startsWith(word.slice(0, -1).toLowerCase()))
      : allowed.has(word) || known.has(word.toLowerCase())
  return [...new Set(words)].filter((word) => !isKnown(word))
}

/** Elements whose words are cut off: wider or higher than the box that clips them, or beyond the window. */
export async function clipped(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const cut: string[] = []
    document.querySelectorAll<HTMLElement>('[dir="auto"]').forEach((one) => {
      const box = one.getBoundingClientRect()
      if (box.width === 0 || one.closest('[role=img]')) return
      const style = getComputedStyle(one)
      const isEllipsis = style.textOverflow === 'ellipsis' || style.webkitLineClamp !== 'none'
      const isWider = one.scrollWidth > one.clientWidth + 1 && style.overflow === 'hidden' && !isEllipsis
      if (isWider || box.left < -1 || box.right > window.innerWidth + 1)
        cut.push(`${one.textContent?.slice(0, 40)} ${Math.round(box.left)}-${Math.round(box.right)}`)
    })
    return cut
  })
}
