import { dayAfter, endOfLocalDay, instantOf, localDay, localMinute, weekdayOf } from './localTime'

const BERLIN = 'Europe/Berlin'

test('days and minutes are those of the wall clock', () => {
  const ms = Date.parse('2026-11-25T23:30:00Z')
  expect([localDay(ms, BERLIN), localMinute(ms, BERLIN), localDay(ms, 'UTC')]).toEqual(['2026-11-26', 30, '2026-11-25'])
  expect([dayAfter('2026-12-31'), weekdayOf('2026-11-25'), weekdayOf('2026-11-29')]).toEqual(['2027-01-01', 3, 7])
})

test('the day that summer time shortens and the one it lengthens (EU dates of 2026, from memory)', () => {
  expect(instantOf('2026-03-29', 2 * 60 + 30, BERLIN)).toBe(Date.parse('2026-03-29T01:30:00Z'))
  expect(instantOf('2026-10-25', 2 * 60 + 30, BERLIN)).toBe(Date.parse('2026-10-25T00:30:00Z'))
  const spring = Date.parse('2026-03-29T10:00:00Z')
  expect(endOfLocalDay(spring, BERLIN)).toBe(Date.parse('2026-03-29T22:00:00Z') - 1)
  expect(endOfLocalDay(spring, BERLIN) - instantOf('2026-03-29', 0, BERLIN)).toBe(23 * 3_600_000 - 1)
})

test('an instant of any minute shows that minute again', () => {
  for (const zone of [BERLIN, 'America/St_Johns', 'Pacific/Auckland', 'UTC'])
    for (const minute of [0, 75, 700, 1439]) {
      const ms = instantOf('2026-07-14', minute, zone)
      expect([localDay(ms, zone), localMinute(ms, zone)]).toEqual(['2026-07-14', minute])
    }
})
