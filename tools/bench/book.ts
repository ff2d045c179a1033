import { chromium } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { balanceOf, usualRole } from '../../core/src/book/balance/balance'
import { findingsOf } from '../../core/src/book/balance/findings'
import { STYLES } from '../../core/src/book/balance/style'
import { indexIngredients, lookUp } from '../../core/src/book/lookUp'
import { parseLine } from '../../core/src/book/ingredientLine/parseLine'
import { weighLine } from '../../core/src/book/ingredientLine/weighLine'
import { LAUNCH } from '../../e2e/launch'
import { readIngredients } from '../../server/src/book/ingredient/table.csv'
import { medianMs } from './medianMs'
import { report } from './report'
import { openAsDevice } from '../toolDevice'

const LINES = 1000
const COMPONENTS = 25

/** Reading a thousand lines, and the balance of a large dish. */
export function bookModels(): void {
  const written = readFileSync(new URL('../../core/outside/ingredientLines.txt', import.meta.url), 'utf8')
    .split('\n')
    .filter((row) => row !== '' && !row.startsWith('# '))
    .map((row) => row.split(' => ')[0] ?? '')
  const lines = Array.from({ length: LINES }, (_, i) => written[i % written.length]!)
  const parseMs = medianMs(() => lines.map((line) => parseLine(line, 'us')))
  report('1,000 ingredient lines read', `median ${parseMs.toFixed(1)} ms`, '<= 50 ms')
  const table = readIngredients()
  const index = indexIngredients(table)
  const weighMs = medianMs(() =>
    lines.map((line) => {
      const parsed = parseLine(line, 'us')
      return weighLine(parsed, lookUp(index, parsed.ingredient), 'us')
    }),
  )
  report('1,000 lines read, looked up and weighed', `median ${weighMs.toFixed(1)} ms`, 'none set')
  const parts = table.slice(0, COMPONENTS).map((ingredient, i) => ({
    id: String(i),
    name: ingredient.name,
    role: usualRole(ingredient),
    ingredient,
    massG: 10 + i,
  }))
  const balanceMs = medianMs(() => findingsOf(balanceOf(parts), parts, STYLES[0]!))
  report('balance and findings of 25 components', `median ${balanceMs.toFixed(3)} ms`, '<= 1 ms')
}

const SLOWER = 4
const SETTLE_MS = 4000
const KEYS = '1½ tbsp 40 g 2 cups '
const KEY_MS = 220

/** Typing in the editor on a phone's processor: the longest task while keys come in. */
export async function editorTyping(url: string): Promise<void> {
  const browser = await chromium.launch(LAUNCH)
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true })
  await openAsDevice(context)
  const page = await context.newPage()
  await page.goto(`${url}/book/duck/edit`)
  const amount = page.getByRole('textbox', { name: 'How much, line 3' })
  await amount.waitFor()
  const session = await context.newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
  await page.waitForTimeout(SETTLE_MS)
  await amount.focus()
  await page.keyboard.type('5')
  await page.waitForTimeout(SETTLE_MS)
  await page.evaluate(`window.tasks = []
    new PerformanceObserver((list) => list.getEntries().forEach((one) => window.tasks.push(one.duration)))
      .observe({ type: 'longtask' })`)
  for (const key of KEYS) {
    await page.keyboard.type(key)
    await page.waitForTimeout(KEY_MS)
  }
  await page.waitForTimeout(SETTLE_MS / 4)
  const tasks = await page.evaluate<number[]>('window.tasks')
  await browser.close()
  report(
    `typing ${KEYS.length} keys in the editor, ${SLOWER}x slower processor`,
    `${tasks.length} tasks over 50 ms, longest ${Math.round(Math.max(0, ...tasks))} ms`,
    'no task over 50 ms',
  )
}
