import type { BrowserContext, Page } from '@playwright/test'
import { MiseHouse } from 'contract/mise/house'
import { MisePlanList, type MisePlan } from 'contract/mise/plan'
import { MiseStock } from 'contract/mise/stock'
import { enterPin, expect, test, type Kitchen } from './kitchen'

test.use({ serviceWorkers: 'allow' })

const api = async (kitchen: Kitchen, path: string): Promise<unknown> => (await kitchen.fetch(`${path}`)).json()
const plansOf = async (kitchen: Kitchen) => MisePlanList.parse(await api(kitchen, '/mise/plans')).plans
const tonight = async (kitchen: Kitchen): Promise<MisePlan> => {
  const found = (await plansOf(kitchen)).find((plan) => plan.serviceId === 'evening')
  if (!found) throw new Error('no evening is coming')
  return found
}
const stockOf = async (kitchen: Kitchen, itemId: string) =>
  MiseStock.parse(await api(kitchen, '/mise/stock')).rows.find((row) => row.itemId === itemId)
const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first().click()

/** The plan has its better answer by then, and stands still. */
const SETTLED_MS = 3000

/** Lets time pass until the clock of the kitchen shows an hour (its zone is UTC in tests). */
async function untilHour(kitchen: Kitchen, context: BrowserContext, hour: number): Promise<void> {
  const now = new Date(kitchen.now())
  const wanted = Date.UTC(now.getUTCFullYear(), now.getUTCMonth(), now.getUTCDate(), hour)
  const aheadMs = wanted - now.getTime()
  await kitchen.pass(context, (aheadMs < 0 ? aheadMs + 86_400_000 : aheadMs) / 1000)
}

async function drawTonight(kitchen: Kitchen): Promise<MisePlan> {
  const { id, version } = await tonight(kitchen)
  expect((await kitchen.post(`/mise/plans/${id}`, { version })).status).toBe(200)
  return tonight(kitchen)
}

test('from the plan to the board, short, planned anew, and ready for service', async ({ kitchen, open, context }) => {
  test.setTimeout(150_000)
  const page = await open('/mise')
  await untilHour(kitchen, context, 14)

  await test.step('a plan is drawn from what is expected and what is on hand', async () => {
    await page.goto(`${kitchen.url}/mise/services`)
    await press(page, /^Make the plan: Evening/)
    await expect(page.getByText(/^made 14:0\d, \d+ tasks, \d+ portions/).first()).toBeVisible()
    await expect(page.getByRole('heading', { name: 'To buy' })).toBeVisible()
  })

  await test.step('whoever holds the phone sees one task, with what may hurt; crab cannot thaw in time', async () => {
    await page.goto(`${kitchen.url}/mise`)
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Back from 17:00')
    await press(page, /Who holds this/)
    await enterPin(page, 'Ifeoma', '6935')
    await expect(page.getByText('Ifeoma, next')).toBeVisible()
    await page.goto(`${kitchen.url}/mise/all`)
    await press(page, /Thaw crab/)
    await expect(page.getByRole('dialog')).toContainText(/start now, or take crab off tonight: \d+ portions/)
    await expect(page.getByRole('dialog')).toContainText('never on the bench')
    await page.keyboard.press('Escape')
  })

  await test.step('a task is begun; its clock survives a reload; a double tap begins it once', async () => {
    await press(page, /Cut kimchi/)
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /^Start kimchi/ })
      .dblclick()
    await expect
      .poll(async () => (await tonight(kitchen)).events.filter((event) => event.kind === 'began').length)
      .toBe(1)
    await page.goto(`${kitchen.url}/mise`)
    await expect(page.getByRole('heading', { level: 2, name: 'Cut kimchi' })).toBeVisible()
    await kitchen.pass(context, 120)
    await page.reload()
    await expect(page.getByRole('button', { name: /^Kimchi done/ })).toBeVisible()
    await expect(page.getByText(/planned until 14:/).first()).toBeVisible()
  })

  await test.step('only half of it came out: the plan says for how many portions, and what the line must know', async () => {
    await press(page, /^More about kimchi/)
    await press(page, /^Done short/)
    const dial = page.getByRole('spinbutton')
    await dial.focus()
    await page.keyboard.type('300')
    await expect(page.getByText(/lasts for \d+ of \d+ portions/)).toBeVisible()
    await press(page, 'Done with 300 g')
    await expect(page.getByText(/M-[0-9A-F]{4}: kimchi, use by/)).toBeVisible()
    await expect(page.getByText(/^The line must know: .*kimchi \d+ of \d+/)).toBeVisible()
    await expect.poll(async () => (await stockOf(kitchen, 'cut:kimchi:dice-12'))?.lots[0]?.leftG).toBe(300)
  })

  await test.step('without a network a task is still done, and the kitchen hears of it later', async () => {
    const before = (await tonight(kitchen)).events.length
    await context.setOffline(true)
    await press(page, /^Start /)
    await expect(page.getByRole('button', { name: / done, / })).toBeVisible()
    await context.setOffline(false)
    await expect.poll(async () => (await tonight(kitchen)).events.length, { timeout: 15_000 }).toBeGreaterThan(before)
  })

  await test.step('somebody is ill: the plan is made anew and says what it changed; what is under way stays', async () => {
    const begun = (await tonight(kitchen)).events.filter((event) => event.kind === 'began').map((event) => event.taskId)
    await page.goto(`${kitchen.url}/mise/services`)
    await press(page, 'Someone is away')
    await press(page, 'Tam is away today')
    await page.goto(`${kitchen.url}/mise`)
    await expect(page.getByText(/^The plan changed: \d+ things?/)).toBeVisible()
    await press(page, 'See')
    const changes = page.getByRole('dialog', { name: 'What the plan changed' })
    await expect(changes).toContainText(/now (Ifeoma|Bram|Wen)/)
    expect(begun.length).toBeGreaterThan(1)
    await page.keyboard.press('Escape')
    await expect(page.getByText(/^The plan changed/)).toHaveCount(0)
  })

  await test.step('are we ready? what is missing, for how many portions, by when, and what mends it', async () => {
    await page.goto(`${kitchen.url}/mise/ready`)
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Ready for 17:00\? No$/)
    await expect(page.getByRole('listitem').filter({ hasText: 'Kimchi' }).first()).toContainText(
      /bring or make .* or stop at \d+/,
    )
    await press(page, 'Ring A is ready')
    await expect
      .poll(async () => (await tonight(kitchen)).events.at(-1))
      .toMatchObject({ kind: 'checked', checkId: 'station:ring-a' })
    await expect(page.getByRole('button', { name: 'Ring A is ready' })).toHaveCount(0)
  })
})

test('the wide plan by keyboard', { tag: '@wide' }, async ({ kitchen, open, context }) => {
  const page = await open('/mise')
  await untilHour(kitchen, context, 14)
  await drawTonight(kitchen)
  await page.goto(`${kitchen.url}/mise`)
  const plan = page.getByRole('group', { name: /^The plan, \d+ tasks/ })
  await expect(plan).toBeVisible()
  await page.waitForTimeout(SETTLED_MS)
  const focused = () => page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '')
  await plan.getByRole('button').first().focus()
  const first = await focused()
  expect(first).toMatch(/, (\d\d:\d\d) to (\d\d:\d\d), .* (of slack|late)$/)
  await page.keyboard.press('ArrowRight')
  const second = await focused()
  expect(second).not.toBe(first)
  await page.keyboard.press('ArrowLeft')
  expect(await focused()).toBe(first)
  await page.keyboard.press('ArrowDown')
  expect(await focused()).not.toBe(first)
  const task = (await focused()).split(',')[0]!
  await page.keyboard.press('Enter')
  const sheet = page.getByRole('dialog')
  await expect(sheet).toBeVisible()
  await expect(sheet).toHaveAttribute('aria-label', task)
  await page.keyboard.press('Escape')
  await expect(sheet).toHaveCount(0)
})

test('the count: right as it is, another number, a slip explained, two who disagree', async ({ kitchen, open }) => {
  test.setTimeout(90_000)
  const page = await open('/mise/count')
  const soy = 'ingredient:soy-sauce-light'

  await test.step('one knuckle after the other, in walking order', async () => {
    const next = page.getByRole('button', { name: /as expected$/ }).last()
    await expect(next).toBeVisible()
    await page
      .getByRole('button', { name: /: .* as expected$/ })
      .first()
      .click()
    await expect(page.getByText(/^1 of \d+ counted/)).toBeVisible()
  })

  await test.step('a number that cannot be is explained, a volume is weighed', async () => {
    await page.getByRole('textbox', { name: 'Find' }).fill('light soy')
    await press(page, /^Count Light soy sauce/)
    const typed = page.getByRole('textbox', { name: /^Or type it/ })
    await typed.fill('-2 kg')
    await expect(page.getByText(/Less than nothing cannot be there/)).toBeVisible()
    await typed.fill('some')
    await expect(page.getByText(/^That is no amount/).first()).toBeVisible()
    await typed.fill('2 L')
    await press(page, /^Found 2\.\d\d kg/)
    await expect.poll(async () => (await stockOf(kitchen, soy))?.lastCount?.massG).toBeGreaterThan(2000)
  })

  await test.step('another device counted it too and disagrees: both are shown, one is kept', async () => {
    const event = {
      id: crypto.randomUUID(),
      day: 'stock',
      deviceId: 'tablet',
      atMs: Math.floor(kitchen.now()),
      counter: 0,
      kind: 'counted',
      itemId: soy,
      placeId: null,
      massG: 1200,
      expectedG: null,
    }
    expect((await kitchen.post('/mise/events', { events: [event] })).status).toBe(200)
    await press(page, /^Count Light soy sauce/)
    await expect(page.getByText('Counted twice')).toBeVisible()
    await press(page, /^Keep 2\.\d\d kg/)
    await expect.poll(async () => (await stockOf(kitchen, soy))?.otherCount ?? null).toBeNull()
    expect((await stockOf(kitchen, soy))?.lastCount?.massG).toBeGreaterThan(2000)
  })

  await test.step('a delivery of ten times the order is asked about', async () => {
    const plan = await drawTonight(kitchen)
    const garlic = plan.drawn!.items.find((item) => item.itemId === 'ingredient:garlic')!
    await page.reload()
    const row = await stockOf(kitchen, 'ingredient:garlic')
    await page.getByRole('textbox', { name: 'Find' }).fill('garlic')
    await press(page, `Count ${row?.name ?? ''}`)
    await press(page, 'It came')
    await page.getByRole('textbox', { name: /^Or type it/ }).fill(`${Math.round(garlic.netG) * 10} g`)
    await expect(page.getByText(/Ten times the order/)).toBeVisible()
    await press(page, /^It was /)
    await expect
      .poll(async () => (await tonight(kitchen)).events.find((event) => event.kind === 'delivered')?.massG)
      .toBe(Math.round(garlic.netG))
  })

  await test.step('what is thrown away has a reason, is held, and can be undone', async () => {
    await page.getByRole('textbox', { name: 'Find' }).fill('light soy')
    await press(page, /^Count Light soy sauce/)
    await press(page, 'Throw away')
    await page.getByRole('radio', { name: 'spoilt' }).click()
    const hold = page.getByRole('button', { name: /^Throw away, / })
    await hold.focus()
    await page.keyboard.down('Enter')
    await expect(page.getByText(/Light soy sauce thrown away$/)).toBeVisible()
    await page.keyboard.up('Enter')
    await expect.poll(async () => (await stockOf(kitchen, soy))?.wastedG).toBeGreaterThan(0)
    await press(page, 'Undo')
    await expect.poll(async () => (await stockOf(kitchen, soy))?.wastedG).toBe(0)
  })
})

test(
  'who and what: hours, a par in a wrong unit, nobody at all',
  { tag: '@phone' },
  async ({ kitchen, open, context }) => {
    test.setTimeout(90_000)
    const page = await open('/mise')
    await untilHour(kitchen, context, 13)
    await drawTonight(kitchen)
    await page.goto(`${kitchen.url}/mise/services`)
    const house = async () => MiseHouse.parse(await api(kitchen, '/mise/house'))

    await press(page, 'Par of duck sauce')
    const typed = page.getByRole('textbox', { name: /^Or type it/ })
    await typed.fill('3 bunches')
    await expect(page.getByText(/^That is no amount/).first()).toBeVisible()
    await typed.fill('1.2 kg')
    await press(page, /^Save/)
    await expect
      .poll(async () => (await house()).policy.pars.find((par) => par.itemId === 'recipe:duck-sauce')?.massG)
      .toBe(1200)

    for (const name of ['Odalys', 'Bram', 'Wen', 'Ifeoma', 'Tam']) {
      await press(page, new RegExp(`^${name}`))
      await page.getByRole('dialog').getByRole('button', { name: 'No prep', exact: true }).click()
      await expect(page.getByRole('button', { name: new RegExp(`^${name}, no prep`) })).toBeVisible()
    }
    await page.goto(`${kitchen.url}/mise/all`)
    await expect(page.getByText(/make one shift longer, or split it/).first()).toBeVisible()
  },
)
