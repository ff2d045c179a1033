/** Hours of prep by the kitchen's wall clock: weekdays from Monday 1 to Sunday 7, minutes since midnight. */
export type Shift = { weekdays: readonly number[]; fromMin: number; toMin: number }

/** Somebody who preps: what they can do that not everyone can, and when they are there. */
export type ShiftPerson = { staffId: string; skills: readonly string[]; shifts: readonly Shift[] }

/** People who are there through all of a stretch of a weekday, in minutes since midnight. */
export const presentThrough = (
  people: readonly ShiftPerson[],
  weekday: number,
  fromMin: number,
  toMin: number,
): ShiftPerson[] =>
  people.filter(({ shifts }) =>
    shifts.some((shift) => shift.weekdays.includes(weekday) && shift.fromMin <= fromMin && shift.toMin >= toMin),
  )
