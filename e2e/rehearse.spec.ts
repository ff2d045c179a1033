import { expect, step, test } from './kitchen'

test('a trainee rehearses a dish dry, at real speed: nothing is fired, taken or written down', async ({
  kitchen,
  open,
  context,
}) => {
  const page = await open('/wok')
  const before = await kitchen.tickets()
  await page.getByRole('button', { name: 'Rehearse at Ring B' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Rehearse, no flame')
  await page.getByRole('radio', { name: 'crab' }).click()
  await test.step('stirred with two tools, as one learns it, it takes other seconds than tossed', async () => {
    const begin = page.getByRole('button', { name: /^Begin/, disabled: false }).last()
    await page.getByRole('radio', { name: 'Stirred, two tools' }).click()
    await expect(page.getByRole('radio', { name: 'Stirred, two tools' })).toBeChecked()
    await expect(begin).toContainText('lasts')
    const stirred = await begin.textContent()
    await page.getByRole('radio', { name: 'Tossed' }).click()
    await expect(begin).not.toHaveText(stirred ?? '')
    await expect(begin).toContainText('lasts')
  })
  await page
    .getByRole('button', { name: /^Begin/, disabled: false })
    .last()
    .click()
  await expect(step(page)).toHaveText('Heat the wok')
  await expect(page.getByText('Rehearsal: nothing is taken or written down')).toBeVisible()

  await test.step('it goes on by itself, and trouble is practised', async () => {
    await kitchen.pass(context, 46)
    await expect(step(page)).not.toHaveText('Heat the wok')
    await page.getByRole('button', { name: 'Trouble' }).click()
    await page.getByRole('button', { name: /^Sticking/ }).click()
    await expect(page.getByText('Sticking noted, +8 s')).toBeVisible()
  })
  await test.step('to the end: no record, no run, the same tickets', async () => {
    for (let tries = 0; tries < 40 && (await step(page).textContent()) !== 'Up'; tries += 1) {
      const yes = page.getByRole('button', { name: /^Yes, it is/ })
      if (await yes.isVisible()) await yes.click()
      else await kitchen.pass(context, 15)
    }
    await expect(page.getByText(/^Rehearsed in \d+:\d\d, plan \d+:\d\d\. Nothing was written down\./)).toBeVisible()
    await expect(page.getByRole('button', { name: 'See the record' })).toHaveCount(0)
    expect(await kitchen.openRuns()).toEqual([])
    expect(await kitchen.tickets()).toEqual(before)
    await page.getByRole('button', { name: 'Another one' }).click()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Rehearse, no flame')
  })
})
