import { SCHOOLS } from 'core/book/schools'
import { z } from 'zod'

const school = <const Values extends readonly [string, ...string[]]>(values: Values) =>
  z.enum([...values, 'auto'] as unknown as readonly [Values[number], 'auto']).optional()

/** What a dish holds of how it is cooked: `auto`, or nothing, leaves it to the engine. */
export const StatedSchools = z.strictObject({
  egg: school(SCHOOLS.egg),
  eggReturn: school(SCHOOLS.eggReturn),
  leaf: school(SCHOOLS.leaf),
  returns: school(SCHOOLS.returns),
  heat: school(SCHOOLS.heat),
  sauce: school(SCHOOLS.sauce),
  rice: school(SCHOOLS.rice),
  rawProtein: school(SCHOOLS.rawProtein),
  readyProtein: school(SCHOOLS.readyProtein),
  readyVeg: school(SCHOOLS.readyVeg),
  paste: school(SCHOOLS.paste),
  wipe: school(SCHOOLS.wipe),
  batches: school(SCHOOLS.batches),
  seasoningOrder: school(SCHOOLS.seasoningOrder),
  ownStages: school(SCHOOLS.ownStages),
  garlic: school(SCHOOLS.garlic),
  oil: school(SCHOOLS.oil),
  eggBreak: school(SCHOOLS.eggBreak),
  preheat: school(SCHOOLS.preheat),
  lastToss: school(SCHOOLS.lastToss),
})
