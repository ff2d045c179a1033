import fc from 'fast-check'
import { DISH, US } from '../../test/kitchen'
import type { StationTimes } from '../stationTimes'
import { downsOf, type Evening, type PastRun, type PastTicket } from './evening'
import { changesFor, eveningAgain, eveningInstance, type EveningChange } from './eveningAgain'
import { lateTickets, wholeAt } from './lateTickets'

const T0 = 1_700_000_000_000
const S = 1000
const STATIONS = [
  { id: 'a', kind: 'wok' as const, capPortions: 4 },
  { id: 'b', kind: 'wok' as const, capPortions: 4 },
]
const FACTS = { stations: STATIONS, kindOf: () => 'wok', pairs: 2 }

const ticket = (n: number, more: Partial<PastTicket> = {}): PastTicket => ({
  ...{ id: `t${n}`, number: n, kind: 'dine', placedAtMs: T0, promisedAtMs: T0 + 600 * S, handedOverAtMs: null },
  items: [{ id: `i${n}`, dishId: DISH.id, portions: 2, modifiers: [], allergies: [] }],
  ...more,
})
/** A run of seconds from T0, for tickets that are whole with it. */
const run = (
  id: string,
  stationId: string,
  fromS: number,
  toS: number,
  more: Partial<PastRun> & { of?: number[] } = {},
): PastRun => {
  const { of = [], ...rest } = more
  return {
    ...{ id, stationId, dishId: DISH.id, firedAtMs: T0 + fromS * S, endedAtMs: T0 + toS * S, plannedS: toS - fromS },
    ...{ parts: of.map((n) => ({ itemId: `i${n}`, portions: 2 })), isStopped: false, toldStationId: null },
    ...rest,
  }
}
const evening = (more: Partial<Evening>): Evening => ({ tickets: [ticket(1)], runs: [], downs: [], pairs: 2, ...more })

describe('why a ticket was late', () => {
  const cause = (more: Partial<Evening>, facts = FACTS) => lateTickets(evening(more), facts)[0]

  test('it stood while a ring and hands were free', () => {
    expect(cause({ runs: [run('r', 'a', 600, 800, { of: [1] })] })).toMatchObject({
      ...{ number: 1, lateS: 200, cause: 'stood' },
      parts: [{ cause: 'stood', seconds: 200 }],
    })
  })
  test('both rings were taken', () => {
    const runs = [run('x', 'a', 0, 500), run('y', 'b', 0, 700), run('r', 'a', 500, 800, { of: [1] })]
    expect(cause({ runs })).toMatchObject({ cause: 'stations', parts: [{ cause: 'stations', seconds: 500 }] })
  })
  test('a ring was free and there was one pair of hands', () => {
    const runs = [run('x', 'a', 0, 500), run('r', 'b', 500, 800, { of: [1] })]
    expect(cause({ runs, pairs: 1 }, { ...FACTS, pairs: 1 })).toMatchObject({ cause: 'hands' })
  })
  test('a ring was down, and came back', () => {
    const runs = [run('x', 'a', 0, 400), run('r', 'a', 400, 800, { of: [1] })]
    const downs = downsOf([
      { stationId: 'b', isDown: true, atMs: T0 - 50 * S },
      { stationId: 'b', isDown: true, atMs: T0 },
      { stationId: 'b', isDown: false, atMs: T0 + 300 * S },
    ])
    expect(downs).toEqual([{ stationId: 'b', fromMs: T0 - 50 * S, toMs: T0 + 300 * S }])
    const later = (...words: [boolean, number | null, number][]) =>
      downsOf(words.map(([isDown, backAtMs, atS]) => ({ stationId: 'b', isDown, backAtMs, atMs: T0 + atS * S }))).map(
        ({ fromMs, toMs }) => [(fromMs - T0) / S, toMs === null ? null : (toMs - T0) / S],
      )
    expect(later([true, T0 + 60 * S, 0])).toEqual([[0, 60]])
    expect(later([true, T0 + 60 * S, 0], [true, T0 + 90 * S, 30])).toEqual([[0, 90]])
    expect(later([true, T0 + 60 * S, 0], [false, null, 20])).toEqual([[0, 20]])
    expect(later([true, T0 + 60 * S, 0], [false, null, 200], [true, null, 300])).toEqual([
      [0, 60],
      [300, null],
    ])
    expect(cause({ runs, downs })).toMatchObject({
      cause: 'down',
      parts: [{ cause: 'down', seconds: 300 }],
    })
  })
  test('a batch was thrown away, and fried again', () => {
    const runs = [run('x', 'a', 20, 200, { of: [1], isStopped: true }), run('r', 'a', 450, 750, { of: [1] })]
    expect(cause({ runs })).toMatchObject({
      cause: 'thrown',
      parts: [{ cause: 'thrown', seconds: 430 }],
    })
  })
  test('it took longer than its score', () => {
    expect(cause({ runs: [run('r', 'a', 30, 900, { of: [1], plannedS: 300 })] })).toMatchObject({
      cause: 'longer',
      lateS: 300,
    })
  })
  test('it waited at the pass', () => {
    const waited = ticket(1, { handedOverAtMs: T0 + 900 * S })
    expect(cause({ tickets: [waited], runs: [run('r', 'a', 30, 300, { of: [1] })] })).toMatchObject({
      ...{ cause: 'pass', lateS: 300 },
      parts: [{ cause: 'pass', seconds: 540 }],
    })
  })
  test('the promise could not be kept', () => {
    const soon = ticket(1, { promisedAtMs: T0 + 60 * S })
    expect(cause({ tickets: [soon], runs: [run('r', 'a', 40, 300, { of: [1] })] })).toMatchObject({
      cause: 'promise',
      lateS: 240,
    })
  })
  test('in time, less than a minute late, or never whole, it is not among them', () => {
    expect(cause({ runs: [run('r', 'a', 400, 650, { of: [1] })] })).toBeUndefined()
    expect(cause({ runs: [run('r', 'a', 900, 1200)] })).toBeUndefined()
    expect(wholeAt(ticket(1), [run('r', 'a', 0, 9, { of: [1], isStopped: true })])).toBeNull()
  })
})

test('law: what a batch waited for is all of its wait, each second once', () => {
  const anyRun = fc.tuple(fc.constantFrom('a', 'b'), fc.integer({ min: 0, max: 900 }), fc.integer({ min: 1, max: 400 }))
  fc.assert(
    fc.property(
      fc.array(anyRun, { maxLength: 6 }),
      fc.integer({ min: 1, max: 1000 }),
      fc.integer({ min: 1, max: 3 }),
      fc.option(fc.tuple(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 1, max: 500 }))),
      (others, firedS, pairs, down) => {
        const runs = [
          ...others.map(([stationId, fromS, longS], i) => run(`o${i}`, stationId, fromS, fromS + longS)),
          run('last', 'a', firedS, firedS + 800, { of: [1] }),
        ]
        const downs = down ? [{ stationId: 'b', fromMs: T0 + down[0] * S, toMs: T0 + (down[0] + down[1]) * S }] : []
        const [late] = lateTickets(evening({ runs, downs, pairs }), { ...FACTS, pairs })
        if (!late) return
        const waits = late.parts.filter(({ cause }) => ['down', 'stations', 'hands', 'stood'].includes(cause))
        expect(Math.abs(waits.reduce((sum, { seconds }) => sum + seconds, 0) - firedS)).toBeLessThanOrEqual(2)
      },
    ),
    { endOnFailure: true },
  )
})

describe('an evening planned again', () => {
  const times: StationTimes = { seconds: [200, 220, 240, 260] }
  const facts = {
    stations: STATIONS,
    dishes: [DISH],
    times: STATIONS.map(({ id }) => ({ dishId: DISH.id, stationId: id, times })),
    rules: US,
    pairs: 1,
  }
  const tickets = Array.from({ length: 12 }, (_, n) =>
    ticket(n, { placedAtMs: T0 + n * 60 * S, promisedAtMs: T0 + (n * 60 + 400) * S }),
  )
  const again = (change: EveningChange, more: Partial<Evening> = {}) =>
    eveningAgain(evening({ tickets, ...more }), facts, change, 200)!

  test('every portion is fried once, none before its ticket came', () => {
    const { batches } = again({ kind: 'asItWas' })
    expect(batches.reduce((sum, { portions }) => sum + portions, 0)).toBe(24)
    for (const { startMs, upMs } of batches) expect([startMs >= T0, upMs > startMs]).toEqual([true, true])
  })
  test('one more pair of hands, or one more ring for two pairs, makes no more late', () => {
    const asItWas = again({ kind: 'asItWas' })
    const hands = again({ kind: 'hands' })
    expect(asItWas.lateS).toBeGreaterThan(0)
    expect(hands.lateS).toBeLessThan(asItWas.lateS)
    const ring = eveningAgain(evening({ tickets }), { ...facts, pairs: 3 }, { kind: 'station', stationId: 'a' }, 200)!
    const two = eveningAgain(evening({ tickets }), { ...facts, pairs: 3 }, { kind: 'asItWas' }, 200)!
    expect(ring.lateS).toBeLessThanOrEqual(two.lateS)
    expect(ring.batches.some(({ stationId }) => stationId === 'a +1')).toBe(true)
  })
  test('a ring that was down is down again', () => {
    const downs = [{ stationId: 'b', fromMs: T0 - S, toMs: null }]
    const { batches } = again({ kind: 'hands' }, { downs, runs: [run('r', 'a', 0, 3600)] })
    expect(batches.filter(({ stationId, startMs }) => stationId === 'b' && startMs < T0 + 3600 * S)).toEqual([])
  })
  test('dishes that are not in the book any more are left out; of nothing there is no plan', () => {
    expect(eveningInstance(evening({ tickets }), { ...facts, dishes: [] }, { kind: 'asItWas' })).toBeNull()
    expect(eveningAgain(evening({ tickets: [] }), facts, { kind: 'asItWas' })).toBeNull()
  })
  test('asked are hands that there can be, and the station of a kind that had most to do', () => {
    const runs = [run('x', 'a', 0, 100), run('y', 'b', 0, 300)]
    expect(changesFor({ runs }, [...STATIONS, { id: 'g', kind: 'griddle', capPortions: 8 }], 2)).toEqual([
      { kind: 'asItWas' },
      { kind: 'hands' },
      { kind: 'station', stationId: 'b' },
    ])
    expect(changesFor({ runs: [] }, STATIONS, 3)).toEqual([{ kind: 'asItWas' }])
  })
})
