import { z } from 'zod'

/** Every code the server may answer with; `server/http/problems.ts` has their statuses, the app their sentences. */
export const PROBLEM_CODES = [
  'bad-json',
  'invalid',
  'too-large',
  'too-many',
  'wrong-type',
  'foreign-host',
  'foreign-page',
  'not-found',
  'not-paired',
  'may-not',
  'kept-aside',
  'nobody-signed-in',
  'pin-wrong',
  'pin-wait',
  'pin-missing',
  'code-wrong',
  'last-owner',
  'unknown-dish',
  'unknown-modifier',
  'unknown-station',
  'modifier-removes-rice',
  'allergen-stays',
  'allergen-unknown',
  'allergen-may',
  'not-cookable',
  'not-washed',
  'promise-past',
  'already-fired',
  'nothing-left',
  'station-busy',
  'station-too-small',
  'wrong-station',
  'unknown-run',
  'unknown-step',
  'unknown-staff',
  'run-over',
  'clock-ahead',
  'clock-behind',
  'csv-encoding',
  'csv-columns',
  'csv-too-long',
  'csv-line',
  'id-taken',
  'unknown-lot',
  'unknown-place',
  'lot-short',
  'lot-not-cold',
  'lot-frozen-once',
  'lot-not-back',
  'lot-depth',
  'lot-lead',
  'lot-proven',
  'lot-between',
  'lot-reheated',
  'lot-age',
  'edited-meanwhile',
  'name-taken',
  'unknown-ingredient',
  'ingredient-used',
  'recipe-used',
  'recipe-cycle',
  'recipe-missing',
  'not-a-recipe',
  'service-past',
  'unknown-item',
  'printer',
  'printing',
  'database',
  'internal',
] as const
/** One of the codes above. */
export const ProblemCode = z.enum(PROBLEM_CODES)
export type ProblemCode = z.infer<typeof ProblemCode>

/** One fault of one field: where, what is wrong, what would be right. */
export const Fault = z.object({ field: z.string(), message: z.string() })
export type Fault = z.infer<typeof Fault>

/** Problem details (RFC 9457), media type application/problem+json. */
export const ProblemDetails = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  code: ProblemCode,
  faults: z.array(Fault),
  /** Values that the app puts into its own sentence. */
  values: z.record(z.string(), z.union([z.string(), z.number()])),
})
export type ProblemDetails = z.infer<typeof ProblemDetails>
