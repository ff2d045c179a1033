import { SCHOOLS, type SchoolName } from 'core/book/schools'
import { useWords } from '../../words/i18n'

type Way = { name: string; does: string }

/** The schools of cooking in the words of cooks. */
export function useSchoolWords() {
  const t = useWords('book')
  const say = t as unknown as (key: string) => string
  return {
    school: (school: SchoolName): string => t(`schools.names.${school}`),
    /** A way of a school, and in one line what it does to the food; what is not said is left to the engine. */
    value: (school: SchoolName, value: string | undefined): Way => {
      const isKnown = value !== undefined && (SCHOOLS[school] as readonly string[]).includes(value)
      const key = isKnown ? `schools.values.${school}.${value}` : 'schools.auto'
      return { name: say(`${key}.name`), does: say(`${key}.does`) }
    },
  }
}
