import { MEASURE_SYSTEMS } from 'core/measure/units'
import { z } from 'zod'

/** Which country's cups and spoons are meant. */
export const MeasureSystem = z.enum(MEASURE_SYSTEMS)

/** Input of the model `measure.convert`. */
export const MeasureConvertInput = z.strictObject({
  value: z.number(),
  from: z.string().min(1),
  to: z.string().min(1),
  system: MeasureSystem.optional(),
  toSystem: MeasureSystem.optional(),
  ingredient: z.string().min(1).optional(),
  form: z.string().min(1).optional(),
})
export type MeasureConvertInput = z.infer<typeof MeasureConvertInput>

/** Output of the model `measure.convert`: the value, and by which steps it came about. */
export const MeasureConvertOutput = z.strictObject({ value: z.number(), via: z.array(z.string()) })
export type MeasureConvertOutput = z.infer<typeof MeasureConvertOutput>

/** An amount as hands measure it: ladles, spoons, a count, or the scale. */
export const PracticalMeasure = z.strictObject({
  tool: z.enum(['count', 'ladle', 'tbsp', 'tsp', 'scale']),
  name: z.string(),
  count: z.number(),
  massG: z.number(),
  errorFraction: z.number(),
})

/** What the kitchen measures with. */
export const MeasureTools = z.strictObject({
  system: MeasureSystem,
  ladles: z.array(z.strictObject({ name: z.string(), volumeML: z.number().positive() })),
  scaleResolutionG: z.number().positive(),
  fineScale: z.strictObject({ belowG: z.number().positive(), resolutionG: z.number().positive() }).nullable(),
})
