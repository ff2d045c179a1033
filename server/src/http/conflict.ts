import { Problem } from './problems'

export const editedMeanwhile = () =>
  new Problem('edited-meanwhile', {
    detail: 'somebody else changed this meanwhile: read it again, look at what changed, then choose',
  })

export const nameTaken = (name: string) =>
  new Problem('name-taken', { detail: `there is already a ${name}: choose another name`, values: { name } })

/**
 * Refuses an edit that did not begin from what stands now: somebody changed it, or took it out.
 * @param was what the editor saw; nothing where it does not matter
 * @throws {Problem} edited-meanwhile
 */
export function checkWas<T extends Readonly<Record<string, unknown>>>(was: T | undefined, now: T | undefined): void {
  if (was === undefined) return
  if (!now || Object.keys(was).some((key) => was[key] !== now[key])) throw editedMeanwhile()
}
