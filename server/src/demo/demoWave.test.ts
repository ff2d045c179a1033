import { OpenTickets } from 'contract/ticket'
import { DishList } from 'contract/dish'
import { Kitchen } from 'contract/kitchen'
import { heatOf } from 'core/line/batchHeat'
import { stationTimes } from 'core/line/stationTimes'
import { openTestKitchen, send } from '../db/test/testKitchen'
import { boatPlan } from './boatPlan'

jest.setTimeout(180_000)

test('at a fresh start every ticket is in time, if the cooks fire what the line proposes', async () => {
  const kitchen = await openTestKitchen()
  try {
    const get = async (path: string) => (await send(kitchen.app, 'GET', path)).json as unknown
    const { tickets } = OpenTickets.parse(await get('/tickets'))
    const { dishes } = DishList.parse(await get('/dishes'))
    const house = Kitchen.parse(await get('/kitchen'))
    const nowMs = Math.min(...tickets.map((ticket) => ticket.placedAtMs)) + 30_000
    const batches = boatPlan(
      house,
      dishes,
      tickets,
      (dish, station) => stationTimes(dish, station.capPortions, heatOf(station), house.tools, house),
      nowMs,
      60_000,
    )
    const portions = tickets.flatMap(({ items }) => items).reduce((sum, item) => sum + item.portions, 0)
    expect(batches.reduce((sum, batch) => sum + batch.portions, 0)).toBe(portions)
    expect(batches.map(({ dishId, lateS }) => [dishId, lateS]).filter(([, lateS]) => Number(lateS) > 0)).toEqual([])
  } finally {
    await kitchen.close()
  }
})
