import { z } from 'zod'

/** What a scale shows; while it moves it is not settled and must not be taken. */
export const ScaleWeight = z.strictObject({ massG: z.number(), isSettled: z.boolean() })
export type ScaleWeight = z.infer<typeof ScaleWeight>

/** What a surface thermometer shows on the metal. */
export const SurfaceReading = z.strictObject({ tempC: z.number() })
export type SurfaceReading = z.infer<typeof SurfaceReading>

/** A label that was printed, and where it came out. */
export const LabelPrinted = z.strictObject({ copies: z.int().positive(), where: z.string() })
export type LabelPrinted = z.infer<typeof LabelPrinted>
