import fc from 'fast-check'
import { component, DISH } from '../test/kitchen'
import type { Dish } from '../book/dish'
import { batchOf, cookingModifiers, waitingItems, withoutFired, type LineTicket, type WaitingItem } from './waiting'

const dish: Dish = {
  ...DISH,
  components: [
    component({ id: 'rice', role: 'rice', food: 'rice', ratioG: 100 }),
    component({ id: 'peanut', role: 'garnish', food: 'nut', ratioG: 3 }),
    component({ id: 'egg', role: 'egg', food: 'egg', ratioG: 16 }),
  ],
  modifiers: [
    { id: 'no-peanut', name: 'no peanut', removes: ['peanut'], scales: [] },
    { id: 'no-egg', name: 'no egg', removes: ['egg'], scales: [] },
  ],
}

const anyTicket = fc.record({
  id: fc.uuid(),
  number: fc.option(fc.integer({ min: 1, max: 99 })),
  kind: fc.constantFrom('dine' as const, 'take' as const),
  placedAtMs: fc.integer({ min: 0, max: 1e6 }),
  promisedAtMs: fc.integer({ min: 1e6, max: 2e6 }),
  isCancelled: fc.boolean(),
  items: fc.array(
    fc.record({
      id: fc.uuid(),
      dishId: fc.constantFrom('duck', 'plain'),
      portions: fc.integer({ min: 1, max: 6 }),
      firedPortions: fc.integer({ min: 0, max: 6 }),
      donePortions: fc.constant(0),
      modifiers: fc.constant([]),
      allergies: fc.constant([]),
    }),
    { minLength: 1, maxLength: 4 },
  ),
})
const anyTickets: fc.Arbitrary<LineTicket[]> = fc.uniqueArray(anyTicket, { maxLength: 8, selector: ({ id }) => id })
const portionsOf = (items: readonly WaitingItem[]) => items.reduce((sum, { portions }) => sum + portions, 0)

test('law: what waits is what was ordered and not fired, of tickets that stand', () => {
  fc.assert(
    fc.property(anyTickets, (tickets) => {
      const waiting = waitingItems(tickets)
      const left = tickets
        .filter(({ isCancelled }) => !isCancelled)
        .flatMap(({ items }) => items.map(({ portions, firedPortions }) => Math.max(0, portions - firedPortions)))
      expect(portionsOf(waiting)).toBe(left.reduce((sum, n) => sum + n, 0))
      for (const { portions } of waiting) expect(portions).toBeGreaterThan(0)
    }),
    { endOnFailure: true },
  )
})

test('law: what was fired here waits no more, and saying it twice takes it once', () => {
  fc.assert(
    fc.property(anyTickets, fc.integer({ min: 0, max: 6 }), (tickets, portions) => {
      const first = tickets[0]?.items[0]
      const runs = first ? [{ run: { parts: [{ itemId: first.id, portions }] } }] : []
      const without = withoutFired(tickets, runs)
      expect(withoutFired(without, runs)).toEqual(without)
      expect(portionsOf(waitingItems(without))).toBeLessThanOrEqual(portionsOf(waitingItems(tickets)))
      if (first) expect(without[0]!.items[0]!.firedPortions).toBe(Math.max(first.firedPortions, portions))
      expect(without.slice(1)).toEqual(tickets.slice(1))
    }),
    { endOnFailure: true },
  )
})

test('what the kitchen knows as done and what is being fried here are both fired', () => {
  const [ticket] = fc.sample(anyTicket, 1)
  const item = { ...ticket!.items[0]!, id: 'one', portions: 6, firedPortions: 2, donePortions: 2 }
  const runs = [
    {
      run: {
        parts: [
          { itemId: 'one', portions: 3 },
          { itemId: 'other', portions: 9 },
        ],
      },
    },
  ]
  expect(withoutFired([{ ...ticket!, items: [item] }], runs)[0]!.items[0]).toMatchObject({ firedPortions: 5 })
})

describe('a batch', () => {
  const item = (change: Partial<WaitingItem>): WaitingItem => ({
    ...{ itemId: 'a', ticketId: 't', ticketNumber: 7, kind: 'dine', dishId: dish.id, portions: 4 },
    ...{ modifiers: [], allergies: [], placedAtMs: 100, promisedAtMs: 900, ...change },
  })

  test('of several portions of one line has one part, and is promised when its first ticket is', () => {
    const taken = [
      { item: item({}), portions: 1 },
      { item: item({ itemId: 'b', ticketId: 'u', placedAtMs: 50, promisedAtMs: 700 }), portions: 2 },
      { item: item({}), portions: 3 },
    ]
    const batch = batchOf(dish, taken)
    expect(batch).toMatchObject({ portions: 6, promisedAtMs: 700, placedAtMs: 50 })
    expect(batch.parts.map(({ itemId, portions }) => [itemId, portions])).toEqual([
      ['a', 4],
      ['b', 2],
    ])
  })

  test('shares what changes the cooking; what is decided on the plate stands with its part', () => {
    expect(cookingModifiers(dish, ['no-peanut', 'no-egg'])).toEqual(['no-egg'])
    const batch = batchOf(dish, [{ item: item({ modifiers: ['no-peanut', 'no-egg'] }), portions: 1 }])
    expect(batch.modifiers).toEqual(['no-egg'])
    expect(batch.parts[0]!.modifiers).toEqual(['no-peanut', 'no-egg'])
  })

  test('of nothing is none', () => expect(() => batchOf(dish, [])).toThrow(RangeError))
})
