import type { Browser } from '@playwright/test'
import { kitchenAt, openPage } from './shotKitchen'
import { openAsPerson } from './toolDevice'

const WORKED_OUT_MS = 3000

/** The prep of an evening at twenty past two: the plan, my next task, whether all is ready, and the count. */
export async function shootMise(by: Browser, folder: string): Promise<void> {
  const { url, clock, stop } = await kitchenAt('shots_mise', 14, 20)
  const phone = await openPage(by, clock, 'phone', 'dark')
  const wide = await openPage(by, clock, 'wide', 'dark')
  await openAsPerson(phone.context(), 'ifeoma')
  const take = async (page: typeof phone, path: string, name: string) => {
    await page.goto(url + path)
    await page.getByRole('heading', { level: 1 }).first().waitFor()
    await page.waitForTimeout(WORKED_OUT_MS)
    await page.screenshot({ path: `${folder}/${name}.png` })
  }
  await take(phone, '/mise', 'mise-phone')
  await take(phone, '/mise/ready', 'ready-phone')
  await take(wide, '/mise', 'mise-wide')
  await stop()
}
