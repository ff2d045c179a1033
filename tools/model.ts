import type { z } from 'zod'

export type Fault = { field: string; message: string }
export type Answer = { kind: 'output'; output: unknown } | { kind: 'faults'; faults: Fault[] }
/** A model of the command line: what it takes, what it gives, and the function of core behind it. */
export type Model = { input: z.ZodType; output: z.ZodType; run: (input: unknown) => Answer }
