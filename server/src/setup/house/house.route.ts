import { z } from '@hono/zod-openapi'
import { FirstOwner, KitchenHead, KitchenMade, NewKitchen, StationDraft, StationEdit } from 'contract/house'
import { Slug } from 'contract/ids'
import { Kitchen } from 'contract/kitchen'
import { MeasureTools } from 'contract/measure'
import { Recovery } from 'contract/people'
import type { Context } from 'hono'
import type { PoolConnection } from 'mysql2/promise'
import { announce, type Change } from '../../db/outbox'
import { inTransaction } from '../../db/pool'
import { json, jsonBody, newRouter, type RequestEnv } from '../../http/context'
import { checkWas } from '../../http/conflict'
import { Problem } from '../../http/problems'
import { noteChange } from '../../people/audit.sql'
import { byOf, onlyFor } from '../../people/onlyFor'
import { insertPerson, listPeople, savePinHash, saveRecovery } from '../../people/people.sql'
import { hashSecret, newRecoveryCode, plainCode } from '../../people/secrets'
import { freeId } from '../freeId'
import { kitchenOf } from '../kitchenOf'
import { findKitchen, lockKitchen } from '../kitchen.sql'
import { beginKitchen } from './begin'
import { countRunsAt, isStation, removeStation, saveHead, saveStation, saveTools } from './house.sql'

const params = z.object({ id: Slug })
const kitchenAnswer = (description: string) => ({ 200: json(Kitchen, description) })

const postKitchen = onlyFor('archive', {
  method: 'post',
  path: '/kitchens',
  request: { body: jsonBody(NewKitchen) },
  responses: { 201: json(KitchenMade, 'An empty kitchen beside this one, and the code for its first device') },
})
const postOwner = onlyFor('read', {
  method: 'post',
  path: '/first-owner',
  request: { body: jsonBody(FirstOwner) },
  responses: { 201: json(Recovery, 'The kitchen that had nobody has its owner, and this code for paper') },
})
const putHead = onlyFor('rules', {
  method: 'put',
  path: '/kitchen/head',
  request: { body: jsonBody(KitchenHead) },
  responses: kitchenAnswer('The kitchen has this name, zone, language and currency'),
})
const putTools = onlyFor('arrange', {
  method: 'put',
  path: '/kitchen/tools',
  request: { body: jsonBody(MeasureTools) },
  responses: kitchenAnswer('The kitchen measures with these'),
})
const postStation = onlyFor('arrange', {
  method: 'post',
  path: '/kitchen/stations',
  request: { body: jsonBody(StationDraft) },
  responses: { 201: json(Kitchen, 'The kitchen with the new station; its plate is an estimate until it is given') },
})
const putStation = onlyFor('arrange', {
  method: 'put',
  path: '/kitchen/stations/{id}',
  request: { params, body: jsonBody(StationEdit) },
  responses: kitchenAnswer('The kitchen; what was cooked at the station stays as it was'),
})
const deleteStation = onlyFor('arrange', {
  method: 'delete',
  path: '/kitchen/stations/{id}',
  request: { params },
  responses: kitchenAnswer('The kitchen without the station'),
})
/** What a kitchen consists of, entered by its people. */
export const houseRoutes = newRouter()
  .openapi(postKitchen, async (c) => {
    const { pool, now } = c.var.kitchen
    return c.json(await beginKitchen(pool, c.req.valid('json'), now()), 201)
  })
  .openapi(postOwner, async (c) => {
    const { name, pin } = c.req.valid('json')
    const code = newRecoveryCode()
    const [pinHash, codeHash] = [await hashSecret(pin), await hashSecret(plainCode(code))]
    await change(c, [{ topic: 'people', key: '' }, KITCHEN], async (connection, kitchenId) => {
      await lockKitchen(connection, kitchenId)
      if ((await listPeople(connection, kitchenId)).length > 0)
        throw new Problem('may-not', {
          detail: 'this kitchen has people already: one of its owners adds others in Setup, People',
          values: { action: 'people', name: '' },
        })
      const id = await freeId(name, 'owner', () => Promise.resolve(false))
      await insertPerson(connection, kitchenId, id, { name, role: 'owner' })
      await savePinHash(connection, kitchenId, id, pinHash)
      await saveRecovery(connection, kitchenId, codeHash)
      await noteChange(
        connection,
        kitchenId,
        byOf(c),
        { what: 'personAdded', subject: name, became: 'owner' },
        c.var.kitchen.now(),
      )
    })
    return c.json({ code }, 201)
  })
  .openapi(putHead, async (c) => {
    const head = c.req.valid('json')
    const { name, timeZone, locale, currency } = await kitchenOf(c.var.kitchen.pool, c.var.kitchen.kitchenId)
    await change(c, [KITCHEN], async (connection, kitchenId) => {
      await saveHead(connection, kitchenId, head)
      const [was, became] = [[name, timeZone, locale, currency].join(', '), Object.values(head).join(', ')]
      if (was !== became)
        await noteChange(
          connection,
          kitchenId,
          byOf(c),
          { what: 'limits', subject: '', was, became },
          c.var.kitchen.now(),
        )
    })
    return c.json(await found(c), 200)
  })
  .openapi(putTools, async (c) => {
    await change(c, [KITCHEN], (connection, kitchenId) => saveTools(connection, kitchenId, c.req.valid('json')))
    return c.json(await found(c), 200)
  })
  .openapi(postStation, async (c) => {
    const draft = c.req.valid('json')
    await change(c, [KITCHEN], async (connection, kitchenId) => {
      await lockKitchen(connection, kitchenId)
      const id = await freeId(draft.name, 'station', (one) => isStation(connection, kitchenId, one))
      await saveStation(connection, kitchenId, id, draft)
    })
    return c.json(await found(c), 201)
  })
  .openapi(putStation, async (c) => {
    const { id } = c.req.valid('param')
    const { was, ...draft } = c.req.valid('json')
    await change(c, [KITCHEN], async (connection, kitchenId) => {
      await lockKitchen(connection, kitchenId)
      const kitchen = await findKitchen(connection, kitchenId)
      const now = kitchen?.stations.find((one) => one.id === id)
      if (!now) throw unknown('station', id)
      checkWas(was, now)
      await saveStation(connection, kitchenId, id, draft)
    })
    return c.json(await found(c), 200)
  })
  .openapi(deleteStation, async (c) => {
    const { id } = c.req.valid('param')
    await change(c, [KITCHEN], async (connection, kitchenId) => {
      const runs = await countRunsAt(connection, kitchenId, id)
      if (runs > 0)
        throw new Problem('in-use', {
          detail: `${runs} runs were cooked at it: give it another name, or say on the line that it is down`,
          values: { runs },
        })
      if (!(await removeStation(connection, kitchenId, id))) throw unknown('station', id)
    })
    return c.json(await found(c), 200)
  })

const KITCHEN: Change = { topic: 'kitchen', key: '' }

const found = (c: Context<RequestEnv>) => kitchenOf(c.var.kitchen.pool, c.var.kitchen.kitchenId)

const unknown = (what: string, id: string) =>
  new Problem('not-found', { detail: `there is no ${what} "${id}": read the kitchen again` })

/** One change of the house, told to every screen. */
async function change(
  c: Context<RequestEnv>,
  changes: Change[],
  work: (connection: PoolConnection, kitchenId: string) => Promise<void>,
): Promise<void> {
  const { pool, kitchenId, now, changed } = c.var.kitchen
  await inTransaction(pool, async (connection) => {
    await work(connection, kitchenId)
    await announce(connection, kitchenId, now(), changes)
  })
  changed()
}
