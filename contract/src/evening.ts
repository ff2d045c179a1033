import { z } from 'zod'
import { Allergen } from './dish'
import { InstantMs, ItemId, line, RunId, Slug, TicketId } from './ids'
import { MOST_PAIRS } from 'core/line/plan/wishes'
import type { Evening as CoreEvening } from 'core/line/past/evening'

const PastTicket = z.strictObject({
  id: TicketId,
  number: z.int().positive(),
  kind: z.enum(['dine', 'take']),
  placedAtMs: InstantMs,
  promisedAtMs: InstantMs,
  handedOverAtMs: InstantMs.nullable(),
  items: z.array(
    z.strictObject({
      id: ItemId,
      dishId: Slug,
      portions: z.int().positive(),
      modifiers: z.array(Slug),
      allergies: z.array(Allergen),
    }),
  ),
})

const PastRun = z.strictObject({
  id: RunId,
  stationId: Slug,
  dishId: Slug,
  dishName: line(120),
  parts: z.array(z.strictObject({ itemId: ItemId, portions: z.int().positive() })),
  firedAtMs: InstantMs,
  endedAtMs: InstantMs,
  plannedS: z.number().min(0),
  isStopped: z.boolean(),
  toldStationId: Slug.nullable(),
})

/** An evening that is over, as the line had it: the tickets that something was fried for, the runs, and what was decided. */
export const Evening = z.strictObject({
  tickets: z.array(PastTicket),
  runs: z.array(PastRun),
  downs: z.array(z.strictObject({ stationId: Slug, fromMs: InstantMs, toMs: InstantMs.nullable() })),
  pairs: z.int().min(1).max(MOST_PAIRS).nullable(),
  /** Whether there was more than is looked at: the first runs of the day are. */
  isCut: z.boolean(),
}) satisfies z.ZodType<CoreEvening>
export type Evening = z.infer<typeof Evening>
