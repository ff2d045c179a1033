import { readFile } from 'node:fs/promises'
import { expect, test } from './kitchen'

test('what if: by the arrow keys and by a finger on the map, worked out in full, and taken away as a file', async ({
  open,
}) => {
  const page = await open('/book/duck')
  await page.getByRole('button', { name: 'What if' }).last().click()
  await expect(page.getByText('As long as today.')).toBeVisible()

  await test.step('less flame by the keyboard', async () => {
    const flame = page.getByRole('spinbutton', { name: 'Flame' })
    for (let presses = 0; presses < 3; presses += 1) await flame.press('PageDown')
    await expect(page.getByText(/^\d+ s later than today\.$/)).toBeVisible()
    await expect(page.getByRole('img', { name: /^What if: pan falls to \d+/ })).toBeVisible()
  })
  const map = page.getByRole('slider', { name: /^Batch against flame/ })
  await test.step('the map follows the arrow keys', async () => {
    await map.press('ArrowRight')
    await expect(map).toHaveAttribute('aria-valuenow', '3')
  })
  await test.step('a finger on a large batch and a weak flame: it steams, or does not fit', async () => {
    await map.scrollIntoViewIfNeeded()
    const box = (await map.boundingBox())!
    await map.click({ position: { x: box.width * 0.55, y: box.height * 0.8 } })
    await expect(page.getByText(/steams: the pan falls to|does not fit/)).toBeVisible()
  })
  await test.step('the curves as a file', async () => {
    await page.getByRole('button', { name: 'As today' }).click()
    await expect(page.getByText('As long as today.')).toBeVisible()
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Curves as CSV' }).click(),
    ])
    const lines = (await readFile(await file.path(), 'utf8')).split('\r\n')
    expect(lines[0]).toBe('curve,second,pan C,rice C,free water %,crust %,frying')
    expect(lines.filter((one) => one.startsWith('Today,')).length).toBeGreaterThan(60)
    const [picture] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Picture (PNG)' }).click(),
    ])
    expect((await readFile(await picture.path())).subarray(1, 4).toString()).toBe('PNG')
  })
  await test.step('from a station: a dish that is cooked there, on that station', async () => {
    await page.goto(new URL('/setup/station/ring-b', page.url()).href)
    await page.getByRole('button', { name: 'duck', exact: true }).click()
    await expect(page.getByRole('radio', { name: 'Ring B' })).toBeChecked()
    await expect(page.getByText('As long as today.')).toBeVisible()
  })
})
