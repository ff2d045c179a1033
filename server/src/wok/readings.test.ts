import { RiceHouse } from 'contract/riceHouse'
import { Run } from 'contract/run'
import { TicketList } from 'contract/ticket'
import { eventOf, fireOf, newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openTestKitchen()
  const { version, policy } = RiceHouse.parse((await send(kitchen.app, 'GET', '/rice/house')).json)
  const tighter = { version, policy: { ...policy, readEvery: 3, provenAfter: 5 } }
  expect((await send(kitchen.app, 'PUT', '/rice/house', tighter)).status).toBe(200)
})
afterAll(() => kitchen.close())

type Read = { ok: boolean; tempC: number | null }

/** Cooks a batch to its end, with these answers to its rice check; null says Done there. */
async function cook(answers: readonly Read[] | null, more: { isUnconfirmed?: boolean } = {}): Promise<Run> {
  const { json } = await send(kitchen.app, 'POST', '/tickets', newTicket('plain', 1, kitchen.clock.now() + 600_000, {}))
  const [ticket] = TicketList.parse(json).tickets
  const fire = { ...fireOf([ticket!], 'ring-a', kitchen.clock.now()), handsFree: false, ...more }
  const run = Run.parse((await send(kitchen.app, 'POST', '/runs', fire)).json)
  let ms = run.firedAtMs
  const events = run.score.steps.flatMap((step) => {
    ms += step.durationS * 1000
    const isRice = step.check?.food === 'rice'
    if (!step.check || (isRice && answers === null)) return [eventOf(run, ms, { kind: 'done', stepId: step.id })]
    const reads = isRice ? answers! : [{ ok: true, tempC: 80 }]
    return reads.map((read) => eventOf(run, (ms += 1000), { kind: 'checked', stepId: step.id, tempF: null, ...read }))
  })
  kitchen.clock.moveToMs(ms + 60_000)
  const answer = await send(kitchen.app, 'POST', `/runs/${run.id}/events`, { events })
  expect(answer.status).toBe(200)
  return Run.parse(answer.json)
}
const GOOD = [{ ok: true, tempC: 78 }]

test('every batch is read until enough were good, then one in three; Done ends the others', async () => {
  for (let n = 0; n < 5; n += 1)
    expect(await cook(GOOD)).toMatchObject({ state: 'finished', riceReading: { isAsked: true, why: 'thin' } })
  const unread = await cook(null)
  expect(unread).toMatchObject({ state: 'finished', riceReading: { isAsked: false, why: 'notThisOne' } })
  expect(unread.lots.length).toBeGreaterThan(0)
  expect(await cook(null)).toMatchObject({ state: 'finished', riceReading: { isAsked: false } })
  expect(await cook(GOOD)).toMatchObject({ riceReading: { isAsked: true, why: 'sample' } })
})

test('Done does not end a rice check that is asked', async () => {
  for (let n = 0; n < 2; n += 1) await cook(null)
  const owed = await cook(null)
  expect(owed).toMatchObject({ state: 'open', riceReading: { isAsked: true, why: 'sample' } })
  const check = owed.score.steps.find((step) => step.check?.food === 'rice')!
  const rest = owed.score.steps.slice(owed.score.steps.indexOf(check))
  let ms = kitchen.clock.now()
  const events = rest.map((step) =>
    step === check
      ? eventOf(owed, ms, { kind: 'checked', stepId: step.id, ok: true, tempC: 78, tempF: null })
      : { ...eventOf(owed, (ms += 1000), { kind: 'done', stepId: step.id }), deviceId: 'other-phone' },
  )
  kitchen.clock.moveToMs(ms + 60_000)
  expect((await send(kitchen.app, 'POST', `/runs/${owed.id}/events`, { events })).json).toMatchObject({
    state: 'finished',
  })
})

test('a cook may read all the same; after a no every batch is read again', async () => {
  const short = await cook([{ ok: false, tempC: 62 }, ...GOOD])
  expect(short).toMatchObject({ state: 'finished', riceReading: { isAsked: false } })
  expect(await cook(GOOD)).toMatchObject({ riceReading: { isAsked: true, why: 'shortLately' } })
})

test('a batch that was fired without a network was led with its check, and keeps it', async () => {
  expect((await cook(GOOD, { isUnconfirmed: true })).riceReading ?? null).toBeNull()
})
