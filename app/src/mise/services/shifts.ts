import type { MisePolicy } from 'contract/mise/house'

/** Minutes since midnight as a clock shows them: 14:30. */
export const clockText = (min: number): string =>
  `${String(Math.floor(min / 60)).padStart(2, '0')}:${String(min % 60).padStart(2, '0')}`

/** The policy with other prep hours for one person; somebody new has no skills of their own yet. */
export function withHours(
  policy: MisePolicy,
  staffId: string,
  shifts: MisePolicy['people'][number]['shifts'],
): MisePolicy {
  const known = policy.people.find((one) => one.staffId === staffId)
  const person = { ...(known ?? { staffId, skills: [] }), shifts }
  return {
    ...policy,
    people: known ? policy.people.map((one) => (one.staffId === staffId ? person : one)) : [...policy.people, person],
  }
}
