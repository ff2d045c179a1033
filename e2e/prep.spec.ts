import { MiseHouse } from 'contract/mise/house'
import { expect, hold, test, type Kitchen } from './kitchen'

const policyOf = async (kitchen: Kitchen) => MiseHouse.parse(await (await kitchen.fetch('/mise/house')).json()).policy

test('tools, places and cards: a slip said, a change taken back, what stands on a thing named before it goes', async ({
  kitchen,
  open,
  context,
}) => {
  const page = await open('/setup/prep')
  const sheet = page.getByRole('dialog')
  const press = (name: string | RegExp) => page.getByRole('button', { name }).last().click()

  await test.step('a tool is added, and taken back with one tap', async () => {
    await press('Add a tool')
    await sheet.getByLabel('How many').fill('1.5')
    await sheet.getByRole('button', { name: 'Save' }).click()
    await expect(sheet.getByText('Give it a name.')).toBeVisible()
    await expect(sheet.getByText('From 0 to 50.')).toBeVisible()
    await sheet.getByLabel('Name').fill('Smoker')
    await sheet.getByLabel('How many').fill('1')
    await sheet.getByRole('button', { name: 'Save' }).click()
    await expect(page.getByRole('button', { name: /^Smoker, 1 of them/ })).toBeVisible()
    await press('Undo')
    await expect(page.getByRole('button', { name: /^Smoker/ })).toHaveCount(0)
    expect((await policyOf(kitchen)).equipment.map(({ id }) => id)).not.toContain('smoker')
  })

  await test.step('a place says what stands there, and goes only when held', async () => {
    await press(/^Freezer, 1 thing stands there/)
    await hold(sheet.getByRole('button', { name: /^Take Freezer out/ }), kitchen, context)
    await expect(page.getByText('Freezer is gone')).toBeVisible()
    const { places, homes } = await policyOf(kitchen)
    expect(places.map(({ id }) => id)).not.toContain('freezer')
    expect(Object.values(homes)).not.toContain('freezer')
  })

  await test.step('a usual card becomes the kitchen’s own, and the usual one again', async () => {
    await press(/^Duck sauce, usual: Mix/)
    await sheet.getByLabel('Hands, min').fill('12,5')
    await sheet.getByLabel(/^Keeps, h/).fill('0')
    await sheet.getByRole('button', { name: 'Save the card' }).click()
    await expect(sheet.getByText(/^Hours, above 0/)).toBeVisible()
    await sheet.getByLabel(/^Keeps, h/).fill('72')
    await sheet.getByRole('button', { name: 'Save the card' }).click()
    await expect(
      page.getByRole('button', { name: /^Duck sauce, own: Mix 12½ min|^Duck sauce, own: Mix 13 min/ }),
    ).toBeVisible()
    const card = (await policyOf(kitchen)).cards.find(({ itemId }) => itemId === 'recipe:duck-sauce')
    expect(card).toMatchObject({ keepH: 72, steps: [{ kind: 'mix', handsOnS: 750 }] })
    await press(/^Duck sauce, own/)
    await sheet.getByRole('button', { name: 'The usual steps again' }).click()
    await expect(page.getByRole('button', { name: /^Duck sauce, usual: Mix/ })).toBeVisible()
  })
})
