import fc from 'fast-check'
import { keptBackups } from './keptBackups'

const HOUR_MS = 3_600_000
const NOW_MS = Date.UTC(2026, 10, 30, 18, 30)

test('of a month of hourly backups a day of hours and two weeks of days stay', () => {
  const hourly = Array.from({ length: 30 * 24 }, (_, i) => NOW_MS - i * HOUR_MS)
  const kept = keptBackups(hourly, NOW_MS)
  expect(kept.filter((ms) => ms > NOW_MS - 24 * HOUR_MS)).toHaveLength(24)
  // Of 14 days two lie within the last 24 hours, and their newest are kept by the hour already.
  expect(kept).toHaveLength(24 + 12)
  expect(kept.at(-1)).toBe(Date.UTC(2026, 10, 17, 23, 30))
})

test('after a winter without service the old ones are still there', () => {
  const spring = Date.UTC(2027, 2, 1)
  expect(keptBackups([NOW_MS, NOW_MS - HOUR_MS, NOW_MS - 30 * HOUR_MS], spring)).toHaveLength(3)
})

test('law: the newest stays, what stays was there, and what stayed stays as long as nothing new comes', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.integer({ min: 0, max: 60 * 24 * 40 }).map((min) => NOW_MS - min * 60_000 + 7_200_000),
        { maxLength: 80 },
      ),
      (times) => {
        const kept = keptBackups(times, NOW_MS)
        if (times.length > 0) expect(kept[0]).toBe(Math.max(...times))
        expect(kept.filter((ms) => !times.includes(ms))).toEqual([])
        expect(keptBackups(kept, NOW_MS)).toEqual(kept)
        expect(kept.filter((ms) => ms <= NOW_MS).length).toBeLessThanOrEqual(24 + 14 + 1)
      },
    ),
    { endOnFailure: true },
  )
})
