import type { Browser, Page } from '@playwright/test'
import { writeBeside } from './beside'
import { openPage } from './shotKitchen'

type Clock = Parameters<typeof openPage>[1]

/** Signing in at a station, an own kitchen half entered, and Setup; the own kitchen on a wide screen as well. */
export async function shootHouse(by: Browser, url: string, clock: Clock, folder: string): Promise<void> {
  const phone = await openPage(by, clock, 'phone', 'dark')
  const setup = await pictureOf(phone, `${url}/setup`)
  await phone.goto(`${url}/line`)
  await phone.getByRole('button', { name: /^Go to/ }).click()
  await phone
    .getByRole('button', { name: /^Who is here/ })
    .first()
    .click()
  const sheet = phone.getByRole('dialog')
  await sheet.getByRole('radio', { name: /^Bram/ }).click()
  for (const figure of '13') await sheet.getByRole('button', { name: figure, exact: true }).click()
  await phone.waitForTimeout(600)
  const signIn = await phone.screenshot()
  const own = await openPage(by, clock, 'phone', 'light')
  await beginOwn(own, url)
  const first = await pictureOf(own, `${url}/setup/first`)
  await writeBeside(by, [first, signIn, setup], `${folder}/house-phones.png`)
  const wide = await openPage(by, clock, 'wide', 'light')
  await wide.context().addCookies(await own.context().cookies())
  await wide.goto(`${url}/setup/first`)
  await wide.getByText('The first dish can be fired.').waitFor()
  await wide.waitForTimeout(1200)
  await wide.screenshot({ path: `${folder}/first-kitchen-wide.png` })
}

/** An own kitchen with a ring and a dish. */
async function beginOwn(page: Page, url: string): Promise<void> {
  const press = (name: string | RegExp) => page.getByRole('button', { name }).last().click()
  await page.goto(`${url}/setup/begin`)
  await page.getByLabel('Name of the kitchen').fill('Kettle Lane')
  await press('Begin it')
  await page.getByLabel('Your name').fill('Mara')
  await page.getByLabel(/^New PIN/).fill('2580')
  await press('Begin')
  await press(/^It is on paper/)
  await press(/^Stations, needed/)
  await press('Add a station')
  await page.getByLabel('Name').fill('Ring 1')
  await page.getByLabel(/^Power, kW/).fill('24')
  await press('Save the station')
  await page.getByRole('button', { name: /^Ring 1, wok/ }).waitFor()
  await page.goto(`${url}/setup/first`)
  await press(/^The first dish, needed/)
  await press(/^House plain/)
  await page.getByText('The first dish can be fired.').waitFor()
}

async function pictureOf(page: Page, address: string): Promise<Buffer> {
  await page.goto(address)
  await page.getByRole('heading', { level: 1 }).first().waitFor()
  await page.waitForTimeout(1500)
  return page.screenshot()
}
