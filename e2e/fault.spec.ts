import { expect, test, type Kitchen } from './kitchen'
import { clipped, ready, seriousFindings } from './looks'

test.use({ evenings: 2 })

async function aRun(kitchen: Kitchen): Promise<string> {
  const { runs } = (await (await kitchen.fetch(`/record/runs?dish=duck`)).json()) as {
    runs: { id: string; actualS: number; plannedS: number }[]
  }
  return runs.sort((a, b) => b.actualS - b.plannedS - (a.actualS - a.plannedS))[0]!.id
}

test('from a complaint to its likely causes with their evidence, by keyboard too', async ({ kitchen, open }) => {
  const id = await aRun(kitchen)
  const page = await open(`/record/${id}`)
  await page.getByRole('button', { name: 'Something wrong?' }).last().click()
  await expect(page.getByText(/runs? went well$/)).toBeVisible()
  await page.getByRole('radio', { name: 'burnt', exact: true }).press('Enter')
  await expect(page.getByText('Likely because')).toBeVisible()
  await expect(page.getByRole('img', { name: /against the plan|added by/ }).first()).toBeVisible()
  await expect(page.getByText(/thin evidence/)).toBeVisible()
  await ready(page)
  expect(await seriousFindings(page)).toEqual([])
  expect(await clipped(page)).toEqual([])
})

test('what runs say of a station stands on its page; it can be frozen and forgotten', async ({ open, kitchen }) => {
  const page = await open('/setup/station/ring-a')
  await expect(
    page.getByText(/^This station .* than the model says, \d+ runs?\.|^This station takes as long/),
  ).toBeVisible()
  await expect(page.getByRole('img', { name: /runs against the model as points/ })).toBeVisible()
  await page.getByRole('button', { name: 'Freeze it' }).click()
  await expect(page.getByText(/Frozen: new runs do not move it\./)).toBeVisible()
  await page.getByRole('button', { name: 'Forget these runs' }).click()
  await expect(page.getByText('No run yet: the times are what the model says.')).toBeVisible()
  const { runs } = (await (await kitchen.fetch(`/learned/station/ring-a`)).json()) as { runs: number }
  expect(runs).toBe(0)
})
