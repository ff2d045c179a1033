import fc from 'fast-check'
import { DISH } from '../../test/kitchen'
import { passNow, type PassInput } from './passNow'

const dishes = new Map([[DISH.id, { ...DISH, holdFreeS: 100, holdMostS: 200 }]])
const ticket = (id: string, portions: number, up: [number, number][], part: Partial<PassInput> = {}): PassInput => ({
  id,
  kind: 'dine',
  promisedAtMs: 0,
  items: [{ id: `i${id}`, dishId: DISH.id, portions, allergies: [] }],
  ups: up.map(([n, upAtMs]) => ({ itemId: `i${id}`, dishId: DISH.id, portions: n, upAtMs, marks: [] })),
  ...part,
})

test('whole tickets come first, of those the one that waits longest; what has nothing up is not on it', () => {
  const tickets = [
    ticket('a', 2, [[1, 0]]),
    ticket('b', 1, [[1, 50_000]]),
    ticket('c', 1, [[1, 10_000]]),
    ticket('d', 1, []),
  ]
  const ups = new Map([['a', { upMs: 90_000, stationId: 'ring-a' }]])
  const pass = passNow(tickets, dishes, ups, 60_000)
  expect(pass.map(({ id }) => id)).toEqual(['c', 'b', 'a'])
  expect(pass[2]).toMatchObject({ isWhole: false, upPortions: 1, toComePortions: 1, wholeAtMs: 90_000 })
})

test.each([
  ['dine', 100_000, 'fresh'],
  ['dine', 100_001, 'waits'],
  ['dine', 200_001, 'tooLong'],
  ['take', 280_000, 'fresh'],
  ['take', 380_001, 'tooLong'],
] as const)('%s, up for %d ms: %s', (kind, nowMs, hold) => {
  expect(passNow([ticket('a', 1, [[1, 0]], { kind })], dishes, new Map(), nowMs)[0]!.hold).toBe(hold)
})

test('a dish that is not in the book any more holds as is usual', () => {
  const [one] = passNow([ticket('a', 1, [[1, 0]])], new Map(), new Map(), 0)
  expect([one!.freshUntilMs, one!.goodUntilMs]).toEqual([150_000, 300_000])
})

test('law: what is up and what is to come is what was ordered, and a ticket is good no longer than its oldest portion', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 300_000 }), { minLength: 1, maxLength: 6 }),
      fc.nat(5),
      (ups, more) => {
        const one = ticket(
          'a',
          ups.length + more,
          ups.map((at): [number, number] => [1, at]),
        )
        const [on] = passNow([one], dishes, new Map(), 0)
        expect(on!.upPortions + on!.toComePortions).toBe(ups.length + more)
        expect(on!.goodUntilMs).toBe(Math.min(...ups) + 200_000)
        expect(on!.isWhole).toBe(more === 0)
      },
    ),
  )
})

test('what was cooked without a wash on record stands against the guest with the allergy, and against nobody else', () => {
  const line = (id: string, allergies: string[]) => ({ id, dishId: DISH.id, portions: 1, allergies })
  const up = (itemId: string, marks: PassInput['ups'][number]['marks']) => ({
    itemId,
    dishId: DISH.id,
    portions: 1,
    upAtMs: 0,
    marks,
  })
  const marksOf = (items: PassInput['items'], ups: PassInput['ups']) =>
    passNow([ticket('a', 1, [], { items, ups })], dishes, new Map(), 0)[0]!.allergyMarks
  const both = [line('egg', ['egg']), line('plain', [])]
  expect(marksOf(both, [up('egg', ['notWashed']), up('plain', [])])).toEqual(['notWashed'])
  expect(marksOf(both, [up('egg', []), up('plain', ['notWashed', 'allergyMixed'])])).toEqual([])
  expect(marksOf(both, [up('egg', ['notWashed']), up('egg', ['allergyMixed', 'notWashed'])])).toEqual([
    'allergyMixed',
    'notWashed',
  ])
})
