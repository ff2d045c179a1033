import { CLEANINGS } from 'core/line/stationPast'
import { z } from 'zod'
import { EventId, InstantMs, Slug } from './ids'

/** What is said of a station: it was washed in full, brushed or wiped, by hand. */
export const StationEvent = z.strictObject({
  id: EventId,
  stationId: Slug,
  kind: z.enum(['washed', ...CLEANINGS]),
  deviceId: z.string().min(1).max(64),
  staffId: Slug.nullable(),
  atMs: InstantMs,
})
export type StationEvent = z.infer<typeof StationEvent>
/** What a device says of a station at once. */
export const StationEvents = z.strictObject({ events: z.array(StationEvent).min(1).max(50) })

/** What is known of a station's metal. */
export const StationPastRow = z.strictObject({
  stationId: Slug,
  lastDishId: Slug.nullable(),
  usedUntilMs: InstantMs.nullable(),
  washedAtMs: InstantMs.nullable(),
  wipedAtMs: InstantMs.nullable(),
  brushedAtMs: InstantMs.nullable(),
})
export type StationPastRow = z.infer<typeof StationPastRow>
/** What is known of every station's metal. */
export const StationPasts = z.strictObject({ stations: z.array(StationPastRow) })
export type StationPasts = z.infer<typeof StationPasts>
