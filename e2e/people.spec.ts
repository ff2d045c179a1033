import { randomUUID } from 'node:crypto'
import type { Browser, Page, ViewportSize } from '@playwright/test'
import {
  cookSaid,
  enterPin,
  expect,
  fireable,
  fireButton,
  fireFirst,
  hold,
  openWho,
  test,
  type Kitchen,
} from './kitchen'

test.use({ serviceWorkers: 'allow' })

/** A second device with a browser of its own, let in by the code that the owner's screen shows. */
async function pairSecond(browser: Browser, kitchen: Kitchen, code: string, viewport: ViewportSize): Promise<Page> {
  const context = await browser.newContext({ viewport })
  await context.clock.install({ time: kitchen.now() })
  const page = await context.newPage()
  await page.goto(`${kitchen.url}/line`)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Let this device in')
  await page.getByLabel('Code').fill('ABCD-EFGH')
  await page.getByLabel('Name of this device').fill('Counter')
  await page.getByRole('button', { name: 'Let it in' }).click()
  await expect(page.getByText('The code is not known, was used or is over.')).toBeVisible()
  await page.getByLabel('Code').fill(code.toLowerCase())
  await page.getByRole('button', { name: 'Let it in' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('17 portions')
  return page
}

test('a second device comes in, a trainee is refused, what they say waits for the lead, and the device is shut out', async ({
  kitchen,
  open,
  browser,
  context,
}) => {
  test.setTimeout(120_000)
  const owner = await open('/setup/devices')
  await owner
    .getByRole('button', { name: /^Let a device in/ })
    .last()
    .click()
  const code = (await owner.getByText(/^[0-9A-Z]{4}-[0-9A-Z]{4}$/).textContent()) ?? ''
  const second = await pairSecond(browser, kitchen, code, owner.viewportSize()!)
  await expect(owner.getByRole('button', { name: /^Counter/ })).toBeVisible()

  await test.step('nobody is signed in there: it shows the line and fires nothing', async () => {
    await expect(second.getByRole('button', { name: /a cook signs in to fire/ }).first()).toBeDisabled()
  })

  await test.step('a trainee signs in with a tap, and may no more', async () => {
    await openWho(second)
    await second.getByRole('radio', { name: /^Tam/ }).click()
    await expect(second.getByText('Tam is here')).toBeVisible()
    await expect(second.getByRole('button', { name: /a cook signs in to fire/ }).first()).toBeDisabled()
    await second.goto(`${kitchen.url}/setup/people`)
    await expect(second.getByText('An owner signs in to see this.')).toBeVisible()
  })

  const [ticket] = await kitchen.tickets()
  await test.step('what a trainee says all the same is kept, and the lead leaves it', async () => {
    const said = { events: [{ id: randomUUID(), kind: 'cancelled', atMs: Math.round(kitchen.now()), counter: 0 }] }
    const answer = await second.request.post(`${kitchen.url}/api/tickets/${ticket!.id}/events`, { data: said })
    expect([answer.status(), ((await answer.json()) as { code: string }).code]).toEqual([403, 'kept-aside'])
    await owner.goto(`${kitchen.url}/setup/aside`)
    await expect(owner.getByText(/^Tam, Counter, /)).toBeVisible()
    await owner.getByRole('button', { name: /^Leave it/ }).click()
    await expect(owner.getByText('Nothing waits for you.')).toBeVisible()
    expect((await kitchen.tickets()).some(({ id }) => id === ticket!.id)).toBe(true)
  })

  await test.step('a cook signs in by the keypad in place of the trainee; a wrong PIN changes nothing', async () => {
    await second.goto(`${kitchen.url}/line`)
    await openWho(second)
    await second.getByRole('radio', { name: /^Wen/ }).click()
    await second.keyboard.type('0000')
    await second.keyboard.press('Enter')
    await expect(second.getByText('This is not the PIN of Wen. Try again.')).toBeVisible()
    await enterPin(second, 'Wen', '5124')
    await fireable(second)
    await expect(fireButton(second).last()).toBeEnabled()
  })

  await test.step('the owner shuts it out: it hears nothing more and asks for a code', async () => {
    await owner.goto(`${kitchen.url}/setup/devices`)
    await owner.getByRole('button', { name: /^Counter/ }).click()
    await expect(owner.getByRole('button', { name: /^Shut out/ })).toBeVisible()
    await hold(owner.getByRole('button', { name: /^Shut out/ }), kitchen, context)
    await expect(owner.getByText('Counter is shut out')).toBeVisible()
    await second.clock.fastForward(5000)
    await expect(second.getByRole('heading', { level: 1 })).toHaveText('Let this device in')
    await owner.goto(`${kitchen.url}/setup/changes`)
    await expect(owner.getByText('Device shut out')).toBeVisible()
  })
  await second.context().close()
})

test('a person is added, given a PIN, and signs in at the same device while nothing else stops', async ({
  kitchen,
  open,
}) => {
  const page = await open('/setup/people')
  await page.getByRole('button', { name: 'Add a person' }).last().click()
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Give it a name.')).toBeVisible()
  await page.getByLabel('Name').fill('Nia')
  await page.getByRole('radio', { name: 'lead' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click()
  await page.getByRole('button', { name: /^Nia, lead · no PIN yet/ }).click()
  await page.getByLabel(/^New PIN/).fill('12')
  await page.getByRole('button', { name: 'Set the PIN' }).click()
  await expect(page.getByText('Four to eight figures.')).toBeVisible()
  await page.getByLabel(/^New PIN/).fill('24680')
  await page.getByRole('button', { name: 'Set the PIN' }).click()
  await expect(page.getByRole('button', { name: /^Nia, lead · has a PIN/ })).toBeVisible()
  await page.goto(`${kitchen.url}/line`)
  await openWho(page)
  await enterPin(page, 'Nia', '24680')
  await page.goto(`${kitchen.url}/setup/people`)
  await expect(page.getByText('An owner signs in to see this.')).toBeVisible()
})

test('a PIN that was wrong four times waits, here and for this person alone; the code on paper opens the door', async ({
  kitchen,
  open,
}) => {
  const { code } = (await (await kitchen.post('/recovery-code', {})).json()) as { code: string }
  const page = await open('/line')
  await openWho(page)
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('radio', { name: /^Odalys/ }).click()
  for (let n = 0; n < 4; n += 1) {
    await page.keyboard.type('0000')
    await page.keyboard.press('Enter')
    await expect(
      sheet.getByText(n < 3 ? 'This is not the PIN of Odalys. Try again.' : /^Too many wrong PINs/),
    ).toBeVisible()
    await expect(sheet.getByRole('status', { name: '0 figures typed' })).toBeAttached()
  }
  await enterPin(page, 'Wen', '5124')
  await openWho(page)
  await sheet.getByRole('radio', { name: /^Odalys/ }).click()
  await sheet.getByRole('button', { name: 'PIN forgotten?' }).click()
  await sheet.getByLabel('The owner’s code on paper').fill('AAAA-BBBB-CCCC-DDDD-EEEE')
  await sheet.getByLabel(/^New PIN/).fill('975310')
  await sheet.getByRole('button', { name: 'Set the new PIN' }).click()
  await expect(sheet.getByText('The code is not known, was used or is over.')).toBeVisible()
  await sheet.getByLabel('The owner’s code on paper').fill(code.toLowerCase())
  await sheet.getByRole('button', { name: 'Set the new PIN' }).click()
  await expect(sheet.getByText('The old code is used up.')).toBeVisible()
  expect(await sheet.getByText(/^([0-9A-Z]{4}-){4}[0-9A-Z]{4}$/).textContent()).not.toBe(code)
  await page.goto(`${kitchen.url}/line`)
  await openWho(page)
  await enterPin(page, 'Odalys', '975310')
})

test('what a phone says without a network counts as of whoever it was then, also where the shift has ended since', async ({
  kitchen,
  open,
  context,
}) => {
  const page = await open('/line')
  await openWho(page)
  await enterPin(page, 'Bram', '1379')
  const runId = await fireFirst(page)
  await kitchen.pass(context, 36)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Egg in')
  await context.setOffline(true)
  await page.getByRole('button', { name: /^Done/ }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Egg out')
  const token = (await context.cookies()).find(({ name }) => name === 'okazu_session')?.value
  await kitchen.pass(context, 5)
  expect((await kitchen.fetch('/me/sign-out', { method: 'POST' }, token)).status).toBe(200)
  await context.setOffline(false)
  await expect.poll(async () => cookSaid(await kitchen.run(runId)).map(({ kind }) => kind)).toEqual(['done'])
  const kept = (await (await kitchen.fetch('/kept-aside')).json()) as { aside: unknown[] }
  expect(kept.aside).toEqual([])
})
