import { expect, test } from './kitchen'
import { clipped, dataWords, goWithin, ready, seriousFindings, settings, strangeWords } from './looks'

test.use({ evenings: 1 })

const MISE_SCREENS = ['/mise', '/mise/all', '/mise/ready', '/mise/count', '/mise/services'] as const

/** Names of the kitchen are cut short where a bar or a pan is narrow. */
const withBeginnings = (words: Set<string>) =>
  new Set([...words].flatMap((word) => Array.from(word, (_, i) => word.slice(0, i + 1))))

test('no serious accessibility finding on any screen, on steel or on paper: mise', async ({ kitchen, open }) => {
  test.setTimeout(300_000)
  const page = await open('/setup')
  await settings(page, { theme: 'steel' })
  for (const path of MISE_SCREENS) {
    await goWithin(page, path)
    await ready(page)
    await page.waitForTimeout(1000)
    expect(await seriousFindings(page), path).toEqual([])
  }
  await page.goto(`${kitchen.url}/mise/count`)
  await page.getByRole('textbox', { name: 'Find' }).fill('light soy')
  await page.getByRole('button', { name: /^Count Light soy sauce/ }).click()
  await expect(page.getByRole('dialog')).toBeVisible()
  expect(await seriousFindings(page), 'one item counted').toEqual([])
  await page.goto(`${kitchen.url}/mise/all`)
  await page
    .getByRole('button', { name: /Cut kimchi/ })
    .first()
    .click()
  await expect(page.getByRole('dialog')).toBeVisible()
  expect(await seriousFindings(page), 'one task').toEqual([])
})

test('in a locale two fifths longer, mise neither clips nor has words of its own', async ({ kitchen, open }) => {
  test.setTimeout(300_000)
  const page = await open('/setup')
  await settings(page, { words: 'pseudo' })
  const known = withBeginnings(await dataWords(kitchen))
  for (const path of MISE_SCREENS) {
    await goWithin(page, path)
    await expect(page.getByText(/~/).first()).toBeVisible()
    await page.waitForTimeout(1000)
    expect(await strangeWords(page, known), path).toEqual([])
    expect(await clipped(page), path).toEqual([])
  }
})
