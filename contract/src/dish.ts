import {
  CUT_SHAPES,
  EGG_SCHOOLS,
  FOODS,
  HEAT_SCHOOLS,
  ROLES,
  STATES,
  STATION_KINDS,
  type Dish as CoreDish,
} from 'core/book/dish'
import { ALLERGENS } from 'core/book/ingredient'
import { z } from 'zod'
import { Name, Slug } from './ids'

export const Allergen = z.enum(ALLERGENS)
export const StationKind = z.enum(STATION_KINDS)

export const Component = z.strictObject({
  id: Slug,
  name: Name,
  role: z.enum(ROLES),
  state: z.enum(STATES),
  food: z.enum(FOODS),
  cut: z.strictObject({ shape: z.enum(CUT_SHAPES), sizeMm: z.number().positive().nullable() }).nullable(),
  ratioG: z.number().positive().max(1000),
  scaling: z.enum(['linear', 'perBatch']),
  allergens: z.array(Allergen),
  gPerML: z.number().positive().exactOptional(),
  count: z.strictObject({ size: z.string(), massG: z.number().positive() }).exactOptional(),
  ingredientId: z.string().exactOptional(),
})
export type Component = z.infer<typeof Component>

export const Modifier = z.strictObject({
  id: Slug,
  name: Name,
  removes: z.array(Slug),
  scales: z.array(z.strictObject({ componentId: Slug, factor: z.number().min(0).max(10) })),
})

export const Dish = z.strictObject({
  id: Slug,
  version: z.int().positive(),
  name: Name,
  shortName: Name,
  stationKind: StationKind,
  schools: z.strictObject({ egg: z.enum(EGG_SCHOOLS), heat: z.enum(HEAT_SCHOOLS) }),
  portionRiceG: z.number().positive().max(2000),
  components: z.array(Component).min(1).max(60),
  modifiers: z.array(Modifier),
}) satisfies z.ZodType<CoreDish>
export type Dish = z.infer<typeof Dish>

export const DishList = z.strictObject({ dishes: z.array(Dish) })

/** What came of a CSV: the dish, and what the ingredient table could not answer. */
export const DishImported = z.strictObject({ dish: Dish, unknownNames: z.array(z.string()) })
export type DishImported = z.infer<typeof DishImported>

export const DishImportQuery = z.object({
  name: Name,
  shortName: Name.optional(),
  portionRiceG: z.coerce.number().positive().max(2000).optional(),
})
