import fc from 'fast-check'
import { changed, faultsOf } from '../test/boundary'
import { MiseEvent, MiseEvents, PlanId } from './event'
import { EquipmentId, ItemId, MisePolicy, Par, PrepCard, Shift } from './house'

const UUID = '01900000-0000-7000-8000-000000000001'
const base = { id: UUID, day: '2026-11-26-evening', deviceId: 'phone', atMs: 1_764_100_000_000, counter: 0 }
const SAID: Record<string, object> = {
  began: { ...base, kind: 'began', taskId: 'cut:garlic:mince-2/1-cut', staffIds: ['tam', 'wen'] },
  ended: {
    ...base,
    kind: 'ended',
    taskId: 't',
    massG: 400,
    gave: { itemId: 'recipe:glaze', massG: 400, useByMs: 1_764_100_000_000, placeId: null },
    took: [{ itemId: 'ingredient:soy', massG: 500 }],
  },
  handed: { ...base, kind: 'handed', taskId: 't', staffId: null },
  split: { ...base, kind: 'split', taskId: 't' },
  slow: { ...base, kind: 'slow', taskId: 't', moreS: 600 },
  away: { ...base, kind: 'away', staffId: 'tam', fromMs: 1_764_100_000_000, toMs: 1_764_100_000_000 },
  down: {
    ...base,
    kind: 'down',
    equipmentId: 'vessel:steamer',
    count: 1,
    fromMs: 1_764_100_000_000,
    toMs: 1_764_100_000_000,
  },
  delivered: { ...base, kind: 'delivered', itemId: 'ingredient:crab', orderedG: 800, massG: 300, useByMs: null },
  dropped: { ...base, kind: 'dropped', dishId: 'crab' },
  checked: { ...base, kind: 'checked', checkId: 'gas' },
  counted: { ...base, kind: 'counted', itemId: 'ingredient:soy', placeId: 'shelf', massG: 0, expectedG: null },
  settled: { ...base, kind: 'settled', itemId: 'ingredient:soy', keptId: UUID, otherId: UUID },
  wasted: { ...base, kind: 'wasted', itemId: 'recipe:glaze', lotId: null, massG: 40, reason: 'dropped' },
  undone: { ...base, kind: 'undone', eventId: UUID },
}

test.each(Object.entries(SAID))('%s is taken', (_kind, body) => expect(faultsOf(MiseEvent, body)).toEqual([]))

test.each<[string, string, string, unknown]>([
  ['a count below nothing', 'counted', 'massG', -1],
  ['a delivery of two tonnes', 'delivered', 'massG', 2_000_000],
  ['a task slowed by a second', 'slow', 'moreS', 1],
  ['a task slowed by two days', 'slow', 'moreS', 172_800],
  ['no oven broken', 'down', 'count', 0],
  ['a thing that is no item', 'wasted', 'itemId', 'glaze'],
  ['a reason that is none', 'wasted', 'reason', 'bored'],
  ['what a task gave, below nothing', 'ended', 'gave.massG', -1],
  ['a day that is none', 'began', 'day', 'tomorrow'],
  ['a task without a name', 'began', 'taskId', ''],
  ['a check without a name', 'checked', 'checkId', ''],
  ['an undoing of nothing', 'undone', 'eventId', 'e1'],
])('%s is refused at its field', (_what, kind, path, value) => {
  expect(faultsOf(MiseEvent, changed(SAID[kind]!, path, value))).toEqual([path])
})

test('nothing is edited by a field too many', () => {
  for (const body of Object.values(SAID)) expect(MiseEvent.safeParse({ ...body, extra: 1 }).success).toBe(false)
})

test('one word to five hundred at once', () => {
  const many = (n: number) => ({ events: Array.from({ length: n }, () => SAID['split']) })
  expect([0, 1, 500, 501].map((n) => faultsOf(MiseEvents, many(n)).length > 0)).toEqual([true, false, false, true])
})

test.each([
  ['2026-11-26-evening', true],
  ['2026-11-26-late-night', true],
  ['stock', true],
  ['2026-11-26', false],
  ['evening', false],
  ['2026-11-26-Evening', false],
  ['stock-2', false],
])('"%s" names a plan: %s', (id, isOne) => expect(PlanId.safeParse(id).success).toBe(isOne))

test.each([
  ['recipe:duck-sauce', true],
  ['cut:garlic:mince-2', true],
  ['cut:carrot:dice-6.5', true],
  ['cut:lettuce:shred', true],
  ['ingredient:soy-sauce-light', true],
  ['rice:long', false],
  ['recipe:', false],
  ['recipe:Duck', false],
  ['ingredient:soy;drop', false],
])('"%s" names an item: %s', (id, isOne) => expect(ItemId.safeParse(id).success).toBe(isOne))

test('equipment is named in lower case, a rice vessel by its id', () => {
  expect(['oven', 'vessel:steamer'].every((id) => EquipmentId.safeParse(id).success)).toBe(true)
  expect(['Oven', 'the oven', ''].some((id) => EquipmentId.safeParse(id).success)).toBe(false)
})

test('law: a shift is of some days and ends after it begins', () => {
  const minute = fc.integer({ min: 0, max: 1440 })
  fc.assert(
    fc.property(minute, minute, fc.subarray([1, 2, 3, 4, 5, 6, 7]), (fromMin, toMin, weekdays) => {
      const isOne = toMin > fromMin && weekdays.length > 0
      expect(Shift.safeParse({ fromMin, toMin, weekdays }).success).toBe(isOne)
    }),
  )
})

describe('cards, pars and the policy', () => {
  const STEP = { kind: 'cut', handsOnS: 60, handsOnSPerKg: 300, waitS: 0, hands: 1, equipment: ['board'] }
  const CARD = { itemId: 'cut:garlic:mince-2', steps: [STEP] }
  const POLICY = {
    railsMin: 20,
    aheadMin: 30,
    batchPortions: 4,
    people: [{ staffId: 'tam', skills: ['knife'], shifts: [{ weekdays: [1], fromMin: 480, toMin: 720 }] }],
    equipment: [{ id: 'board', name: 'Board', count: 2 }],
    places: [{ id: 'shelf', name: 'Shelf' }],
    homes: { 'ingredient:soy': 'shelf' },
    pars: [{ itemId: 'recipe:glaze', massG: 2000, written: '2 L' }],
    cards: [CARD],
    checks: [{ id: 'gas', name: 'Gas on' }],
    heatMin: { wok: 5, griddle: 15 },
  }

  test('as they stand they are taken', () => {
    expect(faultsOf(PrepCard, CARD)).toEqual([])
    expect(faultsOf(MisePolicy, POLICY)).toEqual([])
  })

  test.each<[string, string, unknown]>([
    ['a card without a step', 'cards.0.steps', []],
    ['a step of nobody', 'cards.0.steps.0.hands', 0],
    ['a step of a whole month', 'cards.0.steps.0.waitS', 2_592_000],
    ['a step nobody knows', 'cards.0.steps.0.kind', 'whisper'],
    ['a par of nothing', 'pars.0.massG', 0],
    ['a shift that ends before it begins', 'people.0.shifts.0.toMin', 400],
    ['a station heated for a day', 'heatMin.griddle', 1440],
    ['a batch of no portions', 'batchPortions', 0],
    ['a service set up before yesterday', 'aheadMin', 3000],
    ['a home that is no place’s name', 'homes', { 'ingredient:soy': 'The Shelf' }],
  ])('%s is refused', (_what, path, value) => {
    expect(faultsOf(MisePolicy, changed(POLICY, path, value)).join()).toContain(path)
  })

  test('a par of half a tonne and more is a slip of the unit', () => {
    expect(Par.safeParse({ itemId: 'recipe:glaze', massG: 500_001, written: '501 kg' }).success).toBe(false)
  })
})
