import { ROLES, SCALINGS, STATES, STATION_KINDS, type Dish as CoreDish } from 'core/book/dish'
import { EGG_WISHES } from 'core/book/eggWish'
import { FOODS } from 'core/book/food'
import { STAGED_ROLES } from 'core/book/stages'
import { z } from 'zod'
import { Cut } from './cut'
import { HeatComposition } from './heatComposition'
import { InstantMs, Name, Slug } from './ids'
import { Allergen } from './ingredient'
import { Pin } from './pin'
import { StatedSchools } from './schools'
import { Stages } from './stages'

export { Allergen }
/** Which kind of station cooks a dish. */
export const StationKind = z.enum(STATION_KINDS)

/** One line of a dish: what, how much of it to 100 g of rice, how it grows, and what it contains. */
export const Component = z.strictObject({
  id: Slug,
  name: Name,
  role: z.enum(ROLES),
  state: z.enum(STATES),
  food: z.enum(FOODS),
  cut: Cut.nullable(),
  ratioG: z.number().positive('must be above 0').max(1000, 'more than 1,000 g to 100 g of rice: check the unit'),
  scaling: z.enum(SCALINGS),
  filmG: z.number().min(0).max(500).exactOptional(),
  capG: z.number().positive().max(5000).exactOptional(),
  allergens: z.array(Allergen),
  allergensUs: z.array(Allergen).exactOptional(),
  mayContain: z.array(Allergen).exactOptional(),
  unknownParts: z.array(z.string()).exactOptional(),
  isRaw: z.boolean().exactOptional(),
  composition: HeatComposition.exactOptional(),
  fatFraction: z.number().min(0).max(1).exactOptional(),
  gPerML: z.number().positive().exactOptional(),
  count: z.strictObject({ size: z.string(), massG: z.number().positive() }).exactOptional(),
  ingredientId: z.string().exactOptional(),
  recipeId: Slug.exactOptional(),
  stages: Stages.exactOptional(),
  written: z.string().max(300).exactOptional(),
})
export type Component = z.infer<typeof Component>

const PriceMinor = z.int('a whole number of the smallest coin').min(-1_000_000).max(100_000_000)

/** A variation that a guest may order: what it takes out, scales, swaps and adds. */
export const Modifier = z.strictObject({
  id: Slug,
  name: Name,
  removes: z.array(Slug),
  scales: z.array(z.strictObject({ componentId: Slug, factor: z.number().min(0).max(10) })),
  swaps: z.array(Component).max(20).exactOptional(),
  adds: z.array(Component).max(20).exactOptional(),
  egg: z.enum(EGG_WISHES).exactOptional(),
  priceMinor: PriceMinor.exactOptional(),
})

/** What a dish must hold, and how closely, to bear its name. */
export const HouseStandard = z.strictObject({
  name: Name,
  lines: z
    .array(
      z.strictObject({
        componentId: Slug,
        name: Name,
        ratioG: z.number().positive(),
        toleranceFraction: z.number().min(0).max(1),
      }),
    )
    .min(1),
})

const DishFields = z.strictObject({
  id: Slug,
  version: z.int().positive(),
  name: Name,
  shortName: Name,
  stationKind: StationKind,
  schools: StatedSchools,
  pins: z.array(Pin).max(40).exactOptional(),
  portionRiceG: z.number().positive().max(2000),
  holdFreeS: z.number().min(0).max(7200).exactOptional(),
  holdMostS: z.number().min(0).max(7200).exactOptional(),
  components: z.array(Component).min(1).max(60),
  modifiers: z.array(Modifier).max(60),
  style: Slug.exactOptional(),
  priceMinor: PriceMinor.min(0, 'a price is not negative').exactOptional(),
  costCeilingMinor: PriceMinor.min(0, 'a price is not negative').exactOptional(),
  standard: HouseStandard.exactOptional(),
})
/** A dish of the book in one of its versions. */
export const Dish = DishFields satisfies z.ZodType<CoreDish>
export type Dish = z.infer<typeof Dish>

/** A dish as it is sent to be saved; the server gives the version. */
export const DishDraft = DishFields.omit({ version: true }).superRefine((dish, context) => {
  const ids = dish.components.map((one) => one.id)
  const twice = ids.find((id, i) => ids.indexOf(id) !== i)
  if (twice !== undefined)
    context.addIssue({ code: 'custom', path: ['components'], message: `two components have the id ${twice}` })
  dish.components.forEach((one, i) => {
    if (one.stages && !STAGED_ROLES.includes(one.role))
      context.addIssue({
        code: 'custom',
        path: ['components', i, 'stages'],
        message: `${one.name} goes in at once: only aromatics, pastes, vegetables, seasonings and finishes are shared out`,
      })
  })
  if (!dish.components.some((one) => one.role === 'rice'))
    context.addIssue({ code: 'custom', path: ['components'], message: 'no component has the role rice: add one' })
})
export type DishDraft = z.infer<typeof DishDraft>

/** The dishes of the book, in its order. */
export const DishList = z.strictObject({ dishes: z.array(Dish) })
/** `version` is the one that the edit began from; 0 for a new dish. */
export const PutDish = z.strictObject({ version: z.int().min(0), dish: DishDraft })
/** Every version of a dish, newest first. */
export const DishVersions = z.strictObject({
  versions: z.array(z.strictObject({ dish: Dish, savedAtMs: InstantMs })),
})

/** What came of a CSV: the dish, and what the ingredient table could not answer. */
export const DishImported = z.strictObject({
  dish: Dish,
  unknownNames: z.array(z.string()),
  /** Meat, poultry, seafood or egg that is cooked as raw here, though its line calls it otherwise: ask. */
  rawNames: z.array(z.string()),
})
export type DishImported = z.infer<typeof DishImported>

/** What a CSV of lines does not say of the dish. */
export const DishImportQuery = z.object({
  name: Name,
  shortName: Name.optional(),
  portionRiceG: z.coerce.number().positive().max(2000).optional(),
})
