import type { Kitchen } from 'contract/kitchen'

/** The name of somebody who works here or did; undefined where nobody is named. */
export function nameOfStaff(
  kitchen: Pick<Kitchen, 'staff' | 'formerStaff'> | undefined,
  staffId: string | null,
): string | undefined {
  return [...(kitchen?.staff ?? []), ...(kitchen?.formerStaff ?? [])].find(({ id }) => id === staffId)?.name
}
