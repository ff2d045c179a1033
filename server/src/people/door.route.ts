import { createRoute } from '@hono/zod-openapi'
import { Me, OwnPin, Pair, Recover, Recovery, SignIn } from 'contract/people'
import { needsPin, type Role } from 'core/people/roles'
import { afterWrongPin, waitMs } from 'core/people/pinTries'
import type { Context } from 'hono'
import { setCookie } from 'hono/cookie'
import { v7 as newId } from 'uuid'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { json, jsonBody, newRouter, type RequestEnv } from '../http/context'
import { Problem } from '../http/problems'
import { limitTries } from '../http/rateLimit'
import { noteChange } from './audit.sql'
import { insertDevice, takePairingCode } from './devices.sql'
import { byOf, notPaired, onlyFor, SESSION_COOKIE } from './onlyFor'
import { findPerson, findRecovery, lockOwners, lockTries, savePinHash, saveRecovery, saveTries } from './people.sql'
import { digest, hashSecret, isSecret, newRecoveryCode, newToken, plainCode } from './secrets'
import { findSession, openSession } from './sessions.sql'

const YEAR_S = 365 * 86_400
const SECOND_MS = 1000

const pair = createRoute({
  method: 'post',
  path: '/me/pair',
  middleware: [limitTries()] as const,
  request: { body: jsonBody(Pair) },
  responses: { 201: json(Me, 'The device is let in; its cookie holds from now on, and nobody is signed in') },
})
const getMe = onlyFor('read', {
  method: 'get',
  path: '/me',
  responses: { 200: json(Me, 'The device that asks, and who is signed in at it') },
})
const signIn = onlyFor('read', {
  method: 'post',
  path: '/me/sign-in',
  request: { body: jsonBody(SignIn) },
  responses: { 200: json(Me, 'Who is signed in now; the cookie is another one') },
})
const signOut = onlyFor('read', {
  method: 'post',
  path: '/me/sign-out',
  responses: { 200: json(Me, 'Nobody is signed in; the device stays') },
})
const putPin = onlyFor('rehearse', {
  method: 'put',
  path: '/me/pin',
  request: { body: jsonBody(OwnPin) },
  responses: { 200: json(Me, 'The PIN of whoever is signed in is another one') },
})
const recover = onlyFor('read', {
  method: 'post',
  path: '/me/recover',
  request: { body: jsonBody(Recover) },
  responses: {
    200: json(Recovery, 'The owner has a new PIN and is signed in; the old code is used up, this is the next'),
  },
})

/** The way in: devices by a code, people by a PIN, an owner by the code on paper. */
export const doorRoutes = newRouter()
  .openapi(pair, async (c) => {
    const { pool, now } = c.var.kitchen
    const { code, name, place } = c.req.valid('json')
    const token = newToken()
    const nowMs = Math.round(now())
    const kitchenId = await inTransaction(pool, async (connection) => {
      const taken = await takePairingCode(connection, digest(plainCode(code)), nowMs)
      if (!taken) throw codeWrong()
      const id = newId()
      const by = { staffId: taken.madeBy, deviceId: id }
      await insertDevice(connection, taken.kitchenId, { id, name, place, pairedBy: taken.madeBy }, nowMs)
      await openSession(connection, taken.kitchenId, id, { tokenHash: digest(token), person: null }, nowMs)
      await noteChange(connection, taken.kitchenId, by, { what: 'devicePaired', subject: name, became: place }, nowMs)
      await announce(connection, taken.kitchenId, nowMs, [{ topic: 'people', key: '' }])
      return taken.kitchenId
    })
    c.var.kitchenOf(kitchenId).changed()
    return c.json(await meWith(c, token), 201)
  })
  .openapi(getMe, (c) => c.json(meOf(c), 200))
  .openapi(signIn, async (c) => {
    const { staffId, pin } = c.req.valid('json')
    const { pool, kitchenId } = c.var.kitchen
    const person = await findPerson(pool, kitchenId, staffId)
    if (!person) throw new Problem('unknown-staff', { detail: `nobody here has the id "${staffId}"` })
    if (needsPin(person.role)) await checkPin(c, person, pin)
    return c.json(await begin(c, person), 200)
  })
  .openapi(signOut, async (c) => c.json(await begin(c, null), 200))
  .openapi(putPin, async (c) => {
    const { oldPin, pin } = c.req.valid('json')
    const { pool, kitchenId, now } = c.var.kitchen
    const { person } = c.var.session
    const known = person ? await findPerson(pool, kitchenId, person.id) : null
    if (!known) throw new Problem('nobody-signed-in', { detail: 'sign in first, then change the PIN' })
    await checkPin(c, known, oldPin)
    const hash = await hashSecret(pin)
    await inTransaction(pool, async (connection) => {
      await savePinHash(connection, kitchenId, known.id, hash)
      await noteChange(connection, kitchenId, byOf(c), { what: 'pinSet', subject: known.name }, now())
    })
    return c.json(meOf(c), 200)
  })
  .openapi(recover, async (c) => {
    const { code, pin } = c.req.valid('json')
    const { pool, kitchenId, now } = c.var.kitchen
    const kept = await findRecovery(pool, kitchenId)
    if (kept === null || !(await isSecret(plainCode(code), kept))) throw codeWrong()
    const hash = await hashSecret(pin)
    const next = newRecoveryCode()
    const nextHash = await hashSecret(plainCode(next))
    const ownerId = await inTransaction(pool, async (connection) => {
      const [owner] = await lockOwners(connection, kitchenId)
      if (owner === undefined || (await findRecovery(connection, kitchenId)) !== kept) throw codeWrong()
      await savePinHash(connection, kitchenId, owner, hash)
      await saveRecovery(connection, kitchenId, nextHash)
      await noteChange(connection, kitchenId, byOf(c), { what: 'recovered', subject: owner }, now())
      return owner
    })
    await begin(c, await findPerson(pool, kitchenId, ownerId))
    return c.json({ code: next }, 200)
  })

const codeWrong = () =>
  new Problem('code-wrong', { detail: 'the code is not known, was used or is over: ask the owner for another one' })

const meOf = (c: Context<RequestEnv>): Me => {
  const { kitchen, device, person } = c.var.session
  return { kitchen, device, person }
}

/** Gives the device its cookie and answers as whoever it is now. */
async function meWith(c: Context<RequestEnv>, token: string): Promise<Me> {
  setCookie(c, SESSION_COOKIE, token, {
    httpOnly: true,
    sameSite: 'Strict',
    path: '/api',
    maxAge: YEAR_S,
    secure: new URL(c.req.url).protocol === 'https:',
  })
  const { pool, now } = c.var.kitchen
  const session = await findSession(pool, digest(token), now(), false)
  if (!session) throw notPaired()
  c.set('session', session)
  return meOf(c)
}

/** A person signs in, or nobody: the cookie is another one, and the device keeps what it still has to say. */
async function begin(c: Context<RequestEnv>, person: { id: string; role: Role } | null): Promise<Me> {
  const { pool, kitchenId, now, changed } = c.var.kitchen
  const token = newToken()
  await inTransaction(pool, async (connection) => {
    const opened = { tokenHash: digest(token), person }
    await openSession(connection, kitchenId, c.var.session.device.id, opened, Math.round(now()))
    await announce(connection, kitchenId, now(), [{ topic: 'people', key: '' }])
  })
  changed()
  return meWith(c, token)
}

type Known = { id: string; name: string; pinHash: string | null }

/** @throws {Problem} pin-missing, pin-wait or pin-wrong */
async function checkPin(c: Context<RequestEnv>, { id, name, pinHash }: Known, pin: string | null): Promise<void> {
  const { pool, kitchenId, now } = c.var.kitchen
  const key = { kitchenId, deviceId: c.var.session.device.id, staffId: id }
  if (pinHash === null)
    throw new Problem('pin-missing', {
      detail: `${name} has no PIN yet: an owner sets it in Setup, People`,
      values: { name },
    })
  const tries = await inTransaction(pool, async (connection) => {
    const before = await lockTries(connection, key)
    const wait = waitMs(before, now())
    if (wait > 0) throw pinWait(name, wait)
    // Counted before it is looked at, so that many tries at once are as many tries.
    const after = afterWrongPin(before, now())
    await saveTries(connection, key, after)
    return after
  })
  if (pin === null || !(await isSecret(pin, pinHash))) {
    const wait = waitMs(tries, now())
    if (wait > 0) throw pinWait(name, wait)
    throw new Problem('pin-wrong', { detail: `this is not the PIN of ${name}: try again`, values: { name } })
  }
  await inTransaction(pool, (connection) => saveTries(connection, key, null))
}

function pinWait(name: string, wait: number): Problem {
  const seconds = Math.ceil(wait / SECOND_MS)
  return new Problem('pin-wait', {
    detail: `too many wrong PINs of ${name} here: try again in ${seconds} s, or at another device`,
    values: { name, seconds },
  })
}
