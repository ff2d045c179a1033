import { chromium } from '@playwright/test'
import { Ingredient } from 'contract/ingredient'
import { MiseHouse } from 'contract/mise/house'
import { MiseStock } from 'contract/mise/stock'
import { chance } from '../../core/src/mise/plan/chance'
import { planPrep, usualPasses } from '../../core/src/mise/plan/planPrep'
import type { PlanInput, PlanTask } from '../../core/src/mise/plan/task'
import { LAUNCH } from '../../e2e/launch'
import { readIngredients } from '../../server/src/book/ingredient/table.csv'
import { medianMs } from './medianMs'
import { report } from './report'
import { ask, openAsDevice } from '../toolDevice'

const TASKS = 300

/** A long day: tasks in short chains over four people and six pieces of equipment. */
function longDay(): PlanInput {
  const random = chance(7)
  const tasks = Array.from({ length: TASKS }, (_, i): PlanTask => ({
    id: `t${i}`,
    durationS: 300 + 60 * Math.floor(random() * 40),
    hands: random() < 0.2 ? 0 : random() < 0.1 ? 2 : 1,
    equipment: random() < 0.5 ? [`e${Math.floor(random() * 6)}`] : [],
    needs: i > 8 && random() < 0.6 ? [{ taskId: `t${Math.floor(i - 1 - random() * 8)}` }] : [],
  }))
  const people = ['a', 'b', 'c', 'd'].map((id) => ({ id, skills: [] }))
  const equipment = Array.from({ length: 6 }, (_, i) => ({ id: `e${i}`, count: 1 + (i % 2) }))
  return { tasks, people, equipment }
}

/** The plan of a long day: the first answer, a better one, and anew after one change. */
export function prepPlans(): void {
  const input = longDay()
  const first = planPrep({ ...input, passes: 1 })
  const best = planPrep({ ...input, passes: usualPasses(TASKS) })
  const gap = (length: number) => `${(100 * (length / best.lowerBoundS - 1)).toFixed(2)} % over the bound`
  const firstMs = medianMs(() => planPrep({ ...input, passes: 1 }))
  report(
    `prep of ${TASKS} tasks: first plan`,
    `median ${firstMs.toFixed(1)} ms, ${gap(-first.firstStartS!)}`,
    '<= 50 ms',
  )
  const bestMs = medianMs(() => planPrep({ ...input, passes: usualPasses(TASKS) }))
  report('prep plan, improved', `median ${bestMs.toFixed(1)} ms, ${gap(-best.firstStartS!)}`, '<= 200 ms, in a worker')
  const nowS = best.firstStartS! + 3600
  const begun = new Map(best.tasks.filter((task) => task.startS < nowS).map((task) => [task.id, task]))
  const tasks = input.tasks.map((task) => {
    const at = begun.get(task.id)
    return at ? { ...task, fixed: { startS: at.startS, endS: at.endS, who: at.who } } : task
  })
  const before = new Map(best.tasks.map((task) => [task.id, task.latestStartS]))
  const ill = { ...input, tasks, people: input.people.slice(1), nowS, before, passes: 1 }
  const againMs = medianMs(() => planPrep(ill))
  report('prep plan, anew after one of four is ill', `median ${againMs.toFixed(1)} ms`, '<= 100 ms')
}

const ITEMS = 400
const SLOWER = 4
const SETTLE_MS = 6000
const TAPS = 10
const TAP_MS = 900
/** A finger rests on the glass for so long; the answer counts from when it leaves. */
const FINGER_MS = 90
const LOWEST_PX = 700

/** A tap on a count of 400 items on a phone's processor: from the finger's leaving to the drawn mark. */
export async function countTaps(url: string): Promise<void> {
  const rows = await fillShelves(url)
  const browser = await chromium.launch(LAUNCH)
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true })
  await openAsDevice(context)
  const page = await context.newPage()
  await page.goto(`${url}/mise/count`)
  await page
    .getByRole('button', { name: /as expected$/ })
    .first()
    .waitFor()
  const session = await context.newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
  await page.waitForTimeout(SETTLE_MS)
  await page.evaluate(`window.taps = []; new PerformanceObserver((list) => list.getEntries().forEach((one) => {
    if (one.name === 'pointerup') window.taps.push(one.duration)
  })).observe({ type: 'event', durationThreshold: 16, buffered: false })`)
  const marks = page.getByRole('button', { name: /: .* as expected$/ })
  for (let n = 0; n < TAPS; n += 1) {
    const box = await marks.nth(n).boundingBox()
    if (!box || box.y > LOWEST_PX) break
    await page.waitForTimeout(TAP_MS / 2)
    const touchPoints = [{ x: box.x + box.width / 2, y: box.y + box.height / 2 }]
    await session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints })
    await page.waitForTimeout(FINGER_MS)
    await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
    await page.waitForTimeout(TAP_MS)
  }
  const taps = (await page.evaluate<number[]>('window.taps')).sort((a, b) => a - b)
  await browser.close()
  const median = taps[taps.length >> 1] ?? 0
  report(
    `count, ${SLOWER}x slower processor: tap to mark`,
    `median ${median} ms, worst ${taps.at(-1) ?? 0} ms of ${taps.length}, ${rows} items`,
    '<= 50 ms',
  )
}

/** Ingredients and pars until the walk has 400 lines. */
async function fillShelves(url: string): Promise<number> {
  const send = async (method: string, path: string, body: unknown) => {
    const answer = await ask(`${url}/api${path}`, {
      method,
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json' },
    })
    if (!answer.ok) throw new Error(`${method} ${path}: ${await answer.text()}`)
  }
  const table = readIngredients()
  const copies = table
    .slice(0, ITEMS - table.length)
    .map((row) => ({ ...row, id: `${row.id}-2`, name: `${row.name} two`, aliases: [] }))
  for (const row of copies)
    await send('PUT', `/ingredients/${row.id}`, { version: 0, ingredient: Ingredient.parse(row) })
  const house = MiseHouse.parse(await (await ask(`${url}/api/mise/house`)).json())
  const pars = [...table, ...copies].map((row) => ({ itemId: `ingredient:${row.id}`, massG: 500, written: '500 g' }))
  await send('PUT', '/mise/house', { version: house.version, policy: { ...house.policy, pars } })
  return MiseStock.parse(await (await ask(`${url}/api/mise/stock`)).json()).rows.length
}
