import { FEATURES } from 'core/record/faults/features'
import { z } from 'zod'
import { RunId } from './ids'

/** What a run was like; null where it has nothing of that. */
export const RunFeatures = z.strictObject(
  Object.fromEntries(FEATURES.map((feature) => [feature, z.number().nullable()])) as Record<
    (typeof FEATURES)[number],
    z.ZodNullable<z.ZodNumber>
  >,
)
export type RunFeatures = z.infer<typeof RunFeatures>

/** A run beside runs of the same dish that went well. */
export const RunComparison = z.strictObject({ runId: RunId, run: RunFeatures, good: z.array(RunFeatures) })
export type RunComparison = z.infer<typeof RunComparison>
