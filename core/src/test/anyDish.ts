import fc from 'fast-check'
import { ALLERGENS } from '../book/ingredient'
import { SCHOOLS, type SchoolName, type StatedSchools } from '../book/schools'
import { HEAT_FOODS } from '../wok/heat/foods'
import type { ComponentInput } from '../wok/sequence/vocabulary'

const percent = (min: number, max: number) => fc.integer({ min, max })

/** What may stand in a dish besides its rice, of every role and state that the engine tells apart. */
const anyOther = fc.record({
  role: fc.constantFrom(
    ...(['egg', 'aromatic', 'paste', 'protein', 'vegetable', 'vegetable', 'drySeasoning', 'liquidSeasoning'] as const),
    ...(['fat', 'finish', 'garnish'] as const),
  ),
  food: fc.option(fc.constantFrom(...HEAT_FOODS.filter((food) => food !== 'rice')), { nil: undefined }),
  state: fc.constantFrom(undefined, 'raw', 'marinated', 'cooked', 'fresh', 'frozen', 'blanched'),
  ratioG: percent(1, 25),
  cut: fc.option(fc.record({ sizeMm: percent(2, 25), afterCooking: fc.boolean() }), { nil: undefined }),
  tags: fc.subarray(['yolk', 'volatile', 'tender', 'sesame', 'quick', 'mince'] as const, { maxLength: 1 }),
  allergens: fc.subarray([...ALLERGENS].slice(0, 4), { maxLength: 2 }),
  readyToEat: fc.constantFrom(undefined, undefined, true),
})

/** Rice and up to eight other things, named by where they stand. */
export const anyComponents: fc.Arbitrary<ComponentInput[]> = fc
  .array(anyOther, { minLength: 1, maxLength: 8 })
  .map((others) => [
    { id: 'rice', role: 'rice', ratioG: 100 },
    ...others.map((one, nth): ComponentInput => ({ id: `${one.role}-${nth}`, ...one })),
  ])

/** Some schools stated, each with one of its values. */
export const anySchools: fc.Arbitrary<StatedSchools> = fc
  .array(
    fc
      .constantFrom(...(Object.keys(SCHOOLS) as SchoolName[]))
      .chain((name) => fc.constantFrom(...SCHOOLS[name]).map((value) => [name, value] as const)),
    { maxLength: 6 },
  )
  .map((stated) => Object.fromEntries(stated) as StatedSchools)
