import type { Dish } from 'contract/dish'
import type { RiceHouse, RicePlanDay } from 'contract/riceHouse'
import { DEMO_VESSELS } from '../../demo/riceHouse'
import { DEFAULT_POLICY } from '../defaultPolicy'
import { demandOf } from './demandRecord'
import { forecastServices, leadS, tonightDemands } from './planDay'

const DAY = '2026-11-25'
const at = (hour: number, minute = 0) => Date.parse(`${DAY}T00:00:00Z`) + (hour * 60 + minute) * 60_000
const HOUSE: RiceHouse = { version: 0, policy: DEFAULT_POLICY, vessels: [...DEMO_VESSELS], places: [] }
const DISHES = [
  { id: 'duck', portionRiceG: 220 },
  { id: 'plain', portionRiceG: 180 },
] as Dish[]
const plan = (portions: Record<string, number> = {}): RicePlanDay => ({
  day: DAY,
  version: 0,
  edits: { portions, event: null },
  services: [
    {
      serviceId: 'evening',
      forecast: { expected: 80, low: 60, high: 100, spread: 15, days: 60, notes: [] },
      dishes: [{ dishId: 'duck', share: 1 }],
      boats: [
        { minute: 18 * 60, share: 0.5 },
        { minute: 19 * 60, share: 0.5 },
      ],
      portionG: 220,
    },
  ],
})
const input = { unfired: [], placed: [], plan: plan(), dishes: DISHES, timeZone: 'UTC', nowMs: at(17) }

test('tonight: boats to come ask for what the record expects, less what was already ordered for them', () => {
  const masses = (more: Partial<typeof input>) =>
    tonightDemands({ ...input, ...more }).map((one) => Math.round(one.massG))
  expect(masses({})).toEqual([8800, 8800])
  const placed = [{ day: DAY, minute: 18 * 60, dishId: 'duck', portions: 30 }]
  expect(masses({ placed } as never)).toEqual([2200, 8800])
  expect(masses({ placed: [{ ...placed[0]!, portions: 90 }] } as never)).toEqual([8800])
  expect(masses({ nowMs: at(18, 30) })).toEqual([8800])
  expect(masses({ plan: plan({ evening: 20 }) })).toEqual([2200, 2200])
})

test('tickets that wait come first, by their own dish; one that is late is wanted now', () => {
  const unfired = [{ promisedAtMs: at(16, 50), dishId: 'plain', portions: 2 }]
  const [first] = tonightDemands({ ...input, unfired })
  expect(first).toEqual({ atMs: at(17), massG: 360, portions: 2, source: 'tickets' })
})

test('tickets fall into slots of twenty minutes of the kitchen’s day', () => {
  const rows = [at(18, 1), at(18, 19), at(18, 20), at(23, 50)].map((promisedAtMs) => ({
    promisedAtMs,
    dishId: 'duck',
    portions: 1,
  }))
  expect(demandOf(rows, 'UTC').map((one) => [one.day, one.minute, one.portions])).toEqual([
    [DAY, 1080, 2],
    [DAY, 1100, 1],
    [DAY, 1420, 1],
  ])
  expect(demandOf(rows.slice(3), 'Asia/Tokyo')).toMatchObject([{ day: '2026-11-26', minute: 520 }])
})

test('a dish that left the book counts for portions, not for their size; without a record nothing is made up', () => {
  const demand = [1, 2, 3].flatMap((n) => [
    { day: `2026-11-2${n}`, minute: 1080, dishId: 'duck', portions: 10 },
    { day: `2026-11-2${n}`, minute: 1080, dishId: 'gone', portions: 10 },
  ])
  const [noon, evening] = forecastServices(demand, HOUSE, DISHES, DAY, [])
  expect(evening).toMatchObject({ portionG: 220, forecast: { days: 3, notes: ['fewDays'] } })
  expect(evening!.forecast!.expected).toBeGreaterThan(15)
  expect(noon).toMatchObject({ forecast: null, dishes: [], boats: [] })
})

test('a new load takes its cooking and its cooling; a place that never gets cold has no lead', () => {
  expect(leadS(HOUSE, 'us')!).toBeGreaterThan(30 * 60 + 3 * 3600)
  const rack = { ...DEFAULT_POLICY, cooling: [{ durationS: 36_000, place: 'rack' as const, covered: false }] }
  expect(leadS({ ...HOUSE, policy: rack }, 'us')).toBeNull()
  expect(leadS({ ...HOUSE, vessels: [] }, 'us')).toBeNull()
})
