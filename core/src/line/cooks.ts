import { isAtLine, type Role } from '../people/roles'
import { localDay, localMinute, weekdayOf } from '../time/localTime'

/** Who works here, and who of them is at the mise when: minutes of the day on weekdays (Monday is 1). */
export type Cook = { id: string; role: Role }
export type AtMise = {
  staffId: string
  shifts: readonly { weekdays: readonly number[]; fromMin: number; toMin: number }[]
}

/** How many of a kitchen's leads and cooks are at the line at an instant: all who are not at the mise by its hours. */
export function cooksAt(staff: readonly Cook[], atMise: readonly AtMise[], nowMs: number, timeZone: string): number {
  const weekday = weekdayOf(localDay(nowMs, timeZone))
  const minute = localMinute(nowMs, timeZone)
  const isAtMise = (id: string) =>
    atMise.some(
      ({ staffId, shifts }) =>
        staffId === id &&
        shifts.some(
          ({ weekdays, fromMin, toMin }) => weekdays.includes(weekday) && fromMin <= minute && minute < toMin,
        ),
    )
  return staff.filter(({ id, role }) => isAtLine(role) && !isAtMise(id)).length
}
