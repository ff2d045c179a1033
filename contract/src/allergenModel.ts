import { ALLERGEN_VERDICTS } from 'core/book/allergens'
import { z } from 'zod'
import { Allergen } from './ingredient'
import { MeasureSystem } from './measure'

const Named = z.union([
  z.string().min(1).max(200),
  z.strictObject({ ingredient: z.string().min(1).max(200), massG: z.number().positive().optional() }),
])

/** What a dish says of allergies, as written lines or as components; `modifiers` are those that are applied, in their order. */
export const BookAllergensInput = z
  .strictObject({
    lines: z.union([z.string().max(100_000), z.array(z.string().max(10_000)).max(500)]).optional(),
    components: z.array(Named).max(200).optional(),
    modifiers: z
      .array(
        z.strictObject({
          removes: z.array(z.string().min(1)).default([]),
          adds: z.array(Named).default([]),
          swaps: z.array(z.strictObject({ from: z.string().min(1), to: Named })).default([]),
        }),
      )
      .max(60)
      .default([]),
    allergies: z.array(Allergen).min(1, 'name at least one allergy'),
    system: MeasureSystem.optional(),
  })
  .refine((input) => (input.lines === undefined) !== (input.components === undefined), {
    message: 'give lines or components, one of them',
    path: ['lines'],
  })

/** Output of the model `book.allergens`: the verdict of each allergen, and what in the dish decides it. */
export const BookAllergensOutput = z.object({
  verdicts: z.partialRecord(Allergen, z.enum(ALLERGEN_VERDICTS)),
  because: z.array(z.object({ allergy: Allergen, component: z.string(), why: z.string() })),
})
