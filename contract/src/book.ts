import { schoolsOfToday } from 'core/book/schools'
import { COLOURS, METRICS, type Style as CoreStyle } from 'core/book/balance/style'
import { STRENGTHS, VERDICTS } from 'core/book/taste/correct'
import { FLAG_CODES } from 'core/book/ingredientLine/flags'
import { z } from 'zod'
import { DishDraft } from './dish'
import { EventId, InstantMs, Name, RunId, Slug } from './ids'
import { IngredientInFile, Price } from './ingredient'
import { MeasureSystem } from './measure'
import { RecipeDraft } from './recipe'

const Band = z
  .strictObject({ least: z.number().min(0), most: z.number().positive() })
  .refine((band) => band.least < band.most, { message: 'the lower end lies above the upper end' })

/** A style of dish with its bands, as the kitchen keeps it. */
export const Style = z.strictObject({
  id: Slug,
  name: Name,
  bands: z.record(z.enum(METRICS), Band),
  colours: z.array(z.enum(COLOURS)).min(1, 'at least one colour is wanted'),
}) satisfies z.ZodType<CoreStyle>
/** The kitchen's styles; `version` is the one that an edit began from. */
export const StyleList = z.strictObject({ version: z.int().min(0), styles: z.array(Style).min(1).max(40) })
export type StyleList = z.infer<typeof StyleList>

/** What somebody tasted of a dish, said once under an id of its own. */
export const Tasting = z.strictObject({
  id: EventId,
  dishId: Slug,
  dishVersion: z.int().positive(),
  /** The run that it was tasted in; null for one of the dish in general. */
  runId: RunId.nullable().optional(),
  verdict: z.enum(VERDICTS),
  strength: z.enum(STRENGTHS),
  atMs: InstantMs,
  added: z.array(z.strictObject({ id: Slug, name: Name, massG: z.number().positive() })).max(12),
})
export type Tasting = z.infer<typeof Tasting>
/** What was said after tasting, newest first. */
export const TastingList = z.strictObject({ tastings: z.array(Tasting) })

/** A dish of a file from before the schools had one vocabulary, in today's words. */
const dishOfToday = (dish: unknown): unknown =>
  typeof dish === 'object' && dish !== null && 'schools' in dish
    ? { ...dish, schools: schoolsOfToday(dish.schools) }
    : dish

/** The whole book of a kitchen, exact: what is written here reads back the same. */
export const KITCHEN_FORMAT = 'okazu-kitchen/1'
/** The file that the book is exported to and read from. */
export const KitchenFile = z.strictObject({
  format: z.literal(KITCHEN_FORMAT, { error: `the file must begin with "format": "${KITCHEN_FORMAT}"` }),
  dishes: z.array(z.preprocess(dishOfToday, DishDraft)).max(500),
  recipes: z.array(RecipeDraft).max(500),
  /** Rows that the kitchen changed or added. */
  ingredients: z.array(IngredientInFile).max(5000),
  prices: z.array(z.strictObject({ ingredientId: Slug, price: Price })).max(50_000),
  styles: z.array(Style).max(40),
})
export type KitchenFile = z.infer<typeof KitchenFile>
/** How many of each a kitchen file brought in. */
export const KitchenBrought = z.strictObject({
  dishes: z.int(),
  recipes: z.int(),
  ingredients: z.int(),
  prices: z.int(),
})

/** A recipe from outside, read but not saved: each line with what was understood, for a person to look at. */
const ReviewLine = z.strictObject({
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
/** A recipe from outside, line by line, before anything is saved. */
export const RecipeReview = z.strictObject({
  name: z.string(),
  portions: z.number().positive().nullable(),
  lines: z.array(ReviewLine),
  steps: z.array(z.string()),
  /** Properties of the file that have no place here, kept in words. */
  leftOver: z.array(z.strictObject({ property: z.string(), text: z.string() })),
})
export type RecipeReview = z.infer<typeof RecipeReview>
/** The recipes that a JSON-LD file held. */
export const JsonLdReviewed = z.strictObject({ recipes: z.array(RecipeReview) })
/** The measure system that cups and spoons of the file are read in. */
export const JsonLdQuery = z.object({ system: MeasureSystem.optional() })
