import { FEATURES } from 'core/record/faults/features'
import { COMPLAINTS } from 'core/record/faults/rank'
import { z } from 'zod'
import { Day, EventId, InstantMs, line, RunId, Slug, TicketId } from './ids'

/** What a run was like; null where it has nothing of that. */
export const RunFeatures = z.strictObject(
  Object.fromEntries(FEATURES.map((feature) => [feature, z.number().nullable()])) as Record<
    (typeof FEATURES)[number],
    z.ZodNullable<z.ZodNumber>
  >,
)
export type RunFeatures = z.infer<typeof RunFeatures>

/** A run that something may have been wrong with. */
const SuspectRun = z.strictObject({
  runId: RunId,
  dishId: Slug,
  dishName: line(120),
  stationId: Slug,
  portions: z.int().positive(),
  firedAtMs: InstantMs,
  features: RunFeatures,
})
export type SuspectRun = z.infer<typeof SuspectRun>

/** Runs, oldest first, beside runs of the same dishes that went well. */
export const Comparison = z.strictObject({
  runs: z.array(SuspectRun),
  /** By dish. */
  good: z.record(Slug, z.array(RunFeatures)),
  /** Whether there were more runs than are compared: the newest are. */
  isCut: z.boolean(),
})
export type Comparison = z.infer<typeof Comparison>

/** What a complaint is of. */
export const ComplaintSubject = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('run'), runId: RunId }),
  z.strictObject({ kind: z.literal('ticket'), ticketId: TicketId }),
  /** An evening, of one dish or of all that was fried. */
  z.strictObject({ kind: z.literal('evening'), day: Day, dishId: Slug.nullable() }),
])
export type ComplaintSubject = z.infer<typeof ComplaintSubject>

/** What somebody says of complaints, once under an id of its own: that there was one, or that it was a slip. */
export const ComplaintWord = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('complained'),
    id: EventId,
    of: ComplaintSubject,
    what: z.enum(COMPLAINTS),
    atMs: InstantMs,
  }),
  z.strictObject({ kind: z.literal('takenBack'), id: EventId, complaintId: EventId, atMs: InstantMs }),
])
export type ComplaintWord = z.infer<typeof ComplaintWord>

/** A complaint as it is kept; one that was taken back stays. */
export const NotedComplaint = z.strictObject({
  id: EventId,
  of: ComplaintSubject,
  what: z.enum(COMPLAINTS),
  staffId: Slug.nullable(),
  atMs: InstantMs,
  takenBackAtMs: InstantMs.nullable(),
})
export type NotedComplaint = z.infer<typeof NotedComplaint>

/** The newest complaints, newest first. */
export const ComplaintList = z.strictObject({ complaints: z.array(NotedComplaint) })
export type ComplaintList = z.infer<typeof ComplaintList>
