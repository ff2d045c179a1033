import fc from 'fast-check'
import { DISH, RING_HEAT, TOOLS, US } from '../test/kitchen'
import type { Dish } from '../book/dish'
import { proposeBatches, type WaitingItem } from './batches'
import { batchScore } from './batchScore'
import { largestCap, planLine, SET_UP_S, type StationNow } from './planLine'
import { splitPortions } from './split'
import { waitingItems } from './waiting'

const MIN_MS = 60_000
const dishes = new Map<string, Dish>([
  ['everything', DISH],
  ['other', { ...DISH, id: 'other' }],
])

const item = (n: number, change: Partial<WaitingItem> = {}): WaitingItem => ({
  itemId: `item-${n}`,
  ticketId: `ticket-${n}`,
  ticketNumber: n,
  dishId: 'everything',
  portions: 1,
  modifiers: [],
  allergies: [],
  placedAtMs: n,
  promisedAtMs: 10 * MIN_MS,
  ...change,
})
const propose = (items: WaitingItem[], cap = 4) => proposeBatches(items, dishes, () => cap)

describe('split', () => {
  test('as few as the cap allows, as even as can be, smallest last', () => {
    expect(splitPortions(7, 4)).toEqual([4, 3])
    expect(splitPortions(9, 4)).toEqual([3, 3, 3])
    expect(splitPortions(10, 4)).toEqual([4, 3, 3])
  })

  test('sums to the whole, never over the cap, never uneven by two', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), fc.integer({ min: 1, max: 30 }), (portions, cap) => {
        const parts = splitPortions(portions, cap)
        expect(parts.reduce((sum, n) => sum + n, 0)).toBe(portions)
        expect(parts).toHaveLength(Math.ceil(portions / cap))
        expect(Math.max(...parts) - Math.min(...parts)).toBeLessThanOrEqual(1)
        expect([...parts].sort((a, b) => b - a)).toEqual(parts)
      }),
    )
  })

  test.each([
    [0, 4],
    [1.5, 4],
    [3, 0],
  ])('%d portions by %d is a mistake', (portions, cap) => {
    expect(() => splitPortions(portions, cap)).toThrow(RangeError)
  })
})

describe('batches', () => {
  test('same dish and cooking together, whatever comes off at the pass', () => {
    const batches = propose([
      item(1),
      item(2, { modifiers: ['no-nori'] }),
      item(3, { modifiers: ['no-egg'] }),
      item(4, { dishId: 'other' }),
    ])
    expect(batches.map((batch) => batch.parts.map((part) => part.ticketNumber))).toEqual([[1, 2], [3], [4]])
  })

  test('an allergy is always alone, even beside the same allergy', () => {
    const batches = propose([item(1), item(2, { allergies: ['egg'] }), item(3, { allergies: ['egg'] })])
    expect(batches.map((batch) => batch.parts.length)).toEqual([1, 1, 1])
    expect(batches.filter((batch) => batch.allergies.length > 0)).toHaveLength(2)
  })

  test('promises far apart are not cooked together', () => {
    expect(propose([item(1), item(2, { promisedAtMs: 30 * MIN_MS })])).toHaveLength(2)
  })

  test('oldest promise first', () => {
    const batches = propose([
      item(1, { promisedAtMs: 9 * MIN_MS, dishId: 'other' }),
      item(2, { promisedAtMs: 5 * MIN_MS }),
    ])
    expect(batches.map((batch) => batch.dishId)).toEqual(['everything', 'other'])
  })

  const anyItem = (n: number) =>
    fc
      .record({
        dishId: fc.constantFrom('everything', 'other'),
        portions: fc.integer({ min: 1, max: 12 }),
        modifiers: fc.subarray(['no-egg', 'no-nori', 'less-salt']),
        allergies: fc.subarray(['egg' as const]),
        promisedAtMs: fc.integer({ min: 0, max: 40 }).map((min) => min * MIN_MS),
      })
      .map((change) => item(n, change))
  const anyItems = fc
    .integer({ min: 1, max: 12 })
    .chain((count) => fc.tuple(...Array.from({ length: count }, (_, n) => anyItem(n + 1))))

  test('every portion stands in exactly one batch; cap, dish, cooking and allergy hold', () => {
    fc.assert(
      fc.property(anyItems, fc.integer({ min: 1, max: 6 }), (items, cap) => {
        const batches = propose(items, cap)
        for (const one of items) {
          const parts = batches.flatMap((batch) => batch.parts.filter((part) => part.itemId === one.itemId))
          expect(parts.reduce((sum, part) => sum + part.portions, 0)).toBe(one.portions)
        }
        for (const batch of batches) {
          const sources = batch.parts.map((part) => items.find((one) => one.itemId === part.itemId)!)
          expect(batch.portions).toBeLessThanOrEqual(cap)
          expect(new Set(sources.map((one) => one.dishId)).size).toBe(1)
          expect(
            new Set(
              sources.map((one) =>
                one.modifiers
                  .filter((id) => id !== 'no-nori')
                  .sort()
                  .join(),
              ),
            ).size,
          ).toBe(1)
          if (sources.some((one) => one.allergies.length > 0))
            expect(new Set(sources.map((one) => one.itemId)).size).toBe(1)
        }
      }),
    )
  })

  test('the order in which tickets are listed changes nothing', () => {
    fc.assert(
      fc.property(
        anyItems.chain((items) =>
          fc.tuple(fc.constant(items), fc.shuffledSubarray(items, { minLength: items.length })),
        ),
        ([items, shuffled]) => {
          expect(propose(shuffled)).toEqual(propose(items))
        },
      ),
    )
  })
})

describe('amounts of a batch', () => {
  const parts = [
    { portions: 1, modifiers: [] },
    { portions: 1, modifiers: ['no-nori'] },
  ]

  test('a late modifier takes out its share and leaves the rest', () => {
    const result = batchScore(DISH, { modifiers: [], allergies: [], parts }, RING_HEAT, TOOLS, US)
    const entries = result.kind === 'score' ? result.score.steps.flatMap((step) => step.entries) : []
    expect(entries.find((one) => one.componentId === 'nori')?.massG).toBeCloseTo(0.5 * 2.2, 9)
    expect(entries.find((one) => one.componentId === 'rice')?.massG).toBe(440)
  })

  test('an allergen that stays is refused by name', () => {
    expect(batchScore(DISH, { modifiers: [], allergies: ['gluten'], parts }, RING_HEAT, TOOLS, US)).toEqual({
      kind: 'refused',
      reason: 'allergen',
      names: ['gluten', 'soy'],
    })
  })
})

describe('plan', () => {
  const ring = (id: string, change: Partial<StationNow> = {}): StationNow => ({
    id,
    kind: 'wok',
    capPortions: 4,
    freeAtMs: 0,
    lastDishId: null,
    usedUntilMs: null,
    washedAtMs: null,
    ...change,
  })
  const plan = (items: WaitingItem[], stations: StationNow[], nowMs = 0) =>
    planLine(propose(items), stations, ({ portions }, { capPortions }) => (portions > capPortions ? null : 200), nowMs)

  test('each batch where it is up first, one at a time a station', () => {
    const { batches } = plan(
      [item(1), item(2, { dishId: 'other' }), item(3, { modifiers: ['no-egg'] })],
      [ring('a'), ring('b')],
    )
    expect(batches.map(({ stationId, startMs }) => [stationId, startMs])).toEqual([
      ['a', 0],
      ['b', 0],
      ['a', 200_000],
    ])
  })

  test('a wash stands before every allergy, a wipe between dishes', () => {
    const { batches } = plan([item(1), item(2, { dishId: 'other' }), item(3, { allergies: ['egg'] })], [ring('a')])
    expect(batches.map((batch) => batch.setUp)).toEqual(['none', 'wipe', 'wash'])
    expect(batches[2]!.startMs - batches[2]!.setUpStartMs).toBe(SET_UP_S.wash * 1000)
  })

  test('a batch too large for a ring goes to the one that holds it; without one it is named', () => {
    const small = ring('small', { capPortions: 2 })
    expect(plan([item(1, { portions: 4 })], [small, ring('large', { freeAtMs: 90_000 })]).batches[0]?.stationId).toBe(
      'large',
    )
    expect(plan([item(1, { portions: 4 })], [small]).homeless).toHaveLength(1)
    expect(largestCap([small], 'griddle')).toBe(0)
  })

  test('nothing starts before now or while the station is taken', () => {
    const { batches } = plan(
      [item(1), item(2, { dishId: 'other' })],
      [ring('a', { freeAtMs: 70_000, lastDishId: 'everything' })],
      50_000,
    )
    expect(batches.map((batch) => batch.setUpStartMs)).toEqual([70_000, 270_000])
  })
})

test('what was fired or cancelled does not wait', () => {
  const ticket = { id: 't', number: 1, placedAtMs: 0, promisedAtMs: 0, isCancelled: false }
  const line = { id: 'i', dishId: 'duck', portions: 3, firedPortions: 2, modifiers: [], allergies: [] }
  expect(waitingItems([{ ...ticket, items: [line] }]).map((one) => one.portions)).toEqual([1])
  expect(waitingItems([{ ...ticket, items: [{ ...line, firedPortions: 3 }] }])).toEqual([])
  expect(waitingItems([{ ...ticket, isCancelled: true, items: [line] }])).toEqual([])
})
