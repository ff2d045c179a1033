import { EventId } from 'contract/ids'
import { Kitchen } from 'contract/kitchen'
import { Lot, LotPage } from 'contract/rice'
import { RiceHouse } from 'contract/riceHouse'
import type { RowDataPacket } from 'mysql2'
import { v7 as newId } from 'uuid'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { boughtAt, HOUR_MS, loadOf, MIN_MS, read, riceOf, said, SPREAD, toBench } from '../db/test/testLots'
import { foldLot } from './foldLot'

let kitchen: TestKitchen
let rice: ReturnType<typeof riceOf>
beforeAll(async () => {
  kitchen = await openTestKitchen()
  rice = riceOf(kitchen)
})
afterAll(() => kitchen.close())
const now = () => kitchen.clock.now()
const stateOf = (lot: Lot, atMs = now()) =>
  foldLot(lot, { timeZone: 'UTC', keepDays: 3, outMin: null, leadIds: ['odalys'] }, atMs)
const codeOf = (answer: { json: unknown }) => (answer.json as { code: string }).code

/** A load spread three hours ago that cooled as it should. */
async function coldLot(): Promise<Lot> {
  const startMs = now() - 8 * HOUR_MS
  const lot = await rice.begin(loadOf(startMs))
  const at = (minutes: number) => startMs + minutes * MIN_MS
  const answer = await rice.say(
    lot.id,
    said(lot.id, at(35), SPREAD),
    ...(
      [
        [50, 57],
        [90, 30],
        [120, 20],
        [200, 9],
        [300, 4],
      ] as const
    ).map(([m, c]) => said(lot.id, at(m), read(c))),
  )
  return Lot.parse(answer.json)
}

describe('a load', () => {
  test('is numbered, weighed, and teaches its vessel; sent twice, it is one lot', async () => {
    const body = loadOf(now() - HOUR_MS)
    const answers = await Promise.all(Array.from({ length: 6 }, () => rice.post(body)))
    expect(answers.map((answer) => answer.status)).toEqual(Array.from({ length: 6 }, () => 201))
    const lot = await rice.lot(body.id)
    expect(lot).toMatchObject({ name: expect.stringMatching(/^R-\d+$/), origin: 'cooked', load: { dryMassG: 2000 } })
    const steam = async () =>
      RiceHouse.parse((await send(kitchen.app, 'GET', '/rice/house')).json).vessels.find((one) => one.id === 'steamer')!
    const before = await steam()
    const spread = said(lot.id, now() - 20 * MIN_MS, SPREAD)
    await rice.say(lot.id, spread)
    await rice.say(lot.id, spread)
    const after = await steam()
    // 2000 g + 2600 g − 4300 g went as steam in 30 min: 10 g/min, and the house takes 30 % of the news.
    expect(after.steamGPerMin).toBeCloseTo(before.steamGPerMin + 0.3 * (10 - before.steamGPerMin), 6)
    expect(after.loadsWeighed).toBe(before.loadsWeighed + 1)
    expect((await rice.lot(lot.id)).events).toHaveLength(1)
  })

  test('an unknown vessel, a time ahead and a depth that is no tray are refused with what to do; nothing is lost', async () => {
    expect(codeOf(await rice.post(loadOf(now(), { vesselId: 'bath-tub' })))).toBe('unknown-place')
    expect(codeOf(await rice.post(loadOf(now() + HOUR_MS)))).toBe('clock-ahead')
    const lot = await rice.begin(loadOf(now() - HOUR_MS))
    for (const depthM of [0, 0.6]) {
      const answer = await rice.say(lot.id, said(lot.id, now(), { ...SPREAD, depthM } as typeof SPREAD))
      expect([answer.status, codeOf(answer)]).toEqual([422, 'lot-depth'])
    }
    const [kept] = await kitchen.pool.query<RowDataPacket[]>('SELECT reason FROM rice_refused_event WHERE lot_id = ?', [
      lot.id,
    ])
    expect(kept.map((row) => row['reason'] as string)).toEqual(['lot-depth', 'lot-depth'])
    expect((await rice.lot(lot.id)).events).toEqual([])
  })
})

describe('readings', () => {
  test('out of order they give the same lot as in order; each id counts once', async () => {
    const one = await coldLot()
    const body = loadOf(one.bornAtMs)
    const two = await rice.begin(body)
    const asSaid = ({ heardMs: _heard, ...event }: Lot['events'][number]) => {
      const { doubt: _doubt, ...said } = { doubt: null, ...event }
      return { ...said, id: newId(), lotId: two.id }
    }
    const events = one.events.map(asSaid).reverse()
    for (const event of events) await rice.say(two.id, event as never)
    await rice.say(two.id, events[0] as never)
    const [a, b] = [stateOf(one), stateOf(await rice.lot(two.id))]
    expect(b.stage).toBe('ready')
    const without = ({ log, readings, ...state }: typeof a) => ({
      ...state,
      log: log.map((entry) => [entry.event.kind, entry.counts]),
      readings: readings.map((r) => r.tempC),
    })
    expect(without(b)).toEqual(without(a))
  })

  test('in the future: refused; °F typed as °C: kept with its doubt until somebody confirms', async () => {
    const lot = await rice.begin(loadOf(now() - HOUR_MS))
    await rice.say(lot.id, said(lot.id, now() - 5 * MIN_MS, SPREAD))
    expect(codeOf(await rice.say(lot.id, said(lot.id, now() + 10 * MIN_MS, read(50))))).toBe('clock-ahead')
    const odd = said(lot.id, now() - MIN_MS, read(185))
    const state = stateOf(Lot.parse((await rice.say(lot.id, odd)).json))
    expect(state.readings.at(-1)).toMatchObject({ tempC: 185, doubt: 'unit' })
    expect(state.lastTempC).toBe(92)
    const drop = said(lot.id, now(), read(12))
    await rice.say(lot.id, drop)
    expect(stateOf(await rice.lot(lot.id)).lastTempC).toBe(92)
    await rice.say(lot.id, said(lot.id, now(), { kind: 'confirmed', eventId: drop.id }))
    expect(stateOf(await rice.lot(lot.id)).lastTempC).toBe(12)
  })

  test('past the limit the lot is refused with its reason, and leaves the shelf', async () => {
    const startMs = now() - 6 * HOUR_MS
    const lot = await rice.begin(loadOf(startMs))
    const at = (minutes: number) => startMs + minutes * MIN_MS
    await rice.say(
      lot.id,
      said(lot.id, at(35), SPREAD),
      said(lot.id, at(50), read(57)),
      said(lot.id, at(171), read(24)),
    )
    expect((await rice.open()).some((one) => one.id === lot.id)).toBe(false)
    const past = LotPage.parse((await send(kitchen.app, 'GET', '/rice/lots/past')).json)
    expect(past.lots.find((row) => row.id === lot.id)).toMatchObject({ stage: 'refused', reason: 'cooling' })
    const accepted = said(lot.id, at(180), { kind: 'accepted', reason: 'it looks fine', staffId: 'odalys' })
    await rice.say(lot.id, accepted)
    const undo = said(lot.id, at(172), {
      kind: 'undone',
      eventId: EventId.parse((await rice.lot(lot.id)).events.at(-2)!.id),
    })
    await rice.say(lot.id, undo)
    const state = stateOf(await rice.lot(lot.id))
    expect(state.stage).toBe('refused')
    const why = (id: string) => state.log.find((one) => one.event.id === id)?.why
    expect([why(accepted.id), why(undo.id)]).toEqual(['saidTooLate', 'saidTooLate'])
  })
})

describe('who may accept what the log does not prove', () => {
  test('the lead, with a reason, while it is unproven; a device has no doubts of its own', async () => {
    const startMs = now() - 6 * HOUR_MS
    const lot = await rice.begin(loadOf(startMs))
    const at = (minutes: number) => startMs + minutes * MIN_MS
    await rice.say(
      lot.id,
      said(lot.id, at(35), SPREAD),
      said(lot.id, at(50), read(57)),
      said(lot.id, at(190), read(18)),
    )
    const accept = (staffId: string | null) =>
      said(lot.id, at(200), { kind: 'accepted', reason: 'the logger showed 20 °C', staffId } as never)
    const asCook = await send(
      kitchen.app,
      'POST',
      `/rice/lots/${lot.id}/events`,
      { events: [accept('odalys')] },
      'application/json',
      await kitchen.letIn('bram'),
    )
    expect(codeOf(asCook)).toBe('kept-aside')
    expect(stateOf(await rice.lot(lot.id)).isAccepted).toBe(false)
    expect((await rice.say(lot.id, accept(null))).status).toBe(422)
    // Whatever name is sent: what the record has is who was signed in.
    expect((await rice.say(lot.id, accept('bram'))).status).toBe(200)
    expect(stateOf(await rice.lot(lot.id))).toMatchObject({ stage: 'chilling', isAccepted: true })
    const accepted = (await rice.lot(lot.id)).events.find(({ kind }) => kind === 'accepted')
    expect(accepted).toMatchObject({ staffId: 'odalys' })
    expect(
      codeOf(await rice.say(lot.id, said(lot.id, at(201), { kind: 'accepted', reason: 'again', staffId: 'odalys' }))),
    ).toBe('lot-proven')
    const doubted = said(lot.id, at(210), { kind: 'read', tempC: 12, source: 'dial', doubt: null } as never)
    expect((await rice.say(lot.id, doubted)).status).toBe(422)
  })

  test('a reading in °F is kept as it was read, and must be the same temperature in °C', async () => {
    const lot = await rice.begin(boughtAt(now()))
    const read41 = said(lot.id, now(), { kind: 'read', tempC: 5, tempF: 41, source: 'dial' })
    expect((await rice.say(lot.id, read41)).status).toBe(200)
    expect(stateOf(await rice.lot(lot.id)).readings.at(-1)).toMatchObject({ tempF: 41, tempC: 5 })
    expect(
      (await rice.say(lot.id, said(lot.id, now(), { kind: 'read', tempC: 5, tempF: 61, source: 'dial' }))).status,
    ).toBe(422)
  })
})

describe('rice from elsewhere', () => {
  test('its age is asked for: cold it is ready, hot it is spread like a load, in between or too old it is refused', async () => {
    const cold = await rice.begin(boughtAt(now()))
    expect(stateOf(cold)).toMatchObject({ stage: 'ready', isUsable: true, massG: 3000 })
    const hot = await rice.begin(boughtAt(now(), { origin: 'table', tempC: 68, cookedAtMs: now() - HOUR_MS }))
    expect(stateOf(hot).stage).toBe('cooking')
    const refusals = [
      { tempC: 30 },
      { isReheated: true },
      { cookedAtMs: now() + MIN_MS },
      { cookedAtMs: now() - 100 * HOUR_MS },
    ].map(async (change) => codeOf(await rice.post(boughtAt(now(), change))))
    expect(await Promise.all(refusals)).toEqual(['lot-between', 'lot-reheated', 'lot-age', 'lot-age'])
    const { cookedAtMs: _age, ...withoutAge } = boughtAt(now()) as Extract<
      ReturnType<typeof boughtAt>,
      { massG: number }
    >
    expect((await rice.post(withoutAge as never)).status).toBe(422)
  })
})

describe('splitting and pouring together', () => {
  const portion = (id: string, kind: 'split' | 'merge', toLotId: string, massG: number, eventId = newId()) =>
    send(kitchen.app, 'POST', `/rice/lots/${id}/portion`, { kind, id: eventId, toLotId, massG, atMs: now() })

  test('a part takes its age along, mass is kept, and twice is once', async () => {
    const lot = await coldLot()
    const [partId, eventId] = [newId(), newId()]
    await portion(lot.id, 'split', partId, 1300, eventId)
    await portion(lot.id, 'split', partId, 1300, eventId)
    const [from, part] = [stateOf(await rice.lot(lot.id)), stateOf(await rice.lot(partId))]
    expect([from.massG, part.massG]).toEqual([3000, 1300])
    expect(part).toMatchObject({ stage: 'ready', cookedAtMs: from.cookedAtMs, useByMs: from.useByMs })
    await portion(partId, 'merge', lot.id, 1300)
    expect(stateOf(await rice.lot(lot.id)).massG).toBe(4300)
    expect(stateOf(await rice.lot(partId)).stage).toBe('used')
  })

  test('a part stands where it came from, with its clock; out of a refused lot, dated back, it is refused', async () => {
    const lot = await coldLot()
    await rice.say(lot.id, said(lot.id, now() - HOUR_MS, toBench))
    const partId = newId()
    await portion(lot.id, 'split', partId, 1300)
    const [from, part] = [stateOf(await rice.lot(lot.id)), stateOf(await rice.lot(partId))]
    expect(part).toMatchObject({ place: 'bench', stage: 'tempering', logs: from.logs })
    expect(part.outS).toBeCloseTo(from.outS, 0)
    await rice.say(lot.id, said(lot.id, now(), { kind: 'refused', reason: 'smell' }))
    const back = { kind: 'split', id: newId(), toLotId: newId(), massG: 500, atMs: now() - 30 * MIN_MS }
    expect(codeOf(await send(kitchen.app, 'POST', `/rice/lots/${lot.id}/portion`, back))).toBe('lot-short')
  })

  test('more than there is, warm rice, and an unknown lot are refused', async () => {
    const lot = await coldLot()
    const warm = await rice.begin(loadOf(now() - HOUR_MS))
    await rice.say(warm.id, said(warm.id, now() - 20 * MIN_MS, SPREAD))
    expect(codeOf(await portion(lot.id, 'split', newId(), 9000))).toBe('lot-short')
    expect(codeOf(await portion(warm.id, 'split', newId(), 1000))).toBe('lot-not-cold')
    expect(codeOf(await portion(lot.id, 'merge', warm.id, 1000))).toBe('lot-not-cold')
    expect(codeOf(await portion(lot.id, 'merge', newId(), 1000))).toBe('unknown-lot')
  })
})

describe('two people and one lot', () => {
  test('both end it, one of them an hour later from offline: the first end stands, the other is kept', async () => {
    const lot = await coldLot()
    const early = said(lot.id, now() - HOUR_MS, { kind: 'finished' })
    const late = said(lot.id, now() - MIN_MS, { kind: 'discarded', massG: null, reason: 'endOfDay' })
    await rice.say(lot.id, late)
    expect((await rice.say(lot.id, early)).status).toBe(200)
    const state = stateOf(await rice.lot(lot.id))
    expect(state.end).toMatchObject({ kind: 'used', atMs: early.atMs })
    expect(state.log.find((one) => one.event.id === late.id)).toMatchObject({ counts: false, why: 'afterEnd' })
  })

  test('at once: neither is lost', async () => {
    const lot = await coldLot()
    const words = [
      said(lot.id, now(), { kind: 'finished' }),
      said(lot.id, now(), read(4)),
      said(lot.id, now(), toBench),
    ]
    await Promise.all(words.map((word) => rice.say(lot.id, word)))
    const events = (await rice.lot(lot.id)).events.map((event) => event.id)
    expect(words.every((word) => events.includes(word.id))).toBe(true)
  })

  test('once too long on the bench it does not go back', async () => {
    const lot = await coldLot()
    await rice.say(lot.id, said(lot.id, now() - 2 * HOUR_MS, toBench))
    const back = said(lot.id, now(), { ...toBench, place: 'fridge', placeId: 'walk-in', airTempC: 3 } as typeof toBench)
    expect(codeOf(await rice.say(lot.id, back))).toBe('lot-not-back')
  })
})

test('a rule set changed in mid-cooling: open lots hear of it, the log keeps both', async () => {
  const lot = await rice.begin(loadOf(now() - HOUR_MS))
  await rice.say(lot.id, said(lot.id, now() - 20 * MIN_MS, SPREAD))
  const answer = await send(kitchen.app, 'PUT', '/kitchen/rule-set', { ruleSet: 'uk' })
  expect(Kitchen.parse(answer.json).ruleSet).toBe('uk')
  expect(stateOf(await rice.lot(lot.id)).logs.map((log) => log.ruleSet)).toEqual(['us', 'uk'])
  expect((await rice.begin(boughtAt(now()))).ruleSet).toBe('uk')
  expect((await send(kitchen.app, 'PUT', '/kitchen/rule-set', { ruleSet: 'mars' })).status).toBe(422)
})
