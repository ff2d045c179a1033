import { COLOURS, METRICS, type Style as CoreStyle } from 'core/book/balance/style'
import { VERDICTS } from 'core/book/taste/correct'
import { FLAG_CODES } from 'core/book/ingredientLine/flags'
import { z } from 'zod'
import { DishDraft } from './dish'
import { EventId, InstantMs, Name, Slug } from './ids'
import { Ingredient, Price } from './ingredient'
import { MeasureSystem } from './measure'
import { RecipeDraft } from './recipe'

const Band = z
  .strictObject({ least: z.number().min(0), most: z.number().positive() })
  .refine((band) => band.least < band.most, { message: 'the lower end lies above the upper end' })

export const Style = z.strictObject({
  id: Slug,
  name: Name,
  bands: z.record(z.enum(METRICS), Band),
  colours: z.array(z.enum(COLOURS)).min(1, 'at least one colour is wanted'),
}) satisfies z.ZodType<CoreStyle>
export const StyleList = z.strictObject({ version: z.int().min(0), styles: z.array(Style).min(1).max(40) })
export type StyleList = z.infer<typeof StyleList>

/** What somebody tasted of a dish, said once under an id of its own. */
export const Tasting = z.strictObject({
  id: EventId,
  dishId: Slug,
  dishVersion: z.int().positive(),
  verdict: z.enum(VERDICTS),
  strength: z.enum(['weak', 'strong']),
  atMs: InstantMs,
  added: z.array(z.strictObject({ id: Slug, name: Name, massG: z.number().positive() })).max(12),
})
export type Tasting = z.infer<typeof Tasting>
export const TastingList = z.strictObject({ tastings: z.array(Tasting) })

/** The whole book of a kitchen, exact: what is written here reads back the same. */
export const KITCHEN_FORMAT = 'okazu-kitchen/1'
export const KitchenFile = z.strictObject({
  format: z.literal(KITCHEN_FORMAT, { error: `the file must begin with "format": "${KITCHEN_FORMAT}"` }),
  dishes: z.array(DishDraft).max(500),
  recipes: z.array(RecipeDraft).max(500),
  /** Rows that the kitchen changed or added. */
  ingredients: z.array(Ingredient).max(5000),
  prices: z.array(z.strictObject({ ingredientId: Slug, price: Price })).max(50_000),
  styles: z.array(Style).max(40),
})
export type KitchenFile = z.infer<typeof KitchenFile>
export const KitchenBrought = z.strictObject({
  dishes: z.int(),
  recipes: z.int(),
  ingredients: z.int(),
  prices: z.int(),
})

/** A recipe from outside, read but not saved: each line with what was understood, for a person to look at. */
export const ReviewLine = z.strictObject({
  text: z.string(),
  kind: z.enum(['ingredient', 'heading', 'blank']),
  ingredientId: z.string().nullable(),
  ingredient: z.string(),
  prep: z.string().nullable(),
  massG: z.number().nullable(),
  understood: z.boolean(),
  flags: z.array(
    z.strictObject({
      code: z.enum(FLAG_CODES),
      message: z.string(),
      values: z.record(z.string(), z.union([z.string(), z.number()])),
    }),
  ),
})
export const RecipeReview = z.strictObject({
  name: z.string(),
  portions: z.number().positive().nullable(),
  lines: z.array(ReviewLine),
  steps: z.array(z.string()),
  /** Properties of the file that have no place here, kept in words. */
  leftOver: z.array(z.strictObject({ property: z.string(), text: z.string() })),
})
export type RecipeReview = z.infer<typeof RecipeReview>
export const JsonLdReviewed = z.strictObject({ recipes: z.array(RecipeReview) })
export const JsonLdQuery = z.object({ system: MeasureSystem.optional() })
