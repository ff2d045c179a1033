/** Every school with its values; `auto`, or nothing, leaves it to the engine. */
export const SCHOOLS = {
  egg: [
    'firstOut',
    'firstUnder',
    'inPassing',
    'inPassingAside',
    'well',
    'wellBeforeRice',
    'sheet',
    'threads',
    'coated',
    'onTop',
  ],
  eggReturn: ['beforeRice', 'late'],
  leaf: ['beforeSauce', 'afterSauce'],
  returns: ['beforeSauce', 'afterSauce'],
  heat: ['full', 'high', 'medium', 'mediumThenHigh', 'lowRising', 'zones'],
  sauce: ['wall', 'lastPour', 'partThenRest', 'offHeat'],
  rice: ['toss', 'stir', 'pressLift', 'leaveCrust'],
  rawProtein: ['inSequence', 'ownOut', 'withBaseOut'],
  readyProtein: ['base', 'halfTime', 'late'],
  readyVeg: ['base', 'halfTime', 'late'],
  paste: ['afterAromatics', 'first', 'afterProtein'],
  wipe: ['none', 'betweenStages'],
  batches: ['whole', 'tossedInBowl'],
  seasoningOrder: ['dryFirst', 'dryLast'],
  ownStages: ['eggFirst', 'eggLast'],
  garlic: ['early', 'atEnd', 'golden', 'halfAndHalf'],
  oil: ['lean', 'usual', 'rich', 'pressedBack'],
  eggBreak: ['curds', 'peaSize', 'crumbled'],
  preheat: ['toSmoke', 'offWhileOiling', 'oilFromCold'],
  lastToss: ['asBefore', 'lowered'],
  lid: ['none', 'onBase', 'onRice'],
  tool: ['ladle', 'edge', 'masher', 'wood'],
} as const
export type SchoolName = keyof typeof SCHOOLS
export type SchoolValue<Name extends SchoolName> = (typeof SCHOOLS)[Name][number]
/** What a dish states; absent is `auto`. */
export type StatedSchools = { [Name in SchoolName]?: SchoolValue<Name> | 'auto' | undefined }

/** What dishes said before the schools had one vocabulary, by school and value; null is nothing, which is `auto`. */
const BEFORE: Readonly<Record<string, Readonly<Record<string, string | null>>>> = {
  egg: { none: null },
  rice: { tossed: null, crust: 'leaveCrust' },
  sauce: { onMetal: 'wall' },
  wipe: { never: 'none', afterOut: 'betweenStages' },
}

/** The schools of a dish from a file or a draft of before, in today's words; what is not an object is left as it is. */
export function schoolsOfToday(said: unknown): unknown {
  if (typeof said !== 'object' || said === null) return said
  return Object.fromEntries(
    Object.entries(said).flatMap(([school, value]: [string, unknown]) => {
      const now = typeof value === 'string' ? BEFORE[school]?.[value] : undefined
      return now === undefined ? [[school, value]] : now === null ? [] : [[school, now]]
    }),
  )
}
