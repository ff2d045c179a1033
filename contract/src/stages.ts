import { STAGES } from 'core/book/dish'
import { restOf } from 'core/book/stages'
import { z } from 'zod'

/** Shares of a component that go in with other stages; what they leave has its own place. */
export const Stages = z
  .array(z.strictObject({ at: z.enum(STAGES), share: z.number().min(0.01, 'at least a hundredth').max(1) }))
  .min(1)
  .max(STAGES.length)
  .refine((some) => restOf(some) !== null, 'each stage once, and together no more than the whole')
