import { DishList } from 'contract/dish'
import { NewTicket, OpenTickets } from 'contract/ticket'
import { openTestKitchen, send, type TestKitchen } from '../../db/test/testKitchen'
import { boatWave } from './boatWave'
import { runFeed } from './runFeed'

let kitchen: TestKitchen
beforeEach(async () => void (kitchen = await openTestKitchen()))
afterEach(() => kitchen.close())

const dishes = async () => DishList.parse((await send(kitchen.app, 'GET', '/dishes')).json).dishes
const feedTickets = async () =>
  OpenTickets.parse((await send(kitchen.app, 'GET', '/tickets')).json).tickets.filter(
    (ticket) => ticket.source === 'feed',
  )

test('the same seed sends the same wave, another seed another', async () => {
  const book = await dishes()
  expect(boatWave(7, 3, 20, 1000, book)).toEqual(boatWave(7, 3, 20, 1000, book))
  expect(boatWave(8, 3, 20, 1000, book)).not.toEqual(boatWave(7, 3, 20, 1000, book))
})

const BEGAN_MS = Date.UTC(2027, 2, 10, 18)

test('every ticket of fifty boats is one that the kitchen takes', async () => {
  const book = await dishes()
  for (let boat = 0; boat < 50; boat += 1) {
    for (const { ticket, atMs } of boatWave(boat, boat, 20, BEGAN_MS, book)) {
      expect(NewTicket.safeParse(ticket).success).toBe(true)
      expect(atMs).toBeGreaterThanOrEqual(boat * 20 * 60_000)
    }
  }
})

test('switched on, a boat lands at once; asked by two servers at once, each ticket is placed once', async () => {
  await send(kitchen.app, 'PUT', '/feed', { isOn: true, seed: 5 })
  const later = kitchen.clock.now() + 5 * 60_000
  const sent = await Promise.all([1, 2, 3].map(() => runFeed(kitchen.pool, kitchen.kitchenId, 20, later)))
  const placed = await feedTickets()
  expect(placed.length).toBeGreaterThanOrEqual(3)
  expect(sent.reduce((sum, n) => sum + n, 0)).toBe(placed.length)
  expect(await runFeed(kitchen.pool, kitchen.kitchenId, 20, later)).toBe(0)
})

test('switched off, nothing comes', async () => {
  await send(kitchen.app, 'PUT', '/feed', { isOn: false, seed: 5 })
  expect(await runFeed(kitchen.pool, kitchen.kitchenId, 20, kitchen.clock.now() + 600_000)).toBe(0)
  expect(await feedTickets()).toEqual([])
})
