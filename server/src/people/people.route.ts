import { z } from '@hono/zod-openapi'
import { Slug } from 'contract/ids'
import { NewPin, PersonDraft, PersonEdit, PersonList, Recovery } from 'contract/people'
import type { Context } from 'hono'
import type { PoolConnection } from 'mysql2/promise'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { checkWas } from '../http/conflict'
import { json, jsonBody, newRouter, type RequestEnv } from '../http/context'
import { Problem } from '../http/problems'
import { freeId } from '../setup/freeId'
import { noteChange } from './audit.sql'
import { byOf, onlyFor } from './onlyFor'
import {
  changePerson,
  findPerson,
  insertPerson,
  isTaken,
  letGo,
  listPeople,
  lockOwners,
  savePinHash,
  saveRecovery,
} from './people.sql'
import { digest, hashSecret, newRecoveryCode, newToken, plainCode } from './secrets'
import { devicesOfPerson, openSession } from './sessions.sql'

const params = z.object({ id: Slug })

const getPeople = onlyFor('people', {
  method: 'get',
  path: '/people',
  responses: { 200: json(PersonList, 'Everybody who works here') },
})
const postPerson = onlyFor('people', {
  method: 'post',
  path: '/people',
  request: { body: jsonBody(PersonDraft) },
  responses: { 201: json(PersonList, 'Everybody, with the new one') },
})
const putPerson = onlyFor('people', {
  method: 'put',
  path: '/people/{id}',
  request: { params, body: jsonBody(PersonEdit) },
  responses: { 200: json(PersonList, 'Everybody; another role signs the person out everywhere') },
})
const deletePerson = onlyFor('people', {
  method: 'delete',
  path: '/people/{id}',
  request: { params },
  responses: { 200: json(PersonList, 'Everybody who is left; what the one who left said keeps the name') },
})
const putPin = onlyFor('people', {
  method: 'put',
  path: '/people/{id}/pin',
  request: { params, body: jsonBody(NewPin) },
  responses: { 200: json(PersonList, 'The person has this PIN, and is signed out everywhere else') },
})
const postRecovery = onlyFor('people', {
  method: 'post',
  path: '/recovery-code',
  responses: { 201: json(Recovery, 'A code for the owner on paper; the one before it opens nothing any more') },
})

/** People of the kitchen, for its owners. */
export const peopleRoutes = newRouter()
  .openapi(getPeople, async (c) =>
    c.json({ people: await listPeople(c.var.kitchen.pool, c.var.kitchen.kitchenId) }, 200),
  )
  .openapi(postPerson, async (c) => {
    const draft = c.req.valid('json')
    await change(c, async (connection, { kitchenId, nowMs }) => {
      await lockOwners(connection, kitchenId)
      await checkName(connection, kitchenId, draft.name, null)
      const id = await freeId(draft.name, 'person', (one) => isTaken(connection, kitchenId, one))
      await insertPerson(connection, kitchenId, id, draft)
      const change = { what: 'personAdded' as const, subject: draft.name, became: draft.role }
      await noteChange(connection, kitchenId, byOf(c), change, nowMs)
    })
    return c.json({ people: await listPeople(c.var.kitchen.pool, c.var.kitchen.kitchenId) }, 201)
  })
  .openapi(putPerson, async (c) => {
    const { id } = c.req.valid('param')
    const { was: seen, ...draft } = c.req.valid('json')
    await change(c, async (connection, { kitchenId, nowMs }) => {
      const owners = await lockOwners(connection, kitchenId)
      const before = await known(connection, kitchenId, id)
      checkWas(seen, before)
      if (draft.role !== 'owner') checkOwnerLeft(owners, id)
      await checkName(connection, kitchenId, draft.name, id)
      await changePerson(connection, kitchenId, id, draft)
      if (draft.role !== before.role) await signOutEverywhere(connection, kitchenId, id, nowMs)
      const [was, became] = [`${before.name}, ${before.role}`, `${draft.name}, ${draft.role}`]
      if (was !== became)
        await noteChange(connection, kitchenId, byOf(c), { what: 'personChanged', subject: id, was, became }, nowMs)
    })
    return c.json({ people: await listPeople(c.var.kitchen.pool, c.var.kitchen.kitchenId) }, 200)
  })
  .openapi(deletePerson, async (c) => {
    const { id } = c.req.valid('param')
    await change(c, async (connection, { kitchenId, nowMs }) => {
      checkOwnerLeft(await lockOwners(connection, kitchenId), id)
      const { name, role } = await known(connection, kitchenId, id)
      await letGo(connection, kitchenId, id)
      await signOutEverywhere(connection, kitchenId, id, nowMs)
      await noteChange(connection, kitchenId, byOf(c), { what: 'personGone', subject: name, was: role }, nowMs)
    })
    return c.json({ people: await listPeople(c.var.kitchen.pool, c.var.kitchen.kitchenId) }, 200)
  })
  .openapi(putPin, async (c) => {
    const { id } = c.req.valid('param')
    const hash = await hashSecret(c.req.valid('json').pin)
    await change(c, async (connection, { kitchenId, nowMs }) => {
      const { name } = await known(connection, kitchenId, id)
      await savePinHash(connection, kitchenId, id, hash)
      await signOutEverywhere(connection, kitchenId, id, nowMs, c.var.session.device.id)
      await noteChange(connection, kitchenId, byOf(c), { what: 'pinSet', subject: name }, nowMs)
    })
    return c.json({ people: await listPeople(c.var.kitchen.pool, c.var.kitchen.kitchenId) }, 200)
  })
  .openapi(postRecovery, async (c) => {
    const code = newRecoveryCode()
    const hash = await hashSecret(plainCode(code))
    await change(c, async (connection, { kitchenId, nowMs }) => {
      await saveRecovery(connection, kitchenId, hash)
      await noteChange(connection, kitchenId, byOf(c), { what: 'pinSet', subject: 'code on paper' }, nowMs)
    })
    return c.json({ code }, 201)
  })

type At = { kitchenId: string; nowMs: number }

/** One change of the people, told to every screen. */
async function change(
  c: Context<RequestEnv>,
  work: (connection: PoolConnection, at: At) => Promise<void>,
): Promise<void> {
  const { pool, kitchenId, now, changed } = c.var.kitchen
  const nowMs = Math.round(now())
  await inTransaction(pool, async (connection) => {
    await work(connection, { kitchenId, nowMs })
    await announce(connection, kitchenId, nowMs, [
      { topic: 'people', key: '' },
      { topic: 'kitchen', key: '' },
    ])
  })
  changed()
}

async function known(connection: PoolConnection, kitchenId: string, id: string) {
  const person = await findPerson(connection, kitchenId, id)
  if (!person) throw new Problem('unknown-staff', { detail: `nobody here has the id "${id}"`, values: { name: id } })
  return person
}

/** @throws {Problem} last-owner: two owners who take each other out leave one */
function checkOwnerLeft(owners: readonly string[], leaving: string): void {
  if (owners.length > 1 || !owners.includes(leaving)) return
  throw new Problem('last-owner', {
    detail: 'make somebody else an owner first: a kitchen without one cannot be set up',
  })
}

/** @throws {Problem} name-taken */
async function checkName(
  connection: PoolConnection,
  kitchenId: string,
  name: string,
  id: string | null,
): Promise<void> {
  const same = (await listPeople(connection, kitchenId)).find(
    (one) => one.id !== id && one.name.toLowerCase() === name.toLowerCase(),
  )
  if (same)
    throw new Problem('name-taken', {
      detail: `there is a ${same.name} already: add a letter, so that nobody signs in as the other`,
      values: { name: same.name },
    })
}

/** Whatever device the person is signed in at has nobody from now on; its runs go on. */
async function signOutEverywhere(
  connection: PoolConnection,
  kitchenId: string,
  staffId: string,
  nowMs: number,
  but: string | null = null,
): Promise<void> {
  for (const deviceId of await devicesOfPerson(connection, kitchenId, staffId))
    if (deviceId !== but)
      // A token that nobody has: the device's own goes on without a person.
      await openSession(connection, kitchenId, deviceId, { tokenHash: digest(newToken()), person: null }, nowMs)
}
