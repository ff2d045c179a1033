import { parse } from 'csv-parse/sync'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader'
import { openTestKitchen, send, type TestKitchen } from '../../db/test/testKitchen'
import { boughtAt, HOUR_MS, loadOf, MIN_MS, read, riceOf, said, SPREAD } from '../../db/test/testLots'

let kitchen: TestKitchen
let rice: ReturnType<typeof riceOf>
let folder: string
beforeAll(async () => {
  kitchen = await openTestKitchen()
  rice = riceOf(kitchen)
  folder = mkdtempSync(join(tmpdir(), 'okazu-print-'))
  const wasm = readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm'))
  prepareZXingModule({ overrides: { wasmBinary: wasm.buffer.slice(wasm.byteOffset, wasm.byteOffset + wasm.length) } })
})
afterAll(async () => {
  rmSync(folder, { recursive: true })
  await kitchen.close()
})

const bytes = async (path: string) => {
  const answer = await kitchen.app.request(`http://localhost:8425/api${path}`)
  expect(answer.status).toBe(200)
  return Buffer.from(await answer.arrayBuffer())
}
const saved = (data: Buffer, name: string) => {
  const path = join(folder, name)
  writeFileSync(path, data)
  return path
}
const textOf = (pdf: string) => execFileSync('pdftotext', ['-layout', pdf, '-'], { encoding: 'utf8' })
const sizeOf = (pdf: string) =>
  /Page size:\s+([\d.]+) x ([\d.]+)/.exec(execFileSync('pdfinfo', [pdf], { encoding: 'utf8' }))!
const codesOf = async (png: Buffer) => (await readBarcodes(png, { formats: ['QRCode'] })).map((one) => one.text)
const MM = 72 / 25.4

test('a label in PDF is 60 × 40 mm, says what it must, and its code leads to the lot', async () => {
  const lot = await rice.begin(boughtAt(kitchen.clock.now()))
  const pdf = saved(await bytes(`/rice/lots/${lot.id}/label.pdf?copies=2`), 'label.pdf')
  const [, width, height] = sizeOf(pdf)
  expect([Number(width) / MM, Number(height) / MM].map(Math.round)).toEqual([60, 40])
  const text = textOf(pdf)
  expect(text).toContain(lot.name)
  expect(text).toMatch(/use by \w+/)
  expect(text).toContain('3.0 kg long')
  expect(text.match(new RegExp(lot.name, 'g'))).toHaveLength(2)
  execFileSync('pdftoppm', ['-png', '-r', '300', '-f', '1', '-l', '1', pdf, join(folder, 'page')])
  expect(await codesOf(readFileSync(join(folder, 'page-1.png')))).toEqual([`http://localhost:8425/rice/${lot.id}`])
})

test('a sheet of A4 takes 21 labels and goes on to a second', async () => {
  const lot = await rice.begin(boughtAt(kitchen.clock.now()))
  const pdf = saved(await bytes(`/rice/lots/${lot.id}/label.pdf?size=a4&copies=22`), 'sheet.pdf')
  expect(execFileSync('pdfinfo', [pdf], { encoding: 'utf8' })).toMatch(/Pages:\s+2/)
  const [, width, height] = sizeOf(pdf)
  expect([Number(width) / MM, Number(height) / MM].map(Math.round)).toEqual([210, 297])
  execFileSync('pdftoppm', ['-png', '-r', '150', '-f', '1', '-l', '1', pdf, join(folder, 'sheet')])
  expect(await codesOf(readFileSync(join(folder, 'sheet-1.png')))).toHaveLength(21)
})

test('the label as a picture: its code is read back', async () => {
  const lot = await rice.begin(boughtAt(kitchen.clock.now()))
  const png = await bytes(`/rice/lots/${lot.id}/label.png`)
  expect([png.readUInt32BE(16), png.readUInt32BE(20)]).toEqual([720, 480])
  expect(await codesOf(png)).toEqual([`http://localhost:8425/rice/${lot.id}`])
})

test('the cooling log: a line a reading in CSV, and a day sheet with outcome and lines to sign', async () => {
  const startMs = kitchen.clock.now() - 4 * HOUR_MS
  const lot = await rice.begin(loadOf(startMs))
  const at = (minutes: number) => startMs + minutes * MIN_MS
  const slip = said(lot.id, at(55), read(48))
  const undo = { ...said(lot.id, at(56), { kind: 'undone', eventId: slip.id }), staffId: 'wen' }
  await rice.say(lot.id, said(lot.id, at(35), SPREAD), said(lot.id, at(50), read(57)), slip, undo)
  await rice.say(lot.id, said(lot.id, at(180), read(23)))
  const rows: Record<string, string>[] = parse((await bytes('/rice/log.csv')).toString('utf8'), { columns: true })
  const own = rows.filter((row) => row['lot'] === lot.name)
  expect(own.map((row) => [Number(row['tempC']), row['counts']])).toEqual([
    [92, 'yes'],
    [57, 'yes'],
    [48, 'no'],
    [23, 'yes'],
  ])
  expect(own[2]).toMatchObject({
    why: 'struckOut',
    struckOutBy: 'Odalys',
    struckOutAt: new Date(undo.atMs).toISOString(),
  })
  expect(own[0]).toMatchObject({ verdict: 'broken', outcome: 'refused: cooling', ruleSets: 'us', depthCm: '3.5' })
  const day = new Date(startMs).toISOString().slice(0, 10)
  const text = textOf(saved(await bytes(`/rice/log.pdf?day=${day}`), 'day.pdf'))
  expect(text).toContain(lot.name)
  expect(text).toContain('refused: cooling')
  expect(text).toMatch(/48.0 °C\s+struck out by Odalys/)
  expect(text).toContain('Logged by')
  expect(text).toContain('local code')
  const none = textOf(saved(await bytes('/rice/log.pdf?day=2020-01-01'), 'none.pdf'))
  expect(none).toContain('No rice was cooked')
})

test('the plan on paper says each load by the scale and in cups, with room for what was weighed', async () => {
  const day = new Date(kitchen.clock.now() + 24 * HOUR_MS).toISOString().slice(0, 10)
  const text = textOf(saved(await bytes(`/rice/plan/${day}/plan.pdf`), 'plan.pdf'))
  expect(text).toContain(`Rice for ${day}`)
  expect(text).toMatch(/\d+ portions expected, \d+ planned/)
  expect(text).toMatch(/Spread on \d+ trays 1\/1/)
  expect(text).toContain('Cooked by')
})

test('in a kitchen that weighs in pounds and reads °F its papers say so, in the figures of the same masses', async () => {
  const to = (weighsIn: string, readsIn: string) =>
    send(kitchen.app, 'PUT', '/kitchen/readings', { weighsIn, readsIn, isScottish: false })
  const lot = await rice.begin(boughtAt(kitchen.clock.now()))
  const startMs = kitchen.clock.now() - 4 * HOUR_MS
  const cooled = await rice.begin(loadOf(startMs))
  await rice.say(cooled.id, said(cooled.id, startMs + 35 * MIN_MS, SPREAD))
  await to('oz', 'F')
  expect(textOf(saved(await bytes(`/rice/lots/${lot.id}/label.pdf`), 'pounds.pdf'))).toContain('6.6 lb long')
  const day = new Date(kitchen.clock.now() + 24 * HOUR_MS).toISOString().slice(0, 10)
  const plan = textOf(saved(await bytes(`/rice/plan/${day}/plan.pdf`), 'planLb.pdf'))
  expect(plan).toMatch(/[\d.]+ lb cooked rice/)
  expect(plan).toMatch(/_+ lb\s+at .* °F/)
  expect(plan).not.toMatch(/\d kg|_ kg|°C/)
  const log = textOf(
    saved(await bytes(`/rice/log.pdf?day=${new Date(startMs).toISOString().slice(0, 10)}`), 'dayLb.pdf'),
  )
  expect(log).toMatch(/US: 70 °F by/)
  expect(log).not.toMatch(/\d kg/)
  await to('g', 'C')
})
