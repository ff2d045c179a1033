import { StationPlateState, StationVersions } from 'contract/stationPlate'
import { waterS } from 'core/wok/heat/calibrate'
import { openTestKitchen, send, type TestKitchen } from '../../db/test/testKitchen'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const plate = async (id: string) =>
  StationPlateState.parse((await send(kitchen.app, 'GET', `/stations/${id}/plate`)).json)
const versions = async (id: string) =>
  StationVersions.parse((await send(kitchen.app, 'GET', `/stations/${id}/plate/versions`)).json).versions
const put = (id: string, body: object) =>
  send(kitchen.app, 'PUT', `/stations/${id}/plate`, { staffId: 'odalys', ...body })
const calibrate = (id: string, body: object) =>
  send(kitchen.app, 'POST', `/stations/${id}/calibrations`, { staffId: 'odalys', ...body })
const water = (seconds: number) => ({ water: { litres: 1, fromC: 20, toC: 80, seconds }, dry: null, load: null })

test('rings of the sample kitchen are calibrated; the griddle is what is usual, and says so', async () => {
  const ring = await plate('ring-b')
  expect(ring.calibratedAtMs).not.toBeNull()
  expect(ring.efficiencyError).toBeLessThan(0.1)
  expect(ring.plate.efficiency).toBeCloseTo(0.21, 2)
  expect(await plate('griddle')).toMatchObject({
    version: 0,
    calibratedAtMs: null,
    efficiencyError: 0.35,
    plate: { kind: 'griddle' },
  })
  expect(await versions('griddle')).toEqual([])
})

test('a plate is saved as a new version; one that did not change is none', async () => {
  const { version, plate: before } = await plate('griddle')
  const wider = { ...before, plateM: { width: 0.4, length: 0.6 } }
  const saved = await put('griddle', { version, plate: wider })
  expect([saved.status, saved.json]).toMatchObject([200, { version: version + 1, plate: wider }])
  expect((await put('griddle', { version: version + 1, plate: wider })).json).toMatchObject({ version: version + 1 })
  expect((await versions('griddle')).map((one) => one.version)).toEqual([version + 1])
  const late = await put('griddle', { version, plate: before })
  expect([late.status, late.json]).toMatchObject([409, { code: 'edited-meanwhile' }])
})

test('water by the watch gives what reaches the metal; the same said twice is one version', async () => {
  const { version, plate: before } = await plate('ring-a')
  const seconds = waterS({ ...before, efficiency: 0.3 }, { litres: 1, fromC: 20, toC: 80 }) ?? 0
  const saved = await calibrate('ring-a', { version, readings: water(seconds) })
  expect(StationPlateState.parse(saved.json).plate.efficiency).toBeCloseTo(0.3, 3)
  const again = await calibrate('ring-a', { version, readings: water(seconds) })
  expect([again.status, again.json]).toEqual([200, saved.json])
  expect((await versions('ring-a'))[0]).toMatchObject({
    version: version + 1,
    staffId: 'odalys',
    readings: water(seconds),
  })
})

test('a calibration holds while metal and flame are the same, and no longer', async () => {
  const { version, plate: before, calibratedAtMs } = await plate('ring-b')
  const hotter = (await put('ring-b', { version, plate: { ...before, holdC: before.holdC + 10 } })).json
  expect(hotter).toMatchObject({ calibratedAtMs })
  const heavier = (await put('ring-b', { version: version + 1, plate: { ...before, massKg: before.massKg + 0.5 } }))
    .json
  expect(heavier).toMatchObject({ calibratedAtMs: null, efficiencyError: 0.35 })
})

test.each<[string, number, () => Promise<{ status: number; json: unknown }>]>([
  [
    'a time that no station has',
    422,
    async () => calibrate('ring-a', { version: (await plate('ring-a')).version, readings: water(2) }),
  ],
  [
    'no reading at all',
    422,
    () => calibrate('ring-a', { version: 3, readings: { water: null, dry: null, load: null } }),
  ],
  ['a station that is none', 422, () => send(kitchen.app, 'GET', '/stations/oven/plate')],
  [
    'a burner of nothing',
    422,
    async () => {
      const { version, plate: now } = await plate('ring-a')
      return put('ring-a', { version, plate: { ...now, powerW: 0 } })
    },
  ],
  [
    'a griddle without its measures',
    422,
    async () => {
      const { version, plate: now } = await plate('griddle')
      return put('griddle', { version, plate: { ...now, plateM: null } })
    },
  ],
])('%s is refused', async (_what, status, ask) => {
  const answer = await ask()
  expect(answer.status).toBe(status)
  expect(answer.json).toMatchObject({ detail: expect.any(String) as string })
})

test('two who save at once: one is told of the other', async () => {
  const { version, plate: now } = await plate('ring-a')
  const both = await Promise.all([310, 305].map((holdC) => put('ring-a', { version, plate: { ...now, holdC } })))
  expect(both.map((one) => one.status).sort()).toEqual([200, 409])
})
