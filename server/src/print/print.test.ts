import fc from 'fast-check'
import { printable, textPath, textWidth } from './fonts'
import { kitchenDates } from './kitchenDates'

test('a day and a time stand as the kitchen has them, not as the machine has them', () => {
  const instantMs = Date.parse('2026-11-28T23:30:00Z')
  const tokyo = kitchenDates({ timeZone: 'Asia/Tokyo', locale: 'en-GB' })
  expect([tokyo.day(instantMs), tokyo.time(instantMs)]).toEqual(['Sun 29 Nov', '08:30'])
  const london = kitchenDates({ timeZone: 'Europe/London', locale: 'en-GB' })
  expect(london.day(instantMs)).toBe('Sat 28 Nov')
  expect(london.time(instantMs)).toBe('23:30')
})

test('summer time is the zone’s, also an hour after midnight', () => {
  const { time } = kitchenDates({ timeZone: 'Europe/London', locale: 'en-GB' })
  expect(time(Date.parse('2026-03-29T00:30:00Z'))).toBe('00:30')
  expect(time(Date.parse('2026-03-29T01:30:00Z'))).toBe('02:30')
})

test('what the font cannot draw is a question mark, accents are kept, nothing fails', () => {
  expect(printable('Crème fraîche')).toBe('Crème fraîche')
  expect(printable('酱 soy')).toBe('? soy')
  expect([printable('1⅔ tbsp'), printable('⅔ tbsp'), printable('1½')]).toEqual(['1 2/3 tbsp', '2/3 tbsp', '1½'])
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (text) => {
      expect(() => textPath(text, true, 0, 0, 12)).not.toThrow()
      expect(textWidth(text, false)).toBeGreaterThanOrEqual(0)
    }),
    { numRuns: 60 },
  )
})

test('longer text is wider, and bold is wider than regular', () => {
  expect(textWidth('rice rice', false)).toBeGreaterThan(textWidth('rice', false))
  expect(textWidth('oyster sauce', true)).toBeGreaterThan(textWidth('oyster sauce', false))
})
