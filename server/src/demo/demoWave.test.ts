import { OpenTickets } from 'contract/ticket'
import { DishList, type Dish } from 'contract/dish'
import { Kitchen } from 'contract/kitchen'
import { proposeBatches } from 'core/line/batches'
import { batchScore, heatOf } from 'core/line/batchScore'
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
    const secondsAt = (batch: (typeof proposed)[number], station: (typeof house.stations)[number]) => {
      if (station.kind !== kindOf(batch.dishId) || station.capPortions < batch.portions) return null
      const result = batchScore(byId.get(batch.dishId)!, batch, heatOf(station), house.tools, house)
      return result.kind === 'score' ? result.score.totalS : null
    }
    const untouched = { lastDishId: null, usedUntilMs: null, washedAtMs: null }
    const nowMs = Math.min(...tickets.map((ticket) => ticket.placedAtMs)) + 30_000
    const stations = house.stations.map((one) => ({ ...one, ...untouched, freeAtMs: nowMs }))
    const { batches, homeless } = planLine(proposed, stations, secondsAt, nowMs)
    expect(homeless).toEqual([])
    expect(batches.map(({ dishId, lateS }) => [dishId, lateS]).filter(([, lateS]) => Number(lateS) > 0)).toEqual([])
  } finally {
    await kitchen.close()
  }
})
