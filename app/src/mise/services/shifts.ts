import type { MisePolicy } from 'contract/mise/house'

/** Minutes since midnight as a clock shows them: 14:30. */
export const clockText = (min: number): string =>
  `${String(Math.floor(min / 60)).padStart(2, '0')}:${String(min % 60).padStart(2, '0')}`

/** Skills as they are typed, with commas. */
export const readSkills = (text: string): string[] => [
  ...new Set(
    text
      .split(',')
      .map((one) => one.trim().toLowerCase())
      .filter((one) => one !== ''),
  ),
]

/** The policy with other prep hours or skills for one person; somebody new has neither yet. */
export function withPerson(
  policy: MisePolicy,
  staffId: string,
  change: Partial<Pick<MisePolicy['people'][number], 'shifts' | 'skills'>>,
): MisePolicy {
  const known = policy.people.find((one) => one.staffId === staffId)
  const person = { ...(known ?? { staffId, skills: [], shifts: [] }), ...change }
  return {
    ...policy,
    people: known ? policy.people.map((one) => (one.staffId === staffId ? person : one)) : [...policy.people, person],
  }
}
