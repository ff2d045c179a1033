import fc from 'fast-check'
import { DISHES, HOUR_MS, SERVICE_MS, SHELF } from '../../test/prepKitchen'
import { foldStock } from '../stock/foldStock'
import { presentThrough } from '../people'
import { planService, RICE_ITEM, type ServicePlanInput } from './servicePlan'

const [dishA, dishB] = DISHES
const EXPECTED: NonNullable<ServicePlanInput['expected']> = {
  serviceId: 'noon',
  forecast: { expected: 40, spread: 8 },
  portionG: 200,
  dishes: [
    { dishId: dishA!.id, share: 0.75 },
    { dishId: dishB!.id, share: 0.25 },
  ],
  boats: [
    { minute: 12 * 60, share: 0.4 },
    { minute: 12 * 60 + 20, share: 0.6 },
  ],
}
const input = (part: Partial<ServicePlanInput> = {}): ServicePlanInput => ({
  sitting: {
    id: '2026-11-26-noon',
    day: '2026-11-26',
    serviceId: 'noon',
    fromMs: SERVICE_MS,
    toMs: SERVICE_MS + HOUR_MS,
  },
  expected: EXPECTED,
  edits: { portions: {}, event: null },
  margin: { shortageCost: 9, wasteCost: 1 },
  dishes: DISHES,
  shelf: SHELF,
  pricesOf: () => [],
  house: {
    railsMin: 15,
    batchPortions: 2,
    people: [{ staffId: 'wen', skills: [], shifts: [{ weekdays: [4], fromMin: 9 * 60, toMin: 13 * 60 }] }],
    pars: [],
    cards: [],
  },
  rice: null,
  stock: [],
  reservedG: new Map(),
  made: new Set(),
  version: 1,
  timeZone: 'UTC',
  nowMs: SERVICE_MS - 6 * HOUR_MS,
  ...part,
})
const portionsOf = (part: Partial<ServicePlanInput>) =>
  planService(input(part)).portions.reduce((sum, one) => sum + one.portions, 0)

test('nine days in ten are covered: 40 expected with a spread of 8 are 51, shared over the dishes', () => {
  const plan = planService(input())
  // 40 + 1.2816 × 8 = 50.25, and every dish rounded up.
  expect(plan.portions).toEqual([
    { dishId: dishA!.id, portions: 39 },
    { dishId: dishB!.id, portions: 13 },
  ])
  expect(plan.drawnAtMs).toBe(SERVICE_MS - 6 * HOUR_MS)
  expect(plan.faults).toEqual([])
})

test.each([
  ['a person who knows better', { edits: { portions: { noon: 10 }, event: null } }, 16],
  ['a storm that takes half', { edits: { portions: {}, event: { name: 'storm', percent: -50 } } }, 27],
  ['waste that costs as much as a miss', { margin: { shortageCost: 1, wasteCost: 1 } }, 40],
  ['a service nobody knows', { expected: null }, 0],
  ['dishes that left the menu', { dishes: [dishA!] }, 39],
])('%s', (_, part, portions) => {
  expect(portionsOf(part as Partial<ServicePlanInput>)).toBe(portions)
})

test('boats carry their share of what is covered, at the kitchen’s own time', () => {
  const { boats, portions } = planService(input())
  expect(boats.map(({ atMs }) => new Date(atMs).toISOString().slice(11, 16))).toEqual([
    '12:00',
    '12:00',
    '12:20',
    '12:20',
  ])
  const all = portions.reduce((sum, one) => sum + one.portions, 0)
  expect(boats.reduce((sum, one) => sum + one.portions, 0)).toBeCloseTo(all, 9)
})

test('tasks bear the plan’s name and are due by the service; what was made already is a new task', () => {
  const first = planService(input())
  expect(first.tasks.length).toBeGreaterThan(3)
  for (const task of first.tasks) {
    expect(task.id.startsWith('2026-11-26-noon/')).toBe(true)
    expect(task.dueMs).toBeLessThanOrEqual(SERVICE_MS)
    for (const need of task.needs) expect(first.tasks.some((one) => one.id === need.taskId)).toBe(true)
  }
  const item = first.tasks.find((task) => task.itemId !== null)!.itemId!
  const again = planService(input({ made: new Set([item]), version: 2 }))
  const own = again.tasks.filter((task) => task.itemId === item)
  expect(own.every((task) => task.id.endsWith('@2'))).toBe(true)
  expect(again.tasks.filter((task) => task.itemId !== item).some((task) => task.id.endsWith('@2'))).toBe(false)
})

test('rails are set by those who are there through all of it, and by nobody where nobody is', () => {
  const hands = (people: ServicePlanInput['house']['people']) =>
    planService(input({ house: { ...input().house, people } })).tasks.find((task) => task.kind === 'rails')?.hands ?? 0
  const shift = (fromMin: number, toMin: number, weekdays = [4]) => ({
    staffId: 'x',
    skills: [],
    shifts: [{ weekdays, fromMin, toMin }],
  })
  expect(hands([shift(700, 720), shift(705, 800), shift(706, 720)])).toBe(2)
  expect(hands([shift(700, 719)])).toBe(0)
  expect(hands([shift(700, 720, [5])])).toBe(0)
})

test.each([
  [[1], 540, 720, 540, 720, true],
  [[1], 541, 720, 540, 720, false],
  [[2], 540, 720, 540, 720, false],
])('shifts on %j from %i to %i cover %i to %i on a Monday: %s', (weekdays, fromMin, toMin, from, to, isThere) => {
  const person = { staffId: 'a', skills: [], shifts: [{ weekdays, fromMin, toMin }] }
  expect(presentThrough([person], 1, from, to)).toHaveLength(isThere ? 1 : 0)
})

test('law: what is on hand is not made again, and what an earlier plan takes is not on hand', () => {
  const glaze = 'recipe:glaze'
  const netOf = (massG: number, reservedG: number) => {
    const stock = [
      ...foldStock(
        [],
        [{ itemId: glaze, looseG: massG, lots: [], lastCount: null, otherCount: null } as never],
      ).values(),
    ].map((one) => ({ ...one, itemId: glaze }))
    const plan = planService(input({ stock: stock, reservedG: new Map([[glaze, reservedG]]) }))
    return plan.items.find((item) => item.itemId === glaze)!
  }
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 3000 }), fc.integer({ min: 0, max: 3000 }), (massG, reservedG) => {
      const { grossG, netG, onHandG } = netOf(massG, reservedG)
      expect(onHandG).toBeCloseTo(Math.max(0, massG - reservedG), 6)
      expect(netG).toBeCloseTo(Math.max(0, grossG - onHandG), 6)
    }),
    { numRuns: 40 },
  )
})

test('the loads of rice have an item of their own', () => {
  expect(RICE_ITEM).toBe('rice')
  expect(planService(input()).items.some((item) => item.itemId === RICE_ITEM)).toBe(false)
})
