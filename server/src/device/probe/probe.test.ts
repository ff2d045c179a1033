import { Lot, ProbeNow, type Probe } from 'contract/rice'
import { openTestKitchen, send, type TestKitchen } from '../../db/test/testKitchen'
import { loadOf, MIN_MS, riceOf, said, SPREAD } from '../../db/test/testLots'
import { runProbe } from './runProbe'

let kitchen: TestKitchen
let rice: ReturnType<typeof riceOf>
beforeAll(async () => {
  kitchen = await openTestKitchen()
  rice = riceOf(kitchen)
})
afterAll(() => kitchen.close())
const now = () => kitchen.clock.now()

async function hotLot(): Promise<Lot> {
  const lot = await rice.begin(loadOf(now() - 40 * MIN_MS))
  return Lot.parse((await rice.say(lot.id, said(lot.id, now(), SPREAD))).json)
}
const set = (probe: Probe) => send(kitchen.app, 'PUT', '/probe', probe)
/** Lets minutes pass as the server's tick would see them. */
async function pass(minutes: number) {
  for (let n = 0; n < minutes; n += 1) {
    kitchen.clock.moveToMs(now() + MIN_MS)
    await runProbe(kitchen.pool, kitchen.kitchenId, now())
  }
}
const readings = async (id: string) =>
  (await rice.lot(id)).events.flatMap((event) =>
    event.kind === 'read' ? [{ tempC: event.tempC, doubt: event.doubt, atMs: event.atMs }] : [],
  )

test('it follows the tray it is put into, every two minutes, and two servers take each reading once', async () => {
  const lot = await hotLot()
  expect(ProbeNow.parse((await set({ lotId: lot.id, fault: 'none' })).json).lotId).toBe(lot.id)
  await Promise.all([
    runProbe(kitchen.pool, kitchen.kitchenId, now()),
    runProbe(kitchen.pool, kitchen.kitchenId, now()),
  ])
  await pass(40)
  const all = await readings(lot.id)
  expect(all).toHaveLength(21)
  expect(all.every((one) => one.doubt === null)).toBe(true)
  expect(all[0]!.tempC).toBeGreaterThan(80)
  expect(all.at(-1)!.tempC).toBeLessThan(75)
})

test('silent it says nothing; stuck it is doubted once it must have cooled; put right, it counts again', async () => {
  const lot = await hotLot()
  await set({ lotId: lot.id, fault: 'silent' })
  await pass(10)
  expect(await readings(lot.id)).toEqual([])
  await set({ lotId: lot.id, fault: 'none' })
  await pass(10)
  await set({ lotId: lot.id, fault: 'stuck' })
  await pass(40)
  const all = await readings(lot.id)
  expect(all.at(-1)!.doubt).toBe('stuck')
  await set({ lotId: lot.id, fault: 'none' })
  await pass(4)
  expect((await readings(lot.id)).at(-1)!.doubt).toBeNull()
})

test('in °F and late, its readings are kept and do not count', async () => {
  const lot = await hotLot()
  await set({ lotId: lot.id, fault: 'none' })
  await pass(20)
  await set({ lotId: lot.id, fault: 'unit' })
  await pass(2)
  expect((await readings(lot.id)).at(-1)).toMatchObject({ doubt: 'unit' })
  await set({ lotId: lot.id, fault: 'late' })
  await pass(2)
  const late = (await readings(lot.id)).filter((one) => one.doubt === 'late')
  expect(late.length).toBeGreaterThan(0)
  for (const one of late) expect(now() - one.atMs).toBeGreaterThan(10 * MIN_MS)
})

test('it comes out of a lot that is over; an unknown lot and fault are refused', async () => {
  const lot = await hotLot()
  await set({ lotId: lot.id, fault: 'none' })
  await rice.say(lot.id, said(lot.id, now(), { kind: 'refused', reason: 'smell' }))
  await pass(3)
  expect(ProbeNow.parse((await send(kitchen.app, 'GET', '/probe')).json).lotId).toBeNull()
  expect((await set({ lotId: 'nothing', fault: 'none' })).status).toBe(404)
  expect((await set({ lotId: lot.id, fault: 'haunted' as never })).status).toBe(422)
})
