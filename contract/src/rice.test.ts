import fc from 'fast-check'
import { Blend, NewLot, Portioning, SaidOfLot, SaidOfLots } from './rice'
import { PutRicePlan, RicePolicy } from './riceHouse'
import { changed, faultsOf } from './test/boundary'

const UUID = '01900000-0000-7000-8000-000000000001'
const base = { id: UUID, lotId: 'r-18', deviceId: 'phone', atMs: 1_764_100_000_000, counter: 0 }
const placed = { placeId: null, covered: false, airTempC: null }
const SPREAD = { ...base, ...placed, kind: 'spread', massG: 4000, tempC: 92, depthM: 0.03, trays: 2, place: 'rack' }
const LOAD = {
  vesselId: 'steamer',
  method: 'steamer',
  blend: { long: 0.7, jasmine: 0.3 },
  wash: 'three',
  dryMassG: 3000,
  waterG: 3900,
  targetWaterFraction: 0.6,
}
const COOKED = { id: 'r-18', origin: 'cooked', atMs: base.atMs, load: LOAD }
const BOUGHT = {
  id: 'r-19',
  origin: 'bought',
  atMs: base.atMs,
  cookedAtMs: base.atMs - 3_600_000,
  massG: 5000,
  tempC: 4,
  place: 'fridge',
  placeId: null,
  grain: 'long',
  isReheated: false,
}

describe('a new lot', () => {
  test('a load on the heat and rice that was bought are taken', () => {
    expect(faultsOf(NewLot, COOKED)).toEqual([])
    expect(faultsOf(NewLot, BOUGHT)).toEqual([])
  })

  test.each<[string, object, string, unknown]>([
    ['no rice', COOKED, 'load.dryMassG', 0],
    ['water below nothing', COOKED, 'load.waterG', -1],
    ['porridge', COOKED, 'load.targetWaterFraction', 0.9],
    ['raw rice', COOKED, 'load.targetWaterFraction', 0.2],
    ['a method nobody knows', COOKED, 'load.method', 'kettle'],
    ['two tonnes', BOUGHT, 'massG', 2_000_000],
    ['no weight', BOUGHT, 'massG', 0],
    ['no age', BOUGHT, 'cookedAtMs', undefined],
    ['no temperature', BOUGHT, 'tempC', undefined],
    ['a temperature of the sun', BOUGHT, 'tempC', 5000],
    ['whether it was heated before left out', BOUGHT, 'isReheated', undefined],
    ['an age in words', BOUGHT, 'cookedAtMs', 'yesterday'],
    ['an id with a path in it', BOUGHT, 'id', '../r-19'],
  ])('%s is refused at its field', (_what, body, path, value) => {
    expect(faultsOf(NewLot, changed(body, path, value))).toEqual([path])
  })

  test('law: shares of a blend sum to one, or it is no blend', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99 }), fc.double({ min: -0.5, max: 0.5, noNaN: true }), (percent, off) => {
        const blend = { long: percent / 100, short: 1 - percent / 100 + off }
        const isWhole = Math.abs(off) < 1e-6 && blend.short >= 0
        expect(Blend.safeParse(blend).success).toBe(isWhole)
      }),
    )
  })
})

describe('what is said of a lot', () => {
  const said: Record<string, object> = {
    spread: SPREAD,
    moved: { ...base, ...placed, kind: 'moved', place: 'bench', depthM: null },
    read: { ...base, kind: 'read', tempC: 20.5, source: 'probe' },
    confirmed: { ...base, kind: 'confirmed', eventId: UUID },
    counted: { ...base, kind: 'counted', massG: 0 },
    discarded: { ...base, kind: 'discarded', massG: null, reason: 'warm' },
    refused: { ...base, kind: 'refused', reason: 'smell' },
    accepted: { ...base, kind: 'accepted', reason: 'flat battery', staffId: 'odalys' },
    finished: { ...base, kind: 'finished' },
    undone: { ...base, kind: 'undone', eventId: UUID },
  }

  test.each(Object.entries(said))('%s is taken', (_kind, body) => expect(faultsOf(SaidOfLot, body)).toEqual([]))

  test.each([
    ['a lot says what a run used: the server writes that', { ...base, kind: 'used', runId: UUID, massG: 10 }],
    ['a phone doubts a reading: the server does', { ...said['read'], doubt: 'drop' }],
    ['a phone says when the kitchen heard it', { ...said['read'], heardMs: 1 }],
    ['a rule set is changed by a lot', { ...base, kind: 'ruleSet', from: 'us', to: 'uk' }],
    ['a lot takes rice without the other giving it', { ...base, kind: 'took', fromLotId: 'r-1', massG: 10 }],
  ])('%s: refused', (_what, body) => expect(faultsOf(SaidOfLot, body)).not.toEqual([]))

  test.each<[string, string, string, unknown]>([
    ['no tray', 'spread', 'trays', 0],
    ['half a tray', 'spread', 'trays', 1.5],
    ['no rice on it', 'spread', 'massG', 0],
    ['spread on the bench, where nothing cools', 'spread', 'place', 'bench'],
    ['air like an oven', 'moved', 'airTempC', 180],
    ['a count below nothing', 'counted', 'massG', -1],
    ['a reason that is none', 'discarded', 'reason', 'bored'],
    ['accepted without a word why', 'accepted', 'reason', ' x '],
    ['accepted by nobody', 'accepted', 'staffId', null],
    ['a reading from a hand', 'read', 'source', 'finger'],
    ['an instant before 1970', 'finished', 'atMs', -1],
    ['an instant past all time', 'finished', 'atMs', 9e15],
    ['a device without a name', 'finished', 'deviceId', ''],
    ['an undoing of nothing', 'undone', 'eventId', ''],
  ])('%s is refused at its field', (_what, kind, path, value) => {
    expect(faultsOf(SaidOfLot, changed(said[kind]!, path, value))).toEqual([path])
  })

  test('law: °C and °F of one reading are the same temperature, or it is refused', () => {
    const reading = (tempC: number, tempF: number | null) => ({ ...said['read'], tempC, tempF })
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 100, noNaN: true }),
        fc.double({ min: -9, max: 9, noNaN: true }),
        (c, off) => {
          const tempF = c * 1.8 + 32 + off
          expect(SaidOfLot.safeParse(reading(c, tempF)).success).toBe(Math.abs(off / 1.8) <= 0.5 + 1e-12)
          expect(SaidOfLot.safeParse(reading(c, null)).success).toBe(true)
        },
      ),
    )
  })

  test('at least one word at once, at most two hundred', () => {
    const events = (n: number) => ({ events: Array.from({ length: n }, () => SPREAD) })
    expect([0, 1, 200, 201].map((n) => faultsOf(SaidOfLots, events(n)).length)).toEqual([1, 0, 0, 1])
  })
})

test('a split or a pour moves something, between two lots that are named', () => {
  const split = { kind: 'split', id: UUID, toLotId: 'r-20', massG: 500, atMs: base.atMs }
  expect(faultsOf(Portioning, split)).toEqual([])
  expect(faultsOf(Portioning, { ...split, massG: 0 })).toEqual(['massG'])
  expect(faultsOf(Portioning, { ...split, kind: 'swap' })).toEqual(['kind'])
  expect(faultsOf(Portioning, { ...split, toLotId: '' })).toEqual(['toLotId'])
})

describe('how the house does its rice', () => {
  const POLICY = {
    services: [{ id: 'noon', name: 'Noon', fromMin: 690, toMin: 840 }],
    shortageCost: 8,
    wasteCost: 0.5,
    vesselId: 'steamer',
    blend: { long: 1 },
    wash: 'three',
    tray: { name: 'Tray', lengthM: 0.53, widthM: 0.325 },
    cooling: [{ durationS: 1800, place: 'rack', covered: false }],
    closeMin: 1380,
    keepDays: null,
    outMin: null,
    serveFrom: 'fridge',
  }

  test('as it is', () => expect(faultsOf(RicePolicy, POLICY)).toEqual([]))

  test.each<[string, string, unknown, string?]>([
    ['a service that ends before it begins', 'services.0.toMin', 600],
    ['no service at all', 'services', []],
    ['a missed portion that costs nothing', 'shortageCost', 0],
    ['a tray of five metres', 'tray.lengthM', 5],
    ['rice kept for eight days', 'keepDays', 8],
    ['rice out for a night', 'outMin', 600],
    ['a cooling of three days', 'cooling.0.durationS', 259_200],
    ['no cooling', 'cooling', []],
    ['a close after midnight by more than a day', 'closeMin', 1500],
    ['a wash nobody knows', 'wash', 'thorough'],
  ])('%s is refused at its field', (_what, path, value) => {
    expect(faultsOf(RicePolicy, changed(POLICY, path, value))).toEqual([path])
  })

  test('an edit of a plan names its version and numbers that can be', () => {
    const edit = { version: 0, edits: { portions: { noon: 40 }, event: { name: 'regatta', percent: 50 } } }
    expect(faultsOf(PutRicePlan, edit)).toEqual([])
    expect(faultsOf(PutRicePlan, changed(edit, 'edits.event.percent', -101))).toEqual(['edits.event.percent'])
    expect(faultsOf(PutRicePlan, changed(edit, 'edits.portions.noon', -1))).toEqual(['edits.portions.noon'])
    expect(faultsOf(PutRicePlan, changed(edit, 'version', undefined))).toEqual(['version'])
    expect(faultsOf(PutRicePlan, changed(edit, 'edits.soldOut', { noon: 1441 }))).toEqual(['edits.soldOut.noon'])
  })
})
