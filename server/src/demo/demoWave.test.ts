import { OpenTickets } from 'contract/ticket'
import { DishList, type Dish } from 'contract/dish'
import { Kitchen } from 'contract/kitchen'
import { proposeBatches } from 'core/line/batches'
import { batchScore } from 'core/line/batchScore'
import { largestCap, planLine } from 'core/line/planLine'
import { waitingItems } from 'core/line/waiting'
import { openTestKitchen, send } from '../db/test/testKitchen'

test('at a fresh start every ticket is in time, if the cook fires what the line proposes', async () => {
  const kitchen = await openTestKitchen()
  try {
    const get = async (path: string) => (await send(kitchen.app, 'GET', path)).json as unknown
    const { tickets } = OpenTickets.parse(await get('/tickets'))
    const { dishes } = DishList.parse(await get('/dishes'))
    const house = Kitchen.parse(await get('/kitchen'))
    const byId = new Map(dishes.map((dish) => [dish.id, dish]))
    const kindOf = (id: string) => byId.get(id)!.stationKind
    const proposed = proposeBatches(waitingItems(tickets), byId, (dish) =>
      largestCap(house.stations, (dish as Dish).stationKind),
    )
    const totalS = (batch: (typeof proposed)[number]) => {
      const result = batchScore(byId.get(batch.dishId)!, batch, house.tools, house)
      if (result.kind === 'refused') throw new Error(`${batch.dishId}: ${result.reason} ${result.names.join()}`)
      return result.score.totalS
    }
    const untouched = { lastDishId: null, usedUntilMs: null, washedAtMs: null }
    const nowMs = Math.min(...tickets.map((ticket) => ticket.placedAtMs)) + 30_000
    const stations = house.stations.map((one) => ({ ...one, ...untouched, freeAtMs: nowMs }))
    const { batches, homeless } = planLine(proposed, stations, kindOf, totalS, nowMs)
    expect(homeless).toEqual([])
    expect(batches.map(({ dishId, lateS }) => [dishId, lateS]).filter(([, lateS]) => Number(lateS) > 0)).toEqual([])
  } finally {
    await kitchen.close()
  }
})
