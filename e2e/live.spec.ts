import { ComplaintList } from 'contract/faults'
import { expect, fireFirst, fireShown, step, test, fireButton } from './kitchen'

/** What the record has of the rest being worked out again. */
const retimings = (events: readonly { kind: string }[]) => events.filter(({ kind }) => kind === 'retimed')

test('a late cook is followed: the rest is worked out again, on every device, and taken back with its cause', async ({
  kitchen,
  open,
  context,
}) => {
  const page = await open('/line')
  const runId = await fireFirst(page)
  const other = await open(`/wok/${runId}`)

  await test.step('a check that was answered late moves the rest', async () => {
    await kitchen.pass(context, 27)
    await kitchen.pass(context, 60)
    await expect(step(page)).toHaveText('Egg out')
    await kitchen.pass(context, 75)
    await page.getByRole('button', { name: /^Yes, it is/ }).click()
    await expect(step(page)).not.toHaveText('Egg out')
  })
  await test.step('a flame turned down is worked out, and told', async () => {
    // Only a step that lasts gives a flame the time to matter.
    await expect(async () => {
      const done = page.getByRole('button', { name: /^Yes, it is/ })
      if (await done.isVisible()) await done.click()
      else if ((await step(page).textContent()) !== 'Rice in') await kitchen.pass(context, 3)
      expect(await step(page).textContent()).toBe('Rice in')
    }).toPass({ timeout: 60_000, intervals: [300] })
    await page.getByRole('button', { name: 'Trouble' }).click()
    await page.getByRole('radio', { name: 'Low' }).click()
    await expect(page.getByText(/^Flame Low until this step ends/)).toBeVisible()
    await expect(async () => {
      if (retimings((await kitchen.run(runId)).events).length > 0) return
      await kitchen.pass(context, 4)
      throw new Error('not worked out again yet')
    }).toPass({ timeout: 60_000, intervals: [700] })
    // Seconds, or what they will not be enough for.
    const told = /\d+ s (later|sooner)|not hot at \d/
    await expect(page.getByText(told).first()).toBeVisible()
    await expect(other.getByText(told).first()).toBeVisible()
  })
  await test.step('it stands after a reload', async () => {
    const due = await page
      .getByText(/^\d:\d\d$/)
      .first()
      .textContent()
    await page.reload()
    await expect(step(page)).toBeVisible()
    await expect(page.getByText(/^\d:\d\d$/).first()).not.toHaveText('')
    expect(due).toMatch(/^\d:\d\d$/)
  })
  await test.step('what ran out is left out, said to the guest, and stands in the record', async () => {
    await page.getByRole('button', { name: 'Trouble' }).click()
    await page.getByRole('button', { name: /^Ran out of scallion/ }).click()
    await page.getByRole('button', { name: 'Go on without scallion' }).click()
    await expect(page.getByText(/^Without .*: noted\. Tell the guest\./)).toBeVisible()
    await expect
      .poll(async () => (await kitchen.run(runId)).events.filter(({ kind }) => kind === 'trouble').length)
      .toBe(1)
  })
  await test.step('a taste is answered from the rail, and stands with the run', async () => {
    await page.getByRole('button', { name: 'Trouble' }).click()
    await page.getByRole('radio', { name: 'salty' }).click()
    await page.getByRole('radio', { name: 'clearly' }).click()
    await page.getByRole('button', { name: 'Added it' }).click()
    await expect(page.getByText('Noted with this run: salty')).toBeVisible()
    await page.goto(`${kitchen.url}/record/${runId}`)
    await expect(page.getByText(/tasted: salty, \d/).first()).toBeVisible()
    await page.goto(`${kitchen.url}/record/fault/${runId}`)
    await expect(page.getByRole('radio', { name: 'Too salty' })).toBeChecked()
  })
  await test.step('the complaint is written down, by a gesture of its own, without a network, and taken back', async () => {
    const noted = async () => {
      const { complaints } = ComplaintList.parse(await (await kitchen.fetch('/complaints')).json())
      return complaints.map(({ what, takenBackAtMs }) => [what, takenBackAtMs !== null])
    }
    expect(await noted()).toEqual([])
    await context.setOffline(true)
    await page.getByRole('button', { name: 'Write down: too salty' }).dblclick()
    await expect(page.getByText(/^Written down at .*: too salty$/)).toBeVisible()
    await context.setOffline(false)
    await expect.poll(noted).toEqual([['tooSalty', false]])
    await page.goto(`${kitchen.url}/record/${runId}`)
    await expect(page.getByText(/complaint of this batch: too salty, /)).toBeVisible()
    await page.goBack()
    await page.getByRole('button', { name: 'Take back' }).click()
    await expect.poll(noted).toEqual([['tooSalty', true]])
    await expect(page.getByRole('button', { name: 'Write down: too salty' })).toBeVisible()
  })
})

test('two runs: the other one stands on the screen, one tap away, and who wants the same hands is said before', async ({
  kitchen,
  open,
  context,
}) => {
  const page = await open('/line')
  const first = await fireFirst(page)
  const [firstAt, secondAt] =
    (await kitchen.run(first)).stationId === 'ring-b' ? ['Ring B', 'Ring A'] : ['Ring A', 'Ring B']
  await page.goto(`${kitchen.url}/line`)
  // Of what waits for the other ring, the first that needs no wash before it.
  const waiting = page.getByRole('button', { name: new RegExp(`^(?!Duck).*, ${secondAt}, up`) })
  await expect(waiting.first()).toBeVisible()
  await expect(async () => {
    for (const one of await waiting.all()) {
      await one.click({ timeout: 1000 })
      if (await fireButton(page).last().isVisible()) return
    }
    throw new Error('nothing can be fired there yet')
  }).toPass({ timeout: 20_000 })
  const second = await fireShown(page)
  expect(second).not.toBe(first)
  const other = page.getByRole('navigation', { name: 'At the stations' })
  await expect(other.getByText(firstAt)).toBeVisible()
  await kitchen.pass(context, 20)
  // Both are this cook's: the ring that heats up wants its oil while the other has the hands.
  await expect(page.getByText(/^Oil in at Ring B comes while .* has your hands/)).toBeVisible()
  await other.getByRole('link').click()
  await page.waitForURL(new RegExp(first))
  await expect(page.getByRole('navigation', { name: 'At the stations' }).getByText(secondAt)).toBeVisible()
})
