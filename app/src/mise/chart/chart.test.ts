import fc from 'fast-check'
import type { MiseTask } from '../useKitchenPlan'
import { barPath, planAxis, ticksOf } from './planAxis'
import { planLanes } from './planLanes'
import { railsOf } from './railsOf'

const SERVICE_MS = Date.UTC(2026, 10, 26, 17)
const HOUR_MS = 3_600_000
const axis = planAxis({
  firstMs: SERVICE_MS - 96 * HOUR_MS,
  serviceMs: SERVICE_MS,
  leftPx: 20,
  rightPx: 900,
  middlePx: 300,
})

test('later is always further right, from four days before to the service at the edge', () => {
  expect(axis.x(SERVICE_MS)).toBe(900)
  expect(axis.x(SERVICE_MS - 96 * HOUR_MS)).toBeCloseTo(20, 6)
  fc.assert(
    fc.property(fc.double({ min: 0, max: 96, noNaN: true }), fc.double({ min: 0, max: 96, noNaN: true }), (a, b) => {
      const [early, late] = a > b ? [a, b] : [b, a]
      expect(axis.x(SERVICE_MS - early * HOUR_MS)).toBeLessThanOrEqual(axis.x(SERVICE_MS - late * HOUR_MS) + 1e-9)
    }),
    { numRuns: 200, seed: 51 },
  )
})

test('the last hours are to scale and at full height, far ones draw together', () => {
  const hour = axis.x(SERVICE_MS) - axis.x(SERVICE_MS - HOUR_MS)
  expect(axis.x(SERVICE_MS - 2 * HOUR_MS) - axis.x(SERVICE_MS - 3 * HOUR_MS)).toBeCloseTo(hour, 6)
  expect(axis.y(SERVICE_MS - HOUR_MS, 100)).toBe(100)
  expect(axis.y(axis.farMs, 100)).toBeGreaterThan(150)
})

test('marks are half hours near and midnights far, by the kitchen’s own clock', () => {
  const { near, days } = ticksOf(axis, SERVICE_MS, 'Pacific/Auckland')
  expect(near).toHaveLength(9)
  expect(days.map((ms) => new Date(ms).getUTCHours())).toEqual([11, 11, 11, 11])
})

test('a bar that spans far and near has a bend where they meet', () => {
  const bent = barPath(axis, SERVICE_MS - 20 * HOUR_MS, SERVICE_MS - HOUR_MS, 100, 120)
  expect(bent).toContain(`L${axis.x(axis.nearMs).toFixed(1)} 100.0`)
})

const task = (id: string, startH: number, hours: number, part: Partial<MiseTask> = {}): MiseTask =>
  ({
    id,
    hands: 1,
    status: 'open',
    who: [],
    at: {
      id,
      startMs: SERVICE_MS - startH * HOUR_MS,
      endMs: SERVICE_MS - (startH - hours) * HOUR_MS,
      who: ['tam'],
      slackS: 0,
      lateS: 0,
    },
    ...part,
  }) as MiseTask

test('each person has a lane, waits lie above in as few rows as run at once, all hands reach over their lanes', () => {
  const all = task('rails', 1, 1)
  all.at!.who = ['tam', 'wen']
  const waits = [task('a', 9, 3, { hands: 0 }), task('b', 8, 4, { hands: 0 }), task('c', 5, 1, { hands: 0 })]
  const { lanes, tasks } = planLanes([...waits, task('cut', 3, 1), all], ['tam', 'wen'], 60)
  expect(lanes.map((lane) => lane.id)).toEqual(['waits', 'tam', 'wen'])
  const find = (id: string) => tasks.find((one) => one.task.id === id)!
  expect(find('a').top).not.toBe(find('b').top)
  expect(find('c').top).toBe(find('a').top)
  expect(find('rails').bottom - find('rails').top).toBeGreaterThan(find('cut').bottom - find('cut').top)
})

test('rails hold what the dishes of a station take as it is, short is said before ready', () => {
  const item = (itemId: string, part: object = {}) => ({
    itemId,
    name: itemId,
    grossG: 400,
    isServed: true,
    uses: [{ dishId: 'duck' }],
    ...part,
  })
  const [wok] = railsOf({
    stations: [
      { id: 'ring-a', name: 'Ring A', kind: 'wok' },
      { id: 'griddle', name: 'Griddle', kind: 'griddle' },
    ],
    kindOf: new Map([['duck', 'wok']]),
    items: [item('cut:duck'), item('cut:short'), item('recipe:inner', { isServed: false }), item('ingredient:soy')],
    tasks: [task('t', 2, 1, { gives: { itemId: 'cut:duck', massG: 1, keepS: 1 } })],
    shortIds: new Set(['cut:short']),
  })
  expect(wok!.rails.flat().map(({ pan }) => [pan.itemId, pan.state])).toEqual([
    ['cut:duck', 'coming'],
    ['cut:short', 'short'],
  ])
})
