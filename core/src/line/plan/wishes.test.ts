import fc from 'fast-check'
import { holdOf, USUAL_HOLD } from './holds'
import { overruledPins } from './overruled'
import { linePieces } from './pieces'
import { lineWishes, usualPairs, weightsOf, type SaidWish } from './wishes'

const SAID = { staffId: null, deviceId: 'phone' }

test('law: pieces hold every portion once, none over its cap; of a pin no more than the line has', () => {
  const item = (n: number, portions: number) => ({ itemId: `i${n}`, portions }) as never
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 20 }), { maxLength: 5 }),
      fc.integer({ min: 1, max: 5 }),
      fc.array(fc.integer({ min: 1, max: 30 }), { maxLength: 3 }),
      (orders, cap, pinned) => {
        const items = orders.map((portions, n) => item(n, portions))
        const pins = pinned.map((portions, n) => ({
          pinId: `p${n}`,
          parts: [{ itemId: 'i0', portions }],
          stationId: null,
          notBeforeMs: null,
        }))
        const pieces = linePieces(items, pins, () => cap)
        for (const [n, portions] of orders.entries()) {
          const own = pieces.filter((piece) => piece.item.itemId === `i${n}`)
          expect(own.reduce((sum, piece) => sum + piece.portions, 0)).toBe(portions)
          expect(Math.max(...own.map((piece) => piece.portions))).toBeLessThanOrEqual(cap)
        }
        expect(new Set(pieces.map(({ id }) => id)).size).toBe(pieces.length)
      },
    ),
    { endOnFailure: true },
  )
})

test('law: of what was decided the last word holds, in whatever order it arrives', () => {
  const anyWish = fc.oneof(
    fc.record({ kind: fc.constant('hands' as const), pairs: fc.integer({ min: 1, max: 3 }) }),
    fc.record({ kind: fc.constant('dish' as const), dishId: fc.constantFrom('a', 'b'), isGone: fc.boolean() }),
    fc.record({ kind: fc.constant('station' as const), stationId: fc.constant('ring-a'), isDown: fc.boolean() }),
  )
  fc.assert(
    fc.property(
      fc
        .array(anyWish, { maxLength: 12 })
        .map((wishes) =>
          wishes.map((wish, i): SaidWish => ({ ...wish, ...SAID, id: `w${i}`, atMs: i >> 1, counter: i & 1 })),
        )
        .chain((said) => fc.tuple(fc.constant(said), fc.shuffledSubarray(said, { minLength: said.length }))),
      ([said, shuffled]) => {
        expect(lineWishes(shuffled)).toEqual(lineWishes(said))
        const hands = said.filter((wish) => wish.kind === 'hands').at(-1)
        expect(lineWishes(said).pairs).toBe(hands?.kind === 'hands' ? hands.pairs : null)
      },
    ),
    { endOnFailure: true },
  )
})

test('what the house minds more costs twice, what it minds less half', () => {
  const more = weightsOf({ lateness: 'more', holds: 'less', hands: 'usual' })
  expect(more).toMatchObject({ late: 2, late2: 2, hold: 0.15, spoil: 1.5, hands: 0.05, batch: 10 })
})

test.each([
  [3, 2, 2],
  [3, 9, 3],
  [1, 4, 1],
  [3, 0, 1],
  [9, 9, 3],
])('%d stations and %d cooks: %d pairs of hands', (stations, cooks, pairs) => {
  expect(usualPairs(stations, cooks)).toBe(pairs)
})

test('a dish holds as the kitchen says, else as is usual; at all never shorter than freely', () => {
  expect(holdOf({})).toEqual(USUAL_HOLD)
  expect(holdOf({ holdFreeS: 400 })).toEqual({ freeS: 400, mostS: 400 })
  expect(holdOf({ holdFreeS: 60, holdMostS: 240 })).toEqual({ freeS: 60, mostS: 240 })
})

describe('the same portions pinned twice', () => {
  const parts = [{ itemId: 'i1', portions: 2 }]
  const pin = (n: number, deviceId: string, change: object = {}): SaidWish => ({
    ...{ kind: 'pin', pinId: `p${n}`, parts, stationId: null, notBeforeMs: null, isOff: false },
    ...{ id: `w${n}`, staffId: 'aki', deviceId, atMs: n, counter: 0 },
    ...change,
  })
  const waiting = [{ itemId: 'i1', portions: 2 }]
  const overruled = (...said: SaidWish[]) =>
    overruledPins(lineWishes(said), waiting).map(({ pin: { pinId }, by }) => `${pinId} by ${by.pinId}`)

  test('two leads at once: the later holds, and the earlier is named', () => {
    expect(overruled(pin(1, 'a'), pin(2, 'b'))).toEqual(['p1 by p2'])
    expect(lineWishes([pin(1, 'a'), pin(2, 'b')]).pins.map(({ pinId }) => pinId)).toEqual(['p2', 'p1'])
  })
  test.each([
    ['on one device it is a change of mind', [pin(1, 'a'), pin(2, 'a')]],
    ['taken back it is none', [pin(1, 'a'), pin(2, 'b'), pin(2, 'b', { id: 'w3', atMs: 3, isOff: true })]],
    [
      'of a line that has enough for both it is none',
      [
        pin(1, 'a', { parts: [{ itemId: 'i1', portions: 1 }] }),
        pin(2, 'b', { parts: [{ itemId: 'i1', portions: 1 }] }),
      ],
    ],
    [
      'of what is fired it is none',
      [
        pin(1, 'a', { parts: [{ itemId: 'gone', portions: 1 }] }),
        pin(2, 'b', { parts: [{ itemId: 'gone', portions: 1 }] }),
      ],
    ],
  ])('%s', (_name, said) => {
    expect(overruled(...said)).toEqual([])
  })
})
