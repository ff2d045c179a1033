import { mkdtemp, readdir, readFile, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { SurfaceReading } from 'contract/devices'
import { StationPlateState } from 'contract/stationPlate'
import { calibrate, FIRST_SMOKE_C } from 'core/wok/heat/calibrate'
import { AIR_C } from 'core/wok/heat/parameters'
import { kitchenOf } from '../setup/kitchenOf'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { simulatedFeed } from './feed/simulatedFeed'
import { listDishes } from '../book/dishes.sql'
import { simulatedPrinter } from './printer/simulatedPrinter'
import { simulatedScale } from './scale/simulatedScale'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const lots = async () => (await send(kitchen.app, 'GET', '/rice/lots')).json as { lots: { id: string; name: string }[] }

test('the scale shows about what is held to it, at its own resolution, the same at the same second', async () => {
  for (const expectedG of [300, 4000, 24_000]) {
    const { massG, isSettled } = await simulatedScale(expectedG, 20, 1_700_000_000_000).weigh()
    expect(isSettled).toBe(true)
    expect(massG % 20).toBe(0)
    expect(Math.abs(massG - expectedG)).toBeLessThanOrEqual(expectedG * 0.006 + 10)
  }
  const again = await Promise.all([1, 2].map(() => simulatedScale(4000, 1, 1_700_000_000_000).weigh()))
  expect(again[0]).toEqual(again[1])
})

test('a lot is weighed by its id; one that is not there is refused', async () => {
  const [first] = (await lots()).lots
  const weighed = await send(kitchen.app, 'GET', `/scale?lotId=${first!.id}`)
  expect(weighed.status).toBe(200)
  expect((weighed.json as { massG: number }).massG).toBeGreaterThan(0)
  const gone = await send(kitchen.app, 'GET', '/scale?lotId=01936f3e-0000-7000-8000-000000000000')
  expect([gone.status, (gone.json as { code: string }).code]).toEqual([404, 'unknown-lot'])
})

describe('the surface thermometer', () => {
  const dry = async (seconds: number, stationId = 'ring-a') => {
    const answer = await send(kitchen.app, 'GET', `/surface-thermometer/dry?stationId=${stationId}&seconds=${seconds}`)
    return SurfaceReading.parse(answer.json).tempC
  }

  test('the dry vessel begins in the air of the kitchen and only becomes hotter', async () => {
    const read = [await dry(0), await dry(20), await dry(60)]
    expect(Math.abs(read[0]! - AIR_C)).toBeLessThanOrEqual(1)
    expect(read).toEqual([...read].sort((a, b) => a - b))
    expect(read[2]).toBeGreaterThan(FIRST_SMOKE_C)
  })

  test('what it says of the dry vessel and of a load is a calibration that any station could give', async () => {
    const load = { massG: 600, riceTempC: 4, startMetalC: 230, atS: 60, handling: 'toss' as const }
    const query = new URLSearchParams({ stationId: 'ring-a', ...mapText(load) })
    const answer = await send(kitchen.app, 'GET', `/surface-thermometer/load?${query}`)
    const { tempC: metalC } = SurfaceReading.parse(answer.json)
    const { plate } = StationPlateState.parse((await send(kitchen.app, 'GET', '/stations/ring-a/plate')).json)
    const { result } = calibrate({ ...plate, contact: null }, { water: null, dry: null, load: { ...load, metalC } })
    expect(result.implausible).toEqual([])
    expect(result.contact).toBeGreaterThan(0.5)
    expect(result.contact).toBeLessThan(1.6)
  })

  test('a station that is not there and a load that is none are refused', async () => {
    const status = async (path: string) => (await send(kitchen.app, 'GET', `/surface-thermometer/${path}`)).status
    expect(await status('dry?stationId=gone&seconds=3')).toBe(422)
    expect(await status('dry?stationId=ring-a&seconds=many')).toBe(422)
    expect(await status('load?stationId=ring-a&massG=0&riceTempC=4&startMetalC=230&atS=60&handling=toss')).toBe(422)
  })
})

const mapText = (fields: object) =>
  Object.fromEntries(Object.entries(fields).map(([name, value]) => [name, String(value)]))

test('a label goes to the printer as a picture and a PDF, so often', async () => {
  const [first] = (await lots()).lots
  const answer = await send(kitchen.app, 'POST', `/rice/lots/${first!.id}/label/print?copies=3`)
  expect(answer).toMatchObject({ status: 200, json: { copies: 3 } })
  const label = kitchen.printed.at(-1)!
  expect([label.name, label.copies]).toEqual([first!.name, 3])
  expect(Buffer.from(label.png).subarray(1, 4).toString()).toBe('PNG')
  expect(Buffer.from(label.pdf).subarray(0, 5).toString()).toBe('%PDF-')
})

test('the stand-in writes both files; into a folder that cannot be, it says why', async () => {
  const folder = await mkdtemp(join(tmpdir(), 'printed-'))
  const label = { name: 'L 12/3', png: new Uint8Array([1]), pdf: new Uint8Array([2]), copies: 1 }
  const done = await simulatedPrinter(join(folder, 'out'), () => 0).print(label)
  expect(done.kind).toBe('printed')
  const files = await readdir(join(folder, 'out'))
  expect(files.sort()).toEqual(['1970-01-01T00-00-00-000Z-L-12-3.pdf', '1970-01-01T00-00-00-000Z-L-12-3.png'])
  expect([...(await readFile(join(folder, 'out', files[1]!)))]).toEqual([1])
  await writeFile(join(folder, 'file'), '')
  expect(await simulatedPrinter(join(folder, 'file', 'out'), () => 0).print(label)).toMatchObject({ kind: 'refused' })
})

test('law of the feed: what is taken in two halves is what is taken at once', async () => {
  const dishes = await listDishes(kitchen.pool, kitchen.kitchenId)
  const [from, to] = [1_700_000_000_000, 1_700_000_000_000 + 45 * 60_000]
  const feed = simulatedFeed(3, from, await kitchenOf(kitchen.pool, kitchen.kitchenId), dishes)
  const whole = feed.take(from + 19 * 60_000, to - 6 * 60_000).map((one) => one.id)
  for (const middle of [from + 21 * 60_000, from + 30 * 60_000])
    expect(
      [...feed.take(from + 19 * 60_000, middle), ...feed.take(middle, to - 6 * 60_000)].map((one) => one.id),
    ).toEqual(whole)
})
