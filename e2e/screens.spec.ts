import { RunPage } from 'contract/run'
import { cookSaid, expect, fireable, fireFirst, step, test, told, type Kitchen } from './kitchen'
import { clipped, dataWords, goWithin, ready, seriousFindings, settings, strangeWords } from './looks'

test.use({ evenings: 1 })

const RICE_SCREENS = ['/rice', '/rice/tomorrow', '/rice/add', '/rice/past'] as const
const SCREENS = [
  '/line',
  '/line/add',
  '/line/running',
  '/line/pass',
  '/wok',
  '/record',
  '/setup',
  '/setup/station/ring-b',
  '/setup/station/ring-b/calibrate',
  '/setup/parts',
  '/setup/waves',
  '/book/duck/what-if',
  '/wok/rehearse',
  '/nowhere',
] as const

/** The evening that the sample has on record. */
async function eveningPath(kitchen: Kitchen): Promise<string> {
  const { runs } = RunPage.parse(await (await kitchen.fetch(`/record/runs`)).json())
  const day = new Intl.DateTimeFormat('sv-SE', { timeZone: 'Europe/London' }).format(runs[0]!.firedAtMs)
  return `/record/evening/${day}`
}

/** Pages of a lot in each of its forms: cooling, ready, frozen. */
async function lotPaths(kitchen: Kitchen): Promise<string[]> {
  const { lots } = (await (await kitchen.fetch(`/rice/lots`)).json()) as {
    lots: { id: string; name: string }[]
  }
  return lots.filter((lot) => ['R-11', 'R-18', 'R-21'].includes(lot.name)).map((lot) => `/rice/${lot.id}`)
}

test('no serious accessibility finding on any screen, on steel or on paper', async ({ kitchen, open }) => {
  test.setTimeout(300_000)
  const page = await open('/setup')
  await settings(page, { theme: 'steel' })
  for (const path of SCREENS) {
    await goWithin(page, path)
    await ready(page)
    expect(await page.evaluate(() => document.documentElement.dataset['theme'])).toBe('steel')
    expect(await seriousFindings(page), path).toEqual([])
  }
  await page.goto(`${kitchen.url}/line`)
  const runId = await fireFirst(page)
  expect(await seriousFindings(page), 'cook').toEqual([])
  await page.getByRole('button', { name: 'Trouble' }).click()
  expect(await seriousFindings(page), 'trouble').toEqual([])
  await page.goto(`${kitchen.url}/record/${runId}`)
  await ready(page)
  expect(await seriousFindings(page), 'record of a run').toEqual([])
  await page.goto(kitchen.url + (await eveningPath(kitchen)))
  await ready(page)
  await expect(page.getByRole('heading', { name: 'What would have helped' })).toBeVisible()
  expect(await seriousFindings(page), 'an evening looked back on').toEqual([])
  await page.goto(`${kitchen.url}/line/add`)
  await page.getByRole('button', { name: /^Duck and pickled greens/ }).click()
  expect(await seriousFindings(page), 'add, a dish chosen').toEqual([])
})

test('no serious accessibility finding on any screen, on steel or on paper: rice', async ({ kitchen, open }) => {
  test.setTimeout(300_000)
  const page = await open('/setup')
  await settings(page, { theme: 'steel' })
  for (const path of [...RICE_SCREENS, ...(await lotPaths(kitchen))]) {
    await goWithin(page, path)
    await ready(page)
    expect(await seriousFindings(page), path).toEqual([])
  }
  await page.goto(`${kitchen.url}/rice/tomorrow`)
  await page.getByRole('button', { name: 'How the house cooks' }).click()
  await expect(page.getByRole('dialog', { name: 'How the house cooks' })).toBeVisible()
  expect(await seriousFindings(page), 'how the house cooks').toEqual([])
})

test('in a locale two fifths longer, nothing is hard-coded and nothing clips', async ({ kitchen, open }) => {
  test.setTimeout(300_000)
  const page = await open('/setup')
  await settings(page, { words: 'pseudo' })
  const known = await dataWords(kitchen)
  const { runs } = (await (await kitchen.fetch(`/record/runs`)).json()) as { runs: { id: string }[] }
  const paths = [...SCREENS, `/record/${runs[0]!.id}`, await eveningPath(kitchen)]
  for (const path of paths) {
    await goWithin(page, path)
    await expect(page.getByText(/~/).first()).toBeVisible()
    await page.waitForTimeout(400)
    expect(await strangeWords(page, known), path).toEqual([])
    expect(await clipped(page), path).toEqual([])
  }
  await page.goto(`${kitchen.url}/line`)
  await page.getByRole('button', { name: /^Ƒîŕé/ }).last().click()
  await page.waitForURL(/\/wok\//)
  await expect(step(page)).toBeVisible()
  expect(await strangeWords(page, known), 'cook').toEqual([])
  expect(await clipped(page), 'cook').toEqual([])
})

test('in a locale two fifths longer, rice neither clips nor has words of its own', async ({ kitchen, open }) => {
  test.setTimeout(300_000)
  const page = await open('/setup')
  await settings(page, { words: 'pseudo' })
  const known = await dataWords(kitchen)
  for (const path of [...RICE_SCREENS, ...(await lotPaths(kitchen))]) {
    await goWithin(page, path)
    await expect(page.getByText(/~/).first()).toBeVisible()
    await page.waitForTimeout(400)
    expect(await strangeWords(page, known), path).toEqual([])
    expect(await clipped(page), path).toEqual([])
  }
})

const firstSaid = async (kitchen: Kitchen, runId: string) => cookSaid(await kitchen.run(runId))[0]?.kind

test('a run is cooked by keyboard alone, from the line on', async ({ kitchen, open }) => {
  const page = await open('/line')
  await told(page)
  await fireable(page)
  const fire = page.getByRole('button', { name: /^Fire / }).last()
  await expect(fire).toBeVisible()
  for (let n = 0; n < 60 && !(await fire.evaluate((one) => one === document.activeElement)); n += 1)
    await page.keyboard.press('Tab')
  await expect(fire).toBeFocused()
  await page.keyboard.press('Enter')
  await page.waitForURL(/\/wok\/[0-9a-f-]{36}/)
  const runId = page.url().split('/').at(-1) ?? ''
  // A face that has only just come takes no key: then it is pressed again, as a cook would.
  await expect(async () => {
    if ((await firstSaid(kitchen, runId)) === undefined) await page.keyboard.press('Space')
    await expect.poll(() => firstSaid(kitchen, runId), { timeout: 2000 }).toBe('done')
  }).toPass({ timeout: 20_000 })
})

test('the layout stands under the strict content policy; targets at the station are large', async ({ open }) => {
  const page = await open('/line')
  await fireFirst(page)
  const done = await page.getByRole('button', { name: /^Done/ }).boundingBox()
  expect(done!.height).toBeGreaterThanOrEqual(96)
  expect(done!.y + done!.height).toBeGreaterThan((page.viewportSize()?.height ?? 0) - 40)
  for (const name of ['+10 s', 'Trouble']) {
    const box = await page.getByRole('button', { name }).boundingBox()
    expect(Math.min(box!.width, box!.height)).toBeGreaterThanOrEqual(56)
  }
  const clock = await page.getByRole('timer').boundingBox()
  expect(clock!.height).toBeGreaterThanOrEqual(90)
  expect(await page.evaluate(() => document.fonts.check('16px "Archivo Variable"'))).toBe(true)
  const isScrolling = await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth)
  expect(isScrolling).toBe(false)
})

test('the record pages on, and its list downloads as CSV', async ({ open }) => {
  const page = await open('/record')
  await expect(
    page
      .getByRole('link', { name: /portion/ })
      .or(page.getByRole('row', { name: /:\d\d/ }))
      .first(),
  ).toBeVisible()
  const download = page.waitForEvent('download')
  await page
    .getByRole('button', { name: /^Download CSV/ })
    .first()
    .click()
  expect((await download).suggestedFilename()).toBe('okazu-runs.csv')
})

test('sixty tickets and a very long name leave the line usable', async ({ kitchen, open }) => {
  const long = `Grandmother's ${'very '.repeat(18)}long rice`
  const csv = 'name,role,state,cut,g per 100 g rice\nrice,rice,cooked,,100\noil,fat,fresh,,4\n'
  await kitchen.fetch(`/dishes/import?name=${encodeURIComponent(long)}`, {
    method: 'POST',
    body: csv,
    headers: { 'content-type': 'text/csv' },
  })
  const tickets = Array.from({ length: 60 }, (_, n) => ({
    items: [{ dishId: n % 2 ? 'duck' : 'plain', portions: 1 + (n % 3) }],
    promisedAtMs: kitchen.now() + (n + 5) * 60_000,
  }))
  expect((await kitchen.post('/tickets', tickets)).status).toBe(201)
  const page = await open('/line')
  await fireable(page)
  expect(await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth)).toBe(false)
  await page.goto(`${kitchen.url}/book`)
  await expect(page.getByText(long)).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth)).toBe(false)
})

test('printed, a page is black on white, whole, and without what can only be pressed', async ({ kitchen, open }) => {
  const page = await open('/book/duck')
  for (const path of ['/book/duck', '/record', '/mise/count']) {
    await page.emulateMedia({ media: 'screen' })
    await page.goto(kitchen.url + path)
    await ready(page)
    await page.emulateMedia({ media: 'print' })
    await expect(page.getByRole('navigation')).toHaveCount(0)
    const printed = await page.evaluate(() => ({
      ground: getComputedStyle(document.documentElement).getPropertyValue('--ground').trim(),
      cut: [...document.querySelectorAll('#root div')].filter(
        (one) => one.scrollHeight > one.clientHeight + 2 && getComputedStyle(one).overflowY !== 'visible',
      ).length,
    }))
    expect(printed, path).toEqual({ ground: '255 255 255', cut: 0 })
  }
})
