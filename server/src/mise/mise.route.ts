import { z } from '@hono/zod-openapi'
import { MiseEvents, type MiseEvent, PlanId } from 'contract/mise/event'
import { CardList } from 'contract/mise/cards'
import { MiseHouse, PutMisePolicy } from 'contract/mise/house'
import { DrawPlan, MisePlan, MisePlanList } from 'contract/mise/plan'
import { MiseStock } from 'contract/mise/stock'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { checkStaff } from '../setup/checkStaff'
import { kitchenOf } from '../setup/kitchenOf'
import { placeInTime } from '../http/clockAhead'
import { editedMeanwhile } from '../http/conflict'
import { json, jsonBody, newRouter } from '../http/context'
import { insertMiseEvent } from './events.sql'
import { findMiseHouse, saveMisePolicy } from './house.sql'
import { miseKitchen } from './miseKitchen'
import { drawMisePlan, misePlans } from './plan/misePlans'
import { cardRows } from './cardRows'
import { checkPolicy } from './checkPolicy'
import { stockOf, stockRows } from './stock'
import { onlyFor, saidFor, spokenAll } from '../people/onlyFor'

const params = z.object({ id: PlanId })

const getHouse = onlyFor('read', {
  method: 'get',
  path: '/mise/house',
  responses: { 200: json(MiseHouse, 'People, tools, places, pars and prep cards') },
})
const putHouse = onlyFor('arrange', {
  method: 'put',
  path: '/mise/house',
  request: { body: jsonBody(PutMisePolicy) },
  responses: { 200: json(MiseHouse, 'Changed, if nobody else did meanwhile') },
})
const getCards = onlyFor('read', {
  method: 'get',
  path: '/mise/cards',
  responses: { 200: json(CardList, 'How everything that is prepared is made, step by step') },
})
const getPlans = onlyFor('read', {
  method: 'get',
  path: '/mise/plans',
  responses: {
    200: json(MisePlanList, 'Services to come, up to four days, with their plans and all that was said of them'),
  },
})
const postPlan = onlyFor('tell', {
  method: 'post',
  path: '/mise/plans/{id}',
  request: { params, body: jsonBody(DrawPlan) },
  responses: { 200: json(MisePlan, 'Drawn from forecast, book and stock, if nobody else did meanwhile') },
})
const getStock = onlyFor('read', {
  method: 'get',
  path: '/mise/stock',
  responses: { 200: json(MiseStock, 'What should be there, in walking order') },
})
const postEvents = saidFor('prepare', {
  method: 'post',
  path: '/mise/events',
  request: { body: jsonBody(MiseEvents) },
  responses: { 200: json(z.strictObject({ taken: z.int() }), 'Each id is taken once, in any order') },
})

export const miseRoutes = newRouter()
  .openapi(getHouse, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json(await findMiseHouse(pool, kitchenId), 200)
  })
  .openapi(putHouse, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const { version, policy } = c.req.valid('json')
    checkPolicy(policy, await miseKitchen(pool, kitchenId))
    await inTransaction(pool, async (connection) => {
      if (!(await saveMisePolicy(connection, kitchenId, version, policy))) throw editedMeanwhile()
      await announce(connection, kitchenId, now(), [{ topic: 'mise', key: '' }])
    })
    changed()
    return c.json(await findMiseHouse(pool, kitchenId), 200)
  })
  .openapi(getCards, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json({ cards: cardRows(await miseKitchen(pool, kitchenId)) }, 200)
  })
  .openapi(getPlans, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    return c.json({ plans: await misePlans(pool, await miseKitchen(pool, kitchenId), now()) }, 200)
  })
  .openapi(postPlan, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const { id } = c.req.valid('param')
    const drawn = await drawMisePlan(pool, kitchenId, id, c.req.valid('json').version, now())
    changed()
    return c.json(drawn, 200)
  })
  .openapi(getStock, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    const from = await miseKitchen(pool, kitchenId)
    return c.json(stockRows(from, await stockOf(pool, from, now()), now()), 200)
  })
  .openapi(postEvents, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const events = c.req.valid('json').events.map((said) => ({ ...said, atMs: placeInTime(said.atMs, now()) }))
    await spokenAll(c, events, () => 'prepare')
    checkStaff(events.flatMap(staffOf), await kitchenOf(pool, kitchenId))
    const taken = await inTransaction(pool, async (connection) => {
      let count = 0
      for (const event of events) if (await insertMiseEvent(connection, kitchenId, event, now())) count += 1
      if (count > 0) await announce(connection, kitchenId, now(), [{ topic: 'mise', key: events[0]?.day ?? '' }])
      return count
    })
    changed()
    return c.json({ taken }, 200)
  })

/** Whom something said of the mise names. */
function staffOf(event: MiseEvent): (string | null)[] {
  if (event.kind === 'began') return event.staffIds
  return event.kind === 'handed' || event.kind === 'away' ? [event.staffId] : []
}
