import { ALLERGENS, TRAITS, type Ingredient as CoreIngredient } from 'core/book/ingredient'
import type { Price as CorePrice } from 'core/book/balance/cost'
import { FOODS, foodSaidById } from 'core/book/food'
import { z } from 'zod'
import { Day, line, Name, Slug } from './ids'

/** One of the allergens that the table knows. */
export const Allergen = z.enum(ALLERGENS)
const per100G = z.number().min(0, 'may not be negative').max(100, 'at most 100 g in 100 g')
const scale = z.number().min(0).max(5, 'the house scale ends at 5')

/** How heavy a millilitre is in one form: minced, diced, packed. */
export const Density = z.strictObject({
  form: line(40, 1, 'name the form: minced, diced, packed'),
  gPerML: z.number().min(0.03, 'lighter than any food: weigh it again').max(3, 'heavier than salt: weigh it again'),
})
/** What one piece of a size weighs. */
export const CountSize = z.strictObject({
  size: line(40, 1, 'name the size: clove, large, bunch'),
  massG: z.number().positive('must be above 0 g').max(20_000),
})

const IngredientFields = z.strictObject({
  id: Slug,
  name: Name,
  aliases: z.array(line(120, 1)).max(80),
  role: z.string().regex(/^[a-z-]+(?::[a-z-]+)?$/, 'a role such as protein or protein:poultry'),
  state: z.string().min(1).max(30),
  food: z.enum(FOODS).nullable(),
  waterG: per100G,
  proteinG: per100G,
  fatG: per100G,
  carbohydrateG: per100G,
  sugarsG: per100G,
  fibreG: per100G,
  alcoholG: per100G,
  sodiumMg: z.number().min(0, 'may not be negative').max(40_000, 'more than salt itself'),
  energyKJ: z.number().min(0).max(3_800, 'more than fat itself'),
  acid: scale,
  chilliHeat: scale,
  colourLoad: scale,
  freeLiquidFraction: z.number().min(0).max(1),
  ediblePortion: z.number().positive('some of it must be eaten').max(1, 'at most 1, the whole of it'),
  densities: z.array(Density).max(12),
  countSizes: z.array(CountSize).max(20),
  allergens: z.array(Allergen),
  allergensUs: z.array(Allergen),
  mayContain: z.array(Allergen),
  areAllergensKnown: z.boolean(),
  isReadyToEat: z.boolean().nullable(),
  diets: z.array(z.enum(TRAITS)),
  source: line(200, 1, 'say where the figures come from: the label, a table, weighed here'),
  confidence: z.enum(['high', 'medium', 'low']),
})

/** Sums that cannot be are refused with what to change; 3 g of slack, as tables round. */
export const Ingredient = IngredientFields.superRefine((one, context) => {
  const sum = one.waterG + one.proteinG + one.fatG + one.carbohydrateG + one.alcoholG
  if (sum > 103)
    context.addIssue({
      code: 'custom',
      path: ['waterG'],
      message: `100 g would hold ${sum.toFixed(1)} g: check the label`,
    })
  if (one.sugarsG > one.carbohydrateG + 0.5)
    context.addIssue({ code: 'custom', path: ['sugarsG'], message: 'more sugars than carbohydrate: check the label' })
}) satisfies z.ZodType<CoreIngredient>
export type Ingredient = z.infer<typeof Ingredient>

/** A row as files have it, also from before its class was a field of it. */
export const IngredientInFile = z.preprocess((row) => {
  const { data } = z.looseObject({ id: z.string(), role: z.string() }).safeParse(row)
  return data && !('food' in data) ? { ...data, food: foodSaidById(data) } : row
}, Ingredient)

/** What a pack costs from a day on, in the smallest unit of the currency. */
export const Price = z.strictObject({
  fromDay: Day,
  packName: line(80, 1, 'name the pack: sack 10 kg'),
  packG: z.number().positive('a pack weighs something').max(1_000_000),
  priceMinor: z
    .int('a whole number of the smallest coin')
    .min(0, 'a price is not negative: enter what the pack costs')
    .max(100_000_000),
}) satisfies z.ZodType<CorePrice>
export type Price = z.infer<typeof Price>

/** A row of the table as this kitchen has it; version 0 until the kitchen changed it. Prices newest first. */
export const KitchenIngredient = z.strictObject({
  ...IngredientFields.shape,
  version: z.int().min(0),
  isOwn: z.boolean(),
  prices: z.array(Price),
})
export type KitchenIngredient = z.infer<typeof KitchenIngredient>

/** The ingredient table as the kitchen has it. */
export const IngredientList = z.strictObject({ ingredients: z.array(KitchenIngredient) })

/** A row to save; `version` is the one that the edit began from, 0 for a new row. */
export const PutIngredient = z.strictObject({ version: z.int().min(0), ingredient: Ingredient })

/** How many rows a file brought in. */
export const PriceImported = z.strictObject({ rows: z.int() })
