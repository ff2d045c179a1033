import { expect, test } from './kitchen'
import { clipped, dataWords, goWithin, ready, seriousFindings, settings, strangeWords, wordsToType } from './looks'

const BOOK_SCREENS = [
  '/book',
  '/book/duck',
  '/book/duck/edit',
  '/book/duck/taste',
  '/book/new',
  '/book/made-ahead',
  '/book/made-ahead/marinated-chicken',
  '/book/ingredients',
  '/book/ingredients/onion',
  '/book/files',
  '/book/styles',
] as const

test('no serious accessibility finding on any screen, on steel or on paper: book', async ({ kitchen, open }) => {
  test.setTimeout(300_000)
  const page = await open('/setup')
  await settings(page, { theme: 'steel' })
  for (const path of BOOK_SCREENS) {
    await goWithin(page, path)
    await ready(page)
    expect(await seriousFindings(page), path).toEqual([])
  }
  await page.goto(`${kitchen.url}/book/duck/edit`)
  await page.getByRole('button', { name: 'More about duck', exact: true }).click()
  await page.getByRole('textbox', { name: 'How much, line 3' }).fill('½–2 cups')
  expect(await seriousFindings(page), 'a line open, in doubt').toEqual([])
})

test('in a locale two fifths longer, the book neither clips nor has words of its own', async ({ kitchen, open }) => {
  test.setTimeout(300_000)
  const page = await open('/setup')
  await settings(page, { words: 'pseudo' })
  const known = await dataWords(kitchen)
  for (const path of BOOK_SCREENS) {
    await goWithin(page, path)
    await expect(page.getByText(/~/).first()).toBeVisible()
    await page.waitForTimeout(400)
    const typed = path === '/book/files' ? await wordsToType(kitchen) : []
    expect(await strangeWords(page, new Set([...known, ...typed])), path).toEqual([])
    expect(await clipped(page), path).toEqual([])
  }
})
