import { execFileSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { DishList } from 'contract/dish'
import { expect, test } from './kitchen'
import { seriousFindings } from './looks'

const SCORE = /^Score on Ring A, \d:\d\d$/
const secondsOf = async (page: Page) => {
  const text = (await page.getByRole('heading', { name: SCORE }).textContent()) ?? ''
  const [, minutes, seconds] = /(\d):(\d\d)$/.exec(text) ?? []
  return Number(minutes) * 60 + Number(seconds)
}
/** The names of what goes in, in the order in which the score has them. */
const order = async (page: Page) =>
  (await page.getByRole('button', { name: /^Drag .* in the score$/ }).all()).reduce<Promise<string[]>>(
    async (names, one) => [...(await names), (await one.getAttribute('aria-label'))!.slice(5, -13)],
    Promise.resolve([]),
  )

test('a score is derived, a thing dragged, held, taken back and saved with the dish', async ({ kitchen, open }) => {
  const page = await open('/book/duck/edit')
  await expect(page.getByRole('heading', { name: SCORE })).toBeVisible()
  const before = await order(page)
  expect(before.indexOf('garlic')).toBeLessThan(before.indexOf('rice'))

  await test.step('dragged past the rice: the engine keeps it there, and says what it costs', async () => {
    const handle = page.getByRole('button', { name: 'Drag garlic in the score' })
    await handle.evaluate((node) => node.scrollIntoView({ block: 'center' }))
    const [from, to] = [
      await handle.boundingBox(),
      await page.getByRole('button', { name: 'Drag rice in the score' }).boundingBox(),
    ]
    await page.mouse.move(from!.x + 10, from!.y + 20)
    await page.mouse.down()
    await page.mouse.move(from!.x + 10, from!.y + 32, { steps: 4 })
    await page.mouse.move(to!.x + 10, to!.y + 24, { steps: 12 })
    await page.mouse.up()
    await expect(page.getByText('garlic after rice', { exact: true })).toBeVisible()
    await expect(page.getByText('kept', { exact: true })).toBeVisible()
    await expect(page.getByText(/^The pins (cost|save) /)).toBeVisible()
    const after = await order(page)
    expect(after.indexOf('garlic')).toBeGreaterThan(after.indexOf('rice'))
  })

  await test.step('a pin that cannot be kept says why', async () => {
    await page.getByRole('button', { name: 'Hold scallion in its place' }).click()
    const place = page.getByRole('radiogroup', { name: 'Where scallion goes in' })
    await place.getByRole('radio', { name: 'before the rice' }).click()
    await expect(page.getByText('scallion: before the rice', { exact: true })).toBeVisible()
    await expect(page.getByText(/^(kept|not kept: .+)$/)).toHaveCount(2)
    await page.getByRole('button', { name: 'Undo' }).first().click()
    await expect(page.getByText('scallion: before the rice', { exact: true })).toBeHidden()
  })

  await test.step('the ribbon is pulled by keyboard: less heat takes longer', async () => {
    await expect(page.getByRole('heading', { name: SCORE })).toBeVisible()
    const full = await secondsOf(page)
    const ribbon = page.getByRole('slider', { name: 'Heat of the score' })
    await expect(ribbon).toHaveAttribute('aria-valuetext', 'full throughout')
    await ribbon.focus()
    await page.keyboard.press('ArrowLeft')
    await page.keyboard.press('ArrowLeft')
    await expect(ribbon).toHaveAttribute('aria-valuetext', 'medium, then high')
    await expect.poll(() => secondsOf(page)).toBeGreaterThan(full)
  })

  await page.getByRole('button', { name: /^Save/ }).last().click()
  await expect(page.getByText('Duck and pickled greens is in the book, version 2')).toBeVisible()
  const { dishes } = DishList.parse(await (await kitchen.fetch(`/dishes`)).json())
  expect(dishes.find(({ id }) => id === 'duck')).toMatchObject({
    version: 2,
    schools: { heat: 'mediumThenHigh' },
    pins: [{ component: 'garlic', after: 'rice' }],
  })
})

test('a thing is pulled to so many seconds, by finger and by key', async ({ kitchen, open }) => {
  const page = await open('/book/duck/edit')
  await expect(page.getByRole('heading', { name: SCORE })).toBeVisible()
  const seconds = page.getByRole('slider', { name: 'Seconds from pickled greens to what comes next' })
  await seconds.evaluate((node) => node.scrollIntoView({ block: 'center' }))
  const was = Number(await seconds.getAttribute('aria-valuenow'))

  await test.step('pulled down by 80 points: 20 s longer', async () => {
    const box = (await seconds.boundingBox())!
    await page.mouse.move(box.x + 10, box.y + 20)
    await page.mouse.down()
    await page.mouse.move(box.x + 10, box.y + 100, { steps: 8 })
    await expect(seconds).toHaveAttribute('aria-valuenow', String(was + 20))
    await page.mouse.up()
    await expect(page.getByText(`pickled greens: what comes next after ${was + 20} s`)).toBeVisible()
    await expect(page.getByText('kept', { exact: true })).toBeVisible()
    await expect(page.getByText(/^The pins cost \d+ s/)).toBeVisible()
  })

  await test.step('one second less by a key', async () => {
    await seconds.press('ArrowUp')
    await expect(page.getByText(`pickled greens: what comes next after ${was + 19} s`)).toBeVisible()
  })

  await page.getByRole('button', { name: /^Save/ }).last().click()
  await expect(page.getByText('Duck and pickled greens is in the book, version 2')).toBeVisible()
  const { dishes } = DishList.parse(await (await kitchen.fetch(`/dishes`)).json())
  expect(dishes.find(({ id }) => id === 'duck')?.pins).toEqual([{ component: 'pickled-greens', forS: was + 19 }])
})

test(
  'rice that would not fry is refused its time, which is the engine’s again',
  { tag: '@phone' },
  async ({ open }) => {
    const page = await open('/book/plain/edit')
    const rice = page.getByRole('slider', { name: 'Seconds from rice to what comes next' })
    await rice.evaluate((node) => node.scrollIntoView({ block: 'center' }))
    await rice.press('Home')
    await expect(page.getByText('rice: what comes next after 3 s')).toBeVisible()
    await expect(page.getByText(/^not kept: /)).toBeVisible()
    await expect.poll(async () => Number(await rice.getAttribute('aria-valuenow'))).toBeGreaterThan(10)
    await page.getByRole('button', { name: 'Unpin' }).last().click()
    await expect(page.getByText('rice: what comes next after 3 s')).toBeHidden()
  },
)

test('a school is held in the words of cooks, and left to the engine again', async ({ kitchen, open }) => {
  const page = await open('/book/plain/edit')
  await page.getByRole('button', { name: /^Schools/ }).click()
  await page.getByRole('button', { name: /^Egg each grain coated/ }).click()
  expect(await seriousFindings(page)).toEqual([])
  await page.getByRole('radio', { name: /^in a well, small pieces/ }).click()
  await expect(page.getByRole('button', { name: /^Egg in a well/ })).toBeVisible()
  await page.getByRole('button', { name: /^Garlic as it comes best/ }).click()
  await page.getByRole('radio', { name: /^at the end, raw and sharp/ }).click()
  await page.getByRole('radio', { name: /^as it comes best/ }).click()
  await page.getByRole('button', { name: /^Save/ }).last().click()
  await expect(page.getByText(/is in the book, version 2/)).toBeVisible()
  const { dishes } = DishList.parse(await (await kitchen.fetch(`/dishes`)).json())
  const { schools } = dishes.find(({ id }) => id === 'plain')!
  expect([schools.egg, schools.garlic]).toEqual(['well', undefined])
})

test(
  'a dish that cannot be cooked safely names what is wrong and the one change that helps',
  { tag: '@phone' },
  async ({ open }) => {
    const page = await open('/book/chicken/edit')
    await expect(page.getByRole('heading', { name: SCORE })).toBeVisible()
    const cut = page.getByRole('textbox', { name: 'Cut, line 3' })
    if (!(await cut.isVisible())) await page.getByRole('button', { name: 'More about chicken thigh' }).click()
    await cut.fill('dice 50 mm')
    await cut.press('Tab')
    await expect(page.getByText('It cannot be cooked like this on Ring A')).toBeVisible()
    await expect(page.getByText(/^chicken thigh: the core does not reach its limit/)).toBeVisible()
    await expect(page.getByText(/^Cut chicken thigh to \d+ mm\.$/)).toBeVisible()
    expect(await seriousFindings(page)).toEqual([])
  },
)

test('the printed card says what the screen says, second by second', { tag: '@phone' }, async ({ kitchen, open }) => {
  const page = await open('/book/duck')
  await expect(page.getByRole('heading', { name: /^Score of one batch, \d:\d\d/ })).toBeVisible()
  const shown = (await page.getByText(/^\d:\d\d {2}\S/).allTextContents()).map((one) => one.slice(0, 4))
  expect(shown.length).toBeGreaterThan(8)
  const pdf = Buffer.from(await (await kitchen.fetch(`/dishes/duck/card.pdf?portions=1`)).arrayBuffer())
  const file = join(mkdtempSync(join(tmpdir(), 'okazu-card-')), 'card.pdf')
  writeFileSync(file, pdf)
  const lines = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).split('\n')
  const printed = lines.flatMap((line) => /^\s*(\d:\d\d) /.exec(line)?.[1] ?? [])
  expect(printed).toEqual(shown)
  for (const amount of ['5 g oil', '41 g duck', '220 g rice']) expect(lines.join(' ')).toContain(amount)
})

test(
  'half of a paste is rubbed into the rice and a lid goes on: saved with the dish, and in its score',
  { tag: '@phone' },
  async ({ kitchen, open }) => {
    const page = await open('/book/mushroom/edit')
    await page.getByRole('button', { name: 'More about black bean paste' }).click()
    await page.getByRole('checkbox', { name: /^Goes in more than once/ }).click()
    await page.getByRole('textbox', { name: 'With the rice, %' }).fill('50')
    await expect(page.getByText('The rest goes in at its own place: 50 %.')).toBeVisible()
    // Of a second share no more is taken than is left.
    await page.getByRole('textbox', { name: 'Off the flame, %' }).fill('80')
    await expect(page.getByRole('textbox', { name: 'Off the flame, %' })).toHaveValue('50')
    await page.getByRole('textbox', { name: 'Off the flame, %' }).fill('')
    expect(await seriousFindings(page)).toEqual([])
    await page.getByRole('button', { name: /^Schools/ }).click()
    await page.getByRole('button', { name: /^A lid as it comes best/ }).click()
    await page.getByRole('radio', { name: /^on the vegetables/ }).click()
    await page.getByRole('button', { name: /^Save/ }).last().click()
    await expect(page.getByText(/is in the book, version 2/)).toBeVisible()
    const { dishes } = DishList.parse(await (await kitchen.fetch(`/dishes`)).json())
    const { schools, components } = dishes.find(({ id }) => id === 'mushroom')!
    expect(schools.lid).toBe('onBase')
    expect(components.find(({ name }) => name === 'black bean paste')!.stages).toEqual([{ at: 'rice', share: 0.5 }])
    await page.goto(`${kitchen.url}/book/mushroom`)
    await expect(page.getByText(/^\d:\d\d {2}Lid on/)).toBeVisible()
    // Of the steps, which begin with their second, two put paste in.
    const steps = page.getByRole('listitem').filter({ hasText: /^\d:\d\d/ })
    await expect(steps.filter({ hasText: 'black bean paste' })).toHaveCount(2)
  },
)
