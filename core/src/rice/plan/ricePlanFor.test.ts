import { startBy } from './planRice'
import { ricePlanFor, type HouseRice, type RicePlanForInput } from './ricePlanFor'

const HOUR_MS = 3_600_000
const iso = (text: string) => Date.parse(text)
const STEAMER = { id: 'steamer', method: 'steamer' as const, volumeL: 18, count: 1, steamGPerMin: 8 }
const POT = { id: 'pot', method: 'pot' as const, volumeL: 9, count: 1, steamGPerMin: 6 }
const HOUSE: HouseRice = {
  shortageCost: 8,
  wasteCost: 0.5,
  services: [
    { id: 'noon', fromMin: 690, toMin: 840 },
    { id: 'evening', fromMin: 1020, toMin: 1260 },
  ],
  vesselId: 'steamer',
  blend: { long: 1 },
  wash: 'three',
  tray: { lengthM: 0.53, widthM: 0.325, material: 'aluminium' },
  cooling: [
    { durationS: 1800, place: 'rack', covered: false },
    { durationS: 36_000, place: 'fridge', covered: false },
  ],
  closeMin: 23 * 60,
}
const INPUT: RicePlanForInput = {
  day: '2026-11-26',
  services: [
    { serviceId: 'noon', forecast: { expected: 20, spread: 4 }, portionG: 220 },
    { serviceId: 'evening', forecast: { expected: 60, spread: 8 }, portionG: 220 },
  ],
  edits: { portions: {}, event: null },
  house: HOUSE,
  vessels: [POT, STEAMER],
  lots: [],
  tonightG: 0,
  timeZone: 'UTC',
  ruleSet: 'us',
  nowMs: iso('2026-11-25T15:00:00Z'),
}
const planOf = (change: Partial<RicePlanForInput> = {}) => ricePlanFor({ ...INPUT, ...change })!

describe('when the last tray must be cold', () => {
  test.each([
    [
      'the evening before, in time: at closing, so that somebody logs it',
      '2026-11-25T15:00:00Z',
      '2026-11-25T23:00:00Z',
    ],
    ['after closing: when the first service begins', '2026-11-25T23:30:00Z', '2026-11-26T11:30:00Z'],
    ['on the day itself', '2026-11-26T07:00:00Z', '2026-11-26T11:30:00Z'],
  ])('%s', (_when, now, coldBy) => {
    expect(planOf({ nowMs: iso(now) }).coldByMs).toBe(iso(coldBy))
  })

  test('by the kitchen’s own wall clock', () => {
    const there = planOf({ timeZone: 'America/St_Johns' })
    expect(new Date(there.coldByMs).toISOString()).toBe('2026-11-26T02:30:00.000Z')
  })

  test('a plan begun at its latest start ends there', () => {
    const { plan, coldByMs } = planOf()
    const late = planOf({ nowMs: plan.latestStartMs! }).plan
    expect(late.times.at(-1)!.coldMs! - coldByMs).toBeLessThan(1000)
    expect(Math.abs(late.times.at(-1)!.coldMs! - coldByMs)).toBeLessThan(1000)
  })
})

describe('what is cooked', () => {
  const lot = (massG: number, useBy: string, stage: 'ready' | 'tempering' = 'ready') => ({
    id: useBy,
    name: useBy,
    stage,
    massG,
    useByMs: iso(useBy),
    cookedAtMs: iso('2026-11-24T12:00:00Z'),
  })

  test('both services, safe on the side that costs less', () => {
    const { planned, plan } = planOf()
    expect(planned).toMatchObject({ expected: 80, portionG: 220 })
    expect(planned.spread).toBeCloseTo(Math.hypot(Math.sqrt(20), 8), 9)
    expect(plan.portions).toBeGreaterThan(80)
    expect(plan.toCookG).toBe(plan.portions * 220)
  })

  test('less what stands in the fridge and may still be used when that day ends', () => {
    const keeps = lot(3000, '2026-11-26T23:00:00Z')
    const tooOld = lot(5000, '2026-11-26T20:00:00Z')
    const before = planOf().plan.toCookG
    expect(planOf({ lots: [keeps] })).toMatchObject({ usableG: 3000 })
    expect(planOf({ lots: [keeps, tooOld] }).plan.toCookG).toBe(before - 3000)
  })

  test('tonight takes its share before tomorrow counts on it; on the day itself tonight is that day', () => {
    const lots = [lot(3000, '2026-11-27T20:00:00Z')]
    expect(planOf({ lots, tonightG: 2000 }).usableG).toBe(1000)
    expect(planOf({ lots, tonightG: 2000, nowMs: iso('2026-11-26T07:00:00Z') }).usableG).toBe(3000)
  })

  test('a person who knows better is believed, and an event moves what nobody typed', () => {
    expect(planOf({ edits: { portions: { evening: 30 }, event: null } }).planned.expected).toBe(50)
    const regatta = { portions: { noon: 20 }, event: { name: 'regatta', percent: 50 } }
    expect(planOf({ edits: regatta }).planned.expected).toBe(110)
  })

  test('a closed day cooks nothing', () => {
    const { plan } = planOf({ edits: { portions: { noon: 0, evening: 0 }, event: null } })
    expect([plan.portions, plan.loads.length, plan.trays]).toEqual([0, 0, 0])
  })
})

describe('in which vessel', () => {
  test('the house’s own, else the first there is, and without one there is no plan', () => {
    expect(planOf().vessel.id).toBe('steamer')
    expect(planOf({ house: { ...HOUSE, vesselId: 'sold' } }).vessel.id).toBe('pot')
    expect(ricePlanFor({ ...INPUT, vessels: [] })).toBeNull()
  })

  test('a smaller vessel takes more loads, one after the other', () => {
    const { plan } = planOf({ house: { ...HOUSE, vesselId: 'pot' } })
    expect(plan.loads.length).toBeGreaterThan(planOf().plan.loads.length)
    plan.times.slice(1).forEach((time, i) => expect(time.startMs).toBe(plan.times[i]!.readyMs))
  })

  test('two of a kind cook side by side', () => {
    const two = planOf({ vessels: [{ ...POT, count: 2 }], house: { ...HOUSE, vesselId: 'pot' } }).plan
    expect(two.times[1]!.startMs).toBe(two.times[0]!.startMs)
    expect(two.latestStartMs!).toBeGreaterThan(
      planOf({ vessels: [POT], house: { ...HOUSE, vesselId: 'pot' } }).plan.latestStartMs!,
    )
  })
})

test('the strictest step of the rule set decides how deep it may lie: none lets it lie deeper than the house spreads it', () => {
  for (const ruleSet of ['us', 'uk', 'au'] as const) {
    const { plan } = planOf({ ruleSet })
    expect(plan.depthM).toBeGreaterThan(0.005)
    expect(plan.largestPassingDepthM).toBeGreaterThanOrEqual(0)
    if (plan.coolS !== null) expect(plan.coolS).toBeLessThan(12 * (HOUR_MS / 1000))
  }
})

test.each([
  [null, { kind: 'never' }],
  [1000, { kind: 'by', atMs: 1000 }],
  [999, { kind: 'late' }],
])('a first load that may start at %p at the latest', (latestStartMs, said) => {
  expect(startBy(latestStartMs, 1000)).toEqual(said)
})
