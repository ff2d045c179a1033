import fc from 'fast-check'
import { localMinute } from 'core/time/localTime'
import { clockTicks, midnights } from './chart'

const HOUR_MS = 3_600_000

test('hours stand where the kitchen’s clock shows full hours, also in a zone of three quarters', () => {
  const from = Date.UTC(2026, 10, 26, 10, 20)
  expect(clockTicks(from, from + 3 * HOUR_MS, 60, 'UTC').map((ms) => new Date(ms).toISOString().slice(11, 16))).toEqual(
    ['11:00', '12:00', '13:00'],
  )
  expect(clockTicks(from, from + HOUR_MS, 60, 'Asia/Kathmandu')).toEqual([Date.UTC(2026, 10, 26, 11, 15)])
})

test('in the night of a change of the clock no tick comes twice (EU date of 2026, from memory)', () => {
  const ticks = clockTicks(Date.UTC(2026, 9, 24, 22), Date.UTC(2026, 9, 25, 4), 60, 'Europe/Berlin')
  expect(new Set(ticks).size).toBe(ticks.length)
})

test('law: a tick is a multiple of its step by the kitchen’s clock, and lies between the ends', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 400_000 }),
      fc.constantFrom(15, 30, 60),
      fc.constantFrom('UTC', 'Europe/Berlin', 'Australia/Adelaide'),
      (minutes, step, zone) => {
        const from = Date.UTC(2026, 0, 1) + minutes * 60_000
        for (const ms of clockTicks(from, from + 5 * HOUR_MS, step, zone)) {
          expect(localMinute(ms, zone) % step).toBe(0)
          expect(ms).toBeGreaterThanOrEqual(from)
          expect(ms).toBeLessThanOrEqual(from + 5 * HOUR_MS)
        }
      },
    ),
  )
})

test('midnights are the kitchen’s own', () => {
  const found = midnights(Date.UTC(2026, 10, 22), Date.UTC(2026, 10, 26, 12), 'Pacific/Auckland')
  expect(found.map((ms) => new Date(ms).getUTCHours())).toEqual([11, 11, 11, 11, 11])
})
