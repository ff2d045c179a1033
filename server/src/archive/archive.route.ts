import { ARCHIVE_NAME, IncomingArchive, PartQuery, ReadArchive, RestoredKitchen, SampleKitchen } from 'contract/archive'
import type { Pool } from 'mysql2/promise'
import { ReadableStream as WebStream } from 'node:stream/web'
import { inTransaction } from '../db/pool'
import { DEMO_KITCHEN_ID } from '../demo/kitchen'
import { attachment } from '../http/attachment'
import { file, json, jsonBody, newRouter } from '../http/context'
import { Problem } from '../http/problems'
import { byOf, onlyFor } from '../people/onlyFor'
import { noteChange } from '../people/audit.sql'
import { listPeople } from '../people/people.sql'
import { isKitchen } from '../setup/house/house.sql'
import { arrived, forget, incomingPath, writePart } from './incoming'
import { openArchive } from './openArchive'
import { readInto } from './readInto'
import { removeKitchen } from './removeKitchen'
import { writeArchive } from './writeArchive'

const getArchive = onlyFor('archive', {
  method: 'get',
  path: '/archive',
  responses: file('application/zip', 'The whole kitchen with its record: JSON, CSV and a manifest with checksums'),
})
const getIncoming = onlyFor('read', {
  method: 'get',
  path: '/incoming-archive',
  responses: { 200: json(IncomingArchive, 'How much of an archive has arrived') },
})
const postPart = onlyFor('read', {
  method: 'post',
  path: '/incoming-archive',
  request: {
    query: PartQuery,
    body: { required: true, content: { 'application/octet-stream': { schema: { type: 'string', format: 'binary' } } } },
  },
  responses: { 200: json(IncomingArchive, 'The part is kept; the same part twice is one') },
})
const postRead = onlyFor('read', {
  method: 'post',
  path: '/incoming-archive/read',
  request: { body: jsonBody(ReadArchive) },
  responses: { 200: json(RestoredKitchen, 'The empty kitchen is as the archive has it, with a new PIN of its owner') },
})
const getSample = onlyFor('read', {
  method: 'get',
  path: '/sample-kitchen',
  responses: { 200: json(SampleKitchen, 'Whether the sample kitchen stands beside this one') },
})
const deleteSample = onlyFor('archive', {
  method: 'delete',
  path: '/sample-kitchen',
  responses: { 200: json(SampleKitchen, 'The sample kitchen is gone with everything in it') },
})

const sampleOf = async (pool: Pool, kitchenId: string): Promise<SampleKitchen> => ({
  isBeside: kitchenId !== DEMO_KITCHEN_ID && (await isKitchen(pool, DEMO_KITCHEN_ID)),
})

/** An archive is read where nobody answers for anything yet. @throws {Problem} kitchen-not-empty */
async function checkNobody(pool: Pool, kitchenId: string): Promise<void> {
  if ((await listPeople(pool, kitchenId)).length === 0) return
  throw new Problem('kitchen-not-empty', {
    detail: 'this kitchen has people already: begin another one in Setup and read the file there',
  })
}

export const archiveRoutes = newRouter()
  .openapi(getArchive, (c) => {
    const { pool, kitchenId, now, migrations } = c.var.kitchen
    // Nothing is begun before its first byte is asked for: who only wants the headers holds no connection.
    const stream: unknown = WebStream.from(writeArchive({ pool, kitchenId, now, migrations }))
    return c.body(stream as ReadableStream, 200, attachment('application/zip', ARCHIVE_NAME))
  })
  .openapi(getIncoming, async (c) => {
    const { dataFolder, kitchenId } = c.var.kitchen
    return c.json({ bytes: await arrived(incomingPath(dataFolder, kitchenId)) }, 200)
  })
  .openapi(postPart, async (c) => {
    const { pool, dataFolder, kitchenId } = c.var.kitchen
    await checkNobody(pool, kitchenId)
    const part = new Uint8Array(await c.req.arrayBuffer())
    const bytes = await writePart(incomingPath(dataFolder, kitchenId), c.req.valid('query').at, part)
    return c.json({ bytes }, 200)
  })
  .openapi(postRead, async (c) => {
    const { pool, dataFolder, kitchenId, migrations, now, changed } = c.var.kitchen
    await checkNobody(pool, kitchenId)
    const path = incomingPath(dataFolder, kitchenId)
    const bytes = await arrived(path)
    if (bytes !== c.req.valid('json').bytes)
      throw new Problem('archive-gap', {
        detail: `${bytes} bytes have arrived: send the rest first`,
        values: { bytes },
      })
    const archive = await openArchive(path, migrations)
    try {
      const restored = await readInto(pool, kitchenId, archive, byOf(c), now())
      changed()
      return c.json(restored, 200)
    } finally {
      archive.close()
      await forget(path)
    }
  })
  .openapi(getSample, async (c) => c.json(await sampleOf(c.var.kitchen.pool, c.var.kitchen.kitchenId), 200))
  .openapi(deleteSample, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    if (kitchenId === DEMO_KITCHEN_ID)
      throw new Problem('kitchen-not-empty', {
        detail: 'this is the sample kitchen: an owner of another kitchen deletes it',
      })
    await inTransaction(pool, async (connection) => {
      await removeKitchen(connection, DEMO_KITCHEN_ID)
      await noteChange(connection, kitchenId, byOf(c), { what: 'sampleDeleted', subject: DEMO_KITCHEN_ID }, now())
    })
    c.var.kitchenOf(DEMO_KITCHEN_ID).changed()
    return c.json(await sampleOf(pool, kitchenId), 200)
  })
