import { z } from 'zod'

const id = z.string().min(1, 'give it an id').max(80)
const at = z.iso.datetime({ offset: true, error: 'an instant such as 2026-11-26T17:00:00Z' })
const span = z.strictObject({ fromAt: at, toAt: at })
const seconds = z
  .number('seconds')
  .min(0, 'may not be negative')
  .max(30 * 86_400, 'longer than thirty days')

/** `mise.prepPlan`: tasks to be placed back from the service. A need may be an id, or an id with the lags it keeps. */
export const MisePrepPlanInput = z.strictObject({
  tasks: z
    .array(
      z.strictObject({
        id,
        durationS: seconds,
        needs: z
          .array(z.union([id, z.strictObject({ id, minLagS: seconds.optional(), maxLagS: seconds.optional() })]))
          .default([]),
        hands: z.int('whole people').min(0, 'may not be negative').max(50).default(1),
        equipment: z.array(id).default([]),
        skill: z.string().max(40).optional(),
        personId: id.optional(),
        notBeforeAt: at.optional(),
        dueAt: at.optional(),
        startedAt: at.optional(),
        endedAt: at.optional(),
        who: z.array(id).optional(),
      }),
    )
    .max(2000, 'at most 2,000 tasks'),
  people: z
    .array(z.strictObject({ id, skills: z.array(z.string()).default([]), hours: z.array(span).optional() }))
    .max(200),
  equipment: z
    .array(
      z.strictObject({
        id,
        count: z.int().min(0),
        down: z.array(z.strictObject({ ...span.shape, count: z.int().min(1) })).optional(),
      }),
    )
    .max(200)
    .default([]),
  serviceAt: at,
  nowAt: at.optional(),
  aheadS: seconds.optional(),
  seed: z.int().optional(),
  passes: z.int().min(1).max(5000).optional(),
})
/** Output of the model `mise.prepPlan`: who does what when, and what cannot be. */
export const MisePrepPlanOutput = z.object({
  tasks: z.array(
    z.object({
      id: z.string(),
      startAt: z.string(),
      endAt: z.string(),
      who: z.array(z.string()),
      slackS: z.number(),
      critical: z.boolean(),
      latestStartAt: z.string().nullable(),
      lateS: z.number(),
    }),
  ),
  firstStartAt: z.string().nullable(),
  lowerBoundS: z.number(),
  proven: z.boolean(),
  infeasible: z.array(z.looseObject({ taskId: z.string(), why: z.string() })),
  chain: z.array(z.string()),
})
