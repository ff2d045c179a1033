import { cookSaid, expect, fireFirst, shellKept, step, test } from './kitchen'

test.use({ serviceWorkers: 'allow' })

test('a batch is cooked through late, with a trouble, a reading, a lost network and a reload without it', async ({
  kitchen,
  open,
  context,
}) => {
  const page = await open('/line')
  await shellKept(page)
  const runId = await fireFirst(page)
  const kinds = async () => cookSaid(await kitchen.run(runId)).map(({ kind }) => kind)

  await test.step('the egg is read late: the rest moves', async () => {
    await kitchen.pass(context, 27)
    await kitchen.pass(context, 60)
    await expect(step(page)).toHaveText('Egg out')
    await kitchen.pass(context, 40)
    await page.getByRole('button', { name: /^Probe/ }).click()
    await page.getByRole('spinbutton').press('7')
    await page.getByRole('spinbutton').press('1')
    await page.getByRole('button', { name: /^Log 71/ }).click()
    await page.getByRole('button', { name: /^Yes, held/ }).click()
    await expect(step(page)).not.toHaveText('Egg out')
    await expect.poll(kinds).toContain('checked')
  })
  await test.step('the network goes; what sticks is said without it, and stands after a reload without it', async () => {
    await context.setOffline(true)
    await kitchen.pass(context, 20)
    await page.getByRole('button', { name: 'Trouble' }).click()
    await page.getByRole('button', { name: /^Sticking/ }).click()
    await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible()
    const before = await step(page).textContent()
    await page.reload()
    await expect(step(page)).toHaveText(before ?? '')
    await page.getByRole('button', { name: '+10 s' }).click()
    await expect(page.getByText(/^\+10 s: .* moves to/)).toBeVisible()
    expect(await kinds()).not.toContain('trouble')
  })
  await test.step('it comes back: everything is known, once, and the run goes on to its end', async () => {
    await context.setOffline(false)
    await expect.poll(kinds, { timeout: 30_000 }).toEqual(expect.arrayContaining(['trouble', 'later']))
    expect((await kinds()).filter((kind) => kind === 'trouble')).toHaveLength(1)
    await kitchen.pass(context, 400)
    await expect(step(page)).toHaveText('Hot through?')
    await page.getByRole('button', { name: /^Yes, it is/ }).click()
    await kitchen.pass(context, 40)
    await expect(step(page)).toHaveText('Up')
    const bowls = page.getByRole('list', { name: 'Where it goes' })
    await expect(bowls.getByText(/^Ticket \d+$/).first()).toBeVisible()
    await expect(bowls.getByText(/to the pass$|keep together/).first()).toBeVisible()
    await expect.poll(async () => (await kitchen.run(runId)).state).toBe('finished')
  })
  await test.step('the record says all of it', async () => {
    await page.goto(`${kitchen.url}/record/${runId}`)
    await expect(page.getByText(/egg, 63 °C: yes at .*71 °C/)).toBeVisible()
    await expect(page.getByText(/^\d\d:\d\d:\d\d sticking$/)).toBeVisible()
    await expect(page.getByText(/^\+10 s and remedies: \d+ s$/)).toBeVisible()
  })
})
