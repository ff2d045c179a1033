import { StationPasts } from 'contract/station'
import { readFileSync } from 'node:fs'
import { cookSaid, expect, fireButton, fireFirst, fireShown, hold, step, test, told } from './kitchen'

test('a ticket becomes a timed run at the wok, and a record', async ({ kitchen, open, context }) => {
  const page = await open('/line')
  await expect(page.getByText(/portions waiting|Waiting, \d+ portions/).first()).toBeVisible()
  const before = (await kitchen.tickets()).length

  await test.step('a new ticket in a few taps', async () => {
    await page.getByRole('button', { name: 'Add ticket' }).click()
    await page.getByRole('button', { name: /^Duck and pickled greens/ }).click()
    await page.getByRole('button', { name: /^Duck and pickled greens/ }).click()
    await page.getByRole('checkbox', { name: 'less salt' }).click()
    await expect(page.getByRole('button', { name: /Send, allergy not asked/ })).toBeVisible()
    await page.getByRole('checkbox', { name: 'none' }).click()
    await page.getByRole('radio', { name: 'hatch' }).click()
    await page.getByRole('button', { name: /^Send, 2 duck, less salt/ }).click()
    await page.waitForURL(/\/line$/)
    await expect.poll(async () => (await kitchen.tickets()).length).toBe(before + 1)
    const [ticket] = (await kitchen.tickets()).filter((one) => one.source === 'hand')
    expect(ticket).toMatchObject({
      kind: 'take',
      items: [{ dishId: 'duck', portions: 2, modifiers: ['less-salt'], allergies: [] }],
    })
  })

  let portions = 0
  await test.step('the amounts of a proposed batch, then fire', async () => {
    await told(page)
    const duck = page.getByRole('button', { name: /^Duck and pickled greens, [2-4] portions, Ring/ }).first()
    portions = Number(/, (\d) portions/.exec((await duck.getAttribute('aria-label')) ?? '')?.[1])
    await duck.click()
    if ((page.viewportSize()?.width ?? 0) < 900) await page.getByRole('button', { name: 'Show amounts' }).click()
    await expect(page.getByText(`${220 * portions} g`).last()).toBeVisible()
    if ((page.viewportSize()?.width ?? 0) < 900) await page.getByRole('button', { name: 'Close' }).click()
  })
  const runId = await fireShown(page)
  const run = await kitchen.run(runId)
  expect(run).toMatchObject({ dishId: 'duck', handsFree: true })
  const ringName = run.stationId === 'ring-a' ? 'Ring A' : 'Ring B'

  await test.step('the score goes on by itself at the planned second', async () => {
    const egg = run.score.steps.find(({ action }) => action === 'eggIn')!
    await kitchen.pass(context, egg.startS + 4)
    await expect(step(page)).toHaveText('Egg in')
    await expect(page.getByText(`${Math.round(35.2 * portions)} g`).first()).toBeVisible()
    await expect(page.getByText(/\d½? eggs/).first()).toBeVisible()
  })

  await test.step('a safety check waits for its own answer: neither Done nor the pedal is one', async () => {
    await kitchen.pass(context, 60)
    await expect(step(page)).toHaveText('Egg out')
    await kitchen.pass(context, 30)
    await expect(step(page)).toHaveText('Egg out')
    await expect(page.getByText('waits for you to confirm').first()).toBeVisible()
    await page.keyboard.press('Space')
    await expect(page.getByRole('button', { name: /^Done/ })).toHaveCount(0)
    await page.getByRole('button', { name: 'Not yet' }).click()
    await expect(page.getByText(/^Not yet: 20 s more/)).toBeVisible()
    await page.getByRole('button', { name: /^Probe/ }).click()
    await page.getByRole('spinbutton').press('6')
    await page.getByRole('spinbutton').press('5')
    await page.getByRole('button', { name: /^Log 65/ }).click()
    await expect(page.getByText(/At 65 °C it must be held for 15 s/)).toBeVisible()
    await page.getByRole('button', { name: 'Yes, held 15 s' }).click()
    await expect(step(page)).not.toHaveText('Egg out')
  })

  await test.step('+10 s, and Done by hand, to the end', async () => {
    await page.getByRole('button', { name: '+10 s' }).click()
    await expect(page.getByText(/^\+10 s: .* moves to/)).toBeVisible()
    await kitchen.pass(context, 400)
    await expect(step(page)).toHaveText('Hot through?')
    await page.getByRole('button', { name: /^Yes, it is/ }).click()
    await expect(step(page)).toHaveText('Flame off')
    await kitchen.pass(context, 30)
    await expect(step(page)).toHaveText('Up')
    await expect.poll(async () => (await kitchen.run(runId)).state).toBe('finished')
  })

  await test.step('the record has plan and run, checks, lot and tickets', async () => {
    await page.getByRole('button', { name: 'See the record' }).click()
    await expect(page.getByText(/^plan \d:\d\d/)).toBeVisible()
    await expect(page.getByText(/egg, 63 °C: not yet at .*by eye/)).toBeVisible()
    await expect(page.getByText(/egg, 63 °C: yes at .*65 °C/)).toBeVisible()
    await expect(page.getByText(/rice, 74 °C: yes at/)).toBeVisible()
    await expect(page.getByText('R-17').first()).toBeVisible()
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'This run as CSV' }).click()
    const csv = readFileSync(await (await download).path(), 'utf8')
    expect(csv.split('\r\n')[0]).toBe(
      'step,action,heat,plannedStartS,actualStartS,lateS,endedBy,component,motion,massG,measuredG,check,answers',
    )
    const sauce = run.score.steps
      .flatMap(({ entries }) => entries)
      .find(({ componentId }) => componentId === 'duck-sauce')!
    expect(csv).toContain(`duck sauce,in,${Math.round(sauce.massG * 10) / 10},`)
  })

  await test.step('the ring is cleaned for its next batch: seconds that run, and a word when it is done', async () => {
    // Without duck, another dish comes to the ring: the same one again would need no cleaning.
    const gone = {
      id: crypto.randomUUID(),
      atMs: Math.round(kitchen.now()),
      kind: 'dish',
      dishId: 'duck',
      isGone: true,
    }
    const said = await kitchen.post('/line/wishes', {
      wishes: [{ ...gone, deviceId: 'test', staffId: null, counter: 0 }],
    })
    expect(said.status).toBe(200)
    await page.goto(kitchen.url + '/wok')
    const ring = page.getByRole('group', { name: ringName, exact: true })
    await ring.getByRole('button', { name: new RegExp(`^(Brush|Wipe) ${ringName}`) }).click()
    await expect(ring.getByText(/^Steam when wiping a hot wok/)).toBeVisible()
    await page.reload()
    const done = ring.getByRole('button', { name: new RegExp(`^${ringName} is (brushed|wiped)`) })
    await expect(done).toBeVisible()
    // What is tapped when a page has only just come was meant for the one before.
    await kitchen.pass(context, 26)
    await expect(done).toHaveAccessibleName(/, 0:00$/)
    await done.click()
    const cleaned = async () => {
      const { stations } = StationPasts.parse(await (await kitchen.fetch('/stations')).json())
      const { wipedAtMs, brushedAtMs } = stations.find(({ stationId }) => stationId === run.stationId)!
      return brushedAtMs ?? wipedAtMs
    }
    await expect.poll(cleaned).not.toBeNull()
    await expect(ring.getByRole('button', { name: new RegExp(`^(Brush|Wipe) ${ringName}`) })).toHaveCount(0)
  })

  await test.step('the run stands in the list, and its portions are off the line', async () => {
    await page.goto(kitchen.url + '/record')
    const inList = page.getByRole('link', { name: /Duck and pickled greens/ })
    await expect(inList.or(page.getByRole('row', { name: /Duck and pickled greens/ })).first()).toBeVisible()
    expect(
      (await kitchen.tickets())
        .flatMap((ticket) => ticket.items)
        .some((item) => item.firedPortions > item.donePortions),
    ).toBe(false)
  })
})

test(
  'trouble: the remedy is read at once, noted with a tap, taken back with undo; stop is held',
  { tag: '@phone' },
  async ({ kitchen, open, context }) => {
    const page = await open('/line')
    const runId = await fireFirst(page)
    await kitchen.pass(context, 36)
    await page.getByRole('button', { name: 'Trouble' }).click()
    await expect(page.getByText('Wok off the ring, do not scrape.')).toBeVisible()
    await page.getByRole('button', { name: /^Burning/ }).click()
    await expect.poll(async () => cookSaid(await kitchen.run(runId)).map((event) => event.kind)).toEqual(['trouble'])
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect
      .poll(async () => cookSaid(await kitchen.run(runId)).map((event) => event.kind))
      .toEqual(['trouble', 'undone'])

    await page.getByRole('button', { name: 'Trouble' }).click()
    await page.getByRole('button', { name: /^oil, / }).click()
    await expect
      .poll(async () => cookSaid(await kitchen.run(runId)).at(-1))
      .toMatchObject({ trouble: 'forgot', componentId: 'oil' })

    await page.getByRole('button', { name: 'Trouble' }).click()
    const stop = page.getByRole('button', { name: /^Stop/ })
    const box = await stop.boundingBox()
    await page.mouse.move(box!.x + 20, box!.y + 20)
    await context.clock.pauseAt((await page.evaluate(() => Date.now())) + 3000)
    await page.mouse.down()
    await context.clock.fastForward(300)
    await page.mouse.up()
    await page.mouse.down()
    await context.clock.fastForward(300)
    await page.mouse.up()
    await expect(step(page)).not.toHaveText('Stopped')
    expect((await kitchen.run(runId)).state).toBe('open')
    await page.mouse.down()
    await context.clock.fastForward(1100)
    await page.mouse.up()
    await context.clock.resume()
    await expect(step(page)).toHaveText('Stopped')
    await expect.poll(async () => (await kitchen.run(runId)).state).toBe('stopped')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(step(page)).not.toHaveText('Stopped')
    await expect.poll(async () => (await kitchen.run(runId)).state).toBe('open')
  },
)

test('with hands-free off the score waits for Done', { tag: '@phone' }, async ({ kitchen, open, context }) => {
  const setup = await open('/setup')
  await setup.getByRole('radiogroup', { name: 'Hands-free' }).getByRole('radio', { name: 'off' }).click()
  await setup.close()
  const page = await open('/line')
  await fireFirst(page)
  await kitchen.pass(context, 90)
  await expect(step(page)).toHaveText('Heat the wok')
  await page.keyboard.press('Enter')
  await expect(step(page)).toHaveText('Oil in')
})

test('an allergy stands alone, is read aloud, washed for by hand, and cooked without', async ({
  kitchen,
  open,
  context,
}) => {
  const page = await open('/line')
  await told(page)
  const aloud = page.getByText(/egg allergy: say it aloud/)
  await expect(async () => {
    for (const one of await page.getByRole('button', { name: /^Duck and pickled greens, 1 portion, Ring/ }).all()) {
      await one.click({ timeout: 1000 })
      if (await aloud.isVisible()) return
    }
    throw new Error('none of them is that of the guest with the allergy')
  }).toPass({ timeout: 20_000 })
  await expect(fireButton(page)).toHaveCount(0)
  // A slow network: what is fired right after the wash must not arrive before it.
  await page.route('**/api/stations/*/events', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1500))
    await route.continue()
  })
  // A plan that becomes better meanwhile may take the batch to the other ring: that one is then to be washed.
  await expect(async () => {
    await hold(page.getByRole('button', { name: /^Ring [AB] is washed/ }).last(), kitchen, context)
    await expect(fireButton(page)).not.toHaveCount(0, { timeout: 5000 })
  }).toPass({ timeout: 60_000 })
  const runId = await fireShown(page)
  await expect(page.getByText('Full wash first, egg off')).toBeVisible()
  const run = await kitchen.run(runId)
  expect(run.washedAtMs).toBeLessThanOrEqual(run.firedAtMs)
  expect(run.allergies).toEqual(['egg'])
  expect(run.score.steps.flatMap((one) => one.entries).some((entry) => entry.componentId === 'egg')).toBe(false)
})
