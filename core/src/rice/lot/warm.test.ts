import { at, COLD, COLD_LOT, HOUR_MS, HOUSE, LOAD, MIN_MS, moved, read, say, T0, type Said } from '../../test/lots'
import type { LotEvent, LotPlace } from './lotEvent'
import type { BornLot } from './lotState'

const OUT: [LotPlace, number | null][] = [
  ['bench', 21],
  ['rack', null],
  ['fan', null],
  ['fridge', 9],
]

describe('every warm place counts', () => {
  test.each(OUT)('%s with air of %s °C, after the lot was cold', (place, airTempC) => {
    const out = [...COLD, say(T0 + 6 * HOUR_MS, moved(place, airTempC))]
    expect(at(out, T0 + 7 * HOUR_MS)).toMatchObject({ outS: 3600, outSinceMs: T0 + 6 * HOUR_MS, stage: 'tempering' })
    expect(at(out, T0 + 10 * HOUR_MS + 1)).toMatchObject({ isUsable: false, notUsable: { kind: 'outTooLong' } })
  })

  test.each(OUT)('%s with air of %s °C, where a cold lot was born', (place, airTempC) => {
    const born: BornLot = { ...COLD_LOT, place }
    const events = place === 'fridge' ? [say(T0, moved(place, airTempC))] : []
    expect(at(events, T0 + 2 * HOUR_MS, born).outS).toBe(2 * 3600)
  })

  test('a fridge found warm: out since the last cold reading', () => {
    const found = [...COLD, say(T0 + 8 * HOUR_MS, read(5)), say(T0 + 9 * HOUR_MS, read(9))]
    expect(at(found, T0 + 9 * HOUR_MS)).toMatchObject({ verdict: 'met', outSinceMs: T0 + 8 * HOUR_MS, outS: 3600 })
    expect(at(found, T0 + 12 * HOUR_MS + 1).isUsable).toBe(false)
  })

  test('on a rack while it cools it is not out of the cold: it has not been cold', () => {
    const cooling = [COLD[0]!, say(T0 + 0.6 * HOUR_MS, moved('rack')), COLD[1]!]
    expect(at(cooling, T0 + 2 * HOUR_MS).outS).toBe(0)
  })

  test('a reading on the bench is of rice that is held, not of its cooling', () => {
    const bench = [...COLD, say(T0 + 5 * HOUR_MS, moved('bench')), say(T0 + 7.5 * HOUR_MS, read(14))]
    expect(at(bench, T0 + 7.5 * HOUR_MS)).toMatchObject({ verdict: 'met', isUsable: true, outS: 2.5 * 3600 })
  })
})

describe('going back into the cold', () => {
  const out = [...COLD, say(T0 + 6 * HOUR_MS, moved('bench'))]
  const back = say(T0 + 7 * HOUR_MS, moved('fridge'))
  test('without a reading the clock goes on until one shows it cold', () => {
    expect(at([...out, back], T0 + 8 * HOUR_MS).outS).toBe(2 * 3600)
    expect(at([...out, back, say(T0 + 7.5 * HOUR_MS, read(5))], T0 + 8 * HOUR_MS).outS).toBe(1.5 * 3600)
  })
  test('with a cold reading now it stops at once', () => {
    expect(at([...out, say(back.atMs - MIN_MS, read(5)), back], T0 + 8 * HOUR_MS).outS).toBe(3600)
  })
})

describe('the date', () => {
  const atHeard = (said: Said, atMs: number, heardMs: number): LotEvent => ({ ...say(atMs, said), heardMs })
  test('a freezer dated back does not stretch it: it counts from when it was said', () => {
    const plain = at(COLD, T0 + 10 * HOUR_MS).useByMs!
    const inTime = at([...COLD, say(T0 + 5 * HOUR_MS, moved('freezer'))], T0 + 10 * HOUR_MS)
    expect(inTime.useByMs).toBe(plain + 5 * HOUR_MS)
    const late = [...COLD, atHeard(moved('freezer'), T0 + 5 * HOUR_MS, T0 + 9 * HOUR_MS)]
    expect(at(late, T0 + 10 * HOUR_MS).useByMs).toBe(plain + HOUR_MS)
  })
  test('it counts from the cooking, also of a part that was split off later', () => {
    const part: BornLot = { ...LOAD, id: 'b', bornAtMs: T0 + 30 * HOUR_MS, massG: 0, place: 'fridge' }
    const took = say(part.bornAtMs, { ...TOOK, cookedAtMs: T0 }, 'b')
    expect(at([took], part.bornAtMs, part).useByMs).toBe(at([], part.bornAtMs, { ...COLD_LOT, cookedAtMs: T0 }).useByMs)
  })
})

const TOOK = {
  kind: 'took',
  fromLotId: 'a',
  massG: 1000,
  cookedAtMs: T0 + 0.5 * HOUR_MS,
  outS: 0,
  frozenMs: 0,
  freezes: 0,
} as const

describe('a part that was split off', () => {
  const atMs = T0 + 7 * HOUR_MS
  const part = (place: LotPlace): BornLot => ({ ...LOAD, id: 'b', bornAtMs: atMs, massG: 0, place })
  const from = at([...COLD, say(T0 + 6 * HOUR_MS, moved('bench'))], atMs)
  const brought = {
    spreadAtMs: from.spreadAtMs,
    cooledAtMs: from.cooledAtMs,
    ruleSets: from.logs.map((one) => one.ruleSet),
    readings: from.readings,
    acceptedSteps: from.acceptedSteps,
    isOut: from.outSinceMs !== null,
  }
  const took = say(atMs, { ...TOOK, outS: from.outS, brought }, 'b')
  test('inherits the clock, the place and the log', () => {
    const state = at([took], atMs + HOUR_MS, part('bench'))
    expect(state).toMatchObject({ outS: 2 * 3600, stage: 'tempering', place: 'bench', isUsable: true, verdict: 'met' })
    expect(state.logs).toEqual(from.logs)
    expect(state.readings).toEqual(from.readings)
    expect(at([took], atMs + 3 * HOUR_MS + 1, part('bench')).isUsable).toBe(false)
  })
  test('put into the fridge at once, its clock goes on until it is read cold', () => {
    expect(at([took], atMs + HOUR_MS, part('fridge')).outS).toBe(2 * 3600)
  })
  test('of a lot that the lead accepted is accepted as well', () => {
    const late = at(
      [
        COLD[0]!,
        COLD[1]!,
        say(T0 + 4 * HOUR_MS, read(5)),
        say(T0 + 4.1 * HOUR_MS, { kind: 'accepted', reason: 'the logger showed 20 °C', staffId: 'odalys' }),
      ],
      atMs,
    )
    const log = { ...brought, readings: late.readings, cooledAtMs: late.cooledAtMs, isOut: false }
    const of = (acceptedSteps: string[]) =>
      at([say(atMs, { ...TOOK, brought: { ...log, acceptedSteps } }, 'b')], atMs + HOUR_MS, part('fridge'), HOUSE)
    expect(of(late.acceptedSteps)).toMatchObject({ verdict: 'unproven', isAccepted: true, isUsable: true })
    expect(of([])).toMatchObject({ verdict: 'unproven', isUsable: false })
  })
})
