import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { expect, fireShown, test, told } from './kitchen'

const CSV = `name,role,state,cut,g per 100 g rice
rice,rice,cooked,,100
prawns,protein,raw,13 mm whole,22
egg,egg,raw,beaten,14
garlic,aromatic,fresh,mince 2 mm,1.5
oil,fat,fresh,,4
light soy sauce,liquidSeasoning,fresh,,3
spring onion,finish,fresh,slice 2 mm,4
moon dust,drySeasoning,fresh,,0.2
`
const file = (text: string | Buffer) => ({ name: 'dish.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })

test('a dish from CSV and a ticket from JSON run the same path as the demo', async ({ kitchen, open }) => {
  const book = await open('/book/files')
  await book.getByRole('textbox', { name: 'Name of the dish' }).fill('Tide prawns')
  const chooser = book.waitForEvent('filechooser')
  await book.getByRole('button', { name: 'Choose a CSV file' }).click()
  await (await chooser).setFiles(file(CSV))
  await expect(book.getByText('Tide prawns is in the book, version 1')).toBeVisible()
  await expect(book.getByText(/allergens? (?:are|is) not known: moon dust/)).toBeVisible()
  await book.goto(`${kitchen.url}/book`)
  await book.getByRole('link', { name: /Tide prawns/ }).click()
  await expect(book.getByText('Raw, but small enough to cook through among the rest.').first()).toBeVisible()

  const page = await open('/line')
  const answer = await kitchen.post('/tickets', {
    items: [{ dishId: 'tide-prawns', portions: 2 }],
    promisedAtMs: kitchen.now() + 120_000,
    place: 'stool 1',
  })
  expect(answer.status).toBe(201)
  const batch = page.getByRole('button', { name: /^Tide prawns, 2 portions/ })
  await told(page)
  await batch.click()
  const runId = await fireShown(page)
  const run = await kitchen.run(runId)
  expect(run.score.steps.find((step) => step.check?.food === 'seafood')?.check?.limit.coreC).toBe(63)
})

test('faults of a CSV are named by line and column, beside the file', { tag: '@phone' }, async ({ open }) => {
  const page = await open('/book/files')
  await page.getByRole('button', { name: 'Choose a CSV file' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Give the dish a name first.' })).toBeVisible()
  await page.getByRole('textbox', { name: 'Name of the dish' }).fill('<script>alert(1)</script>')
  const bring = async (content: string | Buffer) => {
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Choose a CSV file' }).click()
    await (await chooser).setFiles(file(content))
  }
  await bring('name,role,state,cut\nrice,rice,cooked,\n')
  await expect(page.getByText(/Missing: "g per 100 g rice"/)).toBeVisible()
  await bring('name,role,state,cut,g per 100 g rice\nrice,rice,cooked,,plenty\n')
  await expect(page.getByText(/line 2, ratioG/)).toBeVisible()
  await bring(Buffer.from(CSV, 'utf16le'))
  await expect(page.getByText(/Save it again as “CSV UTF-8”/)).toBeVisible()
  await bring(CSV)
  await expect(page.getByText('<script>alert(1)</script> is in the book, version 1')).toBeVisible()
})

test('an allergen that the dish needs is refused beside the choice', async ({ open }) => {
  const page = await open('/line/add')
  await page.getByRole('button', { name: /^Duck and pickled greens/ }).click()
  await page.getByRole('checkbox', { name: /^soy/ }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'duck cannot be made without soy' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Send/ })).toHaveAttribute('aria-disabled', 'true')
})

test('one of two portions differs: two lines of one ticket', async ({ kitchen, open }) => {
  const page = await open('/line/add')
  const duck = page.getByRole('button', { name: /^Duck and pickled greens/ })
  await duck.click()
  await duck.click()
  await page.getByRole('button', { name: 'one differs' }).click()
  await page.getByRole('checkbox', { name: /^egg(,|$)/ }).click()
  await page.getByRole('button', { name: /^Send, 1 duck, 1 duck/ }).click()
  await expect
    .poll(async () =>
      (await kitchen.tickets()).find((one) => one.source === 'hand')?.items.map((item) => item.allergies),
    )
    .toEqual([[], ['egg']])
})

test(
  'the feed is switched on in the interface and a wave comes in',
  { tag: '@phone' },
  async ({ kitchen, open, context }) => {
    const page = await open('/setup/instruments')
    await page.getByRole('radiogroup', { name: 'Simulated ticket feed' }).getByRole('radio', { name: 'on' }).click()
    await expect(
      page.getByRole('radiogroup', { name: 'Simulated ticket feed' }).getByRole('radio', { name: 'on' }),
    ).toBeChecked()
    await kitchen.pass(context, 240)
    await expect
      .poll(async () => (await kitchen.tickets()).filter((ticket) => ticket.source === 'feed').length)
      .toBeGreaterThanOrEqual(3)
  },
)

test(
  'a ticket is cancelled by holding, and comes back with undo',
  { tag: '@phone' },
  async ({ kitchen, open, context }) => {
    const page = await open('/line')
    const before = (await kitchen.tickets()).length
    await page
      .getByRole('button', { name: /2 kimchi/ })
      .first()
      .click()
    const hold = page.getByRole('button', { name: /^Cancel ticket/ })
    await hold.focus()
    await page.keyboard.down('Enter')
    await kitchen.pass(context, 1.5)
    await page.keyboard.up('Enter')
    await expect.poll(async () => (await kitchen.tickets()).length).toBe(before - 1)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect.poll(async () => (await kitchen.tickets()).length).toBe(before)
  },
)

test(
  'a page of another site writes nothing, reads nothing and follows nothing',
  { tag: '@phone' },
  async ({ kitchen, browser }) => {
    const other = createServer((_request, answer) => answer.end('<title>other</title><form method="post"></form>'))
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve))
    const page = await (await browser.newContext()).newPage()
    const tickets = async () =>
      ((await (await kitchen.fetch(`/tickets`)).json()) as { tickets: unknown[] }).tickets.length
    const before = await tickets()
    await page.goto(`http://127.0.0.1:${(other.address() as AddressInfo).port}/`)
    const seen = await page.evaluate(async (url) => {
      const body = JSON.stringify({ items: [{ dishId: 'duck', portions: 1 }], promisedAtMs: Date.now() + 600_000 })
      const post = (mode: RequestMode, type: string) =>
        fetch(`${url}/api/tickets`, { method: 'POST', mode, body, headers: { 'content-type': type } }).then(
          (answer) => answer.type,
          () => 'stopped',
        )
      const follow = () =>
        new Promise<string>((resolve) => {
          const stream = new EventSource(`${url}/api/live`)
          stream.onopen = () => resolve('open')
          stream.onerror = () => resolve('stopped')
        })
      return [await post('no-cors', 'text/plain'), await post('cors', 'application/json'), await follow()]
    }, kitchen.url)
    expect(seen).toEqual(['stopped', 'stopped', 'stopped'])
    const form = page.waitForResponse((answer) => answer.url().includes('/api/tickets'))
    await page.evaluate((url) => {
      const one = document.forms[0]!
      one.action = `${url}/api/tickets`
      one.enctype = 'text/plain'
      one.submit()
    }, kitchen.url)
    expect((await form).status()).toBe(403)
    expect(await tickets()).toBe(before)
    await page.context().close()
    other.close()
  },
)
