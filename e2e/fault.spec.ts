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

test(
  'a ticket and an evening are complained of: what their batches share, of one dish or of all',
  { tag: '@phone' },
  async ({ kitchen, open }) => {
    const { runs } = (await (await kitchen.fetch('/record/runs?dish=duck')).json()) as {
      runs: { id: string; firedAtMs: number }[]
    }
    const run = runs[0]!
    const page = await open(`/record/${run.id}`)
    await page
      .getByRole('button', { name: /^Ticket \d+: something wrong\?/ })
      .last()
      .click()
    await expect(page.getByText(/^Ticket \d+ · .* went well$/)).toBeVisible()
    await page.getByRole('radio', { name: 'bland' }).click()
    await page.getByRole('button', { name: 'Write down: bland' }).click()
    await expect(page.getByText(/^Written down at .*: bland$/)).toBeVisible()
    await page.goto(`${kitchen.url}/record/evening/${new Date(run.firedAtMs).toISOString().slice(0, 10)}`)
    await expect(page.getByText(/complaint of ticket \d+: bland, /)).toBeVisible()
    await page.getByRole('button', { name: 'Something wrong all evening?' }).click()
    await expect(page.getByText(/ · \d+ batches · /)).toBeVisible()
    await page.getByRole('radio', { name: 'mushy, clumped' }).click()
    const answer = page.getByText(/^in \d+ of \d+ batches$|these batches share was unlike/).first()
    await expect(answer).toBeVisible()
    await page.getByRole('button', { name: /^Dish/ }).click()
    await page.getByRole('radio', { name: /^Duck/ }).click()
    await expect(answer).toBeVisible()
    await page.getByRole('button', { name: 'Write down: mushy, clumped' }).click()
    await ready(page)
    expect(await seriousFindings(page)).toEqual([])
    expect(await clipped(page)).toEqual([])
    await page.goBack()
    await expect(page.getByText(/complaint of Duck.* all evening: mushy, clumped, /)).toBeVisible()
  },
)

test(
  'what runs say of a station stands on its page; it can be frozen and forgotten',
  { tag: '@phone' },
  async ({ open, kitchen }) => {
    const page = await open('/setup/station/ring-a')
    await expect(
      page.getByText(/^This station .* than the model says, \d+ runs?\.|^This station takes as long/),
    ).toBeVisible()
    await expect(page.getByRole('img', { name: /runs against the model as points/ })).toBeVisible()
    const told = page.getByText(/^This station .* \d+ runs\./)
    await page.goto(`${kitchen.url}/setup/station/ring-b`)
    await expect(told).toHaveText(/is \d+ % slower than the model says/)
    expect(Number(/(\d+) runs/.exec((await told.textContent()) ?? '')?.[1])).toBeGreaterThanOrEqual(20)
    await page.goto(`${kitchen.url}/setup/station/ring-a`)
    await page.getByRole('button', { name: 'Freeze it' }).click()
    await expect(page.getByText(/Frozen: new runs do not move it\./)).toBeVisible()
    await page.getByRole('button', { name: 'Forget these runs' }).click()
    await expect(page.getByText('No run yet: the times are what the model says.')).toBeVisible()
    const { runs } = (await (await kitchen.fetch(`/learned/station/ring-a`)).json()) as { runs: number }
    expect(runs).toBe(0)
  },
)
