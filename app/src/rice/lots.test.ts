import type { Kitchen } from 'contract/kitchen'
import type { Lot, LotEvent, SaidOfLot } from 'contract/rice'
import type { RiceHouse } from 'contract/riceHouse'
import type { Parcel } from '../device/outbox'
import { NONE, WORKING, workedOf } from '../device/worked'
import { isReadingDue, nextTask, readyAtMs } from './shelf/nextTask'
import { onHandOf, shownLots } from './useLots'

jest.mock('../device/http', () => ({}))

const MIN_MS = 60_000
const HOUR_MS = 60 * MIN_MS
const NOW = Date.parse('2026-11-25T18:00:00Z')
const KITCHEN = { timeZone: 'UTC', ruleSet: 'us', staff: [{ id: 'odalys', role: 'lead' }] } as Kitchen
const HOUSE = { policy: { keepDays: 3, outMin: null } } as RiceHouse
const LOT: Lot = {
  id: 'a',
  name: 'R-1',
  number: 1,
  grain: 'long',
  origin: 'cooked',
  bornAtMs: NOW - 10 * HOUR_MS,
  cookedAtMs: null,
  massG: null,
  tempC: null,
  place: null,
  placeId: null,
  ruleSet: 'us',
  load: {
    vesselId: 'steamer',
    method: 'steamer',
    blend: { long: 1 },
    wash: 'three',
    dryMassG: 2000,
    waterG: 2600,
    targetWaterFraction: 0.6,
  },
  events: [],
}
let count = 0
const base = (agoMin: number, lotId = 'a') => ({
  id: `019f0000-0000-7000-8000-${String((count += 1)).padStart(12, '0')}` as LotEvent['id'],
  lotId,
  deviceId: 'd',
  atMs: NOW - agoMin * MIN_MS,
  counter: 0,
})
const stand = { placeId: null, covered: false, airTempC: null }
const spread = (agoMin: number): SaidOfLot => ({
  ...base(agoMin),
  ...stand,
  kind: 'spread',
  massG: 4000,
  tempC: 90,
  depthM: 0.03,
  trays: 1,
  place: 'fridge',
})
const read = (agoMin: number, tempC: number): SaidOfLot => ({
  ...base(agoMin),
  kind: 'read',
  tempC,
  source: 'dial',
})
const out = (agoMin: number): SaidOfLot => ({ ...base(agoMin), ...stand, kind: 'moved', place: 'bench', depthM: null })
const COLD = [spread(500), read(480, 57), read(400, 20), read(300, 4)]
const parcel = (kind: Parcel['kind'], body: unknown, subjectId = 'a'): Parcel => ({
  id: `p${(count += 1)}`,
  kind,
  subjectId,
  path: '',
  body,
  refusal: null,
  kitchenId: null,
  failures: 0,
})
const shown = (lots: Lot[], parcels: Parcel[] = [], nowMs = NOW) => shownLots(lots, parcels, KITCHEN, HOUSE, nowMs)
const withEvents = (...events: SaidOfLot[]): Lot => ({
  ...LOT,
  events: events.map((event) => (event.kind === 'read' ? { ...event, doubt: null } : event)),
})
const task = (lots: Lot[], nextDemandMs: number | null = null) =>
  nextTask(shown(lots), new Map(), { serveFrom: 'tempered' }, workedOf({ data: nextDemandMs, isError: false }), NOW)

test('while tonight or a tray is still worked out, "nothing to do" is not said', () => {
  const policy = { serveFrom: 'tempered' } as const
  expect(nextTask([], new Map(), policy, WORKING, NOW)).toEqual({ kind: 'working' })
  expect(nextTask([], new Map([['x', WORKING]]), policy, NONE, NOW)).toEqual({ kind: 'working' })
  expect(nextTask([], new Map(), policy, NONE, NOW)).toEqual({ kind: 'tomorrow' })
})

describe('lots as this device knows them', () => {
  test('what was said here and not sent yet counts at once; what was refused does not', () => {
    const said = parcel('lotEvents', { events: COLD })
    expect(shown([LOT], [said])[0]!.state).toMatchObject({ stage: 'ready', massG: 4000 })
    const refused = { ...said, refusal: { code: 'lot-depth' } as Parcel['refusal'] }
    expect(shown([LOT], [refused])[0]!.state.stage).toBe('cooking')
  })

  test('a load begun here is on the shelf before the kitchen has numbered it, and once it has, only once', () => {
    const begun = parcel('lot', { id: 'a', origin: 'cooked', atMs: NOW - MIN_MS, load: LOT.load })
    expect(shown([], [begun])).toMatchObject([{ isUnsent: true, state: { stage: 'cooking' }, lot: { name: '…' } }])
    expect(shown([LOT], [begun])).toMatchObject([{ isUnsent: false, lot: { name: 'R-1' } }])
  })

  test('rice from elsewhere that is hot waits to be spread, cold it is ready', () => {
    const elsewhere = {
      id: 'b',
      origin: 'table',
      atMs: NOW,
      cookedAtMs: NOW - HOUR_MS,
      massG: 2000,
      place: 'fridge',
      placeId: null,
      grain: 'long',
      isReheated: false,
    }
    const stages = [4, 70].map((tempC) => shown([], [parcel('lot', { ...elsewhere, tempC }, 'b')])[0]!.state.stage)
    expect(stages).toEqual(['ready', 'cooking'])
  })

  test('a parcel from an older page that is no lot any more is passed over', () => {
    expect(shown([], [parcel('lot', { rice: 1 }), parcel('lotEvents', { events: 'none' })])).toEqual([])
  })

  test('only rice that may be fried is on hand', () => {
    const lots = shown([withEvents(...COLD), { ...withEvents(...COLD.slice(0, 2)), id: 'b' }])
    expect(lots.flatMap(onHandOf).map((lot) => lot.id)).toEqual(['a'])
    expect(shown([withEvents(...COLD)], [], NOW + 80 * HOUR_MS).flatMap(onHandOf)).toEqual([])
  })
})

describe('the one thing to do', () => {
  test('a load is weighed when its method’s minutes are over', () => {
    const lot = { ...LOT, bornAtMs: NOW - 31 * MIN_MS }
    expect(readyAtMs(shown([lot])[0]!)).toBe(NOW - MIN_MS)
    expect(task([lot]).kind).toBe('weigh')
    expect(task([{ ...LOT, bornAtMs: NOW - 10 * MIN_MS }]).kind).toBe('tomorrow')
  })

  test('a hot tray wants reading sooner than a cool one', () => {
    const due = (events: SaidOfLot[]) => isReadingDue(shown([withEvents(...events)])[0]!, NOW)
    expect(due([spread(60), read(40, 57), read(26, 40)])).toBe(true)
    expect(due([spread(60), read(40, 57), read(24, 40)])).toBe(false)
    expect(due([spread(160), read(140, 57), read(50, 19)])).toBe(false)
    expect(due([spread(160), read(140, 57), read(61, 19)])).toBe(true)
  })

  test('what is unsafe goes before all else, then what is to be carried out for the next boat', () => {
    const tooLong = withEvents(...COLD, out(241))
    expect(task([tooLong, { ...LOT, id: 'b' }])).toMatchObject({ kind: 'bin', why: 'out' })
    const ready = withEvents(...COLD)
    const odd: Lot = {
      ...ready,
      id: 'b',
      events: [...ready.events, { ...base(5, 'b'), kind: 'read', tempC: 30, source: 'dial', doubt: 'rise' }],
    }
    odd.events = odd.events.map((event) => ({ ...event, lotId: 'b' }))
    expect(task([ready, odd], NOW + 30 * MIN_MS)).toMatchObject({ kind: 'read', shown: { lot: { id: 'b' } } })
    expect(task([ready], NOW + 30 * MIN_MS).kind).toBe('carry')
    expect(task([ready], NOW + 2 * HOUR_MS).kind).toBe('tomorrow')
    expect(task([withEvents(...COLD, out(20))], NOW + 30 * MIN_MS).kind).toBe('tomorrow')
  })
})
