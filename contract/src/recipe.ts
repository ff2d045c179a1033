import { ROLES, STATES } from 'core/book/dish'
import { FOODS } from 'core/book/food'
import { KEEPS, RECIPE_KINDS, type Recipe as CoreRecipe } from 'core/book/recipe/recipe'
import { z } from 'zod'
import { Cut } from './cut'
import { Name, Slug } from './ids'

/** A line of a sub-recipe: an ingredient or another sub-recipe, in grams of one batch. */
export const RecipeLine = z
  .strictObject({
    id: Slug,
    name: Name,
    massG: z.number().positive('must be above 0 g').max(200_000),
    cut: Cut.nullable(),
    ingredientId: Slug.exactOptional(),
    recipeId: Slug.exactOptional(),
    written: z.string().max(300).exactOptional(),
  })
  .refine((line) => (line.ingredientId === undefined) !== (line.recipeId === undefined), {
    message: 'name either an ingredient or a sub-recipe',
  })

/** Something made ahead, in one of its versions. */
export const Recipe = z.strictObject({
  id: Slug,
  version: z.int().positive(),
  name: Name,
  kind: z.enum(RECIPE_KINDS),
  role: z.enum(ROLES),
  state: z.enum(STATES),
  food: z.enum(FOODS),
  lines: z.array(RecipeLine).min(1, 'a recipe has at least one line').max(60),
  yieldFraction: z.number().min(0.02, 'almost nothing would be left: check the yield').max(20),
  shelfLifeH: z
    .number()
    .positive()
    .max(24 * 366),
  keep: z.enum(KEEPS),
  gPerML: z.number().min(0.03).max(3).exactOptional(),
  baseLineId: Slug.exactOptional(),
}) satisfies z.ZodType<CoreRecipe>
export type Recipe = z.infer<typeof Recipe>

/** A sub-recipe as it is sent to be saved; the server gives the version. */
export const RecipeDraft = Recipe.omit({ version: true })
/** Everything that is made ahead. */
export const RecipeList = z.strictObject({ recipes: z.array(Recipe) })
/** `version` is the one that the edit began from; 0 for a new recipe. */
export const PutRecipe = z.strictObject({ version: z.int().min(0), recipe: RecipeDraft })
