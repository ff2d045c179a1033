import fc from 'fast-check'
import { dayAfter, daysBetween, endOfLocalDay, instantOf, localDay, localMinute, weekdayOf } from './localTime'

const ZONES = [
  'UTC',
  'Europe/Berlin',
  'America/New_York',
  'America/St_Johns',
  'Australia/Lord_Howe',
  'Asia/Kolkata',
  'Pacific/Auckland',
  'Asia/Tokyo',
]
const anyZone = fc.constantFrom(...ZONES)
const anyMs = fc.integer({ min: Date.UTC(2020, 0, 1), max: Date.UTC(2035, 11, 31) })
const anyDay = anyMs.map((ms) => new Date(ms).toISOString().slice(0, 10))

/** What the platform's own formatter shows, as an outside clock. */
function shown(ms: number, timeZone: string) {
  const parts = new Intl.DateTimeFormat('en-CA', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).formatToParts(ms)
  const of = (type: string) => parts.find((part) => part.type === type)!.value
  return { day: `${of('year')}-${of('month')}-${of('day')}`, minute: Number(of('hour')) * 60 + Number(of('minute')) }
}

test('law: day and minute are what the platform’s own clock of the zone shows', () => {
  fc.assert(
    fc.property(anyMs, anyZone, (ms, zone) => {
      expect({ day: localDay(ms, zone), minute: localMinute(ms, zone) }).toEqual(shown(ms, zone))
    }),
  )
})

test('law: the instant of a minute shows that minute, or, where summer time skips it, the first after the gap', () => {
  fc.assert(
    fc.property(anyDay, fc.integer({ min: 0, max: 1439 }), anyZone, (day, minute, zone) => {
      const ms = instantOf(day, minute, zone)
      const there = shown(ms, zone)
      expect(there.day).toBe(day)
      expect(there.minute).toBeGreaterThanOrEqual(minute)
      expect(there.minute).toBeLessThanOrEqual(minute + 60)
      if (there.minute === minute) expect(shown(ms - 3_600_000, zone).minute).not.toBe(minute)
    }),
  )
})

test('law: the last millisecond of a day is of that day, and the next of the day after', () => {
  fc.assert(
    fc.property(anyMs, anyZone, fc.integer({ min: 0, max: 7 }), (ms, zone, later) => {
      const endMs = endOfLocalDay(ms, zone, later)
      const day = dayAfter(localDay(ms, zone), later)
      expect(localDay(endMs, zone)).toBe(day)
      expect(localDay(endMs + 1, zone)).toBe(dayAfter(day))
    }),
  )
})

test('law: days add and subtract, weeks come round', () => {
  fc.assert(
    fc.property(anyDay, fc.integer({ min: -800, max: 800 }), (day, days) => {
      const other = dayAfter(day, days)
      expect(daysBetween(day, other)).toBe(days)
      expect(dayAfter(other, -days)).toBe(day)
      expect(weekdayOf(dayAfter(day, 7))).toBe(weekdayOf(day))
      expect(weekdayOf(dayAfter(day))).toBe((weekdayOf(day) % 7) + 1)
    }),
  )
})

test.each([
  ['2024-02-28', 1, '2024-02-29'],
  ['2023-02-28', 1, '2023-03-01'],
  ['2026-12-31', 1, '2027-01-01'],
  ['2026-01-01', -1, '2025-12-31'],
  ['2100-02-28', 1, '2100-03-01'],
])('%s and %d days is %s', (day, days, other) => expect(dayAfter(day, days)).toBe(other))

/** Changes of 2026 in the zones that make them, from memory of the IANA database. */
test.each([
  ['America/New_York', '2026-03-08', 23],
  ['America/New_York', '2026-11-01', 25],
  ['Europe/Berlin', '2026-03-29', 23],
  ['Europe/Berlin', '2026-10-25', 25],
  ['Australia/Lord_Howe', '2026-04-05', 24.5],
  ['Australia/Lord_Howe', '2026-10-04', 23.5],
  ['Asia/Tokyo', '2026-03-29', 24],
])('in %s %s has %s hours', (zone, day, hours) => {
  const startMs = instantOf(day, 0, zone)
  expect((endOfLocalDay(startMs, zone) + 1 - startMs) / 3_600_000).toBe(hours)
})

test('a service that ends after midnight ends on the next day by the wall clock', () => {
  expect(instantOf('2026-11-26', 25 * 60, 'Europe/Berlin')).toBe(Date.parse('2026-11-27T00:00:00Z'))
})
