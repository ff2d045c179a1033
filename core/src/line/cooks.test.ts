import { cooksAt, type AtMise, type Cook } from './cooks'

const STAFF: Cook[] = [
  { id: 'odalys', role: 'lead' },
  { id: 'bram', role: 'cook' },
  { id: 'wen', role: 'cook' },
  { id: 'ifeoma', role: 'prep' },
  { id: 'tam', role: 'trainee' },
]
const AT_MISE: AtMise[] = [
  { staffId: 'bram', shifts: [{ weekdays: [1, 2], fromMin: 840, toMin: 1020 }] },
  {
    staffId: 'odalys',
    shifts: [
      { weekdays: [1], fromMin: 960, toMin: 1020 },
      { weekdays: [1], fromMin: 1260, toMin: 1320 },
    ],
  },
]
// 30 November 2026 is a Monday.
const at = (clock: string) => Date.parse(`2026-11-30T${clock}:00Z`)

test.each([
  ['13:59', 3],
  ['14:00', 2],
  ['16:30', 1],
  ['17:00', 3],
  ['21:30', 2],
])('at %s on a Monday %d cook', (clock, cooks) => {
  expect(cooksAt(STAFF, AT_MISE, at(clock), 'UTC')).toBe(cooks)
})

test('hours are those of the kitchen, on their weekdays; where nobody has hours all cook', () => {
  expect(cooksAt(STAFF, AT_MISE, at('13:30'), 'Europe/Paris')).toBe(2)
  expect(cooksAt(STAFF, AT_MISE, at('16:30') + 2 * 86_400_000, 'UTC')).toBe(3)
  expect(cooksAt(STAFF, [], at('16:30'), 'UTC')).toBe(3)
})
