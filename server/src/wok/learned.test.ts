import { Kitchen } from 'contract/kitchen'
import { LearnedState } from 'contract/learned'
import { Run } from 'contract/run'
import { TicketList } from 'contract/ticket'
import { eventOf, fireOf, newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const learned = async (path: string) => LearnedState.parse((await send(kitchen.app, 'GET', `/learned/${path}`)).json)
const does = (path: string, word: string) => send(kitchen.app, 'POST', `/learned/${path}`, { does: word })
const stationNow = async (id: string) =>
  Kitchen.parse((await send(kitchen.app, 'GET', '/kitchen')).json).stations.find((one) => one.id === id)!

/** Cooks a batch in which every step takes so many times what the model gives, by a cook who says each Done. */
async function cook(stationId: string, times: number): Promise<Run> {
  const { json } = await send(kitchen.app, 'POST', '/tickets', newTicket('plain', 1, kitchen.clock.now() + 600_000, {}))
  const [ticket] = TicketList.parse(json).tickets
  const fire = { ...fireOf([ticket!], stationId, kitchen.clock.now()), handsFree: false }
  const run = Run.parse((await send(kitchen.app, 'POST', '/runs', fire)).json)
  let ms = run.firedAtMs
  const events = run.score.steps.map((step) => {
    ms += Math.round(((step.durationS * times) / (run.score.basis?.learned ?? 1)) * 1000)
    return step.check
      ? eventOf(run, ms, { kind: 'checked', stepId: step.id, ok: true, tempC: 80, tempF: null })
      : eventOf(run, ms, { kind: 'done', stepId: step.id })
  })
  kitchen.clock.moveToMs(ms + 60_000)
  const answer = await send(kitchen.app, 'POST', `/runs/${run.id}/events`, { events })
  expect(answer.status).toBe(200)
  return Run.parse(answer.json)
}

test('runs that take a tenth longer make the station slower, step by step, and the next score has it', async () => {
  expect(await learned('station/ring-a')).toMatchObject({ factor: 1, runs: 0, recent: [] })
  for (let n = 0; n < 8; n += 1) expect((await cook('ring-a', 1.12)).state).toBe('finished')
  const { factor, runs, recent } = await learned('station/ring-a')
  expect(runs).toBe(8)
  expect(factor).toBeGreaterThan(1.03)
  expect(factor).toBeLessThan(1.12)
  expect(recent).toHaveLength(8)
  expect((await learned('dish/plain')).runs).toBe(8)
  const station = await stationNow('ring-a')
  expect(station.learned!.factor).toBeGreaterThan(1.02)
  const next = await cook('ring-a', 1)
  expect(next.score.basis!.learned).toBeGreaterThan(1)
  expect(next.score.totalS).toBeGreaterThan((await cook('ring-b', 1)).score.totalS * 0.5)
})

test('a frozen factor stays, a forgotten one begins anew, and a strange word is refused', async () => {
  const { factor } = await learned('station/ring-a')
  expect(LearnedState.parse((await does('station/ring-a', 'freeze')).json)).toMatchObject({ isFrozen: true, factor })
  await cook('ring-a', 1.5)
  expect(await learned('station/ring-a')).toMatchObject({ factor, isFrozen: true })
  expect((await does('station/ring-a', 'forget')).status).toBe(200)
  expect(await learned('station/ring-a')).toMatchObject({ factor: 1, runs: 0, isFrozen: false })
  expect((await stationNow('ring-a')).learned?.factor ?? 1).toBe(1)
  expect((await does('station/ring-a', 'loosen')).status).toBe(422)
  expect((await does('station/nowhere', 'freeze')).json).toMatchObject({ code: 'unknown-station' })
  expect((await send(kitchen.app, 'GET', '/learned/dish/nothing')).json).toMatchObject({ code: 'unknown-dish' })
})

test('a station that was calibrated anew begins anew: what the old plate taught is of the old plate', async () => {
  await cook('ring-b', 1.2)
  const before = (await learned('station/ring-b')).runs
  expect(before).toBeGreaterThan(0)
  const plate = (await send(kitchen.app, 'GET', '/stations/ring-b/plate')).json as {
    version: number
    plate: { massKg: number }
  }
  const change = { version: plate.version, plate: { ...plate.plate, massKg: plate.plate.massKg + 0.4 }, staffId: null }
  expect((await send(kitchen.app, 'PUT', '/stations/ring-b/plate', change)).status).toBe(200)
  await cook('ring-b', 1)
  expect((await learned('station/ring-b')).runs).toBe(1)
})
