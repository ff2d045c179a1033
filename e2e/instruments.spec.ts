import { Kitchen } from 'contract/kitchen'
import { expect, fireable, test } from './kitchen'

test('an instrument is tried, taken out with its uses, and taken back', async ({ kitchen, open }) => {
  const page = await open('/setup/instruments')
  const instruments = async () => Kitchen.parse(await (await kitchen.fetch('/kitchen')).json()).instruments
  await page.getByRole('button', { name: 'Weigh nothing' }).click()
  await expect(page.getByText('It shows 0 g with nothing on it.')).toBeVisible()
  await page.getByRole('button', { name: 'Print a trial label' }).click()
  await expect(page.getByText(/^Printed: /)).toBeVisible()

  const printer = page.getByRole('radiogroup', { name: 'Label printer' })
  await printer.getByRole('radio', { name: 'none' }).click()
  await expect(page.getByText('Label printer: none')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Print a trial label' })).toHaveCount(0)
  expect(await instruments()).not.toContain('printer')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(printer.getByRole('radio', { name: 'we have one' })).toBeChecked()
  expect(await instruments()).toContain('printer')

  await page.getByRole('radiogroup', { name: 'Ticket feed', exact: true }).getByRole('radio', { name: 'none' }).click()
  await expect(page.getByRole('radiogroup', { name: 'Simulated ticket feed' })).toHaveCount(0)
  await page.goto(`${kitchen.url}/line`)
  await fireable(page)
  await expect(page.getByRole('checkbox', { name: /feed/i })).toHaveCount(0)
})
