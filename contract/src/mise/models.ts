import { ALLERGENS } from 'core/book/ingredient'
import { STRENGTHS, VERDICTS } from 'core/book/taste/correct'
import { FLAG_CODES } from 'core/book/ingredientLine/flags'
import { z } from 'zod'
import { MeasureSystem } from '../measure'

const MAX_PASTE = 1_000_000

/** `mise.parseLines`: a pasted text, or lines one by one. */
export const MiseParseLinesInput = z.strictObject({
  lines: z.union([
    z.string().max(MAX_PASTE, 'more than a million characters: send it in parts'),
    z.array(z.string().max(10_000, 'a line has at most 10,000 characters')).max(20_000),
  ]),
  system: MeasureSystem.optional(),
})
const Repair = z.object({ kind: z.string(), message: z.string(), massG: z.number(), gPerML: z.number().nullable() })
/** Output of the model `mise.parseLines`. */
export const MiseParseLinesOutput = z.object({
  lines: z.array(
    z.object({
      text: z.string(),
      kind: z.enum(['ingredient', 'heading', 'blank']),
      quantity: z.number().nullable(),
      quantityMax: z.number().nullable(),
      unit: z.string().nullable(),
      size: z.string().nullable(),
      ingredient: z.string(),
      ingredientId: z.string().nullable(),
      prep: z.string().nullable(),
      massG: z.number().nullable(),
      via: z.string(),
      understood: z.boolean(),
      flags: z.array(z.object({ code: z.enum(FLAG_CODES), message: z.string(), repairs: z.array(Repair) })),
    }),
  ),
})

/** Input of the model `mise.balance`: components by ingredient and mass, and a style. */
export const MiseBalanceInput = z.strictObject({
  components: z
    .array(
      z.strictObject({
        ingredient: z.string().min(1),
        massG: z.number().positive('must be above 0 g').max(1e6),
        role: z.string().optional(),
      }),
    )
    .min(1)
    .max(200),
  style: z.string().default('soy-brown'),
  evaporatedG: z.number().min(0).default(0),
})
/** Output of the model `mise.balance`: metrics, findings and the smallest repair. */
export const MiseBalanceOutput = z.object({
  massG: z.number(),
  saltFraction: z.number(),
  sugarFraction: z.number(),
  fatFraction: z.number(),
  freeLiquidFraction: z.number().nullable(),
  vegetableToRice: z.number().nullable(),
  proteinToRice: z.number().nullable(),
  eggToRice: z.number().nullable(),
  acidScale: z.number(),
  chilliScale: z.number(),
  colour: z.string(),
  energyKJ: z.number(),
  proteinG: z.number(),
  carbohydrateG: z.number(),
  fatG: z.number(),
  fibreG: z.number(),
  saltG: z.number(),
  allergens: z.array(z.enum(ALLERGENS)),
  diets: z.array(z.string()),
  costMinor: z.number().nullable(),
  findings: z.array(z.object({ code: z.string(), message: z.string() })),
  repair: z.array(z.object({ ingredient: z.string(), fromG: z.number(), toG: z.number() })).nullable(),
  reasons: z.array(z.string()),
})

/** Input of the model `mise.correct`: what is in the wok, and what the cook tastes. */
export const MiseCorrectInput = z.strictObject({
  massG: z.number().positive().max(1e6),
  riceMassG: z.number().positive().optional(),
  mostMassG: z.number().positive().optional(),
  saltFraction: z.number().min(0).max(0.2),
  sugarFraction: z.number().min(0).max(0.6),
  freeLiquidFraction: z.number().min(0).max(1),
  fatFraction: z.number().min(0).max(1).optional(),
  verdict: z.enum(VERDICTS),
  strength: z.enum(STRENGTHS).default('weak'),
  style: z.string().default('soy-brown'),
  available: z.array(z.string().min(1)).max(12, 'at most 12 things at hand'),
})
/** Output of the model `mise.correct`: what to add, in grams, and what was ruled out. */
export const MiseCorrectOutput = z.object({
  additions: z.array(z.object({ ingredient: z.string(), massG: z.number() })),
  massG: z.number(),
  saltFraction: z.number(),
  sugarFraction: z.number(),
  freeLiquidFraction: z.number(),
  reason: z.string(),
})
