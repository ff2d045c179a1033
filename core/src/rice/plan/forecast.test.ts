import fc from 'fast-check'
import { dayAfter, weekdayOf } from '../../time/localTime'
import { forecastPortions, type ServiceDay } from './forecast'

function chanceOf(seed: number): () => number {
  let state = seed >>> 0
  return () => (state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0) / 4_294_967_296
}

/** A season of 120 days: weekdays, a slow drift, noise, closed days, a fortnight off in the middle and rare feasts. */
function season(seed: number): ServiceDay[] {
  const chance = chanceOf(seed * 7919)
  const normal = () => Math.sqrt(-2 * Math.log(chance() + 1e-12)) * Math.cos(2 * Math.PI * chance())
  const week = [0, 0.7, 0.7, 0.8, 1, 1.3, 1.4, 0.9].map((factor) => factor + 0.3 * chance())
  const base = 40 + 80 * chance()
  const drift = (chance() - 0.5) * 0.004
  const days: ServiceDay[] = []
  let day = '2026-01-05'
  for (let n = 0; n < 120; n += 1, day = dayAfter(day)) {
    if (chance() < 0.04 || (n > 50 && n < 64)) continue
    const usual = base * (1 + drift * n) * week[weekdayOf(day)]! * (1 + 0.12 * normal())
    days.push({ day, service: 'evening', portions: Math.max(0, Math.round(usual * (chance() < 0.02 ? 3 : 1))) })
  }
  return days
}

test('on twenty generated seasons it beats yesterday and the same day last week, and its range holds four days in five', () => {
  let [ours, yesterday, lastWeek, inside, count] = [0, 0, 0, 0, 0]
  for (let seed = 1; seed <= 20; seed += 1) {
    const days = season(seed)
    for (let n = 10; n < days.length; n += 1) {
      const past = days.slice(0, n)
      const { day, portions } = days[n]!
      const { expected, low, high } = forecastPortions(past, day, 'evening')!
      const naive = past.at(-1)!.portions
      ours += Math.abs(expected - portions)
      yesterday += Math.abs(naive - portions)
      lastWeek += Math.abs((past.find((one) => one.day === dayAfter(day, -7))?.portions ?? naive) - portions)
      inside += portions >= low && portions <= high ? 1 : 0
      count += 1
    }
  }
  expect(ours).toBeLessThan(0.85 * lastWeek)
  expect(ours).toBeLessThan(0.6 * yesterday)
  expect(inside / count).toBeGreaterThan(0.75)
  expect(inside / count).toBeLessThan(0.92)
})

test('it never explodes: a feast, a closed month, zeros or a first day move it within reason', () => {
  const steady = Array.from({ length: 40 }, (_, n) => ({ day: dayAfter('2026-03-02', n), service: 's', portions: 100 }))
  const after = (more: ServiceDay[]) => forecastPortions([...steady, ...more], '2026-06-15', 's')!.expected
  expect(after([])).toBeCloseTo(100, 0)
  expect(after([{ day: '2026-04-12', service: 's', portions: 5000 }])).toBeLessThan(130)
  expect(after([{ day: '2026-04-12', service: 's', portions: 0 }])).toBeGreaterThan(80)
  const first = forecastPortions([{ day: '2026-03-02', service: 's', portions: 80 }], '2026-03-03', 's')!
  expect(first.expected).toBeCloseTo(80, 0)
  expect(first.low).toBeLessThan(60)
  const none = Array.from({ length: 9 }, (_, n) => ({ day: dayAfter('2026-03-02', n), service: 's', portions: 0 }))
  expect(forecastPortions(none, '2026-04-01', 's')!.expected).toBe(0)
})

const DAYS = (...portions: number[]) =>
  portions.map((one, n): ServiceDay => ({ day: dayAfter('2026-03-02', n), service: 's', portions: one }))
const of = (days: ServiceDay[], day = dayAfter(days.at(-1)!.day)) => forecastPortions(days, day, 's')!

test('one day is no season: the range is wide and says so, and narrows with every week', () => {
  const width = (n: number) => {
    const { low, high, expected } = of(DAYS(...Array.from({ length: n }, () => 80)))
    return (high - low) / expected
  }
  expect(of(DAYS(80)).notes).toContain('fewDays')
  expect(width(1)).toBeGreaterThan(1.4)
  expect([width(1) > width(2), width(2) > width(7), width(7) > width(28)]).toEqual([true, true, true])
  expect(of(DAYS(...Array.from({ length: 14 }, () => 80))).notes).toEqual([])
})

test('an outlier is held to its weight: a ten and a thousand give neither, and never more than was seen', () => {
  const { expected, low, high, notes } = of(DAYS(10, 1000))
  expect(expected).toBeLessThan(700)
  expect([low < 100, high > 900, notes.includes('outlier')]).toEqual([true, true, true])
  fc.assert(
    fc.property(
      fc.array(fc.nat(2000), { minLength: 1, maxLength: 40 }),
      fc.integer({ min: 1, max: 9 }),
      (all, ahead) => {
        const days = DAYS(...all)
        const found = of(days, dayAfter(days.at(-1)!.day, ahead)).expected
        expect(found).toBeGreaterThanOrEqual(Math.min(...all) - 1e-9)
        expect(found).toBeLessThanOrEqual(Math.max(...all) + 1e-9)
      },
    ),
    { seed: 12, numRuns: 200 },
  )
})

test('a history older than eight weeks widens and says so', () => {
  const days = DAYS(...Array.from({ length: 30 }, () => 80))
  const [fresh, old] = [of(days, dayAfter(days.at(-1)!.day, 50)), of(days, dayAfter(days.at(-1)!.day, 120))]
  expect([fresh.notes, old.notes]).toEqual([[], ['old']])
  expect(old.high - old.low).toBeGreaterThan(1.2 * (fresh.high - fresh.low))
})

test('a day that sold out is a lower bound: it never pulls the demand down, and may pull it up', () => {
  const usual = DAYS(...Array.from({ length: 28 }, () => 100))
  const last = dayAfter(usual.at(-1)!.day)
  const after = (portions: number, isSoldOut: boolean) =>
    of([...usual, { day: last, service: 's', portions, isSoldOut }], dayAfter(last, 7))
  expect(after(60, true).expected).toBeCloseTo(100, 6)
  expect(after(60, false).expected).toBeLessThan(98)
  expect(after(140, true).expected).toBeGreaterThan(100)
  expect(after(60, true).notes).toContain('soldOut')
})

test('without a record there is no forecast, and the future is no record', () => {
  expect(forecastPortions([], '2026-03-02', 's')).toBeNull()
  expect(forecastPortions([{ day: '2026-03-02', service: 's', portions: 9 }], '2026-03-02', 's')).toBeNull()
  expect(forecastPortions([{ day: '2026-03-01', service: 'noon', portions: 9 }], '2026-03-02', 's')).toBeNull()
})
