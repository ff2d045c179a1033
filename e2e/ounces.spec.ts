import { Kitchen as House } from 'contract/kitchen'
import { MiseStock } from 'contract/mise/stock'
import { expect, fireFirst, test, type Kitchen } from './kitchen'
import { clipped, goWithin } from './looks'
import { lotPaths, SCREENS, settled } from './said'

/** Ratios, what is read off a label, densities, and what somebody wrote in a recipe are the same on any scale. */
const STAYS = /to 100 g|100 g rice|in 100 g|a 100 g|g\/mL|^(salt|sugars|fat|water|protein|fibre|carbohydrate)/i
/** A check that the house wrote. */
const ICE = 'Probe in ice water'
const GRAMS = /\d[\d.,]* ?k?g\b/
const OUNCES = /\d (oz|lb)\b/
/** Where a mass must stand, so that a screen that shows nothing does not pass. */
const SHOWS = new Set(['/line', '/rice', '/rice/tomorrow', '/mise/count', '/mise/services', '/book/duck'])
/** Dishes and what is made ahead show what was written beside what it weighs. */
const WRITTEN = /^\/book\/(duck\/edit|made-ahead|ingredients)|^\/mise\/services/

async function countedG(kitchen: Kitchen): Promise<number[]> {
  const { rows } = MiseStock.parse(await (await kitchen.fetch('/mise/stock')).json())
  return rows.flatMap(({ lastCount }) => (lastCount ? [lastCount.massG] : []))
}

test('a kitchen that weighs in ounces sees no gram, on any screen, and types ounces', async ({ kitchen, open }) => {
  test.setTimeout(300_000)
  const page = await open('/setup')
  await page.getByRole('radio', { name: 'ounces and pounds' }).click()
  await expect(page.getByRole('radio', { name: 'ounces and pounds' })).toBeChecked()
  await page.getByRole('radio', { name: '°F' }).click()
  await expect
    .poll(async () => House.parse(await (await kitchen.fetch('/kitchen')).json()))
    .toMatchObject({ weighsIn: 'oz', readsIn: 'F' })
  const found: string[] = []
  const cut: string[] = []
  for (const path of [...SCREENS, ...(await lotPaths(kitchen))]) {
    await goWithin(page, path)
    await expect(page.getByRole('main').first()).toBeVisible()
    if (SHOWS.has(path)) await expect.poll(async () => (await settled(page)).join(' '), path).toMatch(OUNCES)
    const said = await settled(page)
    if (!WRITTEN.test(path))
      found.push(...said.filter((one) => GRAMS.test(one) && !STAYS.test(one)).map((one) => `${path}: ${one}`))
    found.push(...said.filter((one) => /\d °C/.test(one) && !one.startsWith(ICE)).map((one) => `${path}: ${one}`))
    cut.push(...(await clipped(page)).map((one) => `${path}: ${JSON.stringify(one)}`))
  }
  expect(found).toEqual([])
  expect(cut).toEqual([])
  await page.goto(`${kitchen.url}/mise/count`)
  await page
    .getByRole('button', { name: /^Count / })
    .first()
    .click()
  await page.getByRole('textbox', { name: /^Or type it: 5 lb/ }).fill('2.5')
  await page.getByRole('button', { name: /^Found 2.5 oz/ }).click()
  await expect.poll(async () => await countedG(kitchen)).toContainEqual(expect.closeTo(2.5 * 28.3495, 0))
  await page.goto(`${kitchen.url}/line`)
  const runId = await fireFirst(page)
  await page.goto(`${kitchen.url}/wok/${runId}`)
  await expect(page.getByText(OUNCES).first()).toBeVisible()
  expect((await settled(page)).filter((one) => GRAMS.test(one))).toEqual([])
})
