/** What was wrong with a run that touches a guest's allergy: portions were mixed, or no wash of its station is on record. */
export const ALLERGY_MARKS = ['allergyMixed', 'notWashed'] as const
export type AllergyMark = (typeof ALLERGY_MARKS)[number]

/** Those marks of a run that nobody may serve past to a guest with an allergy. */
export const allergyMarksOf = (marks: readonly string[]): AllergyMark[] =>
  ALLERGY_MARKS.filter((mark) => marks.includes(mark))
