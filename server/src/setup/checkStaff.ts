import type { Kitchen } from 'contract/kitchen'
import { Problem } from '../http/problems'

/** Whoever is named works here. @throws {Problem} unknown-staff */
export function checkStaff(ids: readonly (string | null | undefined)[], { staff }: Pick<Kitchen, 'staff'>): void {
  const stranger = ids.find((id) => typeof id === 'string' && !staff.some((one) => one.id === id))
  if (typeof stranger !== 'string') return
  throw new Problem('unknown-staff', {
    detail: `nobody here has the id "${stranger}": use one of ${staff.map((one) => one.id).join(', ')}`,
    values: { name: stranger },
  })
}
