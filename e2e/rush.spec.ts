import type { Page } from '@playwright/test'
import { LineState } from 'contract/line'
import { Pass, TicketList, type NewTicketBody } from 'contract/ticket'
import { cookSaid, expect, fireButton, hold, step, test, told, type Kitchen } from './kitchen'

const MIN_MS = 60_000

/** Three waves of two tickets: one with an allergy, one for the hatch. */
const wave = (kitchen: Kitchen, n: number): NewTicketBody[] => [
  {
    items: [{ dishId: 'plain', portions: 1 }],
    promisedAtMs: kitchen.now() + (14 + 8 * n) * MIN_MS,
  },
  {
    items: [{ dishId: n === 1 ? 'duck' : 'mushroom', portions: 1, ...(n === 1 && { allergies: ['egg' as const] }) }],
    promisedAtMs: kitchen.now() + (18 + 8 * n) * MIN_MS,
    kind: n === 2 ? 'take' : 'dine',
  },
]

const line = async (kitchen: Kitchen) => LineState.parse(await (await kitchen.fetch(`/line`)).json())
const gone = (page: Page, dish: string) => page.getByText(new RegExp(`^${dish} .* it is 86`)).first()

test('a rush of three waves, an allergy, a broken ring, an 86, one cook fewer and a late one: the plan is followed to the end', async ({
  kitchen,
  open,
}) => {
  test.setTimeout(300_000)
  for (const ticket of await kitchen.tickets())
    await kitchen.post(`/tickets/${ticket.id}/events`, {
      events: [{ id: crypto.randomUUID(), kind: 'cancelled', atMs: Math.round(kitchen.now()), counter: 0 }],
    })
  const placed: { id: string; portions: number }[] = []
  const place = async (n: number) => {
    const { tickets } = TicketList.parse(await (await kitchen.post('/tickets', wave(kitchen, n))).json())
    for (const { id, items } of tickets) placed.push({ id, portions: items[0]!.portions })
  }
  await place(0)
  const page = await open('/line')

  await test.step('what is 86 is said, and comes back', async () => {
    await told(page)
    await page.goto(`${kitchen.url}/line/running`)
    const isGone = async () =>
      (await line(kitchen)).wishes.flatMap((wish) =>
        wish.kind === 'dish' && wish.dishId === 'mushroom' ? [wish.isGone] : [],
      )
    await page.getByRole('group', { name: 'Dishes' }).getByRole('checkbox', { name: 'mushroom' }).click()
    await expect.poll(isGone).toEqual([true])
    await page.goto(`${kitchen.url}/line`)
    await expect(gone(page, 'mushroom')).toBeVisible()
    await page.goto(`${kitchen.url}/line/running`)
    await page.getByRole('checkbox', { name: 'mushroom is 86' }).click()
    await expect.poll(isGone).toEqual([false])
    await page.goto(`${kitchen.url}/line`)
    await expect(gone(page, 'mushroom')).toBeHidden()
  })
  await test.step('a ring breaks, and a cook goes: planned without them', async () => {
    await page.goto(`${kitchen.url}/line/running`)
    await page.getByRole('radiogroup', { name: 'Ring A' }).getByRole('radio', { name: 'is down' }).click()
    await page.getByRole('radio', { name: '1 pair' }).click()
    await page.goto(`${kitchen.url}/line`)
    const stations = async () => [...new Set((await line(kitchen)).order!.batches.map(({ stationId }) => stationId))]
    await expect.poll(stations).toEqual(['ring-b'])
    expect((await line(kitchen)).wishes.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['station', 'hands']))
  })
  await test.step('every batch is fired as the line proposes it, while two more waves come', async () => {
    for (let fired = 0; fired < 3 || (await kitchen.tickets()).length > 0; fired += 1) {
      if (fired === 1) await place(1)
      if (fired === 2) {
        await place(2)
        await page.goto(`${kitchen.url}/line/running`)
        const ringA = page.getByRole('radiogroup', { name: 'Ring A' })
        await ringA.getByRole('radio', { name: 'starts later' }).click()
        await page.getByRole('button', { name: '10 min later' }).click()
        // From the next whole minute 20 and 10 more: the minute may turn while this is said.
        const backInMin = async () => {
          const said = (await line(kitchen)).wishes.find(({ kind }) => kind === 'station')
          if (said?.kind !== 'station' || !said.isDown || !said.backAtMs) return null
          return said.backAtMs % MIN_MS === 0 ? Math.round((said.backAtMs - kitchen.now()) / MIN_MS) : null
        }
        await expect.poll(async () => [29, 30, 31].includes((await backInMin()) ?? 0)).toBe(true)
        await ringA.getByRole('radio', { name: 'cooks' }).click()
        await page.goto(`${kitchen.url}/line`)
      }
      await told(page)
      await expect.poll(() => washOrFire(page, kitchen), { timeout: 40_000, intervals: [300] }).toBe(true)
      const runId = page.url().split('/').at(-1)!
      if (fired === 1) await beLate(page, kitchen, runId)
      await cookThrough(page, kitchen, runId)
      await page.goto(`${kitchen.url}/line`)
    }
    await expect.poll(async () => (await kitchen.tickets()).length).toBe(0)
  })
  await test.step('every portion came up once, and is handed over at the pass', async () => {
    const pass = Pass.parse(await (await kitchen.fetch(`/pass`)).json())
    const up = pass.tickets.map(({ ticket, ups }) => ({
      id: `${ticket.id}`,
      portions: ups.reduce((sum, { portions }) => sum + portions, 0),
    }))
    const byId = (a: { id: string }, b: { id: string }) => (a.id < b.id ? -1 : 1)
    expect(up.sort(byId)).toEqual(placed.sort(byId))
    await page.goto(`${kitchen.url}/line/pass`)
    await expect(page.getByRole('heading', { name: 'Pass, 6 tickets' })).toBeVisible()
    await page.getByRole('button', { name: 'Hand over' }).first().click()
    await expect(page.getByRole('heading', { name: 'Pass, 5 tickets' })).toBeVisible()
    await page.getByRole('button', { name: /^Call \d+ back/ }).click()
    await expect(page.getByRole('heading', { name: 'Pass, 6 tickets' })).toBeVisible()
  })
})

/** Does what the big button asks for; true once a batch was fired. */
async function washOrFire(page: Page, kitchen: Kitchen): Promise<boolean> {
  const wash = page.getByRole('button', { name: /^Ring [AB] is washed/ }).last()
  const fire = fireButton(page).last()
  if (await wash.isVisible()) await hold(wash, kitchen, page.context())
  else if ((await fire.isVisible()) && (await fire.isEnabled())) {
    await fire.click({ timeout: 5000 })
    // A tap that comes right after the hold does not count: then it is tapped again, as a cook does.
    const isFired = page.waitForURL(/\/wok\/[0-9a-f-]{36}/, { timeout: 5000 })
    return isFired.then(
      () => true,
      () => false,
    )
  }
  return false
}

/** A cook who is late, and says so: the rest of the run moves, and with it what is fried after. */
async function beLate(page: Page, kitchen: Kitchen, runId: string): Promise<void> {
  await expect(step(page)).toBeVisible()
  for (let n = 0; n < 3; n += 1) await page.getByRole('button', { name: '+10 s' }).click()
  await expect
    .poll(async () => cookSaid(await kitchen.run(runId)).filter(({ kind }) => kind === 'later').length)
    .toBe(3)
}

/** Lets a run go on by itself, and answers its checks. */
async function cookThrough(page: Page, kitchen: Kitchen, runId: string): Promise<void> {
  await expect(step(page)).toBeVisible()
  await expect
    .poll(
      async () => {
        const yes = page.getByRole('button', { name: /^Yes, it is/ }).last()
        if (await yes.isVisible()) await yes.click()
        else await kitchen.pass(page.context(), 40)
        return (await kitchen.run(runId)).state
      },
      { timeout: 90_000, intervals: [300] },
    )
    .toBe('finished')
}
