import { ItemId, TicketId } from 'contract/ids'
import { OpenTickets, TicketList, type Ticket } from 'contract/ticket'
import { v7 as newId } from 'uuid'
import { fireOf, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

/** Open tickets by pages, in a kitchen that has more than one page of them. */
let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const page = async (query = '') => OpenTickets.parse((await send(kitchen.app, 'GET', `/tickets${query}`)).json)
const portionsOf = (tickets: readonly Ticket[]) =>
  tickets.flatMap(({ items }) => items).reduce((sum, item) => sum + item.portions - item.firedPortions, 0)

/** Several are promised at the same minute, so that a page ends between two of one promise. */
async function place(count: number): Promise<void> {
  const firstMs = kitchen.clock.now() + 600_000
  const tickets = Array.from({ length: count }, (_, i) => ({
    id: TicketId.parse(newId()),
    promisedAtMs: firstMs + Math.floor(i / 7) * 60_000,
    items: [{ id: ItemId.parse(newId()), dishId: 'plain', portions: 1 + (i % 3) }],
  }))
  for (let from = 0; from < count; from += 100)
    TicketList.parse((await send(kitchen.app, 'POST', '/tickets', tickets.slice(from, from + 100))).json)
}

test('a small kitchen has one page, and nothing stands behind it', async () => {
  const { tickets, later } = await page()
  expect(tickets.length).toBeGreaterThan(0)
  expect(later).toBeNull()
})

test('pages follow each other without a gap or a double, and each says what stands behind it', async () => {
  await place(230)
  const all = (await page('?limit=1000')).tickets
  const pages = [await page()]
  for (let last = pages[0]!; last.later; last = pages.at(-1)!) pages.push(await page(`?after=${last.later.after}`))
  expect(pages.map(({ tickets }) => tickets.length)).toEqual([100, 100, all.length - 200])
  expect(pages.flatMap(({ tickets }) => tickets)).toEqual(all)
  const behind = all.slice(100)
  expect(pages[0]!.later).toMatchObject({
    tickets: behind.length,
    portions: portionsOf(behind),
    firstPromisedAtMs: behind[0]!.promisedAtMs,
  })
})

test('portions in the wok are not waiting, also not behind a page', async () => {
  const last = (await page('?limit=1000')).tickets.at(-1)!
  const before = await page('?limit=1')
  const fired = await send(kitchen.app, 'POST', '/runs', fireOf([last], 'ring-a', kitchen.clock.now()))
  expect(fired.status).toBe(201)
  const after = await page('?limit=1')
  expect(before.later!.portions - after.later!.portions).toBe(portionsOf([last]))
})

test.each(['?after=1', '?after=1_x', '?limit=0', '?limit=5000', '?limit=many'])('%s is refused', async (query) => {
  expect((await send(kitchen.app, 'GET', `/tickets${query}`)).status).toBe(422)
})
