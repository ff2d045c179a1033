import { ARCHIVE_VERSION, ArchiveManifest, IncomingArchive, RestoredKitchen, SampleKitchen } from 'contract/archive'
import { DishList } from 'contract/dish'
import { AuditPage } from 'contract/people'
import { parse } from 'csv-parse/sync'
import type { RowDataPacket } from 'mysql2'
import { createHash } from 'node:crypto'
import { buffer } from 'node:stream/consumers'
import { fromBufferPromise } from 'yauzl'
import { ZipFile } from 'yazl'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { kitchenTables, KEPT_HERE } from './tables'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen(1)))
afterAll(() => kitchen.close())

const as = (token: string | undefined, method: string, path: string, body?: unknown) =>
  send(kitchen.app, method, path, body, 'application/json', token)
const codeOf = ({ json }: { json: unknown }) => (json as { code?: string }).code
const tokenOf = ({ headers }: { headers: Headers }) =>
  /okazu_session=([^;]+)/.exec(headers.get('set-cookie') ?? '')?.[1] ?? ''

async function download(token = kitchen.token): Promise<Buffer> {
  const answer = await kitchen.app.request('/api/archive', { headers: { authorization: `Bearer ${token}` } })
  expect(answer.headers.get('content-disposition')).toContain('okazu-kitchen.zip')
  return Buffer.from(await answer.arrayBuffer())
}

async function unpack(zip: Buffer): Promise<Map<string, string>> {
  const opened = await fromBufferPromise(zip, { lazyEntries: true })
  const files = new Map<string, string>()
  for await (const entry of opened.eachEntry())
    files.set(entry.fileName, (await buffer(await opened.openReadStreamPromise(entry))).toString('utf8'))
  return files
}

function pack(files: ReadonlyMap<string, string>): Promise<Buffer> {
  const zip = new ZipFile()
  for (const [path, text] of files) zip.addBuffer(Buffer.from(text), path)
  zip.end()
  return buffer(zip.outputStream)
}

/** The archive with one file changed, and a manifest that knows of it where it is wanted. */
async function changed(zip: Buffer, path: string, change: (text: string) => string, isSigned = true): Promise<Buffer> {
  const files = await unpack(zip)
  const text = change(files.get(path)!)
  files.set(path, text)
  if (isSigned && path !== 'manifest.json') {
    const manifest = ArchiveManifest.parse(JSON.parse(files.get('manifest.json')!))
    const file = manifest.files.find((one) => one.path === path)!
    Object.assign(file, { bytes: Buffer.byteLength(text), sha256: createHash('sha256').update(text).digest('hex') })
    files.set('manifest.json', JSON.stringify(manifest))
  }
  return pack(files)
}

/** An empty kitchen with a device in it. */
async function begin(name: string): Promise<string> {
  const draft = { name, timeZone: 'Europe/Lisbon', locale: 'en-GB', currency: 'EUR', ruleSet: 'uk' }
  const { code } = (await as(undefined, 'POST', '/kitchens', draft)).json as { code: string }
  return tokenOf(await as('', 'POST', '/me/pair', { code, name: 'Phone', place: '' }))
}

const PART = 1_000_000
async function sendParts(token: string, zip: Buffer): Promise<void> {
  for (let at = 0; at < zip.length; at += PART) {
    const answer = await postPart(token, at, zip.subarray(at, at + PART))
    expect(IncomingArchive.parse(await answer.json()).bytes).toBe(Math.min(zip.length, at + PART))
  }
}
const postPart = (token: string, at: number, part: Uint8Array) =>
  kitchen.app.request(`/api/incoming-archive?at=${at}`, {
    method: 'POST',
    body: new Uint8Array(part),
    headers: { 'content-type': 'application/octet-stream', authorization: `Bearer ${token}` },
  })
async function restore(token: string, zip: Buffer) {
  await sendParts(token, zip)
  return as(token, 'POST', '/incoming-archive/read', { bytes: zip.length })
}

let whole: Buffer
beforeAll(async () => void (whole = await download()))

test('every table of the database that belongs to kitchens is in it, as JSON with its rows counted and as CSV', async () => {
  const files = await unpack(whole)
  const manifest = ArchiveManifest.parse(JSON.parse(files.get('manifest.json')!))
  expect(manifest).toMatchObject({ format: 'okazu-kitchen', version: ARCHIVE_VERSION, kitchen: { id: 'low-tide' } })
  const [rows] = await kitchen.pool.query<RowDataPacket[]>(
    `SELECT DISTINCT TABLE_NAME AS name FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = DATABASE() AND COLUMN_NAME = 'kitchen_id'`,
  )
  const ofKitchens = rows.map((row) => String(row['name'])).filter((name) => !KEPT_HERE.includes(name))
  expect(manifest.files.map(({ path }) => path).sort()).toEqual(
    ['kitchen', ...ofKitchens].flatMap((name) => [`csv/${name}.csv`, `tables/${name}.json`]).sort(),
  )
  for (const { path, rows: count } of manifest.files) {
    if (count === null) continue
    const table = JSON.parse(files.get(path)!) as unknown[]
    expect([path, table.length]).toEqual([path, count])
    const csv: unknown[] = parse(files.get(path.replace(/^tables(.+)json$/, 'csv$1csv'))!, { columns: true })
    expect([path, csv.length]).toEqual([path, count])
  }
})

test('who asks for it and reads nothing of it, or stops in the midst, holds no connection', async () => {
  for (let n = 0; n < 15; n += 1)
    expect((await kitchen.app.request('/api/archive', { method: n % 2 ? 'HEAD' : 'GET' })).status).toBe(200)
  for (let n = 0; n < 15; n += 1) {
    const reader = (await kitchen.app.request('/api/archive')).body!.getReader()
    expect((await reader.read()).value?.length).toBeGreaterThan(0)
    await reader.cancel()
  }
  expect((await as(undefined, 'GET', '/kitchen')).status).toBe(200)
})

test('nothing in it opens a door: no PIN, no code, no session', async () => {
  const files = await unpack(whole)
  const text = [...files.values()].join('\n')
  expect(text).not.toMatch(/pin_hash|recovery_hash|token_hash|code_hash|scrypt/)
})

test('read into an empty kitchen, and written again, it is the same file by file; its owner comes in by a new PIN', async () => {
  const token = await begin('Kettle Lane')
  const answer = await restore(token, whole)
  expect(answer.status).toBe(200)
  const { owner, name } = RestoredKitchen.parse(answer.json)
  expect(name).toBe('Low Tide Rice Counter')
  const ownerToken = tokenOf(await as(token, 'POST', '/me/sign-in', { staffId: owner!.staffId, pin: owner!.pin }))
  const [before, after] = [await unpack(whole), await unpack(await download(ownerToken))]
  // Devices are shut out, and the list of changes says that it was restored: all else is as it was.
  for (const path of before.keys())
    if (!/manifest|paired_device|audit/.test(path)) expect([path, after.get(path)]).toEqual([path, before.get(path)])
  const { entries } = AuditPage.parse((await as(ownerToken, 'GET', '/audit')).json)
  expect(entries.map(({ what }) => what)).toContain('restored')
  const devices = JSON.parse(after.get('tables/paired_device.json')!) as {
    name: string
    shut_out_at_ms: number | null
  }[]
  expect(devices.filter((one) => one.shut_out_at_ms === null).map((one) => one.name)).toEqual(['Phone'])
  expect(DishList.parse((await as(ownerToken, 'GET', '/dishes')).json).dishes.length).toBeGreaterThan(3)
  expect(codeOf(await restoreStatus(ownerToken))).toBe('kitchen-not-empty')
})

test('a file from before there were instruments is read: the kitchen has none until it says so', async () => {
  const older = await changed(
    await changed(whole, 'tables/kitchen.json', (text) => text.replace(/,"instruments":\[[^\]]*\]/, '')),
    'manifest.json',
    (text) => text.replace(/"\d{4}_\w+\.sql"/, '"0016_own_kitchen.sql"'),
  )
  const token = await begin('From before')
  expect((await restore(token, older)).status).toBe(200)
  expect((await as(token, 'GET', '/kitchen')).json).toMatchObject({ name: 'Low Tide Rice Counter', instruments: [] })
})

test('a file from before a change of what a row means is refused', async () => {
  const token = await begin('From long before')
  const older = await changed(whole, 'manifest.json', (text) => text.replace(/"\d{4}_\w+\.sql"/, '"0009_learned.sql"'))
  expect(codeOf(await restore(token, older))).toBe('archive-older')
})

const restoreStatus = (token: string) => as(token, 'POST', '/incoming-archive/read', { bytes: 1 })

test.each<[string, string, (zip: Buffer) => Promise<Buffer> | Buffer]>([
  ['cut off', 'archive-cut', (zip) => zip.subarray(0, zip.length - 4000)],
  ['no zip', 'archive-cut', () => Buffer.from('the kitchen, by hand')],
  ['another zip', 'archive-foreign', () => pack(new Map([['readme.txt', 'hello']]))],
  [
    'a figure changed',
    'archive-altered',
    (zip) => changed(zip, 'tables/rice_lot.json', (text) => text.replace('"number":', '"number": '), false),
  ],
  [
    'a column more, with a checksum made anew',
    'archive-altered',
    (zip) => changed(zip, 'tables/staff.json', (text) => text.replace('{"id"', '{"admin":1,"id"')),
  ],
  [
    'a file more',
    'archive-altered',
    async (zip) => pack(new Map([...(await unpack(zip)), ['tables/more.json', '[]\n']])),
  ],
  [
    'of a newer version',
    'archive-newer',
    (zip) => changed(zip, 'manifest.json', (text) => text.replace('"version": 1', '"version": 2')),
  ],
  [
    'of a newer database',
    'archive-newer',
    (zip) => changed(zip, 'manifest.json', (text) => text.replace(/"\d{4}_\w+\.sql"/, '"9999_later.sql"')),
  ],
  ['a bomb', 'archive-bomb', () => bomb()],
])('%s: it is explained, and the kitchen stays empty and takes the right one', async (_name, code, spoil) => {
  const token = await begin(`Spoilt ${code}`)
  expect(codeOf(await restore(token, await spoil(whole)))).toBe(code)
  expect(DishList.parse((await as(token, 'GET', '/dishes')).json).dishes).toEqual([])
})

/** Ten thousand times itself, by its headers: nothing of it is unpacked. */
async function bomb(): Promise<Buffer> {
  const zip = await pack(new Map([['tables/a.json', 'x'.repeat(1000)]]))
  const at = zip.indexOf(Buffer.from('PK\x01\x02', 'latin1'))
  zip.writeUInt32LE(0xfffffff0, at + 24)
  const many = Buffer.concat([zip.subarray(0, at), ...Array.from({ length: 3 }, () => entryOf(zip, at))])
  const end = Buffer.from(zip.subarray(zip.indexOf(Buffer.from('PK\x05\x06', 'latin1'))))
  end.writeUInt16LE(3, 8)
  end.writeUInt16LE(3, 10)
  end.writeUInt32LE(many.length - at, 12)
  return Buffer.concat([many, end])
}
let no = 0
function entryOf(zip: Buffer, at: number): Buffer {
  const entry = Buffer.from(zip.subarray(at, zip.indexOf(Buffer.from('PK\x05\x06', 'latin1'))))
  entry.write(`tables/${(no += 1)}.json`, 46, 'latin1')
  return entry
}

test('a part that is missing is asked for, a part that comes twice is one, and a stranger sends none', async () => {
  const token = await begin(`Parts ${Date.now()}`)
  expect(codeOf({ json: await (await postPart(token, 5, new Uint8Array(3))).json() })).toBe('archive-gap')
  await postPart(token, 0, whole.subarray(0, PART))
  await postPart(token, 0, whole.subarray(0, PART))
  expect(IncomingArchive.parse((await as(token, 'GET', '/incoming-archive')).json).bytes).toBe(
    Math.min(PART, whole.length),
  )
  expect(codeOf({ json: await (await postPart('none', 0, new Uint8Array(3))).json() })).toBe('not-paired')
  expect(codeOf({ json: await (await postPart(kitchen.token, 0, new Uint8Array(3))).json() })).toBe('kitchen-not-empty')
})

test('the sample kitchen is deleted from another one, whole, by its owner alone', async () => {
  expect(codeOf(await as(undefined, 'DELETE', '/sample-kitchen'))).toBe('kitchen-not-empty')
  const token = await begin('Own')
  expect(codeOf(await as(token, 'DELETE', '/sample-kitchen'))).toBe('may-not')
  await as(token, 'POST', '/first-owner', { name: 'Mara', pin: '2580' })
  const owner = tokenOf(await as(token, 'POST', '/me/sign-in', { staffId: 'mara', pin: '2580' }))
  expect(SampleKitchen.parse((await as(owner, 'GET', '/sample-kitchen')).json).isBeside).toBe(true)
  expect(SampleKitchen.parse((await as(owner, 'DELETE', '/sample-kitchen')).json).isBeside).toBe(false)
  for (const { name } of await kitchenTables(kitchen.pool)) {
    const column = name === 'kitchen' ? 'id' : 'kitchen_id'
    const [rows] = await kitchen.pool.query<RowDataPacket[]>(
      `SELECT COUNT(*) AS n FROM \`${name}\` WHERE ${column} = ?`,
      ['low-tide'],
    )
    expect([name, Number(rows[0]!['n'])]).toEqual([name, 0])
  }
  expect(codeOf(await as(kitchen.token, 'GET', '/kitchen'))).toBe('not-paired')
  expect((await as(owner, 'GET', '/kitchen')).status).toBe(200)
})
