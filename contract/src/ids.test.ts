import fc from 'fast-check'
import { areDistinct, Day, InstantMs, line, Name, Slug } from './ids'

const takes = (schema: { safeParse: (value: unknown) => { success: boolean } }, value: unknown) =>
  schema.safeParse(value).success

test.each<[string, unknown, boolean]>([
  ['today', Date.UTC(2026, 10, 28), true],
  ['1970', 0, false],
  ['seconds for milliseconds', Date.UTC(2026, 10, 28) / 1000, false],
  ['the year 275760', 8.64e15, false],
  ['half a millisecond', Date.UTC(2026, 10, 28) + 0.5, false],
  ['a text', '2026-11-28', false],
  ['not a number', Number.NaN, false],
])('an instant: %s', (_, value, expected) => {
  expect(takes(InstantMs, value)).toBe(expected)
})

test.each<[string, boolean]>([
  ['炒饭', true],
  ['أرز مقلي', true],
  ['Crème & “rösti” <b>', true],
  ['two\nlines', false],
  ['a\u0000b', false],
  ['a\u202Eb', false],
  ['a\u2066b', false],
  ['a\uD800b', false],
  ['a\u2028b', false],
  ['   ', false],
  ['x'.repeat(121), false],
])('a name: %j', (name, expected) => {
  expect(takes(Name, name)).toBe(expected)
})

test('law: a line that is taken is one line, trimmed, and no longer than asked', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 60 }), (text) => {
      const taken = line(40).safeParse(text)
      if (!taken.success) return
      expect(taken.data).toBe(text.trim())
      expect(taken.data).not.toMatch(/[\r\n\0]/)
      expect(taken.data.length).toBeLessThanOrEqual(40)
    }),
  )
})

test.each<[string, boolean]>([
  ['duck', true],
  ['ring-a2', true],
  ['Duck', false],
  ['-duck', false],
  ['duck-', false],
  ['duck--rice', false],
  ['../duck', false],
  ['x'.repeat(65), false],
])('a slug: %j', (slug, expected) => {
  expect(takes(Slug, slug)).toBe(expected)
})

test.each<[string, boolean]>([
  ['2026-02-28', true],
  ['2026-02-29', false],
  ['2028-02-29', true],
  ['2026-2-3', false],
])('a day: %s', (day, expected) => {
  expect(takes(Day, day)).toBe(expected)
})

test('law: ids are distinct as long as none stands twice', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { maxLength: 6 }), (ids) => {
      expect(areDistinct(ids)).toBe(ids.every((id, i) => ids.indexOf(id) === i))
    }),
  )
})
