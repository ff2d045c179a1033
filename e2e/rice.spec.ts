import type { Page } from '@playwright/test'
import { Lot, LotList } from 'contract/rice'
import { randomUUID } from 'node:crypto'
import { expect, test, type Kitchen } from './kitchen'

test.use({ serviceWorkers: 'allow' })

test.use({ evenings: 1 })

const openLots = async (kitchen: Kitchen): Promise<Lot[]> =>
  LotList.parse(await (await kitchen.fetch(`/rice/lots`)).json()).lots
const lotOf = async (kitchen: Kitchen, id: string): Promise<Lot> =>
  Lot.parse(await (await kitchen.fetch(`/rice/lots/${id}`)).json())
const named = async (kitchen: Kitchen, name: string): Promise<Lot> => {
  const found = (await openLots(kitchen)).find((lot) => lot.name === name)
  if (!found) throw new Error(`no open lot ${name}`)
  return found
}
const kinds = (lot: Lot) => lot.events.map((event) => event.kind)
const press = async (page: Page, name: string | RegExp) => page.getByRole('button', { name }).last().click()

/** Off the rack and into the walk-in, said by somebody else. */
async function moveIn(kitchen: Kitchen, lotId: string): Promise<void> {
  const moved = {
    id: randomUUID(),
    lotId,
    deviceId: 'other',
    staffId: null,
    atMs: Math.round(kitchen.now()),
    counter: 0,
    kind: 'moved',
    place: 'fridge',
    placeId: 'walk-in',
    covered: false,
    airTempC: 3.4,
    depthM: null,
  }
  const answer = await kitchen.post(`/rice/lots/${lotId}/events`, { events: [moved] })
  expect([answer.status, await answer.text()]).toEqual([200, expect.any(String)])
}

test('from tomorrow’s portions to a load, a tray, a log and a ready lot', async ({ kitchen, open, context }) => {
  test.setTimeout(300_000)
  const page = await open('/rice/tomorrow')

  await test.step('a person knows better than the record', async () => {
    await press(page, /^Evening, \d+ portions/)
    const dial = page.getByRole('spinbutton')
    await dial.focus()
    await page.keyboard.type('400')
    await press(page, 'Keep it')
    await expect(page.getByText('400', { exact: true }).first()).toBeVisible()
    await expect(page.getByText(/kg to cook/)).toBeVisible()
  })

  const id = await test.step('the load is started and is a lot at once', async () => {
    await press(page, /^Start 1 of \d+ loads/)
    await page.waitForURL(/\/rice\/[0-9a-f-]{36}/)
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/R-\d+, cooking/)
    return page.url().split('/').at(-1) ?? ''
  })

  await test.step('it is weighed and spread when it is done; too deep is said before', async () => {
    await kitchen.pass(context, 31 * 60)
    await expect(page.getByText('Done: weigh it')).toBeVisible()
    const trays = page.getByRole('spinbutton', { name: 'Trays' })
    await trays.focus()
    await page.keyboard.type('1')
    await expect(page.getByText(/cm is too deep here/)).toBeVisible()
    await trays.focus()
    await kitchen.pass(context, 3)
    await page.keyboard.type('2')
    await page.getByRole('spinbutton', { name: 'In the middle' }).focus()
    await page.keyboard.type('92')
    await press(page, /^Spread \d/)
    await page.waitForURL(/\/rice$/)
    await expect.poll(async () => kinds(await lotOf(kitchen, id))).toEqual(['spread'])
  })

  await test.step('a reading in °F is asked about and logged as what was meant', async () => {
    await page.goto(`${kitchen.url}/rice/${id}`)
    await expect(page.getByRole('img', { name: /^Cooling of R-/ })).toBeVisible()
    await kitchen.pass(context, 9 * 60)
    await page.getByRole('spinbutton').focus()
    await page.keyboard.type('158')
    await press(page, /^Log 158 °C/)
    await expect(page.getByRole('heading', { name: '158 °C?' })).toBeVisible()
    await press(page, 'It was °F: log 70 °C')
    await expect
      .poll(async () => (await lotOf(kitchen, id)).events.at(-1))
      .toMatchObject({ kind: 'read', tempC: 70, doubt: null })
    await expect(page.getByText('read 70 °C')).toBeVisible()
    await press(page, 'Undo')
    await expect.poll(async () => kinds(await lotOf(kitchen, id))).toEqual(['spread', 'read', 'undone'])
  })

  await test.step('logged until it is cold, it stands ready on the shelf', async () => {
    for (const [minutes, tempC] of [
      [5, '57'],
      [30, '35'],
      [40, '20'],
      [60, '9'],
      [70, '4'],
    ] as const) {
      await kitchen.pass(context, minutes * 60)
      await page.getByRole('spinbutton').focus()
      await page.keyboard.type(tempC)
      await press(page, `Log ${tempC} °C`)
      const isAsked = await page.getByRole('button', { name: `${tempC} °C is right` }).isVisible()
      if (isAsked) await press(page, `${tempC} °C is right`)
      if (tempC === '20') await moveIn(kitchen, id)
      await kitchen.pass(context, 3)
    }
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/R-\d+, ready/)
    await expect(page.getByRole('button', { name: /^Carry to the wok/ }).last()).toBeVisible()
  })

  await test.step('its label downloads, how it is loosened is said, and it is carried out', async () => {
    await press(page, 'Label')
    const download = page.waitForEvent('download')
    await press(page, /^PDF, 60/)
    expect((await download).suggestedFilename()).toMatch(/^R-\d+-label\.pdf$/)
    await press(page, 'Close')
    await press(page, 'Loosened')
    await press(page, /^in clumps/)
    await expect(page.getByText('in clumps', { exact: true })).toBeVisible()
    await expect
      .poll(async () => (await lotOf(kitchen, id)).events.at(-1))
      .toMatchObject({ kind: 'loosened', looseness: 'clumps' })
    await press(page, /^Carry to the wok/)
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/R-\d+, tempering/)
    await expect.poll(async () => (await lotOf(kitchen, id)).events.at(-1)).toMatchObject({ place: 'bench' })
  })
})

test('a slow tray is warned of early, and what is advised is done with one touch', async ({ kitchen, open }) => {
  const lot = await named(kitchen, 'R-21')
  const page = await open('/rice')
  await press(page, /^R-21 is too slow/)
  await expect(page.getByText(/^Too slow: 5 °C at/)).toBeVisible()
  await expect(page.getByText(/^Spread it to 3 cm/)).toBeVisible()
  await press(page, 'Done')
  await expect
    .poll(async () => (await lotOf(kitchen, lot.id)).events.at(-1))
    .toMatchObject({ kind: 'moved', depthM: 0.03 })
  await expect(page.getByText('Inside the rule.')).toBeVisible()
})

test(
  'two people end one lot, one of them offline for an hour: the first end stands, nothing is lost',
  { tag: '@phone' },
  async ({ kitchen, open, context }) => {
    const lot = await named(kitchen, 'R-18')
    const page = await open(`/rice/${lot.id}`)
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('R-18, ready')
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await page.waitForTimeout(600)
    await context.setOffline(true)
    await press(page, /^Carry to the wok/)
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('R-18, tempering')
    await press(page, 'Used up')
    await expect(page.getByText(/^used up/).first()).toBeVisible()
    await page.reload()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('R-18, used up')
    expect(kinds(await lotOf(kitchen, lot.id))).not.toContain('finished')
    await kitchen.pass(context, 3600)
    const thrown = {
      id: '019f0000-0000-7000-8000-00000000000a',
      lotId: lot.id,
      deviceId: 'other',
      atMs: Math.round(kitchen.now()),
      counter: 0,
      kind: 'discarded',
      massG: null,
      reason: 'endOfDay',
    }
    expect((await kitchen.post(`/rice/lots/${lot.id}/events`, { events: [thrown] })).status).toBe(200)
    await context.setOffline(false)
    await kitchen.pass(context, 5)
    await expect
      .poll(
        async () =>
          kinds(await lotOf(kitchen, lot.id))
            .filter((kind) => kind !== 'used')
            .slice(-3),
        { timeout: 20_000 },
      )
      .toEqual(['moved', 'finished', 'discarded'])
    await expect(page.getByText(/came too late/)).toBeVisible()
  },
)

test(
  'the probe stands in a tray, reads by itself, and falls silent',
  { tag: '@phone' },
  async ({ kitchen, open, context }) => {
    const lot = await named(kitchen, 'R-20')
    const page = await open(`/rice/${lot.id}`)
    await press(page, /^Probe$/)
    await press(page, 'Put it into R-20')
    await expect(page.getByRole('radio', { name: 'works' })).toBeVisible()
    await expect
      .poll(async () => (await lotOf(kitchen, lot.id)).events.at(-1), { timeout: 15_000 })
      .toMatchObject({ kind: 'read', source: 'probe' })
    await page.getByRole('radio', { name: 'silent' }).click()
    await press(page, 'Close')
    await kitchen.pass(context, 8 * 60)
    await expect(page.getByText(/^No reading from the probe since/)).toBeVisible()
  },
)

test(
  'rice from elsewhere: its age must be known; cold it goes to the shelf',
  { tag: '@phone' },
  async ({ kitchen, open }) => {
    const before = (await openLots(kitchen)).length
    const page = await open('/rice/add')
    await page.getByRole('checkbox', { name: 'Nobody knows' }).click()
    await expect(page.getByText('Rice of unknown age is not taken in: throw it away.').first()).toBeVisible()
    await page.getByRole('checkbox', { name: 'Nobody knows' }).click()
    const temp = page.getByRole('spinbutton', { name: 'In the middle' })
    await temp.focus()
    await page.keyboard.type('31')
    await expect(page.getByText(/^31 °C is neither cold/).first()).toBeVisible()
    await page.waitForTimeout(100)
    for (let n = 0; n < 27; n += 1) await page.keyboard.press('ArrowDown')
    await page.getByRole('spinbutton', { name: 'Cooked how long ago' }).focus()
    await page.keyboard.press('ArrowUp')
    const takeIn = page.getByRole('button', { name: /^Take in 3\.0 kg/ })
    await takeIn.last().dblclick()
    await page.waitForURL(/\/rice$/)
    await expect.poll(async () => (await openLots(kitchen)).length).toBe(before + 1)
    await page.waitForTimeout(500)
    expect(await openLots(kitchen), 'a double tap takes it in once').toHaveLength(before + 1)
    expect((await openLots(kitchen)).find((lot) => lot.origin === 'bought')).toMatchObject({ massG: 3000, tempC: 4 })
  },
)

test(
  'the log of past lots downloads; a ticket leads to its rice and to who else had it',
  { tag: '@phone' },
  async ({ kitchen, open }) => {
    const page = await open('/rice/past')
    await expect(page.getByText('refused: broke its cooling limit')).toBeVisible()
    const download = page.waitForEvent('download')
    await press(page, /^Day sheet/)
    expect((await download).suggestedFilename()).toMatch(/^okazu-cooling-[\d-]+\.pdf$/)
    const { runs } = (await (await kitchen.fetch(`/record/runs`)).json()) as { runs: { tickets: number[] }[] }
    await press(page, 'Find a ticket’s rice')
    await page.getByRole('textbox').fill(String(runs[0]!.tickets[0]))
    await press(page, 'Find')
    await expect(page.getByText('R-17', { exact: true })).toBeVisible()
    await expect(page.getByRole('listitem').first()).toContainText('ticket')
  },
)

test(
  'another rule set is asked about first, and the lots that cool keep both',
  { tag: '@phone' },
  async ({ kitchen, open }) => {
    const page = await open('/setup')
    await page.getByRole('radio', { name: 'Australia and New Zealand' }).click()
    await press(page, 'Change to Australia and New Zealand')
    await expect(page.getByRole('radio', { name: 'Australia and New Zealand' })).toBeChecked()
    const lot = await named(kitchen, 'R-20')
    expect(lot.events.at(-1)).toMatchObject({ kind: 'ruleSet', from: 'us', to: 'au' })
    await page.goto(`${kitchen.url}/rice/${lot.id}`)
    await expect(page.getByText('The rule set changed while it cooled: it must keep both.')).toBeVisible()
  },
)
