import { DishList } from 'contract/dish'
import { NewTicket, OpenTickets } from 'contract/ticket'
import { openTestKitchen, send, type TestKitchen } from '../../db/test/testKitchen'
import { boatWave } from './boatWave'
import { simulatedFeed } from './simulatedFeed'
import { runFeed } from './runFeed'

const BEGAN_MS = Date.UTC(2027, 2, 10, 18)
const MIN_MS = 60_000

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
  const boat = { landsMs: BEGAN_MS, leavesMs: BEGAN_MS + 12 * MIN_MS }
  expect(boatWave(7, boat, book)).toEqual(boatWave(7, boat, book))
  expect(boatWave(8, boat, book)).not.toEqual(boatWave(7, boat, book))
})

test('every ticket of fifty boats is one that the kitchen takes; what is taken away is due when its boat leaves', async () => {
  const book = await dishes()
  for (let boat = 0; boat < 50; boat += 1) {
    const landsMs = BEGAN_MS + boat * 20 * MIN_MS
    const leavesMs = landsMs + 12 * MIN_MS
    for (const { ticket, atMs } of boatWave(boat, { landsMs, leavesMs }, book)) {
      expect(NewTicket.safeParse(ticket).success).toBe(true)
      expect(atMs).toBeGreaterThanOrEqual(landsMs)
      if (ticket.kind === 'take') expect(ticket.promisedAtMs).toBe(leavesMs)
    }
  }
})

test('boats come by the timetable of the kitchen, in its zone, and none between', async () => {
  const spans = [{ weekdays: [3], fromMin: 18 * 60 + 30, toMin: 19 * 60, everyMin: 30 }]
  const feed = simulatedFeed(5, BEGAN_MS, { waves: { spans, stayMin: 12 }, timeZone: 'UTC' }, await dishes())
  const tickets = (fromMin: number, toMin: number) =>
    feed.take(BEGAN_MS + fromMin * MIN_MS, BEGAN_MS + toMin * MIN_MS).length
  expect(tickets(0, 5)).toBeGreaterThanOrEqual(3)
  expect(tickets(5, 29.9)).toBe(0)
  expect(tickets(29.9, 35)).toBeGreaterThanOrEqual(3)
  expect(tickets(59.9, 65)).toBeGreaterThanOrEqual(3)
  expect(tickets(65, 600)).toBe(0)
  expect(tickets(0, 30.1) + tickets(30.1, 31) + tickets(31, 65)).toBe(tickets(0, 65))
})

test('switched on, a boat lands at once; asked by two servers at once, each ticket is placed once', async () => {
  await send(kitchen.app, 'PUT', '/feed', { isOn: true, seed: 5 })
  const later = kitchen.clock.now() + 5 * 60_000
  const sent = await Promise.all([1, 2, 3].map(() => runFeed(kitchen.pool, kitchen.kitchenId, later)))
  const placed = await feedTickets()
  expect(placed.length).toBeGreaterThanOrEqual(3)
  expect(sent.reduce((sum, n) => sum + n, 0)).toBe(placed.length)
  expect(await runFeed(kitchen.pool, kitchen.kitchenId, later)).toBe(0)
})

test('switched off, nothing comes', async () => {
  await send(kitchen.app, 'PUT', '/feed', { isOn: false, seed: 5 })
  expect(await runFeed(kitchen.pool, kitchen.kitchenId, kitchen.clock.now() + 600_000)).toBe(0)
  expect(await feedTickets()).toEqual([])
})
