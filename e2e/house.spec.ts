import type { Page } from '@playwright/test'
import { readFile, writeFile } from 'node:fs/promises'
import { enterPin, expect, hold, openWho, told, test } from './kitchen'

const MOST_TAPS = 90
const MOST_MIN = 15

const signedIn = (page: Page) => page.waitForResponse(/me\/sign-in$/, { timeout: 60_000 })

test('an empty kitchen is begun beside the sample one, and a first dish of it is cooked', async ({ kitchen, open }) => {
  test.setTimeout(180_000)
  const startedMs = Date.now()
  const page = await open('/setup/begin')
  let taps = 0
  const tap = async (on: Page, name: string | RegExp) => {
    taps += 1
    await on.getByRole('button', { name }).last().click()
  }
  const fill = async (label: string | RegExp, text: string) => {
    taps += 1
    await page.getByLabel(label).fill(text)
  }
  await fill('Name of the kitchen', 'Kettle Lane')
  await tap(page, 'Begin it')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Who answers for this kitchen?')
  await fill('Your name', 'Mara')
  await fill(/^New PIN/, '2580')
  const isIn = signedIn(page)
  await tap(page, 'Begin')
  await isIn
  const code = page.getByText(/^([0-9A-Z]{4}-){4}[0-9A-Z]{4}$/)
  const shown = (await code.textContent()) ?? ''
  await page.reload()
  await expect(code).toHaveText(shown)
  await tap(page, /^It is on paper/)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Your kitchen')
  await expect(page.getByText('nothing yet: begin with a station and a dish')).toBeVisible()

  await tap(page, /^Stations, needed/)
  await tap(page, 'Add a station')
  await fill('Name', 'Ring 1')
  await fill(/^Power, kW/, '99')
  await tap(page, 'Save the station')
  await expect(page.getByText(/^In kW, from 0.3 to 60/)).toBeVisible()
  await fill(/^Power, kW/, '24')
  await tap(page, 'Save the station')
  await expect(page.getByRole('button', { name: /^Ring 1, wok/ })).toBeVisible()

  await page.goto(`${kitchen.url}/setup/rice`)
  await tap(page, 'Add a fridge, rack or freezer')
  await fill('Name', 'Fridge')
  await fill(/^Air there/, '3')
  await tap(page, 'Save')
  await expect(page.getByRole('button', { name: /^Fridge, fridge, 4 trays/ })).toBeVisible()
  await tap(page, 'Add a pot or cooker')
  await fill('Name', 'Cooker')
  await fill(/^Holds, L/, '10')
  await tap(page, 'Save')
  await expect(page.getByRole('button', { name: /^Cooker, rice cooker, 10 L/ })).toBeVisible()

  await page.goto(`${kitchen.url}/setup/first`)
  await tap(page, /^The first dish, needed/)
  await tap(page, /^House plain/)
  await expect(page.getByText('a dish, timed to the second')).toBeVisible()
  await expect(page.getByText('The first dish can be fired.')).toBeVisible()
  await tap(page, 'To the line')
  await tap(page, 'Add ticket')
  await tap(page, /^House plain rice with egg, 0/)
  taps += 1
  await page.getByRole('checkbox', { name: 'none' }).click()
  await tap(page, /^Send/)
  await told(page)
  await tap(page, /^Fire /)
  await page.waitForURL(/\/wok\/[0-9a-f-]{36}/)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Heat the wok')
  expect(taps).toBeLessThanOrEqual(MOST_TAPS)
  expect(Date.now() - startedMs).toBeLessThan(MOST_MIN * 60_000)
})

test('a kitchen is saved as a file, read into an empty one, and its owner comes in with the PIN on paper', async ({
  kitchen,
  open,
  context,
}, info) => {
  test.setTimeout(180_000)
  const page = await open('/setup/archive')
  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: /^Save okazu-kitchen.zip/ }).click()
  const saved = await saving
  expect(saved.suggestedFilename()).toBe('okazu-kitchen.zip')
  const [whole, cut] = [info.outputPath('okazu-kitchen.zip'), info.outputPath('cut.zip')]
  await saved.saveAs(whole)
  await writeFile(cut, (await readFile(whole)).subarray(0, -500))

  await page.goto(`${kitchen.url}/setup/begin`)
  await page.getByLabel('Name of the kitchen').fill('Second place')
  await page.getByRole('button', { name: 'Begin it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Who answers for this kitchen?')
  const choose = async (file: string) => {
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: /^This kitchen is in a file/ }).click()
    await (await chooser).setFiles(file)
  }
  await choose(cut)
  await expect(page.getByText('The file ends too early, or is no zip. Download or copy it again.')).toBeVisible()
  const isIn = signedIn(page)
  await choose(whole)
  await isIn
  await expect(page.getByText(/^Low Tide Rice Counter is here again/)).toBeVisible()
  const pin = (await page.getByText(/^\d{6}$/).textContent()) ?? ''
  const code = page.getByText(/^([0-9A-Z]{4}-){4}[0-9A-Z]{4}$/)
  const shown = (await code.textContent()) ?? ''
  await page.reload()
  await expect(page.getByText(pin, { exact: true })).toBeVisible()
  await expect(code).toHaveText(shown)
  await page.getByRole('button', { name: 'It is on paper' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Your kitchen')
  await expect(page.getByText('The first dish can be fired.')).toBeVisible()
  await page.getByRole('button', { name: 'To the line' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('17 portions')

  await test.step('the PIN on paper is the owner’s from now on; the sample kitchen goes', async () => {
    await openWho(page)
    await page.getByRole('button', { name: /^End the shift of Odalys/ }).click()
    await openWho(page)
    await enterPin(page, 'Odalys', pin)
    await page.goto(`${kitchen.url}/setup/archive`)
    await hold(page.getByRole('button', { name: /^Delete the sample kitchen/ }), kitchen, context)
    await expect(page.getByText('The sample kitchen is gone')).toBeVisible()
    await page.goto(`${kitchen.url}/setup/changes`)
    await expect(page.getByText('Sample kitchen deleted')).toBeVisible()
    await expect(page.getByText('Kitchen read from a file')).toBeVisible()
  })
})
