import { Kitchen, PutReadings, PutRuleSet, Waves } from 'contract/kitchen'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { json, jsonBody, newRouter, type KitchenContext } from '../http/context'
import { kitchenOf } from './kitchenOf'
import { changeRuleSetOfLots } from '../rice/changeRuleSet'
import { saveReadings, saveRuleSet, saveWaves } from './kitchen.sql'
import { noteChange } from '../people/audit.sql'
import { byOf, onlyFor } from '../people/onlyFor'

const getKitchen = onlyFor('read', {
  method: 'get',
  path: '/kitchen',
  responses: { 200: json(Kitchen, 'Stations, staff, measures and rice of the kitchen') },
})

const putRuleSet = onlyFor('rules', {
  method: 'put',
  path: '/kitchen/rule-set',
  request: { body: jsonBody(PutRuleSet) },
  responses: { 200: json(Kitchen, 'The rule set is changed; rice that is cooling keeps the old one as well') },
})

const putReadings = onlyFor('rules', {
  method: 'put',
  path: '/kitchen/readings',
  request: { body: jsonBody(PutReadings) },
  responses: { 200: json(Kitchen, 'What thermometers and scales speak, and to what rice is reheated') },
})

const putWaves = onlyFor('arrange', {
  method: 'put',
  path: '/kitchen/waves',
  request: { body: jsonBody(Waves) },
  responses: { 200: json(Kitchen, 'When waves of orders come, and how long each stays') },
})

const found = ({ pool, kitchenId }: KitchenContext) => kitchenOf(pool, kitchenId)

export const kitchenRoutes = newRouter()
  .openapi(getKitchen, async (c) => c.json(await found(c.var.kitchen), 200))
  .openapi(putRuleSet, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const { ruleSet } = c.req.valid('json')
    const kitchen = await found(c.var.kitchen)
    if (kitchen.ruleSet === ruleSet) return c.json(kitchen, 200)
    await inTransaction(pool, async (connection) => {
      const lots = await changeRuleSetOfLots(connection, kitchen, ruleSet, now())
      await saveRuleSet(connection, kitchenId, ruleSet)
      const change = { what: 'ruleSet' as const, subject: '', was: kitchen.ruleSet, became: ruleSet }
      await noteChange(connection, kitchenId, byOf(c), change, now())
      await announce(connection, kitchenId, now(), [
        { topic: 'kitchen', key: '' },
        ...lots.map((key) => ({ topic: 'rice' as const, key })),
      ])
    })
    changed()
    return c.json(await found(c.var.kitchen), 200)
  })
  .openapi(putWaves, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    await found(c.var.kitchen)
    await inTransaction(pool, async (connection) => {
      await saveWaves(connection, kitchenId, c.req.valid('json'))
      await announce(connection, kitchenId, now(), [{ topic: 'kitchen', key: '' }])
    })
    changed()
    return c.json(await found(c.var.kitchen), 200)
  })
  .openapi(putReadings, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const input = c.req.valid('json')
    const { readsIn, weighsIn, isScottish } = await found(c.var.kitchen)
    const [was, became] = [JSON.stringify({ readsIn, weighsIn, isScottish }), JSON.stringify(input)]
    await inTransaction(pool, async (connection) => {
      await saveReadings(connection, kitchenId, input)
      if (was !== became)
        await noteChange(connection, kitchenId, byOf(c), { what: 'limits', subject: '', was, became }, now())
      await announce(connection, kitchenId, now(), [{ topic: 'kitchen', key: '' }])
    })
    changed()
    return c.json(await found(c.var.kitchen), 200)
  })
