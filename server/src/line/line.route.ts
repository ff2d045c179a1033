import { LineState, LineWishList, PutOrder, type LineWish } from 'contract/line'
import type { Kitchen } from 'contract/kitchen'
import { allergenListOf } from 'core/book/allergens'
import { orderFaults } from 'core/line/plan/orderFaults'
import { lineWishes } from 'core/line/plan/wishes'
import { waitingItems } from 'core/line/waiting'
import { listDishes } from '../book/dishes.sql'
import { announce } from '../db/outbox'
import { inTransaction, type Db } from '../db/pool'
import { placeInTime } from '../http/clockAhead'
import { editedMeanwhile } from '../http/conflict'
import { json, jsonBody, newRouter } from '../http/context'
import { Problem } from '../http/problems'
import { kitchenOf } from '../setup/kitchenOf'
import { findOrder, insertOrder, insertWish, listWishes } from './line.sql'
import { lockKitchen } from '../setup/kitchen.sql'
import { listOpenTickets } from './tickets.sql'
import { onlyFor, saidFor, spokenAll } from '../people/onlyFor'

const getLine = onlyFor('read', {
  method: 'get',
  path: '/line',
  responses: { 200: json(LineState, 'What was decided of the line, and the order that the cooks were told') },
})
const postWishes = saidFor('cook', {
  method: 'post',
  path: '/line/wishes',
  request: { body: jsonBody(LineWishList) },
  responses: { 200: json(LineState, 'The line afterwards; each id is taken once') },
})
const putOrder = onlyFor('tell', {
  method: 'put',
  path: '/line/order',
  request: { body: jsonBody(PutOrder) },
  responses: { 200: json(LineState, 'The line afterwards: every device shows this order') },
})

/** The most tickets that an order may be about. */
const MOST_TICKETS = 1000

export const lineRoutes = newRouter()
  .openapi(getLine, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    return c.json(await lineState(pool, kitchenId, now()), 200)
  })
  .openapi(postWishes, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const kitchen = await kitchenOf(pool, kitchenId)
    const said = c.req.valid('json').wishes.map((wish) => ({ ...wish, atMs: placeInTime(wish.atMs, now()) }))
    // A cook who stands at it says that a station is down; what changes the plan a lead says.
    const wishes = await spokenAll(c, said, ({ kind }) => (kind === 'station' ? 'cook' : 'decide'))
    for (const wish of wishes) checkWish(wish, kitchen)
    await inTransaction(pool, async (connection) => {
      for (const wish of wishes) await insertWish(connection, kitchenId, wish, now())
      await announce(connection, kitchenId, now(), [{ topic: 'line', key: '' }])
    })
    changed()
    return c.json(await lineState(pool, kitchenId, now()), 200)
  })
  .openapi(putOrder, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const sent = c.req.valid('json')
    const { stations, ruleSet } = await kitchenOf(pool, kitchenId)
    const dishes = new Map((await listDishes(pool, kitchenId)).map((dish) => [dish.id, dish]))
    await inTransaction(pool, async (connection) => {
      await lockKitchen(connection, kitchenId)
      const before = await findOrder(connection, kitchenId)
      if ((before?.no ?? 0) !== sent.basedOn) throw editedMeanwhile()
      const tickets = await listOpenTickets(connection, kitchenId, { promisedAtMs: 0, number: 0 }, MOST_TICKETS)
      const wishes = lineWishes(await listWishes(connection, kitchenId, now()))
      const known = { dishes, stations, wishes, list: allergenListOf(ruleSet) }
      const faults = orderFaults(sent, waitingItems(tickets), known)
      if (faults[0])
        throw new Problem('invalid', {
          detail: `${faults[0].field}: ${faults[0].message}`,
          faults: faults.slice(0, 20),
        })
      await insertOrder(connection, kitchenId, sent, now())
      await announce(connection, kitchenId, now(), [{ topic: 'line', key: '' }])
    })
    changed()
    return c.json(await lineState(pool, kitchenId, now()), 200)
  })

async function lineState(db: Db, kitchenId: string, nowMs: number): Promise<LineState> {
  return { wishes: await listWishes(db, kitchenId, nowMs), order: await findOrder(db, kitchenId) }
}

/** @throws {Problem} unknown-station */
function checkWish(wish: LineWish, { stations }: Kitchen): void {
  const stationId = wish.kind === 'station' || wish.kind === 'pin' ? wish.stationId : null
  if (stationId === null || stations.some(({ id }) => id === stationId)) return
  throw new Problem('unknown-station', {
    detail: `no station "${stationId}": use one of ${stations.map(({ id }) => id).join(', ')}`,
  })
}
