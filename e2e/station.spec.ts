import { StationPlateState } from 'contract/stationPlate'
import { expect, test, type Kitchen } from './kitchen'

const plateOf = async (kitchen: Kitchen, id: string) =>
  StationPlateState.parse(await (await kitchen.fetch(`/stations/${id}/plate`)).json())

test('a plate: what it fries, a slip said beside its field, and a new version', async ({ kitchen, open }) => {
  const page = await open('/setup')
  await page.getByRole('button', { name: 'What Griddle fries, its plate and calibration' }).click()
  await expect(page.getByRole('heading', { name: 'Griddle', level: 1 })).toBeVisible()
  await expect(page.getByText('An estimate by the plate: calibrate your station.')).toBeVisible()
  await expect(page.getByRole('img', { name: /^In section: fries up to [\d.]+ kg/ })).toBeVisible()
  const power = page.getByRole('textbox', { name: 'Power, kW' })
  await power.fill('9000')
  await page.getByRole('button', { name: 'Save the plate' }).click()
  await expect(page.getByText('In kW, from 0.3 to 60: a hob has 3.5.')).toBeVisible()
  await power.fill('4,5')
  const before = await page.getByRole('img', { name: /^In section/ }).getAttribute('aria-label')
  await page.getByRole('button', { name: 'Save the plate' }).click()
  await expect(page.getByText('The plate is saved as a new version')).toBeVisible()
  await expect(page.getByRole('img', { name: /^In section/ })).not.toHaveAttribute('aria-label', before ?? '')
  expect(await plateOf(kitchen, 'griddle')).toMatchObject({ version: 1, plate: { powerW: 4500, kind: 'griddle' } })
})

test(
  'what is typed stays when somebody else saves meanwhile, and saving says so',
  { tag: '@phone' },
  async ({ kitchen, open }) => {
    const page = await open('/setup/station/ring-a')
    const weight = page.getByRole('textbox', { name: 'Weight, kg' })
    await weight.fill('2.4')
    const { version, plate } = await plateOf(kitchen, 'ring-a')
    const body = JSON.stringify({ version, plate: { ...plate, holdC: 300 }, staffId: null })
    const headers = { 'content-type': 'application/json' }
    const other = await kitchen.fetch(`/stations/ring-a/plate`, { method: 'PUT', body, headers })
    expect(other.status).toBe(200)
    await expect(page.getByText(/kW, by the plate|kW, measured/)).toHaveCount(3)
    await expect(weight).toHaveValue('2.4')
    await page.getByRole('button', { name: 'Save the plate' }).click()
    await expect(page.getByText(/changed this meanwhile|changed it meanwhile|meanwhile/).first()).toBeVisible()
    await expect(weight).toHaveValue('2.4')
    expect(await plateOf(kitchen, 'ring-a')).toMatchObject({ version: version + 1, plate: { massKg: plate.massKg } })
  },
)

test(
  'calibrated by the watch: a double tap, a reload in the middle, then before and after',
  { tag: '@phone' },
  async ({ kitchen, open, context }) => {
    const before = await plateOf(kitchen, 'ring-b')
    const page = await open('/setup/station/ring-b')
    await page.getByRole('button', { name: /^Calibrate/ }).click()
    await expect(page.getByText('1 of 3')).toBeVisible()
    await expect(page.getByText(/^expected after \d:\d\d/)).toBeVisible()
    await page.getByRole('button', { name: /^Flame on/ }).dblclick()
    await expect(page.getByRole('timer')).toHaveText(/^0:0/)
    await kitchen.pass(context, 60)
    await page.reload()
    await expect(page.getByRole('timer')).toHaveText(/^1:0/)
    await kitchen.pass(context, 40)
    await page.getByRole('button', { name: /^80 °C/ }).click()
    await expect(page.getByText('2 of 3')).toBeVisible()
    await page.getByRole('button', { name: /^Flame on/ }).click()
    await kitchen.pass(context, 30)
    await expect(page.getByText(/^Metal \d+ °C of 230 °C/)).toBeVisible()
    await page.getByRole('button', { name: /^Smoke/ }).click()
    await expect(page.getByText('Before', { exact: true })).toBeVisible()
    await expect(page.getByText(/kW reach the metal/)).toHaveCount(2)
    await page.getByRole('button', { name: 'Read the metal after a load' }).click()
    await page.getByRole('button', { name: 'Read the thermometer' }).click()
    const metal = page.getByRole('spinbutton', { name: 'Metal at the bared spot' })
    await expect(metal).toHaveAttribute('aria-valuenow', /\d+/)
    await page.reload()
    await expect(metal).toHaveAttribute('aria-valuenow', /\d+/)
    await page.getByRole('button', { name: 'Keep it' }).click()
    await expect(page.getByText('Ring B is calibrated')).toBeVisible()
    await expect(page.getByText(/kW, measured/).first()).toBeVisible()
    const after = await plateOf(kitchen, 'ring-b')
    expect(after.version).toBe(before.version + 1)
    expect(after.plate.zoneShare).not.toBe(before.plate.zoneShare)
    expect(after.plate.contact).not.toBeNull()
  },
)

test(
  'a time that no station has is asked about and not kept',
  { tag: '@phone' },
  async ({ kitchen, open, context }) => {
    const page = await open('/setup/station/griddle/calibrate')
    await page.getByRole('button', { name: /^Flame on/ }).click()
    await kitchen.pass(context, 8)
    await page.getByRole('button', { name: /^80 °C/ }).click()
    await expect(page.getByText('The water was heated in a time that no such station has.')).toBeVisible()
    await expect(page.getByRole('button', { name: /^Keep it, a reading cannot be right/ })).toBeDisabled()
    expect(await plateOf(kitchen, 'griddle')).toMatchObject({ version: 0 })
  },
)
