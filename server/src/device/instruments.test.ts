import type { Kitchen } from 'contract/kitchen'
import type { LotList } from 'contract/rice'
import { INSTRUMENTS } from 'core/house/instruments'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { runFeed } from './feed/runFeed'
import { runProbe } from './probe/runProbe'

let kitchen: TestKitchen
beforeEach(async () => void (kitchen = await openTestKitchen()))
afterEach(() => kitchen.close())

const ask = async (method: string, path: string, body?: unknown) => {
  const { status, json } = await send(kitchen.app, method, path, body)
  return { status, json: json as Record<string, unknown> & { code?: string } }
}
const set = (instrument: string, has: boolean) => ask('PUT', `/kitchen/instruments/${instrument}`, { has })
const aLotId = async () => ((await ask('GET', '/rice/lots')).json as unknown as LotList).lots[0]!.id

test('an own kitchen begins with none, and the sample kitchen shows every one', async () => {
  expect((await ask('GET', '/kitchen')).json['instruments']).toEqual(INSTRUMENTS)
  const draft = { name: 'Own', timeZone: 'UTC', locale: 'en-GB', currency: 'USD', ruleSet: 'us' }
  const { id } = (await ask('POST', '/kitchens', draft)).json as { id: string }
  const [rows] = await kitchen.pool.query('SELECT instruments FROM kitchen WHERE id = ?', [id])
  expect(rows).toEqual([{ instruments: [] }])
})

test('without an instrument its stand-in gives no figure', async () => {
  const lotId = await aLotId()
  const uses: [instrument: string, method: string, path: string, body?: unknown][] = [
    ['scale', 'GET', '/scale'],
    ['scale', 'GET', `/scale?lotId=${lotId}`],
    ['surface', 'GET', '/surface-thermometer/dry?stationId=ring-a&seconds=20'],
    ['printer', 'POST', '/printer/try'],
    ['printer', 'POST', `/rice/lots/${lotId}/label/print`],
    ['feed', 'PUT', '/feed', { isOn: true, seed: 1 }],
    ['probe', 'PUT', '/probe', { lotId, fault: 'none' }],
  ]
  for (const [, ...use] of uses) expect([use[1], (await ask(...use)).status]).toEqual([use[1], 200])
  for (const one of INSTRUMENTS) expect((await set(one, false)).status).toBe(200)
  for (const [, ...use] of uses) {
    const { status, json } = await ask(...use)
    expect([use[1], status, json.code]).toEqual([use[1], 409, 'no-instrument'])
  }
})

test('a probe that is gone reads its tray no more, and a feed that is gone is off', async () => {
  await ask('PUT', '/probe', { lotId: await aLotId(), fault: 'none' })
  await ask('PUT', '/feed', { isOn: true, seed: 3 })
  await set('probe', false)
  const { json } = await set('feed', false)
  expect((json as unknown as Kitchen).instruments).toEqual(['scale', 'surface', 'printer'])
  expect((await ask('GET', '/probe')).json['lotId']).toBeNull()
  expect((await ask('GET', '/feed')).json).toEqual({ isOn: false, seed: 3 })
  expect(await runProbe(kitchen.pool, kitchen.kitchenId, kitchen.clock.now() + 600_000)).toBe(0)
})

test('a stand-in that was left on by a kitchen that has none says nothing: so an older kitchen or its file may come', async () => {
  await ask('PUT', '/probe', { lotId: await aLotId(), fault: 'none' })
  await ask('PUT', '/feed', { isOn: true, seed: 3 })
  await kitchen.pool.query("UPDATE kitchen SET instruments = '[]'")
  const laterMs = kitchen.clock.now() + 600_000
  expect(await runFeed(kitchen.pool, kitchen.kitchenId, laterMs)).toBe(0)
  expect(await runProbe(kitchen.pool, kitchen.kitchenId, laterMs)).toBe(0)
  await kitchen.pool.query(`UPDATE kitchen SET instruments = '["feed"]'`)
  expect(await runFeed(kitchen.pool, kitchen.kitchenId, laterMs)).toBeGreaterThan(0)
})

test('the trial label says that it is none, and the scale with nothing on it shows nothing', async () => {
  await ask('POST', '/printer/try')
  expect(kitchen.printed.map(({ name, copies }) => [name, copies])).toEqual([['TRIAL', 1]])
  expect((await ask('GET', '/scale')).json).toEqual({ massG: 0, isSettled: true })
})

test('two leads who say it at once, and something that is no instrument', async () => {
  await Promise.all([set('scale', false), set('printer', false), set('scale', false)])
  expect((await ask('GET', '/kitchen')).json['instruments']).toEqual(['probe', 'surface', 'feed'])
  expect((await set('toaster', true)).status).toBe(422)
  expect((await ask('PUT', '/kitchen/instruments/scale', { has: 'yes' })).status).toBe(422)
})
