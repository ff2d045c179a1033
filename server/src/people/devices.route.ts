import { z } from '@hono/zod-openapi'
import { DeviceDraft, DeviceList, Pairing } from 'contract/people'
import { encode } from 'uqr'
import { announce } from '../db/outbox'
import { inTransaction } from '../db/pool'
import { json, jsonBody, newRouter, type KitchenContext } from '../http/context'
import { Problem } from '../http/problems'
import { beginAccess } from './beginAccess'
import { noteChange } from './audit.sql'
import { listDevices, nameDevice, shutOut } from './devices.sql'
import { byOf, onlyFor } from './onlyFor'

const params = z.object({ id: z.uuid() })

const getDevices = onlyFor('people', {
  method: 'get',
  path: '/paired-devices',
  responses: { 200: json(DeviceList, 'Every device that was let in, newest first') },
})
const postPairing = onlyFor('people', {
  method: 'post',
  path: '/pairing-codes',
  responses: { 201: json(Pairing, 'A code that lets one device in within half an hour') },
})
const putDevice = onlyFor('people', {
  method: 'put',
  path: '/paired-devices/{id}',
  request: { params, body: jsonBody(DeviceDraft) },
  responses: { 200: json(DeviceList, 'The devices; this one has another name or place') },
})
const deleteDevice = onlyFor('people', {
  method: 'delete',
  path: '/paired-devices/{id}',
  request: { params },
  responses: { 200: json(DeviceList, 'The devices; this one is shut out at once') },
})

const list = async ({ pool, kitchenId }: KitchenContext) => ({ devices: await listDevices(pool, kitchenId) })

export const deviceRoutes = newRouter()
  .openapi(getDevices, async (c) => c.json(await list(c.var.kitchen), 200))
  .openapi(postPairing, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    const { code, untilMs } = await beginAccess(pool, kitchenId, now(), byOf(c).staffId)
    const host = c.req.header('host') ?? new URL(c.req.url).host
    const link = `${new URL(c.req.url).protocol}//${host}/pair?code=${code}`
    const qr = encode(link, { border: 2 }).data.map((row) => row.map((isDark) => (isDark ? '#' : '.')).join(''))
    return c.json({ code, untilMs, link, qr }, 201)
  })
  .openapi(putDevice, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    await inTransaction(pool, async (connection) => {
      await nameDevice(connection, kitchenId, c.req.valid('param').id, c.req.valid('json'))
      await announce(connection, kitchenId, now(), [{ topic: 'people', key: '' }])
    })
    changed()
    return c.json(await list(c.var.kitchen), 200)
  })
  .openapi(deleteDevice, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const { id } = c.req.valid('param')
    if (id === c.var.session.device.id)
      throw new Problem('may-not', {
        detail: 'this is the device in your hand: shut it out from another one',
        values: { action: 'people', name: '' },
      })
    await inTransaction(pool, async (connection) => {
      const name = await shutOut(connection, kitchenId, id, Math.round(now()))
      if (name === null) return
      await noteChange(connection, kitchenId, byOf(c), { what: 'deviceShutOut', subject: name }, now())
      await announce(connection, kitchenId, now(), [{ topic: 'people', key: '' }])
    })
    changed()
    return c.json(await list(c.var.kitchen), 200)
  })
